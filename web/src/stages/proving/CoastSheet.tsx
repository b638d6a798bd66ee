import { Button, SegmentedControl, Textarea } from '@mantine/core';
import { decimals, amountText, fitCoasts, parseQuantity, systemOn, type Coast, type ProofSheet } from '@sprocket/core';
import { useMemo, useState } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { thisMinute } from '../../ui/today.ts';
import { Day } from './Day.tsx';
import { tickText } from '../../ui/manner.ts';

const LEAST_POINTS = 4;

/** Rows of “seconds speed” as they were called out or read off a film; what does not read is named by its line. */
function pointsOf(text: string, units: 'metric' | 'imperial'): { points: Coast['points']; faults: string[] } {
  const faults: string[] = [];
  const points = text
    .split('\n')
    .map((line) => line.trim())
    .flatMap((line, i) => {
      if (line === '') return [];
      const [time = '', ...rest] = line.split(/[\s;,]+/);
      const timeS = Number(time.replace(',', '.'));
      const speed = parseQuantity(rest.join(' '), 'speed', units);
      if (!Number.isFinite(timeS) || timeS < 0 || timeS > 600 || !speed.ok || speed.value < 0 || speed.value > 30) {
        faults.push(`line ${i + 1}: “${line}”`);
        return [];
      }
      return [{ timeS, speedMs: speed.value }];
    });
  return { points, faults };
}

