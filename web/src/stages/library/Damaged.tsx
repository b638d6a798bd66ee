import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { db } from '../../storage/db.ts';
import type { BenchLine } from '../../storage/bench.ts';
import { mendKept } from '../../storage/builds.ts';
import { attempt } from '../../ui/attempt.ts';
import { downloadText } from '../../ui/download.ts';

/** How many places given up are told one by one. */
const TOLD = 4;

/** A build that is kept but cannot be read or planned: why, and what can still be done with it. */
export function Damaged({ line, fault, onDelete }: { line: BenchLine; fault: string; onDelete: () => void }) {
  const { id, name } = line;
  const save = async (): Promise<void> => {
    const raw: unknown = await db.builds.get(id);
    downloadText('as-it-was-kept.json', JSON.stringify(raw, null, 2) + '\n', 'application/json');
  };
  const mend = async (): Promise<void> => {
    const lost = await attempt(`“${name}”, mended,`, mendKept(id));
    if (!lost) return;
    const places = lost.slice(0, TOLD).map((p) => p.path);
    notifications.show({
      color: lost.length > 0 ? 'marmalade' : 'teal',
      autoClose: false,
      message: `“${name}” can be opened again. ${
        lost.length === 0
          ? 'Nothing had to be given up.'
          : `Given up, and to be looked at: ${places.join(', ')}${lost.length > TOLD ? ` and ${lost.length - TOLD} more` : ''}.`
      } What was there before is in the bin.`,
    });
  };
  return (
    <div className="build-damaged">
      <strong className="build-title">{name}</strong>
      <p>{fault} Nothing of it is lost: it is kept as it is.</p>
      <div className="build-rescue">
        <Button size="compact-sm" aria-label={`Try to mend ${name}`} onClick={() => void mend()}>
          Try to mend
        </Button>
        <Button size="compact-sm" variant="default" aria-label={`Save the file of ${name}`} onClick={() => void save()}>
          Save the file
        </Button>
        <Button size="compact-sm" variant="subtle" aria-label={`Delete ${name}`} onClick={onDelete}>
          Delete
        </Button>
      </div>
    </div>
  );
}
