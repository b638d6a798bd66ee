import { verdictWords } from '@sprocket/core';
import { useApp, useBuild } from '../../store/store.ts';
import { Photos } from '../../sheet/Photos.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { useWorkerAnswer } from '../../workers/core.ts';
import { ToldRow } from './ToldRow.tsx';
import type { BenchNow } from './useBench.ts';

/** Plan and as-built side by side: what was done otherwise, and what that comes to. */
export function AsBuilt({ bench }: { bench: BenchNow }) {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const answer = useWorkerAnswer(
    async (worker) => ({ build, beside: await worker.besidePlan(build, own) }),
    [build, own],
    120,
  );
  const { otherwise } = build.built;
  const signed = bench.steps.filter((s) => s.doneOn !== null);
  const beside = answer?.beside;
  return (
    <section aria-labelledby="as-built" className="as-built">
      <div className="section-head">
        <h2 id="as-built">As built</h2>
        <span className="quiet">the plan is judged with what was really done</span>
        <span className="quiet" role="status">
          {answer && answer.build !== build ? 'being judged again' : ''}
        </span>
      </div>
      {otherwise.length === 0 ? (
        <p className="card">
          All as planned so far. A step’s sheet has “Done otherwise than planned”: a size measured, another part, moved,
          left out. The plan is judged again with it.
        </p>
      ) : (
        <div className="beside">
          <div className="card">
            <h3>Done otherwise</h3>
            <ul className="bare-list told-list">
              {otherwise.map((o) => (
                <li key={o.id}>
                  <p className="step-place-line">
                    {bench.byId.get(o.step) ? (
                      <Say words={(bench.byId.get(o.step) as (typeof bench.steps)[number]).title} />
                    ) : (
                      o.step
                    )}
                  </p>
                  <ul className="bare-list">
                    <ToldRow told={o} />
                  </ul>
                  <Photos id={`step:${o.step}`} label={`step ${o.step}`} />
                </li>
              ))}
            </ul>
          </div>
          <div className="card" aria-live="polite">
            <h3>What it comes to</h3>
            {answer === null ? <p className="quiet">Being judged.</p> : null}
            {answer && !beside ? (
              <p>The plan as it was made cannot be put together again: a value kept of it is none a build can hold.</p>
            ) : null}
            {beside ? (
              <>
                <table className="sum beside-table">
                  <thead>
                    <tr>
                      <th scope="col"> </th>
                      <th scope="col">planned</th>
                      <th scope="col">as built</th>
                    </tr>
                  </thead>
                  <tbody>
                    <tr>
                      <th scope="row">The whole</th>
                      <td>
                        <VerdictMark verdict={beside.verdict.planned} />
                      </td>
                      <td>
                        <VerdictMark verdict={beside.verdict.built} />
                      </td>
                    </tr>
                    {beside.findings.map((f) => (
                      <tr key={`${f.rule}@${f.subject ?? ''}`}>
                        <th scope="row">{f.title}</th>
                        <td>{f.planned ? <VerdictMark verdict={f.planned} /> : 'not found'}</td>
                        <td>{f.built ? <VerdictMark verdict={f.built} /> : 'not found'}</td>
                      </tr>
                    ))}
                    {beside.figures.map((f) => (
                      <tr key={f.id}>
                        <th scope="row">{f.label}</th>
                        <td className="num">{f.planned ? <Show value={f.planned} /> : '–'}</td>
                        <td className="num">{f.built ? <Show value={f.built} /> : '–'}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
                {beside.findings.length + beside.figures.length === 0 ? (
                  <p className="quiet">
                    No verdict and no figure changes with it: {verdictWords[beside.verdict.built].toLowerCase()} either
                    way.
                  </p>
                ) : null}
              </>
            ) : null}
          </div>
        </div>
      )}
      <div className="card">
        <h3>Who did what</h3>
        {signed.length === 0 ? <p className="quiet">No step is done yet.</p> : null}
        <table className="sum signed">
          <tbody>
            {signed.map((s) => {
              const record = build.bench.done[s.id];
              return (
                <tr key={s.id}>
                  <th scope="row">
                    <Say words={s.title} />
                    {record?.note ? <span className="step-why">{record.note}</span> : null}
                  </th>
                  <td className="num">{s.doneOn?.replace('T', ' ')}</td>
                  <td>{record?.leftOut ? 'left out' : record?.by || '–'}</td>
                  <td>{record?.witness ? `seen by ${record.witness.by}` : ''}</td>
                  <td className="num">{record?.minutes ? `${record.minutes} min` : ''}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
