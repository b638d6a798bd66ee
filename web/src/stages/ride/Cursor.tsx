import { decimals, amount, explainPoint, type RideSheet as Sheet } from '@sprocket/core';
import { useMemo, useState } from 'react';
import { Say, Show } from '../../ui/Show.tsx';
import { RideChart } from './RideChart.tsx';

/** The chart with a cursor that explains each point. */
export function Cursor({ sheet }: { sheet: Sheet }) {
  const [at, setAt] = useState<number | null>(null);
  const steepest = useMemo(() => sheet.trace.grade.indexOf(Math.max(...sheet.trace.grade)), [sheet]);
  const index = Math.min(at ?? steepest, sheet.trace.distanceM.length - 1);
  const told = explainPoint(sheet.system, sheet.trace, index);
  return (
    <section className="card ride-card" aria-labelledby="ride-chart">
      <h2 id="ride-chart">The road as ridden</h2>
      <RideChart sheet={sheet} index={index} onIndex={setAt} />
      <label className="ride-slider">
        <span>Point on the road</span>
        <input
          type="range"
          min={0}
          max={sheet.trace.distanceM.length - 1}
          value={index}
          aria-valuetext={`${decimals(told.distanceM / 1000, 2)} km`}
          onChange={(event) => setAt(Number(event.currentTarget.value))}
        />
      </label>
      <p className="ride-told" aria-live="polite">
        <Say words={told.words} />
      </p>
      <dl className="facts ride-facts">
        {(
          [
            ['legs', amount(told.riderW, 'power')],
            ['motor', amount(told.motorW, 'power')],
            ['air asks', amount(told.airW, 'power')],
            ['road and hill ask', amount(told.rollingAndHillW, 'power')],
            ['out of the pack', amount(told.packW, 'power')],
            ['at the pack', amount(told.volts, 'voltage')],
            ['charge left', amount(told.charge, 'share')],
            ['winding', amount(told.windingC, 'temperature')],
          ] as const
        ).map(([label, value]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd className="num">
              <Show value={value} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
