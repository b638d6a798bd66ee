import {
  amount,
  answerChips,
  kindDrawing,
  LONGEST_WORDS,
  readWords,
  starterShelf,
  vehicleKinds,
  vehicleKindWords,
  withPointed,
  withWords,
  type AnswerChip,
  type BoardPick,
  type VehicleKind,
} from '@sprocket/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { useBuild } from '../../store/store.ts';
import { Say, Show } from '../../ui/Show.tsx';
import { Answers } from './Answers.tsx';
import { useBegun } from './useBegun.ts';
import './start.css';

const Proposals = lazy(async () => ({ default: (await import('../../sheet/proposals/Proposals.tsx')).Proposals }));

/** How a build begins: a line of words or six answers, and what we would fit beside them. */
export function StartSheet() {
  const build = useBuild();
  const { buildId = '' } = useParams();
  const begun = Object.keys(build.start.said).length > 0;
  const [best, setBest] = useState<BoardPick | null>(null);
  return (
    <div className="start">
      <header className="start-head">
        <h1>What are you turning electric?</h1>
        <p>
          Say it in a line, or point. Everything can be put right later; a guess says that it is one.{' '}
          <Link to={`/build/${buildId}/brief`}>Skip to the full brief</Link>
        </p>
      </header>
      <WordsLine />
      {begun ? (
        <a href="#proposals" className="start-down">
          {best ? <BestSoFar best={best} /> : 'Searching the shelf…'}
        </a>
      ) : null}
      <div className="start-sides">
        <div className="start-answers">
          <KindPicker kind={build.donor.kind} said={build.start.said.kind !== undefined} />
          <Answers />
        </div>
        <div className="start-proposals">
          {begun ? (
            <Suspense fallback={<p className="quiet">Laying the proposals out…</p>}>
              <Proposals ask={false} onBest={setBest} />
            </Suspense>
          ) : (
            <section className="card start-none" aria-labelledby="start-none">
              <h2 id="start-none">What we would fit</h2>
              <p>
                From the first answer on, the best of the shelf stands here: which kit and battery, how far, how steep,
                what it costs, and how likely it goes on a vehicle like yours. Each further answer sharpens it.
              </p>
              <p className="quiet">Nothing has to be measured yet. Nothing is ordered on a guess.</p>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

/** The one we would fit in a line, where the proposals themselves stand further down. */
function BestSoFar({ best: { kit, pack, candidate } }: { best: BoardPick }) {
  const { range, aims } = candidate;
  return (
    <>
      <span className="quiet">What we would fit</span>
      <strong>
        {kit.name} with {pack.name}
      </strong>
      <span className="num">
        {range ? (
          <>
            <Show value={amount(range.lowM, 'way', 0)} /> to <Show value={amount(range.highM, 'way', 0)} />
          </>
        ) : null}
        {range && aims.price !== null ? ', ' : ''}
        {aims.price === null ? null : <Show value={amount(aims.price, 'money', 0)} />}
      </span>
    </>
  );
}

/** The line of free words, and under it what was understood of it. */
function WordsLine() {
  const build = useBuild();
  const begun = useBegun();
  const { words } = build.start;
  const chips = useMemo(() => answerChips(build), [build]);
  const { left } = useMemo(() => readWords(words), [words]);
  return (
    <section className="start-words" aria-label="In a line">
      <label className="sr" htmlFor="start-line">
        Your vehicle and your way, in a line
      </label>
      <input
        id="start-line"
        className="start-line"
        value={words}
        maxLength={LONGEST_WORDS}
        placeholder="steel mixte 28in, 82 kg, 12 km each way, one hill of 10 %, up to 900"
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => begun('start.words', withWords(build, event.currentTarget.value))}
      />
      <ul className="start-chips" aria-label="What is said, and what is a guess">
        {chips.map((chip) => (
          <Chip key={chip.id} chip={chip} />
        ))}
      </ul>
      {left.length > 0 ? (
        <p className="start-left" role="status">
          Not understood: {left.map((w) => `“${w}”`).join(', ')}
        </p>
      ) : null}
    </section>
  );
}

function Chip({ chip }: { chip: AnswerChip }) {
  const begun = useBegun();
  const build = useBuild();
  const { start } = build;
  if (chip.guess)
    return (
      <li className="chip chip-guess">
        <Say words={chip.words} />
        <span className="chip-says"> guess</span>
      </li>
    );
  // What the line says is taken back in the line.
  const back = start.said[chip.id] === 'pointed';
  return (
    <li className="chip">
      <Say words={chip.words} />
      {back ? (
        <button type="button" onClick={() => begun(`start.${chip.id}`, withPointed(build, {}, [chip.id]))}>
          <span className="sr">
            Take back: <Say words={chip.words} />
          </span>
          <span aria-hidden="true">×</span>
        </button>
      ) : null}
    </li>
  );
}

/** The kinds, drawn; once one is chosen it stands alone, with the way back to the others. */
function KindPicker({ kind, said }: { kind: VehicleKind; said: boolean }) {
  const build = useBuild();
  const begun = useBegun();
  const [all, setAll] = useState(false);
  const open = all || !said;
  const drawings = useMemo(() => vehicleKinds.map((id) => ({ id, drawing: kindDrawing(id, starterShelf) })), []);
  const shown = open ? drawings : drawings.filter((d) => d.id === kind);
  return (
    <fieldset className="card start-kinds">
      <legend>Which kind?</legend>
      <div className={open ? 'kinds-pick' : 'kinds-pick kinds-one'}>
        {shown.map(({ id, drawing }) => (
          <label key={id} className="kind-pick">
            <input
              type="radio"
              name="kind"
              value={id}
              checked={said && id === kind}
              onChange={() => {
                begun('start.kind', withPointed(build, { kind: id }));
                setAll(false);
              }}
            />
            <MiniBike drawing={drawing} />
            <span>{vehicleKindWords[id]}</span>
          </label>
        ))}
      </div>
      {open ? null : (
        <button type="button" className="link-button" onClick={() => setAll(true)}>
          Another kind
        </button>
      )}
    </fieldset>
  );
}
