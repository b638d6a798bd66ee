import { decimals } from '@sprocket/core';
import { Button, FileButton, Progress } from '@mantine/core';
import { useState } from 'react';
import { keeper } from '../../storage/autosave.ts';
import { writeBackup } from '../../storage/backup.ts';
import { readBackup, type Restored } from '../../storage/restore.ts';
import { DAYS_TO_REMIND, EDIT_DAYS, writeSetting } from '../../storage/db.ts';
import { refusalWords } from '../../ui/attempt.ts';
import { useEditDays } from '../../sheet/useEditDays.ts';
import './settings.css';
import { downloadBlob } from '../../ui/download.ts';
import { today } from '../../ui/today.ts';

const sizeWords = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.ceil(bytes / 1000)} kB` : `${decimals(bytes / 1_000_000, 1)} MB`;

/** Faults told one by one. */
const TOLD = 6;

/** The whole bench to one file, and back. */
export function Backup() {
  const days = useEditDays();
  const [share, setShare] = useState<number | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [faults, setFaults] = useState<Restored['faults']>([]);

  const run = async (work: () => Promise<string>): Promise<void> => {
    setSaid(null);
    setFaults([]);
    setShare(0);
    try {
      setSaid(await work());
    } catch (error) {
      setSaid(`It did not come to an end: ${refusalWords(error)}`);
    }
    setShare(null);
  };
  const save = (): Promise<void> =>
    run(async () => {
      await keeper.flush();
      const zip = await writeBackup(setShare);
      const day = today();
      downloadBlob(`bench-${day}.zip`, zip);
      await writeSetting(EDIT_DAYS, '');
      return `The bench is in bench-${day}.zip, ${sizeWords(zip.size)}. Keep it somewhere else than on this machine.`;
    });
  const bring = (file: File | null): Promise<void> =>
    file === null
      ? Promise.resolve()
      : run(async () => {
          await keeper.flush();
          const back = await readBackup(file, setShare);
          setFaults(back.faults);
          return restoredWords(back);
        });
  return (
    <section className="card" aria-labelledby="set-backup">
      <h2 id="set-backup">Backup</h2>
      <p>
        Everything on this bench in one file: builds, photos, your own parts, roads and settings, in open formats.
        Brought back, it is merged with what is here: nothing here is lost, the later version of a build stays.
        {days >= DAYS_TO_REMIND ? ` ${days} days were worked on since the last one.` : ''}
      </p>
      <div className="backup-actions">
        <Button disabled={share !== null} onClick={() => void save()}>
          Save a backup
        </Button>
        <FileButton accept="application/zip,.zip" disabled={share !== null} onChange={(file) => void bring(file)}>
          {(props) => (
            <Button variant="default" disabled={share !== null} {...props}>
              Bring a backup back
            </Button>
          )}
        </FileButton>
      </div>
      {share === null ? null : <Progress value={share * 100} aria-label="How far it is" />}
      <div aria-live="polite">
        {said === null ? null : <p>{said}</p>}
        {faults.length > 0 ? (
          <ul className="backup-faults">
            {faults.slice(0, TOLD).map((fault) => (
              <li key={fault.path + fault.message}>
                <code>{fault.path}</code> {fault.message}
              </li>
            ))}
            {faults.length > TOLD ? <li>and {faults.length - TOLD} more</li> : null}
          </ul>
        ) : null}
      </div>
    </section>
  );
}

function restoredWords({ builds, kept, photos, parts, roads, faults }: Restored): string {
  const came = [
    [builds, 'build'],
    [photos, 'photo'],
    [parts, 'own part'],
    [roads, 'road'],
  ] as const;
  const words = came.filter(([n]) => n > 0).map(([n, what]) => `${n} ${what}${n === 1 ? '' : 's'}`);
  const first = words.length === 0 ? 'Nothing new came back' : `Back on the bench: ${words.join(', ')}`;
  return `${first}${kept > 0 ? `; ${kept} ${kept === 1 ? 'was' : 'were'} here already` : ''}.${faults.length > 0 ? ' What could not be read:' : ''}`;
}
