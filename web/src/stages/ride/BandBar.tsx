import type { Band3 } from '@sprocket/core';

/** A band with its middle, from nothing to a fifth past its end, and what is needed as a dotted mark. */
export function BandBar({ band, need }: { band: Band3; need?: number }) {
  const most = Math.max(band.p90, need ?? 0) * 1.2 || 1;
  const at = (value: number): number => (Math.max(0, value) / most) * 200;
  return (
    <svg className="band" viewBox="0 0 200 16" aria-hidden="true" focusable="false">
      <line x1="0" x2="200" y1="8" y2="8" className="band-axis" />
      <rect x={at(band.p10)} width={Math.max(1, at(band.p90) - at(band.p10))} y="4.5" height="7" className="band-bar" />
      <line x1={at(band.p50)} x2={at(band.p50)} y1="2" y2="14" className="band-mid" />
      {need === undefined ? null : <line x1={at(need)} x2={at(need)} y1="0" y2="16" className="band-need" />}
    </svg>
  );
}
