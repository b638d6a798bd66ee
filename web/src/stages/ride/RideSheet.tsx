import { Button } from '@mantine/core';
import {
  amount,
  explainPoint,
  rideSheet,
  sizeBackwards,
  spreadInputWords,
  type RideSheet as Sheet,
  type Spread,
} from '@sprocket/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { usePlan, useShelf } from '../../app/PlanProvider.tsx';
import { useSpread } from '../../app/SpreadProvider.tsx';
import { useBuild } from '../../app/store.ts';
import { Say, Show } from '../../ui/Show.tsx';
import { StageHead } from '../../ui/StageHead.tsx';
import { BandBar } from './BandBar.tsx';
import { EnergyAccount } from './EnergyAccount.tsx';
import { RideChart } from './RideChart.tsx';

/** The ride sheet: the road as ridden, what holds at each point, the spread, and what could go worse. */
export function RideStage() {
  const { spread, progress, stopped, stop, again } = useSpread();
  const build = useBuild();
  const shelf = useShelf();
  // The sheet follows an edit when there is time for it; the tally comes first.
  const settled = useDeferredValue(build);
  const sheet = useMemo(() => rideSheet(settled, shelf), [settled, shelf]);
  const plan = usePlan();
  return (
    <>
      <StageHead title="Ride sheet">
        How far, how sure:{' '}
        <strong className="marked">{build.brief.route?.name ?? 'a flat road, none named yet'}</strong>
        {plan.chosen.kit ? `, ${plan.chosen.kit.name}` : ''}
        {plan.chosen.pack ? `, ${plan.chosen.pack.name}` : ''}
      </StageHead>
      {sheet ? (
        <>
          <Cursor sheet={sheet} />
          <SpreadCard sheet={sheet} spread={spread} progress={progress} stopped={stopped} stop={stop} again={again} />
          <div className="ride-two">
            <section className="card" aria-labelledby="ride-account">
              <h2 id="ride-account">Where the energy goes, once over the road</h2>
              <EnergyAccount account={sheet.account} />
            </section>
            <Scenarios sheet={sheet} />
          </div>
          <Hills sheet={sheet} />
          <section aria-labelledby="ride-safe">
            <h2 id="ride-safe">Going safely</h2>
            <div className="cautions">
              {sheet.cautions.map((c) => (
                <section
                  key={c.id}
                  className={`card caution-card caution-${c.state}`}
                  aria-labelledby={`caution-${c.id}`}
                >
                  <h3 id={`caution-${c.id}`}>
                    {c.title}
                    <span className="caution-state">
                      {
                        { fine: 'as it should be', care: 'take care', stop: 'not like this', unknown: 'not known' }[
                          c.state
                        ]
                      }
                    </span>
                  </h3>
                  <table className="sum">
                    <tbody>
                      {c.lines.map((l) => (
                        <tr key={l.label}>
                          <th scope="row">{l.label}</th>
                          <td className="num">
                            <Say words={l.value} />
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                  <p>
                    <Say words={c.why} />
                  </p>
                  <p className="quiet">Ask: {c.ask}.</p>
                </section>
              ))}
            </div>
          </section>
          <Life sheet={sheet} />
        </>
      ) : (
        <p>Choose a kit on Drive and a pack on Pack, and the ride is laid out here.</p>
      )}
      <Sizing />
    </>
  );
}

/** The chart with a cursor that explains each point. */
function Cursor({ sheet }: { sheet: Sheet }) {
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
          aria-valuetext={`${(told.distanceM / 1000).toFixed(2)} km`}
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

interface SpreadCardProps {
  sheet: Sheet;
  spread: Spread | null;
  progress: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

function SpreadCard({ sheet, spread, progress, stopped, stop, again }: SpreadCardProps) {
  return (
    <section className="card" aria-labelledby="ride-spread" aria-busy={progress !== null}>
      <div className="card-head">
        <h2 id="ride-spread">How sure that is</h2>
        {progress !== null ? (
          <span className="spread-progress">
            <progress value={progress} max={1} aria-label="Rides drawn" />
            <Button size="compact-sm" variant="default" onClick={stop}>
              Stop
            </Button>
          </span>
        ) : stopped ? (
          <span className="spread-progress">
            <span className="quiet">stopped{spread ? ` at ${spread.count} rides` : ''}</span>
            <Button size="compact-sm" variant="default" onClick={again}>
              Ride them again
            </Button>
          </span>
        ) : (
          <span className="quiet">
            {spread ? `${spread.count} rides drawn, the same each time` : 'drawing the first rides…'}
          </span>
        )}
      </div>
      {spread ? (
        <div className="spread">
          <table className="sum spread-bands">
            <caption>One ride in ten falls below the band, one in ten above it</caption>
            <tbody>
              <tr>
                <th scope="row">Range</th>
                <td>
                  <BandBar band={spread.rangeM} need={sheet.wantedM} />
                </td>
                <td className="num">
                  <Show value={amount(spread.rangeM.p10, 'way', 0)} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.rangeM.p50, 'way', 0)} />
                  </strong>{' '}
                  · <Show value={amount(spread.rangeM.p90, 'way', 0)} />
                </td>
              </tr>
              <tr>
                <th scope="row">Energy for the road</th>
                <td>
                  <BandBar band={spread.energyWh} />
                </td>
                <td className="num">
                  <Show value={amount(spread.energyWh.p10, 'energy')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.energyWh.p50, 'energy')} />
                  </strong>{' '}
                  · <Show value={amount(spread.energyWh.p90, 'energy')} />
                </td>
              </tr>
              <tr>
                <th scope="row">Time for it</th>
                <td>
                  <BandBar band={spread.timeS} />
                </td>
                <td className="num">
                  <Show value={amount(spread.timeS.p10, 'time')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.timeS.p50, 'time')} />
                  </strong>{' '}
                  · <Show value={amount(spread.timeS.p90, 'time')} />
                </td>
              </tr>
              <tr>
                <th scope="row">Hottest winding</th>
                <td>
                  <BandBar band={spread.hottestC} />
                </td>
                <td className="num">
                  <Show value={amount(spread.hottestC.p10, 'temperature')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.hottestC.p50, 'temperature')} />
                  </strong>{' '}
                  · <Show value={amount(spread.hottestC.p90, 'temperature')} />
                </td>
              </tr>
            </tbody>
          </table>
          <div className="spread-right">
            <p className="chance">
              <strong className="num">{Math.round(spread.chance * 100)} in 100</strong> reach{' '}
              <Show value={amount(sheet.wantedM, 'way', 0)} />, the reserve included
              {spread.walks > 0.005 ? `; ${Math.round(spread.walks * 100)} in 100 walk somewhere` : ''}.
            </p>
            <h3>What the doubt comes from</h3>
            <ul className="causes">
              {spread.causes
                .filter((c) => c.share > 0.015)
                .map((c) => (
                  <li key={c.input}>
                    <span className="cause-bar" style={{ width: `${Math.round(c.share * 100)}%` }} />
                    <span>{spreadInputWords[c.input]}</span>
                    <span className="num">{Math.round(c.share * 100)} %</span>
                  </li>
                ))}
            </ul>
          </div>
        </div>
      ) : null}
    </section>
  );
}

