import { Button } from '@mantine/core';
import { headOf } from '@sprocket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { binned, bringBack } from '../../storage/builds.ts';
import { attempt } from '../../ui/attempt.ts';
import { downloadText } from '../../ui/download.ts';
import { dayText } from '../../ui/manner.ts';

/** What was deleted in the last month, to be brought back; nothing is shown where nothing was. */
export function Bin() {
  const list = useLiveQuery(binned, []);
  if (!list || list.length === 0) return null;
  return (
    <details className="bin">
      <summary>
        In the bin: {list.length} {list.length === 1 ? 'build' : 'builds'}, kept for a month
      </summary>
      <ul>
        {list.map(({ id, deletedAt, raw }) => {
          const { name } = headOf(raw);
          const mended = !isOf(raw, id);
          return (
            <li key={id}>
              <span>
                <strong>{name}</strong>{' '}
                <span className="quiet">
                  {mended ? 'as it was before it was mended' : 'deleted'} {dayText(deletedAt)}
                </span>
              </span>
              {mended ? null : (
                <Button
                  size="compact-sm"
                  variant="default"
                  aria-label={`Bring it back: ${name}`}
                  onClick={() => void attempt(`“${name}”`, bringBack(id))}
                >
                  Bring it back
                </Button>
              )}
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={`Save the file of ${name}`}
                onClick={() =>
                  downloadText('as-it-was-kept.json', JSON.stringify(raw, null, 2) + '\n', 'application/json')
                }
              >
                Save the file
              </Button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

const isOf = (raw: unknown, id: string): boolean =>
  typeof raw === 'object' && raw !== null && (raw as { id?: unknown }).id === id;
