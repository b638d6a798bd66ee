import { amount, sizeBackwards } from '@sprocket/core';
import { useMemo } from 'react';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { Say, Show, useTexts } from '../../ui/Show.tsx';

/** Backwards: what the brief asks of motor, pack and gearing, and what on the shelf meets it. */
export function Sizing() {
  const context = usePlanContext();
  const sizing = useTexts(useMemo(() => sizeBackwards(context), [context]));
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
