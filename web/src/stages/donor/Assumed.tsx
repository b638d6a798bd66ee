import { Button } from '@mantine/core';
import { assumedItems, type Donor, type SurveyItemId } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend } from '../../store/store.ts';
import { Show } from '../../ui/Show.tsx';

/** What was assumed and not measured: each with its value, a way to its field, and a way back for all of it. */
export function Assumed({ donor, onItem }: { donor: Donor; onItem: (id: SurveyItemId) => void }) {
  const send = useSend();
  const items = assumedItems(donor);
  if (items.length === 0) return null;
  return (
    <details className="assumed" open={items.length <= 12}>
      <summary>
        <strong className="num">{items.length}</strong> {items.length === 1 ? 'value is' : 'values are'} assumed, not
        measured. Figures use them; nothing fits by them, and no order rests on them.
      </summary>
      <ul>
        {items.map(({ id, label, value }) => (
          <li key={id}>
            <button type="button" className="link-button" onClick={() => onItem(id)}>
              {label}
            </button>
            <span className="num">
              <Show value={value} />
            </span>
          </li>
        ))}
      </ul>
      <Button
        size="compact-sm"
        variant="subtle"
        onClick={() => send(buildActions.assumptionsDropped({ field: 'survey.assume', value: undefined }))}
      >
        Take back all that is assumed
      </Button>
    </details>
  );
}
