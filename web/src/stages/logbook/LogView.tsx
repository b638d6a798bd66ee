import { Button, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import {
  amount,
  entryKinds,
  entryKindWords,
  MOST_ENTRIES,
  type EntryKind,
  type LogEntry,
  type RideSeen,
} from '@sprocket/core';
import { memo, useCallback, useMemo, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { undo, useBuild, useSend } from '../../store/store.ts';
import { useShelf } from '../../sheet/PlanProvider.tsx';
import { Say, Show } from '../../ui/Show.tsx';
import { DoorLine } from './DoorLine.tsx';
import { EntryForm } from './EntryForm.tsx';
import { ImportCard } from './ImportCard.tsx';
import { entryWords, perWay } from './words.ts';
import { dayText } from '../../ui/manner.ts';

/** So many lines are shown at once. */
const AT_ONCE = 40;

/** The log: a line at the door, and what was written before, newest first. */
export function LogView({ seen }: { seen: ReadonlyMap<string, RideSeen> }) {
  const build = useBuild();
  const shelf = useShelf();
  const send = useSend();
  const [kind, setKind] = useState<EntryKind | null>(null);
  const [words, setWords] = useState('');
  const [shown, setShown] = useState(AT_ONCE);
  const [form, setForm] = useState<{ entry: LogEntry | null; begins: LogEntry | null; kind: EntryKind } | null>(null);
  // What was typed at the door stays while the fields are open.
  const [door, setDoor] = useState('');
  const { entries } = build.log;
  const keep = (list: readonly LogEntry[]): boolean => {
    const here = new Set(entries.map((e) => e.id));
    if (entries.length + list.filter((e) => !here.has(e.id)).length > MOST_ENTRIES) {
      notifications.show({
        color: 'red',
        autoClose: false,
        message: `A log holds ${MOST_ENTRIES} lines: nothing was added. Take old ones out, or begin a copy of the build.`,
      });
      return false;
    }
    send(buildActions.entriesKept({ field: `log.entries.${list[0]?.id ?? ''}`, value: list }));
    return true;
  };
  const open = useCallback((entry: LogEntry): void => {
    setForm({ entry, begins: null, kind: entry.kind });
    document.querySelector('.log-view')?.scrollIntoView();
  }, []);
  const forget = useCallback(
    (entry: LogEntry): void => {
      send(buildActions.entryForgotten({ field: `log.forgotten.${entry.id}`, value: entry.id }));
      notifications.show({
        message: (
          <span className="row">
            {entryKindWords[entry.kind]} taken out.
            <Button size="compact-sm" variant="default" onClick={() => send(undo())}>
              Undo
            </Button>
          </span>
        ),
      });
    },
    [send],
  );
  const found = useMemo(() => {
    const wanted = words.trim().toLowerCase();
    // Of the same minute the one written last stands first.
    return [...entries]
      .reverse()
      .filter((e) => kind === null || e.kind === kind)
      .filter((e) => wanted === '' || JSON.stringify(e).toLowerCase().includes(wanted))
      .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
  }, [entries, kind, words]);
  const counts = useMemo(() => {
    const by = new Map<EntryKind, number>();
    for (const e of entries) by.set(e.kind, (by.get(e.kind) ?? 0) + 1);
    return by;
  }, [entries]);
  return (
    <div className="log-view">
      {form ? (
        <EntryForm
          key={form.entry?.id ?? form.kind}
          entry={form.entry}
          begins={form.begins}
          kind={form.kind}
          build={build}
          shelf={shelf}
          onKeep={(entry) => {
            if (!keep([entry])) return;
            if (form.begins) setDoor('');
            setForm(null);
          }}
          onLeave={() => setForm(null)}
        />
      ) : (
        <DoorLine
          onKeep={(entry) => keep([entry])}
          text={door}
          onText={setDoor}
          onForm={(begins) => setForm({ entry: null, begins, kind: begins?.kind ?? 'ride' })}
          ownRoad={build.brief.route?.name ?? null}
        />
      )}
      <section className="card" aria-labelledby="log-lines">
        <div className="card-head">
          <h2 id="log-lines">Written so far</h2>
          <TextInput
            aria-label="Find in the log"
            placeholder="find in the log"
            value={words}
            onChange={(event) => setWords(event.currentTarget.value)}
          />
        </div>
        <div className="pills" role="group" aria-label="Show">
          <button type="button" className="pill" aria-pressed={kind === null} onClick={() => setKind(null)}>
            all {entries.length}
          </button>
          {entryKinds
            .filter((k) => counts.has(k))
            .map((k) => (
              <button key={k} type="button" className="pill" aria-pressed={kind === k} onClick={() => setKind(k)}>
                {entryKindWords[k].toLowerCase()} {counts.get(k)}
              </button>
            ))}
        </div>
        {found.length === 0 ? (
          <p className="quiet">
            {entries.length === 0
              ? 'Nothing yet. Type the next ride at the door when you come home: way and energy are enough.'
              : 'Nothing like that.'}
          </p>
        ) : (
          <ol className="log-lines">
            {found.slice(0, shown).map((entry) => (
              <Line key={entry.id} entry={entry} seen={seen.get(entry.id)} onOpen={open} onForget={forget} />
            ))}
          </ol>
        )}
        {found.length > shown ? (
          <Button variant="default" onClick={() => setShown((n) => n + 2 * AT_ONCE)}>
            Older lines: {found.length - shown} more
          </Button>
        ) : null}
      </section>
      <ImportCard
        build={build}
        onKeep={(list, mapping) => {
          if (list.length > 0 && !keep(list)) return false;
          if (mapping) send(buildActions.mappingKept({ field: 'log.mappings', value: mapping }));
          return true;
        }}
      />
    </div>
  );
}

/** One line: when, what, and for a ride how it stood to its forecast. */
const Line = memo(function Line({
  entry,
  seen,
  onOpen,
  onForget,
}: {
  entry: LogEntry;
  seen: RideSeen | undefined;
  onOpen: (entry: LogEntry) => void;
  onForget: (entry: LogEntry) => void;
}) {
  const use = entry.kind === 'ride' ? perWay(seen?.wh ?? null, entry.distanceM) : null;
  return (
    <li className={`log-line log-${entry.kind}`} id={`line-${entry.id}`}>
      <button type="button" className="log-open" onClick={() => onOpen(entry)}>
        <span className="log-when num">{dayText(entry.at)}</span>
        <span className="log-kind">{entryKindWords[entry.kind]}</span>
        <span className="log-words">
          <Say words={entryWords(entry)} />
          {entry.note !== '' && entry.kind !== 'note' ? <span className="quiet"> {entry.note}</span> : null}
          {seen?.told?.odd ? <span className="log-odd"> odd</span> : null}
        </span>
        <span className="log-use num">{use === null ? '' : <Show value={amount(use, 'energyPerWay', 1)} />}</span>
      </button>
      <button
        type="button"
        className="log-forget"
        aria-label={`Take out ${entryKindWords[entry.kind].toLowerCase()} of ${dayText(entry.at)}`}
        onClick={() => onForget(entry)}
      >
        ✕
      </button>
    </li>
  );
});
