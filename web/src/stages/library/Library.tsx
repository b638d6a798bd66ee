import { Button, FileButton } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { newBuild, type ReadProblem } from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { buildActions } from '../../store/buildSlice.ts';
import { useApp, useSend } from '../../store/store.ts';
import { keeper } from '../../storage/autosave.ts';
import { benchLines, madeOf, refreshLines, type BenchLine } from '../../storage/bench.ts';
import { beginHere, binBuild, bringBack, putBuild } from '../../storage/builds.ts';
import { DAYS_TO_REMIND, db } from '../../storage/db.ts';
import { loadDemo } from '../../storage/demo.ts';
import { coreVersion, coreWorker, readFile } from '../../workers/core.ts';
import { putPhotos } from '../../storage/photos.ts';
import { attempt } from '../../ui/attempt.ts';
import { useEditDays } from '../../sheet/useEditDays.ts';
import { Mark } from '../../ui/Mark.tsx';
import { OfflineSign } from '../../ui/OfflineSign.tsx';
import { Problems } from '../../ui/Problems.tsx';
import { Bin } from './Bin.tsx';
import { BuildRow } from './BuildRow.tsx';
import { NotRead } from './NotRead.tsx';
import './library.css';

/** All builds on the bench: open, make, copy, rename, delete with undo, bring in and send out. */
export function Library() {
  const send = useSend();
  const navigate = useNavigate();
  const openBuild = useApp((state) => state.build.present.build);
  const lines = useLines();
  const kept = useApp((state) => state.ui.kept);
  const days = useEditDays();
  const [problems, setProblems] = useState<{ file: string; list: ReadProblem[] } | null>(null);
  const [dropping, setDropping] = useState(false);

  // The open build may hold edits younger than the store's.
  useEffect(() => {
    void keeper.flush();
  }, [openBuild]);

  const create = async (): Promise<void> => {
    const first = newBuild(crypto.randomUUID(), nextName(lines ?? []), new Date().toISOString());
    const build = await beginHere(first).catch(() => first);
    if ((await attempt('The new build', putBuild(build))) === undefined) return;
    await navigate(`/build/${build.id}/start`);
  };
  const bringZip = async (file: File): Promise<void> => {
    const { readBackup } = await import('../../storage/restore.ts');
    const back = await attempt(`“${file.name}”`, readBackup(file));
    if (!back) return;
    setProblems(back.faults.length > 0 ? { file: file.name, list: back.faults } : null);
    if (back.builds + back.photos > 0)
      notifications.show({ message: `Brought in: ${back.builds} builds, ${back.photos} photos.`, color: 'teal' });
  };
  const bringIn = async (file: File | null): Promise<void> => {
    if (!file) return;
    if (/\.zip$/i.test(file.name)) {
      await bringZip(file);
      return;
    }
    const text = await file.text();
    const read = await readFile((reader) => reader.readBuildFileWithPhotos(text));
    if (!read.ok) {
      setProblems({ file: file.name, list: read.problems });
      return;
    }
    setProblems(null);
    const { build: brought, photos } = read.value;
    const taken = await db.builds.get(brought.id);
    const build = taken
      ? { ...brought, id: crypto.randomUUID(), name: `${brought.name.slice(0, 106)} (brought in)` }
      : brought;
    const kept = db.transaction('rw', db.builds, db.photos, async () => {
      await putBuild(build);
      await putPhotos(build.id, photos);
      return true;
    });
    if ((await attempt(`“${build.name}”`, kept)) === undefined) return;
    notifications.show({ message: `“${build.name}” is on the bench.`, color: 'teal' });
  };

  const remove = async ({ id, name }: BenchLine): Promise<void> => {
    await keeper.flush();
    if (openBuild?.id === id) send(buildActions.opened(null));
    if (
      (await attempt(
        'The deletion',
        binBuild(id).then(() => true),
      )) === undefined
    )
      return;
    keeper.forget(id);
    notifications.show({
      id: `deleted-${id}`,
      color: 'marmalade',
      message: (
        <span className="notice">
          “{name}” was deleted.
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              void attempt(`“${name}”`, bringBack(id));
              notifications.hide(`deleted-${id}`);
            }}
          >
            Bring it back
          </Button>
        </span>
      ),
    });
  };

  return (
    <main
      className={`library${dropping ? ' dropping' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setDropping(true);
      }}
      onDragLeave={() => setDropping(false)}
      onDrop={(event) => {
        event.preventDefault();
        setDropping(false);
        void bringIn(event.dataTransfer.files[0] ?? null);
      }}
    >
      <header className="library-head">
        <Mark done={0} of={10} size={52} />
        <div>
          <h1>Jolly Sprocket</h1>
          <p>
            Measure a bike or trike, and see whether a kit goes on it, how far it carries you, how fast and how steep.
          </p>
        </div>
        <Link to="/kinds" className="library-settings">
          Kinds of vehicle
        </Link>
        <Link to="/settings" className="library-settings">
          Settings
        </Link>
      </header>
      <div className="library-actions">
        <Button onClick={() => void create()} disabled={kept === 'refused' || kept === 'silent'}>
          New build
        </Button>
        <FileButton accept="application/json,.json,application/zip,.zip" onChange={(file) => void bringIn(file)}>
          {(props) => (
            <Button variant="default" {...props}>
              Bring in a build file
            </Button>
          )}
        </FileButton>
        <Button
          variant="default"
          onClick={() =>
            void loadDemo()
              .then((ids) =>
                notifications.show({ message: `${ids.length} builds of the demo are on the bench.`, color: 'teal' }),
              )
              .catch((error: unknown) =>
                notifications.show({ message: error instanceof Error ? error.message : String(error), color: 'red' }),
              )
          }
        >
          Lay out the demo’s builds
        </Button>
      </div>
      <OfflineSign />
      <StoreNotice />
      {days >= DAYS_TO_REMIND ? (
        <p className="remind">
          {days} days were worked on since the bench was last saved to a file. <Link to="/settings">Save a backup</Link>
        </p>
      ) : null}
      {problems ? <Problems file={problems.file} problems={problems.list} onClose={() => setProblems(null)} /> : null}
      {lines === undefined ? (
        kept === 'refused' || kept === 'silent' ? null : (
          <p className="wait">Reading the bench…</p>
        )
      ) : lines.length === 0 ? (
        <section className="teach">
          <h2>Nothing on the bench yet</h2>
          <ol>
            <li>
              Start a new build and say in a line what it is, who rides, where, and how far: what we would fit stands
              beside it.
            </li>
            <li>Walk to the bike with a tape; a quarter of an hour decides which kinds of kit remain.</li>
            <li>Choose a kit and a battery; the drawing and the figures follow as you type.</li>
          </ol>
          <p>Or lay out the demo’s builds to see five finished judgements, good and bad.</p>
        </section>
      ) : (
        <BuildList lines={lines} onDelete={(line) => void remove(line)} />
      )}
      <NotRead />
      <Bin />
    </main>
  );
}

/** What keeps the bench from being read or written: said before anybody types. */
function StoreNotice() {
  const kept = useApp((state) => state.ui.kept);
  if (kept !== 'silent' && kept !== 'refused') return null;
  return (
    <section className="problems" role="alert">
      {kept === 'refused' ? (
        <>
          <p>
            <strong>This browser will not keep anything.</strong> It does not let this page store data, so no build can
            be started or opened here.
          </p>
          <p>
            Leave the private window, or allow this page to store data in the browser’s settings, and load it again.
          </p>
        </>
      ) : (
        <>
          <p>
            <strong>The browser’s store does not answer.</strong> Your builds cannot be read yet.
          </p>
          <p>
            Close the other windows of this app: one of them may hold the store. If that does not help, restart the
            browser.
          </p>
        </>
      )}
      <Button size="compact-sm" variant="default" onClick={() => location.reload()}>
        Try again
      </Button>
    </section>
  );
}

/** Rows drawn at once: more than any window shows. */
const AT_FIRST = 60;

/** The builds, those in sight first: of a bench of hundreds the others follow without holding anything up. */
function BuildList({ lines, onDelete }: { lines: readonly BenchLine[]; onDelete: (line: BenchLine) => void }) {
  const drawn = useDeferredValue(lines, lines.slice(0, AT_FIRST));
  return (
    <ul className="build-list" aria-busy={drawn.length < lines.length}>
      {drawn.map((line) => (
        <BuildRow key={line.id} line={line} onDelete={() => onDelete(line)} />
      ))}
    </ul>
  );
}

function nextName(lines: readonly BenchLine[]): string {
  const names = new Set(lines.map((line) => line.name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? 'New build' : `New build ${n}`;
    if (!names.has(name)) return name;
  }
}

/** The bench's lines; those that are stale are worked out anew in the worker, one round at a time. */
function useLines(): readonly BenchLine[] | undefined {
  const own = useApp((state) => state.shelf.own);
  const lines = useLiveQuery(() => benchLines(own, coreVersion), [own]);
  const [rounds, setRounds] = useState(0);
  const going = useRef(false);
  /** What was tried already, once each, so that a line the store will not keep does not go round for ever. */
  const tried = useRef(new Map<string, string>());
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  useEffect(() => {
    const todo = (lines ?? []).filter(
      (l) => l.stale && tried.current.get(l.id) !== madeOf(l.updatedAt, own, coreVersion),
    );
    if (going.current || todo.length === 0) return;
    for (const l of todo) tried.current.set(l.id, madeOf(l.updatedAt, own, coreVersion));
    going.current = true;
    void refreshLines(
      todo,
      own,
      coreVersion,
      (kept, parts) => coreWorker().benchLine(kept, parts),
      () => here.current,
    )
      .catch(() => undefined)
      .then(() => {
        going.current = false;
        setRounds((n) => n + 1);
      });
  }, [lines, own, rounds]);
  return lines;
}
