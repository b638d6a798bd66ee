import type { Together } from '@sprocket/core';
import '../../sheet/proof.css';

/** Words for a weight, so that no bare percentage stands alone. */
const inTen = (p: number): string =>
  p >= 0.95 ? 'nearly sure' : p < 0.05 ? 'hardly' : `${Math.max(1, Math.round(p * 10))} in 10`;

/** What several readings say together: one cause for all of them, where one would do it. */
export function TogetherCard({ joined }: { joined: Together }) {
  const shown = joined.causes.filter((c) => c.p >= 0.04).slice(0, 4);
  // One cause that explains several readings is told at once; chance is told to who asks.
  const leads = joined.causes[0]?.id !== 'nothing' && (joined.causes[0]?.p ?? 0) > 0.4;
  return (
    <details className="card together" open={leads || undefined}>
      <summary>
        <h2>Taken together</h2> {joined.words}
      </summary>
      <ol className="cause-rows">
        {shown.map((c) => (
          <li key={c.id}>
            <span className="cause-bar" aria-hidden="true">
              <span style={{ inlineSize: `${c.p * 100}%` }} />
            </span>
            <span>
              <strong>{c.words}</strong>{' '}
              <span className="quiet">
                {inTen(c.p)}, by how all readings fit it. First: {c.first}
              </span>
            </span>
          </li>
        ))}
      </ol>
    </details>
  );
}
