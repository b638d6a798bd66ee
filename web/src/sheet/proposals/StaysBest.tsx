import { scenarioIds, scenarioWords, type BoardPick, type Stays } from '@sprocket/core';
import { useMemo } from 'react';
import { useApp, useBuild } from '../../store/store.ts';
import { useWords } from '../../ui/Show.tsx';
import { useWorkerAnswer } from '../../workers/core.ts';

/** What each pick still does where things come otherwise than planned. */
export function StaysBest({ picks }: { picks: readonly BoardPick[] }) {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const w = useWords();
  const choices = useMemo(() => picks.map((p) => p.candidate.choice), [picks]);
  const stays = useWorkerAnswer((worker) => worker.staysBest(build, own, choices), [build, own, choices], 300);
  return (
    <section className="card stays" aria-labelledby="stays">
      <h3 id="stays">Does it stay so?</h3>
      <p className="quiet">
        How many of a hundred rides come home with the reserve in hand, on other days than the planned one.
      </p>
      {stays === null ? (
        <p className="quiet">Trying other days…</p>
      ) : (
        <div className="stays-table" role="group" aria-labelledby="stays" tabIndex={0}>
          <table>
            <thead>
              <tr>
                <th scope="col">Pick</th>
                {scenarioIds.map((id) => (
                  <th scope="col" key={id}>
                    {w(scenarioWords[id])}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {picks.map((pick, i) => (
                <tr key={`${pick.kit.id} ${pick.pack.id} ${pick.candidate.choice.packPlace ?? ''}`}>
                  <th scope="row">
                    {pick.kit.name}, {pick.pack.name}
                    {stays.asPlanned[i]?.starts === false ? (
                      <span className="quiet"> does not start on the hill by itself</span>
                    ) : null}
                  </th>
                  {scenarioIds.map((id) => (
                    <Cell key={id} is={stays[id][i]} started={stays.asPlanned[i]?.starts !== false} />
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

/** From so many in a hundred it does the way. */
const DOES = 90;

function Cell({ is, started }: { is: Stays | undefined; started: boolean }) {
  if (!is || is.chance === null) return <td>–</td>;
  const rides = Math.round(is.chance * 100);
  const out = rides < DOES;
  return (
    <td className={out ? 'stays-out' : undefined}>
      <span className="num">{rides > 99 ? 'over 99' : rides}</span>
      {out ? ', too few' : ''}
      {started && is.starts === false ? ', does not start on the hill' : ''}
    </td>
  );
}