/** Coast-downs there and back: rolling and air found apart from the motor and from each other, with their errors. */
export function CoastSheet({ sheet }: { sheet: ProofSheet }) {
  const build = useBuild();
  const send = useSend();
  const units = useUnits();
  const context = usePlanContext();
  const [way, setWay] = useState<Coast['way']>('there');
  const [text, setText] = useState('');
  const [grade, setGrade] = useState<number | null>(null);
  const { coasts, day } = build.proving;
  const test = sheet.tests.find((t) => t.id === 'coast');
  const on = useMemo(() => systemOn(context, day), [context, day]);
  const fit = useMemo(() => (on ? fitCoasts(coasts, on.system) : null), [on, coasts]);
  const { points, faults } = pointsOf(text, units);
  const speed = (si: number): number => si * (units === 'metric' ? 3.6 : 2.236936);
  const keep = (): void => {
    send(
      buildActions.coastKept({
        field: 'proving.coasts',
        value: {
          id: crypto.randomUUID(),
          at: thisMinute(),
          way,
          grade: grade === null ? null : way === 'there' ? grade : -grade,
          points,
        },
      }),
    );
    setText('');
    setWay(way === 'there' ? 'back' : 'there');
  };
  const planned = on?.system.vehicle;
  return (
    <div className="prove-two">
      <section className="card coast" aria-labelledby="coast-title">
        <h2 id="coast-title">Coast-down</h2>
        <p>
          From full speed, no power, no brakes, as you ride. Call out the speed every two seconds, or film the display.
          Once there, once back over the same stretch: wind and slope cancel.
        </p>
        {test ? <Day test={test} /> : null}
        <SegmentedControl
          aria-label="Which way"
          value={way}
          data={[
            { value: 'there', label: 'There' },
            { value: 'back', label: 'Back' },
          ]}
          onChange={(v) => setWay(v as Coast['way'])}
        />
        <AmountField
          label="Slope, going there"
          dimension="grade"
          value={grade}
          min={-0.2}
          max={0.2}
          onValue={(si) => setGrade(si)}
          onEmpty={() => setGrade(null)}
          hint="empty: level"
        />
        <Textarea
          label="Seconds and speed, a line each"
          description={units === 'metric' ? 'as in: 0 25 km/h' : 'as in: 0 15 mph'}
          autosize
          minRows={5}
          maxRows={14}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
          error={faults.length > 0 ? `Not understood: ${faults.slice(0, 3).join('; ')}` : undefined}
        />
        <Button onClick={keep} disabled={points.length < LEAST_POINTS || faults.length > 0}>
          Keep this coast
        </Button>
        {points.length > 0 && points.length < LEAST_POINTS ? <span className="quiet"> four lines at least</span> : null}
      </section>
      <section className="card coast" aria-labelledby="coast-found">
        <h2 id="coast-found">What it tells</h2>
        {coasts.length > 0 ? (
          <>
            <div className="coast-chart" role="img" aria-label={`Speed against time of ${coasts.length} coasts`}>
              <ResponsiveContainer width="100%" height={220}>
                <LineChart margin={{ top: 8, right: 12, bottom: 18, left: 4 }}>
                  <CartesianGrid stroke="var(--faint)" />
                  <XAxis
                    dataKey="t"
                    type="number"
                    domain={[0, 'dataMax']}
                    unit=" s"
                    tickFormatter={tickText}
                    stroke="var(--soft)"
                    allowDuplicatedCategory={false}
                  />
                  <YAxis
                    dataKey="v"
                    tickFormatter={tickText}
                    unit={units === 'metric' ? ' km/h' : ' mph'}
                    width={72}
                    stroke="var(--soft)"
                  />
                  <Tooltip />
                  {coasts.map((c) => (
                    <Line
                      key={c.id}
                      data={c.points.map((p) => ({ t: p.timeS, v: Number(speed(p.speedMs).toFixed(2)) }))}
                      dataKey="v"
                      name={c.way}
                      stroke={c.way === 'there' ? 'var(--teal)' : 'var(--marmalade)'}
                      strokeWidth={2}
                      {...(c.way === 'there' ? {} : { strokeDasharray: '5 3' })}
                      dot={{ r: 2.5 }}
                      isAnimationActive={false}
                    />
                  ))}
                </LineChart>
              </ResponsiveContainer>
            </div>
            <ul className="bare-list">
              {coasts.map((c) => (
                <li key={c.id}>
                  {c.way}, {c.points.length} readings, {c.at.replace('T', ' ')}{' '}
                  <button
                    type="button"
                    className="link-button"
                    onClick={() => send(buildActions.coastForgotten({ field: 'proving.coasts', value: c.id }))}
                  >
                    Take back
                  </button>
                </li>
              ))}
            </ul>
          </>
        ) : (
          <p className="quiet">No coast kept yet.</p>
        )}
        {fit && planned ? (
          <>
            <table className="band-sum">
              <tbody>
                <tr>
                  <th scope="row">Rolling, Crr</th>
                  <td className="num">
                    {decimals(fit.crr, 4)} ± {decimals(fit.crrSd, 4)}
                  </td>
                  <td className="quiet">planned {decimals(planned.crr, 4)}</td>
                </tr>
                <tr>
                  <th scope="row">Air, CdA</th>
                  <td className="num">
                    {amountText({ si: fit.cdaM2, dimension: 'area', digits: 3 }, units)} ± {decimals(fit.cdaSd, 3)}
                  </td>
                  <td className="quiet">planned {decimals(planned.cdaM2, 3)}</td>
                </tr>
              </tbody>
            </table>
            <p className="quiet">
              From {fit.count} slowings, one standard deviation each;{' '}
              {fit.correlation < -0.9
                ? 'the two lean on each other: a faster start would part them better'
                : 'speeds ranged enough to tell the two apart'}
              .{fit.dragN > 0 ? ' The motor’s own drag was taken off.' : ''}
            </p>
            <Button
              onClick={() =>
                send(
                  buildActions.resultKept({
                    field: 'proving.coast',
                    value: {
                      id: crypto.randomUUID(),
                      test: 'coast',
                      at: thisMinute(),
                      by: build.built.builder,
                      conditions: day,
                      readings: { crr: fit.crr, cda: fit.cdaM2 },
                      saw: null,
                      note: `${coasts.length} coasts`,
                      witness: null,
                    },
                  }),
                )
              }
              disabled={fit.crr <= 0 || fit.cdaM2 <= 0}
            >
              Keep as the test’s result
            </Button>
          </>
        ) : coasts.length > 0 ? (
          <p>It wants a coast each way, from a speed well above a walk.</p>
        ) : null}
      </section>
    </div>
  );
}
