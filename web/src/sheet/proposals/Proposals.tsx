import { Button } from '@mantine/core';
import {
  aims,
  boardOf,
  contendersOf,
  driveFamilyWords,
  pickWords,
  sameConversion,
  usualAims,
  weightsFor,
  type AimId,
  type AimWeights,
  type BoardPick,
  type Candidate,
  type Phrase,
} from '@sprocket/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { useShelf } from '../PlanProvider.tsx';
import { useTaking } from '../useTaking.ts';
import { useApp, useBuild } from '../../store/store.ts';
import { Say } from '../../ui/Show.tsx';
import { PickCard } from './PickCard.tsx';
import { MeasureFirstCard } from './MeasureFirstCard.tsx';
import { StillBest } from './StillBest.tsx';
import { useDrawn } from './useDrawn.ts';
import { isFound, useProposals } from './useProposals.ts';
import './proposals.css';

const StaysBest = lazy(async () => ({ default: (await import('./StaysBest.tsx')).StaysBest }));
const FrontPlot = lazy(async () => ({ default: (await import('./FrontPlot.tsx')).FrontPlot }));

/** Most weight a slider gives. */
const MOST_WEIGHT = 6;

/**
 * What to fit: the shelf searched for this build, its best side by side, what to measure first, why not the others.
 * @param ask whether a build that has its kit is asked before the shelf is searched
 * @param onBest given the one we would fit whenever it is another
 */
export function Proposals({ ask = true, onBest }: { ask?: boolean; onBest?: (best: BoardPick | null) => void }) {
  const build = useBuild();
  const shelf = useShelf();
  const own = useApp((state) => state.shelf.own);
  const undecided = build.choice.kitId === null;
  const [asked, setAsked] = useState(() => isFound(build, own));
  const sought = useProposals(build, own, undecided || asked || !ask);
  const [weights, setWeights] = useState<AimWeights | null>(null);
  const usual = useMemo(() => weightsFor({ brief: build.brief }), [build.brief]);
  const used = weights ?? usual;
  const done = sought?.done === true ? sought.result : null;
  const of = useMemo(
    () => done && { front: done.front, places: contendersOf(done, used, shelf), same: done.front, known: '' },
    // Weights only order what is drawn for.
    // oxlint-disable-next-line react/exhaustive-deps
    [done],
  );
  const drawn = useDrawn(build, own, shelf, of, used);
  const board = useMemo(
    () => (sought ? boardOf(sought.result, used, shelf, drawn?.fares) : null),
    [sought, used, shelf, drawn],
  );
  const best = board?.picks[0] ?? null;
  useEffect(() => {
    onBest?.(best);
  }, [best, onBest]);
  const taking = useTaking();
  const take = ({ choice }: Candidate): void => {
    taking(
      choice,
      (board?.picks ?? []).map((pick) => ({
        note: pick.for.map((id) => pickWords[id]).join(' · '),
        choice: pick.candidate.choice,
      })),
    );
    // What it was chosen from stays beside it.
    setAsked(true);
  };
  if (ask && !undecided && !asked)
    return (
      <section className="card proposals-ask" aria-labelledby="proposals">
        <h2 id="proposals">Proposals</h2>
        <p className="quiet">
          Every kit with every battery, place and gear that the shelf allows, held against what you chose.
        </p>
        <Button variant="default" size="compact-sm" onClick={() => setAsked(true)}>
          Search the shelf
        </Button>
      </section>
    );
  const result = sought?.result;
  return (
    <section className="proposals" aria-labelledby="proposals" aria-busy={sought?.done !== true}>
      <div className="section-head">
        <h2 id="proposals">What we would fit</h2>
        <span className="quiet" role="status">
          {result === undefined
            ? 'Searching the shelf…'
            : `${result.counted.toLocaleString('en')} conversions, ${result.standing.toLocaleString('en')} that nothing stops, ${result.front.length} that none of the others beats${sought?.broken ? '; part of the search broke off' : sought?.done ? '' : ', so far'}`}
        </span>
      </div>
      {sought?.done ? <StillBest front={sought.result.front} weights={used} /> : null}
      {board && board.picks.length > 0 ? (
        <>
          <ul className="picks">
            {board.picks.map((pick, i) => (
              <PickCard
                key={`${pick.kit.id} ${pick.pack.id} ${pick.candidate.choice.packPlace} ${pick.gears.join()}`}
                pick={pick}
                first={i === 0}
                taken={sameConversion(pick.candidate.choice, build.choice)}
                onTake={() => take(pick.candidate)}
              />
            ))}
          </ul>
          {drawn ? (
            <p className="quiet drawn-for">
              Held against {drawn.of} made-up vehicles that agree with what is known of this one
              {drawn.done ? '.' : ', so far.'}
            </p>
          ) : null}
          <div className="proposals-more">
            {sought?.done && drawn ? <MeasureFirstCard drawn={drawn} shelf={shelf} /> : null}
            <WeightSliders weights={used} own={weights !== null} onChange={setWeights} />
            <WhyNot rows={board.families.map((f) => ({ name: driveFamilyWords[f.family], why: f.why }))} />
          </div>
          {sought?.done ? (
            <Suspense fallback={<p className="quiet">Drawing the front…</p>}>
              <FrontPlot front={sought.result.front} picks={board.picks} shelf={shelf} onTake={take} />
              <StaysBest picks={board.picks} />
            </Suspense>
          ) : null}
        </>
      ) : sought?.done ? (
        <>
          <p>
            {sought.broken
              ? 'The search broke off before it found anything; load the page anew to try again.'
              : 'Nothing on the shelf goes on this vehicle, as far as it is known. What stops each kind of drive:'}
          </p>
          <WhyNot rows={board?.families.map((f) => ({ name: driveFamilyWords[f.family], why: f.why })) ?? []} />
        </>
      ) : null}
    </section>
  );
}

/** A phrase begun with a capital, where words begin it. */
function capitalised(words: Phrase): Phrase {
  const [head, ...rest] = words;
  return typeof head === 'string' && head !== '' ? [`${head[0]?.toUpperCase() ?? ''}${head.slice(1)}`, ...rest] : words;
}

function WeightSliders({
  weights,
  own,
  onChange,
}: {
  weights: AimWeights;
  own: boolean;
  onChange: (weights: AimWeights | null) => void;
}) {
  return (
    <fieldset className="card weights">
      <legend>What counts how much</legend>
      {usualAims.map((id: AimId) => (
        <label key={id}>
          <span>{aims[id].words}</span>
          <input
            type="range"
            min={0}
            max={MOST_WEIGHT}
            step={1}
            value={weights[id] ?? 0}
            onChange={(event) => onChange({ ...weights, [id]: Number(event.currentTarget.value) })}
          />
          <output className="num">{weights[id] ?? 0}</output>
        </label>
      ))}
      <Button size="compact-sm" variant="subtle" disabled={!own} onClick={() => onChange(null)}>
        As usual for this purpose
      </Button>
    </fieldset>
  );
}

function WhyNot({ rows }: { rows: { name: string; why: Phrase }[] }) {
  return (
    <div className="card why-not">
      <h3>Why not another kind</h3>
      <dl>
        {rows.map(({ name, why }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              <Say words={capitalised(why)} />
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
