import type { Brief, Route } from '@sprocket/core';

/** Sectors the road's directions are counted in. */
const SECTORS = 16;
const R = 46;

const at = (degrees: number, r: number): [number, number] => {
  const a = ((degrees - 90) * Math.PI) / 180;
  return [r * Math.cos(a), r * Math.sin(a)];
};

/** Which way the road goes, as petals by length, with the wind blowing across it. */
export function WindRose({ route, brief }: { route: Route; brief: Brief }) {
  const lengths = Array.from({ length: SECTORS }, () => 0);
  for (let i = 1; i < route.points.length; i++) {
    const a = route.points[i - 1];
    const b = route.points[i];
    if (!a || !b || a.bearing === undefined) continue;
    const turned = route.reversed ? a.bearing + 180 : a.bearing;
    const sector = Math.round(((turned % 360) / 360) * SECTORS) % SECTORS;
    lengths[sector] = (lengths[sector] ?? 0) + b.distanceM - a.distanceM;
  }
  const most = Math.max(1, ...lengths);
  const from = brief.windFrom;
  return (
    <svg
      className="wind-rose"
      viewBox="-72 -66 144 132"
      role="img"
      aria-label={
        from === null
          ? 'The road’s directions; wind taken against travel'
          : `The road’s directions, and wind from ${Math.round(from)} degrees`
      }
    >
      <circle r={R} className="rose-ring" />
      <circle r={R / 2} className="rose-ring" />
      {(['N', 'E', 'S', 'W'] as const).map((word, i) => {
        const [x, y] = at(i * 90, R + 11);
        return (
          <text key={word} x={x} y={y + 4} textAnchor="middle" className="road-text">
            {word}
          </text>
        );
      })}
      {lengths.map((length, i) => {
        if (length === 0) return null;
        const centre = (i / SECTORS) * 360;
        const r = 6 + (R - 6) * Math.sqrt(length / most);
        const [ax, ay] = at(centre - 9, r);
        const [bx, by] = at(centre + 9, r);
        return <path key={i} d={`M0 0L${ax} ${ay}A${r} ${r} 0 0 1 ${bx} ${by}Z`} className="rose-petal" />;
      })}
      {from === null || brief.headwindMs <= 0 ? null : (
        <g transform={`rotate(${from})`} className="rose-wind">
          <path d={`M0 ${-R - 2}V${R * 0.55}`} />
          <path d={`M0 ${R * 0.62}l-6 -12h12z`} className="rose-head" />
          <path d={`M-7 ${-R - 2}l7 7l7 -7`} />
        </g>
      )}
    </svg>
  );
}
