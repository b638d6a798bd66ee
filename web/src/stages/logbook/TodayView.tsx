import { Button, Slider } from '@mantine/core';
import { amount, SURE_HOME, type Day, type Route, type TodayForecast } from '@sprocket/core';
import { useEffect, useState } from 'react';
import { useApp, useBuild } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { today } from '../../ui/today.ts';
import { useWorkerAnswer } from '../../workers/core.ts';
import { dayText } from '../../ui/manner.ts';

const DRAWS = 160;
const compass = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];
const fromWords = (degrees: number): string => compass[Math.round(degrees / 45) % 8] ?? '';

interface Weather {
  temperatureC: number;
  windMs: number;
  windFrom: number;
  words: string;
}

/** The stand-in’s weather, checked: nothing else is taken. */
function weatherIn(body: unknown): Weather | null {
  if (typeof body !== 'object' || body === null) return null;
  const { temperatureC, windMs, windFrom, words } = body as Record<string, unknown>;
  const good = (n: unknown, low: number, high: number): n is number => typeof n === 'number' && n >= low && n <= high;
  return good(temperatureC, -40, 60) && good(windMs, 0, 40) && good(windFrom, 0, 360) && typeof words === 'string'
    ? { temperatureC, windMs, windFrom, words }
    : null;
}

/** Whether it goes there and back today, how sure that is, and where to turn. */
export function TodayView() {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const context = usePlanContext();
  const { brief } = build;
  const [day, setDay] = useState<Day>({
    temperatureC: brief.temperatureC,
    windMs: Math.max(0, brief.headwindMs),
    windFrom: brief.windFrom,
    loadKg: 0,
    charge: 1,
    looked: false,
  });
  const [said, setSaid] = useState('');
  const set = (change: Partial<Day>): void =>
    setDay((d) => ({ ...d, looked: d.looked || 'temperatureC' in change || 'windMs' in change, ...change }));
  const planned = context.build;
  const answer = useWorkerAnswer((worker) => worker.todayOn(planned, own, day, DRAWS), [planned, own, day], 180);
  const [kept, setKept] = useState<TodayForecast | null>(null);
  useEffect(() => {
    if (answer) setKept(answer);
  }, [answer]);
  const ask = async (): Promise<void> => {
    setSaid('');
    try {
      const response = await fetch(`/api/weather?day=${today()}`);
      const weather = response.ok ? weatherIn(await response.json()) : null;
      if (!weather) throw new Error('no weather');
      const bearings = brief.route?.points.some((p) => p.bearing !== undefined) ?? false;
      set({ temperatureC: weather.temperatureC, windMs: weather.windMs, windFrom: bearings ? weather.windFrom : null });
      setSaid(
        `Stand-in, made up for ${dayText(today())}: ${weather.words}, from the ${fromWords(weather.windFrom)}${bearings ? '' : '; this road has no bearings, so the wind counts as against, going out'}.`,
      );
    } catch {
      setSaid('The weather stand-in does not answer: type what you see and feel.');
    }
  };
  if (!context.reckoning)
    return (
      <section className="card">
        <h2>Today</h2>
        <p>Choose a kit and a battery first: without them nothing can be foretold.</p>
      </section>
    );
  const there = kept?.thereAndBack ? 'there and back' : 'all the way';
  const chance = kept ? Math.round(kept.chance * 100) : null;
  return (
    <section className="card today" aria-labelledby="today-title">
      <div className="card-head">
        <h2 id="today-title">Today, {brief.route?.name ?? 'on a flat road'}</h2>
        <Button variant="default" onClick={() => void ask()}>
          Take today’s weather
        </Button>
      </div>
      <div className="fields">
        <AmountField
          label="Temperature"
          dimension="temperature"
          value={day.temperatureC}
          min={-40}
          max={60}
          onValue={(si) => set({ temperatureC: si })}
        />
        <AmountField
          label={day.windFrom === null ? 'Wind against, going out' : `Wind, from the ${fromWords(day.windFrom)}`}
          dimension="speed"
          value={day.windMs}
          min={0}
          max={30}
          onValue={(si) => set({ windMs: si })}
        />
        <AmountField
          label="More aboard than planned"
          dimension="mass"
          value={day.loadKg}
          min={-100}
          max={200}
          onValue={(si) => set({ loadKg: si })}
        />
        <div>
          <span className="field-label">Charge now: {Math.round(day.charge * 100)} %</span>
          <Slider
            min={10}
            max={100}
            step={5}
            value={Math.round(day.charge * 100)}
            label={null}
            thumbLabel="Charge now, per cent"
            onChange={(v) => set({ charge: v / 100 })}
          />
        </div>
      </div>
      {said ? <p role="status">{said}</p> : null}
      {kept && chance !== null ? (
        <div
          className={`today-answer today-${kept.chance >= SURE_HOME ? 'yes' : kept.chance >= 0.5 ? 'maybe' : 'no'}`}
          aria-live="polite"
        >
          <p className="today-words">
            {kept.chance >= SURE_HOME
              ? `Yes, ${there}`
              : kept.chance >= 0.5
                ? `Likely ${there}, not surely`
                : kept.chance > 0.03
                  ? `Not likely ${there}`
                  : `Not ${there}`}
          </p>
          <p>
            <strong className="num">{chance} rides in 100</strong> come {kept.thereAndBack ? 'home' : 'through'} with
            the motor: <Show value={amount(kept.roadM, 'way')} />, and it lasts{' '}
            <Show value={amount(kept.rangeM.p10, 'way', 0)} /> to <Show value={amount(kept.rangeM.p90, 'way', 0)} />.
          </p>
          <RoadProfile answer={kept} route={brief.route} />
          <dl className="facts">
            <div>
              <dt>Left at the end</dt>
              <dd className="num">
                {Math.round(kept.left.p10 * 100)} to {Math.round(kept.left.p90 * 100)} %
              </dd>
            </div>
            <div>
              <dt>Energy for the road</dt>
              <dd className="num">
                <Show value={amount(kept.energyWh.p10, 'energy')} /> to{' '}
                <Show value={amount(kept.energyWh.p90, 'energy')} />
              </dd>
            </div>
            <div>
              <dt>Time riding</dt>
              <dd className="num">
                <Show value={amount(kept.timeS.p50, 'time')} />
              </dd>
            </div>
            <div>
              <dt>Turn back at the latest</dt>
              <dd className="num">
                {kept.turnBackM === null ? (
                  kept.thereAndBack ? (
                    'no need'
                  ) : (
                    'the road leads one way'
                  )
                ) : (
                  <Show value={amount(kept.turnBackM, 'way')} />
                )}
              </dd>
            </div>
          </dl>
          <p className="quiet">
            {kept.rides > 0 ? `From ${kept.rides} rides of this log` : 'From the plan alone: no ride has told yet'},{' '}
            {kept.draws} rides drawn
            {day.looked ? ', wind and air as given above' : ', wind and air as in the brief'}. Legs home are always the
            reserve.
          </p>
        </div>
      ) : (
        <p className="wait">Riding it…</p>
      )}
    </section>
  );
}

