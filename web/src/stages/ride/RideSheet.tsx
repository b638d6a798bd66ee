import { rideSheet } from '@sprocket/core';
import { useDeferredValue, useMemo } from 'react';
import { usePlan, usePlanContext } from '../../sheet/PlanProvider.tsx';
import { useSpread } from '../../sheet/SpreadProvider.tsx';
import { useBuild } from '../../store/store.ts';
import { Say, useTexts } from '../../ui/Show.tsx';
import { LegsDo } from '../../sheet/LegsDo.tsx';
import { StageHead } from '../../sheet/StageHead.tsx';
import { Cursor } from './Cursor.tsx';
import { EnergyAccount } from './EnergyAccount.tsx';
import { Hills, Life, Scenarios } from './RideTables.tsx';
import { Sizing } from './Sizing.tsx';
import { SpreadCard } from './SpreadCard.tsx';
import './ride.css';

/** The ride sheet: the road as ridden, what holds at each point, the spread, and what could go worse. */
export function RideStage() {
  const { spread, progress, stopped, stop, again } = useSpread();
  const build = useBuild();
  // The sheet follows an edit when there is time for it; the tally comes first.
  const settled = useDeferredValue(usePlanContext());
  const sheet = useTexts(useMemo(() => rideSheet(settled), [settled]));
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
          <LegsDo />
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
