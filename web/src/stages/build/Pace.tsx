import { decimals, knownOf, paceOf, peopleOf } from '@sprocket/core';
import { useBuild } from '../../store/store.ts';
import { Say } from '../../ui/Show.tsx';
import type { BenchNow } from './useBench.ts';

/** How long steps took against what is told, and the pace that comes of it for those ahead. */
export function Pace({ bench }: { bench: BenchNow }) {
  const build = useBuild();
  const { bench: choice, built } = build;
  const known = peopleOf(build).flatMap((who) => {
    const of = knownOf(build, who);
    return of.count > 0 ? [{ who, of }] : [];
  });
  const timed = bench.steps.filter((s) => {
    const record = choice.done[s.id];
    return s.doneOn !== null && record !== undefined && record.minutes !== null && !record.leftOut;
  });
  return (
    <section aria-labelledby="pace">
      <div className="section-head">
        <h2 id="pace">Own pace</h2>
        <span className="quiet">what is still ahead is reckoned at the pace of who is at the bench</span>
      </div>
      {known.length === 0 ? (
        <p className="card">
          No step was timed yet. The stand view has a watch that runs by the clock; minutes can be typed on a step’s
          sheet too.
        </p>
      ) : (
        <>
          <dl className="sums card">
            {known.map(({ who, of }) => (
              <div key={who}>
                <dt>
                  {who || 'Nobody named'}
                  {who === built.builder ? ', at the bench now' : ''}
                </dt>
                <dd className="num">
                  {decimals(paceOf(of), 2)} × the planned time
                  <span className="step-why">
                    from {of.count} timed step{of.count === 1 ? '' : 's'}, drawn toward 1
                  </span>
                </dd>
              </div>
            ))}
          </dl>
          <div className="card">
            <p className="quiet">
              Timed on this build; what was timed on builds before it in this workshop counts above.
            </p>
            <table className="sum pace-table">
              <thead>
                <tr>
                  <th scope="col">Step</th>
                  <th scope="col">planned</th>
                  <th scope="col">took</th>
                  <th scope="col">by</th>
                </tr>
              </thead>
              <tbody>
                {timed.map((s) => (
                  <tr key={s.id}>
                    <th scope="row">
                      <Say words={s.title} />
                    </th>
                    <td className="num">{s.told} min</td>
                    <td className="num">{choice.done[s.id]?.minutes} min</td>
                    <td>{choice.done[s.id]?.by || '–'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </section>
  );
}
