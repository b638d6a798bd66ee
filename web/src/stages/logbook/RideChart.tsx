import type { LoggedRide, RideSeen } from '@sprocket/core';
import { Bar, CartesianGrid, ComposedChart, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import { useUnits } from '../../store/store.ts';
import { dayOfYear } from '../../ui/manner.ts';

/** A ride as the chart draws it. */
interface Row {
  n: number;
  day: string;
  band: [number, number] | null;
  told: number | null;
  fact: number | null;
  odd: number | null;
  /** What would explain an odd one. */
  why: string;
}

const MOST = 60;

/** Rides as rows of the chart: what was foretold of each before it was used, with one in ten to either side, and what it took. */
export function chartRows(rides: readonly { logged: LoggedRide; seen: RideSeen }[], perWay: number): Row[] {
  return rides.slice(-MOST).map(({ logged, seen }, i): Row => {
    const of = (wh: number): number => Math.round((wh / Math.max(1, logged.distanceM)) * perWay * 10) / 10;
    const told = seen.told;
    const fact = seen.wh === null ? null : of(seen.wh);
    return {
      n: i + 1,
      day: dayOfYear(logged.at),
      band: told ? [of(told.bandWh.low), of(told.bandWh.high)] : null,
      told: told ? of(told.forecastWh) : null,
      fact: told?.odd ? null : fact,
      odd: told?.odd ? fact : null,
      why: told?.odd ? reasonWords[seen.reasons[0]?.id ?? 'none'] : '',
    };
  });
}

const reasonWords = { wind: 'wind?', tyre: 'soft tyre?', load: 'load?', legs: 'legs?', none: 'odd' } as const;

interface Mark {
  cx?: number | undefined;
  cy?: number | undefined;
  payload?: Row | undefined;
}

/** What was foretold: a tick across its band. */
function Tick({ cx, cy }: Mark) {
  return cx === undefined || cy === undefined || Number.isNaN(cy) ? (
    <g />
  ) : (
    <path d={`M${cx - 5} ${cy}H${cx + 5}`} stroke="var(--teal)" strokeWidth={2} />
  );
}

/** An odd ride, with the likeliest reason beside it. */
function Odd({ cx, cy, payload }: Mark) {
  if (cx === undefined || cy === undefined || !payload || payload.odd === null) return <g />;
  return (
    <g>
      <path d={`M${cx} ${cy - 7}L${cx + 7} ${cy}L${cx} ${cy + 7}L${cx - 7} ${cy}z`} fill="var(--stop)" />
      <text x={cx + 11} y={cy + 5} fill="var(--ink)" fontSize={13.5}>
        {payload.why}
      </text>
    </g>
  );
}

/** Use over rides beside its forecast: the band narrows as rides tell. */
export function RideChart({ rows }: { rows: readonly Row[] }) {
  const units = useUnits();
  const unit = units === 'metric' ? ' Wh/km' : ' Wh/mi';
  const last = rows.filter((r) => r.fact !== null).at(-1);
  return (
    <div
      className="ride-chart"
      role="img"
      aria-label={`Use of the last ${rows.length} rides beside their forecasts; the last took ${last?.fact ?? 0}${unit}`}
    >
      <ResponsiveContainer width="100%" height={250}>
        <ComposedChart data={[...rows]} margin={{ top: 8, right: 16, bottom: 4, left: 4 }}>
          <CartesianGrid stroke="var(--faint)" vertical={false} />
          <XAxis dataKey="day" stroke="var(--soft)" minTickGap={26} />
          <YAxis unit={unit} width={86} stroke="var(--soft)" domain={['auto', 'auto']} />
          <Bar dataKey="band" fill="var(--teal)" fillOpacity={0.32} barSize={9} isAnimationActive={false} />
          <Scatter dataKey="told" shape={Tick} isAnimationActive={false} />
          <Scatter dataKey="fact" fill="var(--marmalade)" stroke="var(--ink)" isAnimationActive={false} />
          <Scatter dataKey="odd" shape={Odd} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
