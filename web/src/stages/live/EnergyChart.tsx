import type { LivePlan, MeterSample } from '@sprocket/core';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useUnits } from '../../store/store.ts';
import { tickText } from '../../ui/manner.ts';

const POINTS = 160;

/** Every so many of a row, and its last. */
function thinned<T>(rows: readonly T[]): T[] {
  const step = Math.max(1, Math.ceil(rows.length / POINTS));
  return rows.filter((_, i) => i % step === 0 || i === rows.length - 1);
}

/** Energy used along the way beside the plan's, with its band. */
export function EnergyChart({ plan, samples }: { plan: LivePlan; samples: readonly MeterSample[] }) {
  const units = useUnits();
  const way = (m: number): number => Number((m / (units === 'metric' ? 1000 : 1609.344)).toFixed(2));
  const told = thinned(plan.foretold).map((f) => ({
    way: way(f.distanceM),
    plan: Math.round(f.energyWh),
    low: Math.round((f.energyWh * plan.use.low) / plan.use.mid),
    high: Math.round((f.energyWh * plan.use.high) / plan.use.mid),
  }));
  const ridden = thinned(samples).map((s) => ({ way: way(s.distanceM), ridden: Math.round(s.energyWh * 10) / 10 }));
  return (
    <section className="card" aria-labelledby="live-chart">
      <div className="section-head">
        <h2 id="live-chart">Energy along the way</h2>
        <span className="live-key">
          <span className="key-plan">plan, with one in ten on each side</span>{' '}
          <span className="key-ridden">ridden</span>
        </span>
      </div>
      <div role="img" aria-label={`Energy used: ${ridden.at(-1)?.ridden ?? 0} watt hours ridden`}>
        <ResponsiveContainer width="100%" height={230}>
          <LineChart margin={{ top: 6, right: 16, bottom: 4, left: 4 }}>
            <CartesianGrid stroke="var(--faint)" />
            <XAxis
              dataKey="way"
              type="number"
              domain={[0, 'dataMax']}
              unit={units === 'metric' ? ' km' : ' mi'}
              tickFormatter={tickText}
              stroke="var(--soft)"
              allowDuplicatedCategory={false}
            />
            <YAxis tickFormatter={tickText} unit=" Wh" width={68} stroke="var(--soft)" domain={[0, 'dataMax']} />
            <Line
              data={told}
              dataKey="low"
              stroke="var(--teal)"
              strokeDasharray="3 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={told}
              dataKey="high"
              stroke="var(--teal)"
              strokeDasharray="3 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={told}
              dataKey="plan"
              stroke="var(--teal)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={ridden}
              dataKey="ridden"
              stroke="var(--marmalade)"
              strokeWidth={3.4}
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </section>
  );
}