function Scenarios({ sheet }: { sheet: Sheet }) {
  return (
    <section className="card" aria-labelledby="ride-scenarios">
      <h2 id="ride-scenarios">If it goes worse</h2>
      <table className="sum">
        <thead>
          <tr>
            <th scope="col">When</th>
            <td>range</td>
            <td>uses</td>
          </tr>
        </thead>
        <tbody>
          {sheet.scenarios.map((s) => (
            <tr key={s.id}>
              <th scope="row">
                {s.words}
                <span className="from">
                  {s.enough ? 'still enough' : 'falls short'}
                  {s.walked ? ', walks somewhere' : ''}
                </span>
              </th>
              <td className="num">
                <Show value={amount(s.rangeM, 'way', 0)} />
              </td>
              <td className="num">
                <Show value={amount(s.whPerKm / 1000, 'energyPerWay')} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sheet.turnBackM === null ? (
        <p className="quiet">Half of the usable charge is never gone on one pass: no turn-back point.</p>
      ) : (
        <p>
          Half of the usable charge is gone at <Show value={amount(sheet.turnBackM, 'way')} />: the turn-back point.
        </p>
      )}
    </section>
  );
}

function Hills({ sheet }: { sheet: Sheet }) {
  if (sheet.hills.length === 0) return null;
  return (
    <section className="card" aria-labelledby="ride-hills">
      <h2 id="ride-hills">Each hill, with a run-up and from rest</h2>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Hills, scrolls sideways">
        <table className="gears">
          <thead>
            <tr>
              <th scope="col">At</th>
              <th scope="col">Long</th>
              <th scope="col">Steepest</th>
              <th scope="col">Slowest, with the run-up</th>
              <th scope="col">From rest in its steepest</th>
            </tr>
          </thead>
          <tbody>
            {sheet.hills.map((h) => (
              <tr key={h.atM}>
                <th scope="row">
                  <Show value={amount(h.atM, 'way')} />
                </th>
                <td>
                  <Show value={amount(h.lengthM, 'height')} />
                </td>
                <td>
                  <Show value={amount(h.grade, 'grade')} />
                </td>
                <td>{h.walked ? 'walked' : <Show value={amount(h.slowestMs, 'speed')} />}</td>
                <td className={h.fromRest === 'motor alone' ? '' : 'warn'}>
                  {
                    {
                      'motor alone': 'the motor alone sets off',
                      'with the legs': 'sets off with the legs’ help',
                      'not at all': 'does not set off',
                    }[h.fromRest]
                  }
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Life({ sheet }: { sheet: Sheet }) {
  const { life } = sheet;
  return (
    <section className="card" aria-labelledby="ride-life">
      <h2 id="ride-life">The pack’s life on this road</h2>
      <p>
        About <strong className="num">{life.cycles}</strong> full cycles to 80 %;{' '}
        <strong className="num">{life.pricePerKm.toFixed(3)}</strong> a kilometre for the pack alone;{' '}
        <strong className="num">{life.chargeHours.toFixed(1)} h</strong> from empty on a charger of {life.chargerA} A.
      </p>
      <ul className="advice">
        {life.advice.map((a) => (
          <li key={JSON.stringify(a)}>
            <Say words={a} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Backwards: what the brief asks of motor, pack and gearing, and what on the shelf meets it. */
function Sizing() {
  const build = useBuild();
  const shelf = useShelf();
  const sizing = useMemo(() => sizeBackwards(build, shelf), [build, shelf]);
  if (!sizing) return null;
  return (
    <section className="card" aria-labelledby="ride-sizing">
      <h2 id="ride-sizing">Sized backwards from the brief</h2>
      <table className="sum needs">
        <tbody>
          {sizing.needs.map((n) => (
            <tr key={n.id}>
              <th scope="row">
                {n.label}, {n.atMost ? 'at most' : 'at least'}
                <span className="from">
                  set by <Say words={n.setBy} />
                </span>
              </th>
              <td className="num">
                <Show value={amount(n.value.si, n.value.dimension)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="ride-two">
        {(
          [
            ['Kits', sizing.kits],
            ['Packs', sizing.packs],
          ] as const
        ).map(([title, list]) => (
          <div key={title}>
            <h3>
              {title}: {list.filter((m) => m.misses.length === 0).length} of {list.length} meet it
            </h3>
            <ul className="meets">
              {list.slice(0, 8).map((m) => (
                <li key={m.id}>
                  <strong>{m.name}</strong>{' '}
                  {m.misses.length === 0 ? (
                    <span className="meets-all">meets it</span>
                  ) : (
                    <span className="quiet">
                      {m.misses.map((words, i) => (
                        <span key={i}>
                          {i > 0 ? '; ' : ''}
                          <Say words={words} />
                        </span>
                      ))}
                    </span>
                  )}
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
      <p className="quiet">What goes on the donor is another question: see Drive and Pack.</p>
    </section>
  );
}
