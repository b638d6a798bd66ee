import { amountText, showAmount, type Band, type JudgedReading } from '@sprocket/core';
import { useUnits } from '../store/store.ts';
import './proof.css';

interface BandMarkProps {
  reading: Pick<JudgedReading, 'what' | 'dimension' | 'digits' | 'value' | 'verdict' | 'stop' | 'harmless'>;
  band: Band;
  /** At arm's length: larger words. */
  large?: boolean;
}

const W = 420;
const H = 74;
const LINE = 40;

/**
 * A band as it was foretold, and where the result fell: the plan's own spread dark, the instrument's share light, the
 * side that means stop hatched.
 */
export function BandMark({ reading, band, large = false }: BandMarkProps) {
  const units = useUnits();
  const { value, dimension, digits, what, verdict, stop } = reading;
  const span = Math.max(band.high - band.low, Math.abs(band.mid) * 0.01, 1e-9);
  const left = Math.min(band.low - span * 0.45, value ?? Infinity, band.low);
  const right = Math.max(band.high + span * 0.45, value ?? -Infinity, band.high);
  // A result far outside stands at the edge with its figure.
  const from = Math.max(left, band.low - span * 2.2);
  const to = Math.min(right, band.high + span * 2.2);
  const x = (si: number): number => 14 + Math.max(0, Math.min(1, (si - from) / (to - from))) * (W - 28);
  const text = (si: number): string =>
    amountText({ si, dimension, ...(digits === undefined ? {} : { digits }) }, units);
  const said = showAmount({ si: band.mid, dimension, ...(digits === undefined ? {} : { digits }) }, units);
  return (
    <svg
      className={large ? 'band-mark band-large' : 'band-mark'}
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`${what}: foretold ${text(band.low)} to ${text(band.high)}${value === null ? '' : `, read ${text(value)}`}`}
    >
      {stop === 'above' || stop === 'both' ? (
        <rect
          x={x(band.high)}
          y={LINE - 9}
          width={Math.max(0, W - 14 - x(band.high))}
          height={18}
          className="band-danger"
        />
      ) : null}
      {stop === 'below' || stop === 'both' ? (
        <rect x={14} y={LINE - 9} width={Math.max(0, x(band.low) - 14)} height={18} className="band-danger" />
      ) : null}
      <line x1={14} x2={W - 14} y1={LINE} y2={LINE} className="band-axis" />
      <rect x={x(band.low)} y={LINE - 9} width={x(band.high) - x(band.low)} height={18} className="band-wide" />
      <rect
        x={x(Math.max(band.low, band.spread.p10))}
        y={LINE - 9}
        width={Math.max(1.5, x(Math.min(band.high, band.spread.p90)) - x(Math.max(band.low, band.spread.p10)))}
        height={18}
        className="band-spread"
      />
      <line x1={x(band.mid)} x2={x(band.mid)} y1={LINE - 12} y2={LINE + 12} className="band-mid" />
      <text x={x(band.low)} y={H - 8} className="band-text" textAnchor={x(band.low) < 60 ? 'start' : 'middle'}>
        {showAmount({ si: band.low, dimension, ...(digits === undefined ? {} : { digits }) }, units).number}
      </text>
      <text x={x(band.high)} y={H - 8} className="band-text" textAnchor={x(band.high) > W - 70 ? 'end' : 'middle'}>
        {text(band.high)}
      </text>
      {value === null ? (
        <text x={x(band.mid)} y={20} className="band-text band-soft" textAnchor="middle">
          {said.number}
        </text>
      ) : (
        <g className={`band-result band-${verdict ?? 'pass'}`}>
          <path d={`M${x(value)} ${LINE - 10}l-8 -13h16z`} />
          <text
            x={Math.max(40, Math.min(W - 46, x(value)))}
            y={14}
            className="band-text band-value"
            textAnchor="middle"
          >
            {text(value)}
          </text>
        </g>
      )}
    </svg>
  );
}