/** So much of the way beyond the road is drawn, as a share of it. */
const BEYOND = 0.35;

/** The road in profile, out and home in one line, with how far it lasts and where to turn. */
function RoadProfile({ answer, route }: { answer: TodayForecast; route: Route | null }) {
  const { roadM, rangeM, turnBackM, thereAndBack } = answer;
  const all = roadM * (1 + BEYOND);
  const at = (m: number): number => 6 + (Math.min(m, all) / all) * 788;
  const one = route ? (route.reversed ? [...route.points].reverse() : route.points) : [];
  const first = one[0];
  const heights = first
    ? one.map((p) => ({ m: Math.abs(p.distanceM - first.distanceM), e: p.elevationM }))
    : [
        { m: 0, e: 0 },
        { m: roadM / (thereAndBack ? 2 : 1), e: 0 },
      ];
  const road = thereAndBack
    ? [...heights, ...[...heights].reverse().map((p) => ({ m: roadM - p.m, e: p.e }))]
    : heights;
  const low = Math.min(...road.map((p) => p.e));
  const span = Math.max(12, Math.max(...road.map((p) => p.e)) - low);
  const up = (e: number): number => 118 - ((e - low) / span) * 72;
  const line = road.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p.m).toFixed(1)} ${up(p.e).toFixed(1)}`).join('');
  const past = rangeM.p10 > all;
  return (
    <svg
      viewBox="0 0 800 182"
      className="road-profile"
      role="img"
      aria-label="The road in profile, how far the battery lasts on it, and where to turn"
    >
      <path d={`${line}L${at(roadM)} 132L${at(0)} 132Z`} className="profile-ground" />
      <path d={line} className="profile-line" />
      {past ? (
        <path d={`M${at(0)} 146H786M778 140L788 146L778 152`} className="profile-lasts" />
      ) : (
        <>
          <path d={`M${at(0)} 146H${at(rangeM.p10)}`} className="profile-lasts" />
          <path d={`M${at(rangeM.p10)} 146H${at(rangeM.p90)}`} className="profile-open" />
        </>
      )}
      <text
        x={past ? 786 : Math.max(120, Math.min(at(rangeM.p50), 786))}
        y="165"
        textAnchor="end"
        className="strip-words"
      >
        {past ? 'it lasts well past the end' : 'it lasts to here'}
      </text>
      {thereAndBack ? (
        <>
          <path d={`M${at(roadM / 2)} 28V132`} className="strip-turn" />
          <text x={at(roadM / 2)} y="20" textAnchor="middle" className="strip-words strip-soft">
            far end
          </text>
        </>
      ) : null}
      <path d={`M${at(roadM)} 60V132`} className="strip-turn" />
      <text x={at(roadM)} y="52" textAnchor="middle" className="strip-words strip-soft">
        {thereAndBack ? 'home' : 'there'}
      </text>
      {turnBackM !== null ? (
        <>
          <path d={`M${at(turnBackM)} 28V146`} className="strip-back" />
          <text x={at(turnBackM)} y="20" textAnchor="middle" className="strip-words">
            turn back
          </text>
        </>
      ) : null}
    </svg>
  );
}
