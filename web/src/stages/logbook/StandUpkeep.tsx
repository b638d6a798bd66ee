import { nearnessWords, type Upkeep } from '@sprocket/core';
import { useState } from 'react';
import { StandFrame } from '../../sheet/StandFrame.tsx';
import { useStopwatch } from '../../sheet/useStopwatch.ts';
import { Say } from '../../ui/Show.tsx';

/** The due list at arm’s length: one task at a time, done with a knuckle. */
export function StandUpkeep({
  upkeep,
  onDone,
  onLeave,
}: {
  upkeep: readonly Upkeep[];
  onDone: (task: string) => void;
  onLeave: () => void;
}) {
  // As it was when the stand was stepped up to: what is done does not shuffle the rest.
  const [list] = useState(() => {
    const open = upkeep.filter((u) => u.nearness !== 'later');
    return open.length > 0 ? open : [...upkeep].slice(0, 5);
  });
  const [at, setAt] = useState(0);
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const watch = useStopwatch(`upkeep ${list[at]?.task.id ?? ''}`);
  const u = list[at];
  if (!u) return null;
  const next = at < list.length - 1 ? (): void => setAt(at + 1) : null;
  return (
    <StandFrame
      label={`Upkeep: ${u.task.words}`}
      of="The task and how it is done"
      head={
        <>
          {at + 1} of {list.length} <strong>{done.has(u.task.id) ? 'Done' : nearnessWords[u.nearness]}</strong>
        </>
      }
      watch={watch}
      plain
      at={u.task.id}
      done={{
        words: done.has(u.task.id) ? 'Done' : 'Done now',
        act: () => {
          if (!done.has(u.task.id)) {
            onDone(u.task.id);
            setDone(new Set([...done, u.task.id]));
          }
          next?.();
        },
      }}
      back={at > 0 ? () => setAt(at - 1) : null}
      next={next}
      onLeave={onLeave}
    >
      <div className="stand-upkeep">
        <h2>{u.task.words}</h2>
        <p>{u.task.how}</p>
        <p className="stand-why">{u.task.why}</p>
        <p className="stand-why">
          <Say words={u.by} />. {u.task.minutes} minutes or so.
        </p>
      </div>
    </StandFrame>
  );
}
