import { isProven, surveyItem, type SurveyItemId } from '@sprocket/core';
import { Leads, saidOf } from '../../sheet/proposals/MeasureFirstCard.tsx';
import type { Measuring } from '../../sheet/proposals/useMeasuring.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { useBuild } from '../../store/store.ts';
import { SurveyField } from './SurveyField.tsx';

/** Lines shown at once, of each list. */
const SHOWN = 6;

/** What to measure first: what could still change the choice, by the minute; then what is wanted before an order. */
export function WhatNext({ measuring: { drawn, wanted, decided } }: { measuring: Measuring }) {
  const build = useBuild();
  const shelf = useShelf();
  const isOpen = (id: SurveyItemId): boolean => !isProven(build.donor.survey[id]);
  const first =
    drawn?.first
      ?.map((m) => ({ ...m, items: m.items.filter(isOpen) }))
      .filter((m) => m.items.length > 0)
      .slice(0, SHOWN) ?? null;
  const above = new Set(first?.flatMap((m) => m.items));
  const then = wanted.filter((w) => !above.has(w.item));
  return (
    <section className="card" aria-labelledby="next-title" aria-busy={drawn?.done !== true}>
      <h2 id="next-title">Measure first</h2>
      <p className="quiet">
        {decided
          ? 'What could still show that what you chose does not go on, or that another is better, by the minute it takes.'
          : 'What could still change which conversion is best, by the minute it takes.'}
      </p>
      {first === null ? (
        <p className="quiet" role="status">
          {decided ? 'Drawing vehicles like this one…' : 'Searching the shelf, then drawing vehicles like this one…'}
        </p>
      ) : first.length === 0 ? (
        <p>On vehicles like this one nothing that is open changes the choice, or whether it goes on.</p>
      ) : (
        <ol className="next-list">
          {first.map((m) => (
            <li key={m.items.join()}>
              <div>
                {m.items.map((id) => (
                  <SurveyField key={`${build.id}.${id}`} item={surveyItem(id)} />
                ))}
              </div>
              <div className="next-why">
                <strong>
                  {m.minutes} min, {saidOf(m)}
                </strong>
                {drawn ? <Leads of={m} drawn={drawn} shelf={shelf} answers={1} /> : null}
              </div>
            </li>
          ))}
        </ol>
      )}
      {then.length > 0 ? (
        <>
          <h3>Wanted before anything is ordered</h3>
          <ol className="next-list">
            {then.slice(0, SHOWN).map((w) => (
              <li key={w.item}>
                <SurveyField key={`${build.id}.${w.item}`} item={surveyItem(w.item)} />
                <p className="next-why">
                  <strong>{w.minutes} min</strong>{' '}
                  <span className="quiet">
                    {w.holdsOrder ? 'holds an order back: ' : 'open because of it: '}
                    {w.waits.map((t, i) => (i === 0 ? t : t.toLowerCase())).join(', ')}
                  </span>
                </p>
              </li>
            ))}
          </ol>
          {then.length > SHOWN ? <p className="quiet">{then.length - SHOWN} more to measure before an order.</p> : null}
        </>
      ) : null}
    </section>
  );
}
