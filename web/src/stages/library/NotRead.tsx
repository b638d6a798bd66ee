import { Button } from '@mantine/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { db } from '../../storage/db.ts';
import { unsound } from '../../storage/sound.ts';
import { attempt } from '../../ui/attempt.ts';
import { downloadText } from '../../ui/download.ts';

const kindWords = { parts: 'an own part', routes: 'a road' } as const;

/** Own parts and roads that are kept but cannot be read: why, and what can still be done with them. */
export function NotRead() {
  const list = useLiveQuery(unsound, []);
  if (!list || list.length === 0) return null;
  return (
    <section className="bin" aria-label="Kept, and not to be read">
      <h2>Kept here, and not to be read</h2>
      <ul>
        {list.map(({ table, id, name, why, raw }) => (
          <li key={`${table} ${id}`}>
            <span>
              <strong>{name}</strong>{' '}
              <span className="quiet">
                · {kindWords[table]} · {why}. It stays as it is, and nothing else is touched by it.
              </span>
            </span>
            <span className="build-rescue">
              <Button
                size="compact-sm"
                variant="default"
                aria-label={`Save the file of ${name}`}
                onClick={() =>
                  downloadText('as-it-was-kept.json', JSON.stringify(raw, null, 2) + '\n', 'application/json')
                }
              >
                Save the file
              </Button>
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={`Delete ${name}`}
                onClick={() =>
                  void attempt(
                    `“${name}”`,
                    db
                      .table(table)
                      .delete(id)
                      .then(() => true),
                  )
                }
              >
                Delete
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
