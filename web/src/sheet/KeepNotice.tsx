import { Button } from '@mantine/core';
import { placeWords, refusedWords, valueWords, writeBuildFile, type Build, type Clash } from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { buildActions } from '../store/buildSlice.ts';
import { useApp, useBuild, useSend, useUnits } from '../store/store.ts';
import { keeper } from '../storage/autosave.ts';
import { db, type KeptAside, type KeptClash } from '../storage/db.ts';
import { attempt } from '../ui/attempt.ts';
import { downloadText } from '../ui/download.ts';
import { useShelf } from './PlanProvider.tsx';

/** What a person must know of how their work is kept: refused, deleted elsewhere, or changed in two windows. */
export function KeepNotice() {
  const build = useBuild();
  const saved = useApp((state) => state.ui.saved);
  const clashes = useLiveQuery(() => db.clashes.where({ buildId: build.id }).toArray(), [build.id]) ?? [];
  const aside = useLiveQuery(() => db.aside.where({ buildId: build.id }).toArray(), [build.id]) ?? [];
  const waiting = useApp((state) => state.aside.waiting);
  return (
    <div className="keep">
      {saved === 'failed' ? (
        <section role="alert" className="keep-notice keep-failed">
          <p>
            <strong>Not saved.</strong> The browser refuses to keep your last edits; its store may be full. They are
            still here, and are tried again by themselves. Leave this page open until it says “saved”.
          </p>
          <Button size="compact-sm" onClick={() => void keeper.flush()}>
            Try now
          </Button>
          <SaveAside open={build} />
        </section>
      ) : null}
      {saved === 'gone' ? (
        <section role="alert" className="keep-notice keep-failed">
          <p>
            <strong>Deleted in another window.</strong> What you see is still whole, and nothing more of it is saved.
          </p>
          <Button size="compact-sm" onClick={() => void attempt('The build', keeper.putBack())}>
            Put it back on the bench
          </Button>
          <SaveAside open={build} />
        </section>
      ) : null}
      {clashes.map((clash) => (
        <ClashNotice key={clash.id} clash={clash} />
      ))}
      {aside.map((kept) => (
        <AsideNotice key={kept.id} aside={kept} name={build.name} />
      ))}
      {waiting
        .filter(({ buildId }) => buildId === build.id)
        .map((kept, i) => (
          <AsideNotice key={i} aside={{ ...kept, id: '', at: '' }} name={build.name} />
        ))}
    </div>
  );
}

function ClashNotice({ clash }: { clash: KeptClash }) {
  const shelf = useShelf();
  const units = useUnits();
  const send = useSend();
  const say = (value: unknown): string => valueWords(clash.path, value, shelf, units);
  const settle = (): void => void attempt('The decision', db.clashes.delete(clash.id));
  const decide = (value: Clash['mine']): void => {
    send(buildActions.decided({ field: clash.id, value: { path: clash.path, value } }));
    settle();
  };
  // Where the kept value was taken away on one side, what was worked on at the other stands.
  const stands = clash.mine === undefined ? clash.theirs : clash.mine;
  const other = clash.mine === undefined ? clash.mine : clash.theirs;
  return (
    <section role="alert" className="keep-notice keep-clash">
      <p>
        <strong>Changed in two windows.</strong> {placeWords(clash.path)}: this build has <b>{say(stands)}</b>, the
        other window had <b>{say(other)}</b>.
      </p>
      <Button size="compact-sm" onClick={settle}>
        Keep {say(stands)}
      </Button>
      <Button size="compact-sm" variant="default" onClick={() => decide(other)}>
        Take {say(other)}
      </Button>
    </section>
  );
}

/** Parts named at once; of a table of hundreds the rest is counted. */
const NAMED = 3;

/** Something that could not be kept in the build: which, why, and a way to take it up again. */
function AsideNotice({ aside, name }: { aside: KeptAside; name: string }) {
  const shelf = useShelf();
  const units = useUnits();
  const { parts } = aside;
  const save = (): void =>
    downloadText(`${name.slice(0, 60)}, not kept.json`, `${JSON.stringify(parts, null, 2)}\n`, 'application/json');
  return (
    <section role="alert" className="keep-notice keep-aside">
      <div>
        <strong>Not saved in the build</strong>, and kept here until you decide. What was there before stays.
        <ul>
          {parts.slice(0, NAMED).map((part, i) => (
            <li key={i}>{refusedWords(part, shelf, units)}</li>
          ))}
          {parts.length > NAMED ? <li>and {parts.length - NAMED} more</li> : null}
        </ul>
      </div>
      <Button size="compact-sm" onClick={save}>
        Save to a file
      </Button>
      {aside.id === '' ? null : (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => void attempt('The decision', db.aside.delete(aside.id))}
        >
          Delete it
        </Button>
      )}
    </section>
  );
}

/** Every build with edits that the browser does not have, and the open one, a file each. */
function SaveAside({ open }: { open: Build }) {
  const save = (): void => {
    for (const build of [open, ...keeper.unsaved.filter((b) => b.id !== open.id)])
      downloadText(`${build.name.slice(0, 60)}.json`, writeBuildFile(build), 'application/json');
  };
  return (
    <Button size="compact-sm" variant="default" onClick={save}>
      Save to a file
    </Button>
  );
}
