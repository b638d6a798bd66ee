import type { Point, TyreSize } from '@sprocket/core';

/** A wheel as a draughtsman would: tyre, rim, crossed spokes, hub. Metres. */
export function Wheel({
  at,
  radius,
  tyre,
  px,
  far = false,
}: {
  at: Point;
  radius: number;
  tyre: TyreSize;
  px: number;
  far?: boolean;
}) {
  const rim = tyre.beadM / 2;
  const spokes = far ? 0 : 18;
  const flange = 0.022;
  return (
    <g className={far ? 'wheel wheel-far' : 'wheel'} transform={`translate(${at.x} ${-at.y})`}>
      <circle r={radius - tyre.widthM / 2} className="tyre" strokeWidth={tyre.widthM} />
      <circle r={radius} className="line" strokeWidth={1.3 * px} />
      <circle r={rim - 0.001} className="line" strokeWidth={1 * px} />
      <circle r={rim - 0.017} className="line thin" strokeWidth={0.7 * px} />
      {Array.from({ length: spokes }, (_, i) => {
        const a = (i * 2 * Math.PI) / spokes;
        const lean = (i % 2 === 0 ? 1 : -1) * 1.25;
        return (
          <line
            key={i}
            className="spoke"
            strokeWidth={0.55 * px}
            x1={flange * Math.cos(a + lean)}
            y1={flange * Math.sin(a + lean)}
            x2={(rim - 0.017) * Math.cos(a)}
            y2={(rim - 0.017) * Math.sin(a)}
          />
        );
      })}
      {far ? null : <circle r={flange} className="solid" strokeWidth={1 * px} />}
      {far ? null : <circle r={0.006} className="ink-fill" />}
    </g>
  );
}
