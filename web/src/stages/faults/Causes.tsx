import { faultOf, faultTestOf, faultWords, reasonsOf, type Search, type SearchFinding } from '@sprocket/core';
import '../../sheet/proof.css';
import { timesWords, weightWords } from './words.ts';
import { Words } from '../../ui/Show.tsx';

interface CausesProps {
  causes: SearchFinding['causes'];
  search: Search;
  /** What raised or lowered a cause besides the answers. */
  because: Readonly<Record<string, string[]>>;
}

const SHOWN = 7;
const LEAST = 0.012;

/** Likely causes as a list that shrinks: each opens to why it weighs what it weighs. */
export function Causes({ causes, search, because }: CausesProps) {
  const shown = causes.filter((c) => c.p >= LEAST).slice(0, SHOWN);
  const others = causes.length - shown.length;
  return (
    <section aria-labelledby="causes-title" className="causes">
      <h3 id="causes-title">Likely causes</h3>
      <ol className="cause-rows">
        {shown.map((c) => (
          <li key={c.id}>
            <span className="cause-bar" aria-hidden="true">
              <span style={{ inlineSize: `${c.p * 100}%` }} />
            </span>
            <details>
              <summary>
                <strong>{faultWords(c.id)}</strong> <span className="quiet">{weightWords(c.p)}</span>
              </summary>
              {faultOf(c.id) ? (
                <p>
                  <Words>{faultOf(c.id)?.why ?? ''}</Words>
                </p>
              ) : null}
              <ul className="reason-rows">
                {reasonsOf(search, c.id).map((r) => (
                  <li key={r.test ?? 'odds'}>
                    {r.test === null ? (
                      <>How often: {r.words}</>
                    ) : (
                      <>
                        <Words>{faultTestOf(r.test)?.ask ?? ''}</Words> <strong>{timesWords(r.times)}</strong>.{' '}
                        {r.words}
                      </>
                    )}
                  </li>
                ))}
                {(because[c.id] ?? []).map((words) => (
                  <li key={words}>On this vehicle: {words}.</li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ol>
      {others > 0 ? <p className="quiet">{others} more are hardly likely any more.</p> : null}
    </section>
  );
}
