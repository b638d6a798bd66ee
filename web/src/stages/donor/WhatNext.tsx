import { surveyItem, type NextItem } from '@sprocket/core';
import { useApp, useBuild } from '../../store/store.ts';
import { useWorkerAnswer } from '../../workers/core.ts';
import { SurveyField } from './SurveyField.tsx';

/** Wait after the last edit before the ranking is worked out anew, ms. */
const WAIT = 250;
/** Items shown at once. */
const SHOWN = 7;

/** Unmeasured items by how much they could change, worked out in the worker; null while the first is under way. */
export function useMeasureNext(): NextItem[] | null {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  return useWorkerAnswer((worker) => worker.measureNext(build, own), [build, own], WAIT);
}

/** What to measure next: what could change most for the kits still possible comes first. */
export function WhatNext({ next }: { next: NextItem[] | null }) {
  const build = useBuild();
  const open = next?.filter((n) => n.verdicts > 0) ?? [];
  return (
    <section className="card" aria-labelledby="next-title" aria-busy={next === null}>
      <h2 id="next-title">Measure next</h2>
      {next === null ? (
        <p className="quiet">Working out what matters most…</p>
      ) : open.length === 0 ? (
        <p>Nothing left to measure could change a verdict for the kits still possible.</p>
      ) : (
        <>
          <p className="quiet">
            Each open item tried over the values it might have: those that could change most for the kits still possible
            come first.
          </p>
          <ol className="next-list">
            {open.slice(0, SHOWN).map((n) => (
              <li key={n.item}>
                <SurveyField key={`${build.id}.${n.item}`} item={surveyItem(n.item)} />
                <p className="next-why">
                  {n.kits > 0 ? (
                    <strong>
                      could rule out {n.kits} kit{n.kits === 1 ? '' : 's'}
                    </strong>
                  ) : (
                    <strong>{n.couldStop ? 'could stop it' : 'could call for rework'}</strong>
                  )}
                  <span className="quiet">
                    {' '}
                    {n.verdicts} verdict{n.verdicts === 1 ? '' : 's'} hang on it
                  </span>
                </p>
              </li>
            ))}
          </ol>
          {open.length > SHOWN ? <p className="quiet">{open.length - SHOWN} more could change something.</p> : null}
        </>
      )}
    </section>
  );
}
