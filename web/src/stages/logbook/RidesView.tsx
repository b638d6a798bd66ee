import { Button, Switch } from '@mantine/core';
import {
  decimals,
  amount,
  displayUnits,
  entriesOf,
  unknownWords,
  type LoggedRide,
  type RideSeen,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { Say, Show } from '../../ui/Show.tsx';
import { chartRows, RideChart } from './RideChart.tsx';
import type { useLogTuning } from './useLogTuning.ts';
import { dayText } from '../../ui/manner.ts';

const percent = (share: number): string => `${decimals(share * 100, share < 0.1 ? 1 : 0)} %`;

/** What the rides told: forecast against fact, odd ones explained, what they cannot tell, and the one ride that would. */
export function RidesView({ tuning }: { tuning: ReturnType<typeof useLogTuning> }) {
  const build = useBuild();
  const send = useSend();
  const units = useUnits();
  const { told, progress, stopped, stop, again } = tuning;
  const rides = entriesOf(build.log, 'ride');
  if (rides.length === 0)
    return (
      <section className="card">
        <h2>What the rides told</h2>
        <p>
          No ride yet. From the first on, each is held against what was foretold of it, and the forecast learns from it:
          drag, rolling, the legs and what the battery holds.
        </p>
      </section>
    );
  if (build.choice.kitId === null || build.choice.packId === null)
    return (
      <section className="card">
        <h2>What the rides told</h2>
        <p>
          Choose the kit and the battery they were ridden with: a ride is held against the vehicle it was ridden on.
        </p>
      </section>
    );
  const byId = new Map(rides.map((r) => [r.id, r]));
  const rows = (told?.rides ?? []).flatMap((seen) => {
    const logged = byId.get(seen.id);
    return logged ? [{ logged, seen }] : [];
  });
  const judged = rows.filter((r) => r.seen.told !== null);
  const odd = judged.filter((r) => r.seen.told?.odd);
  const dumb = rows.filter((r) => r.seen.not !== null);
  const perWay = 1 / displayUnits.energyPerWay[units].si;
  return (
    <div className="rides-view">
      <section className="card" aria-labelledby="rides-told" aria-busy={progress !== null}>
        <div className="card-head">
          <h2 id="rides-told">Forecast against fact</h2>
          {progress !== null ? (
            <span className="spread-progress">
              <progress value={progress} max={1} aria-label="Rides asked" />
              <Button size="compact-sm" variant="default" onClick={stop}>
                Stop
              </Button>
            </span>
          ) : stopped ? (
            <span className="spread-progress">
              <span className="quiet">stopped</span>
              <Button size="compact-sm" variant="default" onClick={again}>
                Ask them again
              </Button>
            </span>
          ) : (
            <span className="live-key">
              <span className="key-plan">foretold before it, one in ten to each side</span>{' '}
              <span className="key-ridden">ridden</span> <span className="key-odd">odd</span>
            </span>
          )}
        </div>
        <RideChart rows={chartRows(judged, perWay)} />
        <p className="quiet">
          Each ride’s forecast comes from the rides before it.{' '}
          {told ? `${told.count} rides tell, ${told.odd} odd left out` : ''}
          {dumb.length > 0 ? `, ${dumb.length} told nothing` : ''}.
        </p>
      </section>
      {odd.length > 0 ? (
        <section className="card" aria-labelledby="rides-odd">
          <h2 id="rides-odd">Odd rides</h2>
          <p className="quiet">
            Further than three standard deviations from all others: they tell nothing until you say so.
          </p>
          <ul className="bare-list odd-list">
            {odd.map(({ logged, seen }) => (
              <OddRide
                key={logged.id}
                logged={logged}
                seen={seen}
                onCount={(counts) =>
                  send(buildActions.entriesKept({ field: `log.entries.${logged.id}`, value: [{ ...logged, counts }] }))
                }
              />
            ))}
          </ul>
        </section>
      ) : null}
      <section className="card" aria-labelledby="rides-tell">
        <div className="card-head">
          <h2 id="rides-tell">What they told</h2>
          <Switch
            label="Figures go by the rides"
            checked={build.tuned.byRides}
            onChange={(event) =>
              send(buildActions.byRidesSet({ field: 'tuned.byRides', value: event.currentTarget.checked }))
            }
          />
        </div>
        {told ? (
          <>
            <table className="sum told-table">
              <thead>
                <tr>
                  <th scope="col">Of</th>
                  <th scope="col" className="num">
                    Times the plan’s
                  </th>
                  <th scope="col" className="num">
                    Known to
                  </th>
                  <th scope="col" className="num">
                    Before
                  </th>
                  <th scope="col">Says</th>
                </tr>
              </thead>
              <tbody>
                {told.told.map((t) => (
                  <tr key={t.unknown}>
                    <th scope="row">{unknownWords[t.unknown]}</th>
                    <td className="num">{decimals(t.times, 2)}</td>
                    <td className="num">±{percent(t.sd)}</td>
                    <td className="num">±{percent(t.before)}</td>
                    <td>
                      {t.open
                        ? 'the rides cannot tell'
                        : t.with
                          ? `told only together with ${unknownWords[t.with]}`
                          : 'told by the rides'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {told.width ? (
              <p>
                Energy of the own road is foretold to <strong>±{percent(told.width.now)}</strong>; before any ride it
                was ±{percent(told.width.before)}.
              </p>
            ) : null}
            <p className="telling">
              {told.telling ? (
                <>
                  <strong>One ride that would tell:</strong> {told.telling.words}. It would bring ±
                  {percent(told.telling.now)} to ±{percent(told.telling.after)}.
                </>
              ) : (
                <>
                  <strong>No one ride would tell much more</strong> of the own road.
                </>
              )}
            </p>
            {told.splits.length > 0 ? (
              <p className="quiet">
                The log is split by {told.splits.map((s) => `${s.what} (${dayText(s.at)})`).join(', ')}: rides before no
                longer tell of what it touched.
              </p>
            ) : null}
          </>
        ) : (
          <p className="wait">Asking the rides…</p>
        )}
      </section>
      {dumb.length > 0 ? (
        <details className="card fold">
          <summary>
            Rides that tell nothing <span className="quiet">{dumb.length}</span>
          </summary>
          <ul className="bare-list">
            {dumb.slice(-30).map(({ logged, seen }) => (
              <li key={logged.id}>
                {dayText(logged.at)}, <Show value={amount(logged.distanceM, 'way')} />: {seen.not}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </div>
  );
}

function OddRide({
  logged,
  seen,
  onCount,
}: {
  logged: LoggedRide;
  seen: RideSeen;
  onCount: (counts: boolean | null) => void;
}) {
  const [first, second] = seen.reasons;
  const { told } = seen;
  return (
    <li>
      <p>
        <strong>
          {dayText(logged.at)}
          {logged.name === '' ? '' : `, ${logged.name}`}
        </strong>
        : <Show value={amount(seen.wh ?? 0, 'energy')} /> where <Show value={amount(told?.forecastWh ?? 0, 'energy')} />{' '}
        was foretold, {decimals(Math.abs(told?.zOthers ?? 0), 1)} standard deviations{' '}
        {(told?.zOthers ?? 0) > 0 ? 'above' : 'below'} what the others tell.
      </p>
      <p>
        {first ? (
          <>
            Likeliest: <Say words={first.words} />
            {second ? (
              <>
                ; or <Say words={second.words} />
              </>
            ) : null}
            .
          </>
        ) : (
          'Nothing usual explains it by itself: look at the meter, the charge at the start, and whether all of it was written down.'
        )}
      </p>
      <Button size="compact-sm" variant="default" onClick={() => onCount(true)}>
        Let it tell all the same
      </Button>
    </li>
  );
}
