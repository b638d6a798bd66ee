import { Button, TextInput } from '@mantine/core';
import { isDecided, withoutLog, type Build } from '@sprocket/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { StageHead } from '../../sheet/StageHead.tsx';
import { useTaking } from '../../sheet/useTaking.ts';
import { buildActions } from '../../store/buildSlice.ts';
import { useApp, useSend } from '../../store/store.ts';
import { useWorkerAnswer } from '../../workers/core.ts';
import { ComparedTable } from './ComparedTable.tsx';
import { useBeside, type Beside } from './useBeside.ts';
import './compare.css';

/** Rest after a change before all of them are planned anew, ms. */
const REST = 150;

/** What can stand beside it, in the order it is asked for. */
const groups: readonly { of: Beside['of']; words: string }[] = [
  { of: 'kept', words: 'Kept beside it' },
  { of: 'pick', words: 'Proposed' },
  { of: 'build', words: 'Other builds, ridden as this brief asks' },
];

/** A build with nothing of its log but how it was looked back on. */
const lean = (build: Build): Build => ({
  ...build,
  log: { ...withoutLog(build).log, review: build.log.review },
});

/** Any number of choices, proposals and other builds beside what is chosen, all ridden as this brief asks. */
export function CompareStage() {
  const { here, all, shown, show, searching } = useBeside();
  const send = useSend();
  const taking = useTaking();
  const own = useApp((state) => state.shelf.own);
  const sides = useMemo(() => [here, ...all.filter((b) => shown.has(b.id))], [here, all, shown]);
  const answer = useWorkerAnswer(
    async (worker) => ({
      sides,
      compared: await worker.compared(
        sides.map((s) => lean(s.build)),
        own,
      ),
    }),
    [sides, own],
    REST,
  );
  const decided = isDecided(here.build.choice);
  const isKept = here.build.keptChoices.length;
  const keep = (): void => {
    const kept = { id: crypto.randomUUID(), note: '', proposed: false, choice: here.build.choice };
    send(buildActions.choiceKept({ field: `keptChoices.${kept.id}`, value: kept }));
  };
  return (
    <>
      <StageHead title="Compare">
        What you chose: <strong className="marked">{here.name}</strong>
        {sides.length > 1
          ? `, beside ${sides.length - 1} other${sides.length === 2 ? '' : 's'}, all on this brief and drawn to one scale`
          : ', and nothing beside it yet'}
        . <a href="#beside-title">Choose what stands beside it</a>
      </StageHead>
      {answer === null ? (
        <p className="wait">Planning each of them…</p>
      ) : (
        <ComparedTable
          sides={answer.sides}
          compared={answer.compared}
          does={(side) =>
            side.of === 'kept' ? (
              <KeptDoes
                side={side}
                note={here.build.keptChoices.find((k) => side.id === `kept-${k.id}`)?.note ?? ''}
                onTake={() => taking(side.build.choice)}
                onNote={(id, note) =>
                  send(buildActions.choiceNoted({ field: `keptChoices.${id}.note`, value: { id, note } }))
                }
                onDrop={(id) => send(buildActions.choiceDropped({ field: `keptChoices.${id}`, value: id }))}
              />
            ) : side.of === 'pick' ? (
              <Button
                size="compact-sm"
                variant="default"
                aria-label={`Take it: ${side.name}`}
                onClick={() => taking(side.build.choice)}
              >
                Take it
              </Button>
            ) : side.of === 'build' ? (
              <Link to={`/build/${side.build.id}/drive`}>Open it</Link>
            ) : null
          }
        />
      )}
      <section className="card beside" aria-labelledby="beside-title">
        <h2 id="beside-title">What stands beside it</h2>
        {groups.map(({ of, words }) => {
          const some = all.filter((b) => b.of === of);
          if (some.length === 0) return null;
          return (
            <fieldset key={of}>
              <legend>{words}</legend>
              <div className="beside-list">
                {some.map((b) => (
                  <label key={b.id} className="beside-one">
                    <input
                      type="checkbox"
                      checked={shown.has(b.id)}
                      onChange={(event) => show(b.id, event.currentTarget.checked)}
                    />
                    <span>
                      <strong>{b.name}</strong> <span className="quiet">{b.note}</span>
                    </span>
                  </label>
                ))}
              </div>
            </fieldset>
          );
        })}
        {searching ? (
          <p className="quiet" role="status">
            Searching the shelf…
          </p>
        ) : null}
        {all.length === 0 && !searching ? (
          <p>
            Nothing can stand beside it yet. <Link to="../drive">Search the shelf</Link> for proposals, keep this choice
            and try another, or bring in another build.
          </p>
        ) : null}
        <div className="beside-does">
          {decided ? (
            <Button size="compact-sm" variant="default" disabled={isKept >= 200} onClick={keep}>
              Keep this choice beside the next
            </Button>
          ) : null}
          {decided && all.every((b) => b.of !== 'pick') ? <Link to="../drive">Search the shelf for more</Link> : null}
        </div>
      </section>
    </>
  );
}

/** What can be done with a choice that is kept: a note on it, in its place, away with it. */
function KeptDoes({
  side,
  note,
  onTake,
  onNote,
  onDrop,
}: {
  side: Beside;
  /** As it is typed: what stands in the column waits for its plan. */
  note: string;
  onTake: () => void;
  onNote: (id: string, note: string) => void;
  onDrop: (id: string) => void;
}) {
  const id = side.id.slice('kept-'.length);
  return (
    <>
      <TextInput
        size="xs"
        aria-label={`Kept for: ${side.name}`}
        placeholder="Kept for"
        maxLength={120}
        value={note}
        onChange={(event) => onNote(id, event.currentTarget.value)}
      />
      <span className="side-buttons">
        <Button size="compact-sm" variant="default" aria-label={`Take it: ${side.name}`} onClick={onTake}>
          Take it
        </Button>
        <Button size="compact-sm" variant="subtle" aria-label={`Drop: ${side.name}`} onClick={() => onDrop(id)}>
          Drop
        </Button>
      </span>
    </>
  );
}
