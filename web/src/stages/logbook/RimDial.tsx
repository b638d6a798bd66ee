import { Slider } from '@mantine/core';

/** A rim with its valve: where round it the hole was, the way the wheel rolls. */
export function RimDial({ round, onRound }: { round: number | null; onRound: (round: number) => void }) {
  const angle = -Math.PI / 2 + Math.PI - (round ?? 0) * 2 * Math.PI;
  return (
    <div className="rim-dial">
      <svg
        viewBox="-50 -50 100 100"
        role="img"
        aria-label={
          round === null ? 'Rim, place not said' : `Hole ${Math.round(round * 360)} degrees round from the valve`
        }
      >
        <circle r="40" className="rim" />
        <circle r="33" className="rim rim-thin" />
        <path d="M0 33V24" className="valve" />
        {round === null ? null : (
          <path
            d="M-5 -5L5 5M5 -5L-5 5"
            className="puncture-mark"
            strokeWidth="3"
            transform={`translate(${40 * Math.cos(angle)} ${40 * Math.sin(angle)})`}
          />
        )}
      </svg>
      <div>
        <span className="field-label">Round from the valve</span>
        <Slider
          min={0}
          max={350}
          step={10}
          value={Math.round((round ?? 0) * 360)}
          label={(v) => `${v}°`}
          thumbLabel="Round from the valve, degrees"
          onChange={(v) => onRound(v / 360)}
        />
        <span className="quiet">
          The tyre’s print set beside the valve shows whether the next hole is the same one.
        </span>
      </div>
    </div>
  );
}
