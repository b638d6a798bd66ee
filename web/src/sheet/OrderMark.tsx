import { Button, TextInput } from '@mantine/core';
import { lineStateWords, type Finding } from '@sprocket/core';
import { useId, useState } from 'react';
import { buildActions } from '../store/buildSlice.ts';
import { useBuild, useSend } from '../store/store.ts';
import { uiActions } from '../store/uiSlice.ts';
import { today } from '../ui/today.ts';

const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

interface OrderMarkProps {
  part: string;
  name: string;
  /** Findings that say "measure" on what must fit. */
  holding: readonly Finding[];
}

/** Marks a part as ordered; held back while something fit-critical is unmeasured, unless a reason is written. */
export function OrderMark({ part, name, holding }: OrderMarkProps) {
  const line = useBuild().bill.lines[part];
  const order = line && line.state !== 'wanted' ? line : null;
  const send = useSend();
  const [reason, setReason] = useState('');
  const why = useId();
  const place = (note: string | null): void => {
    send(
      buildActions.lineEdited({
        field: `bill.${part}`,
        value: {
          key: part,
          change: { state: 'ordered', name, orderedOn: today(), reason: note },
        },
      }),
    );
    setReason('');
  };
  if (order)
    return (
      <div className="order">
        <span>
          <strong>{sentence(lineStateWords[order.state])}</strong> <span className="num">{order.orderedOn}</span>
          {order.reason ? <span className="quiet"> against what was unmeasured: {order.reason}</span> : null}
        </span>
        <Button
          size="compact-sm"
          variant="subtle"
          onClick={() => send(buildActions.lineCleared({ field: `bill.${part}`, value: part }))}
        >
          Not ordered after all
        </Button>
      </div>
    );
  if (holding.length === 0)
    return (
      <div className="order">
        <Button size="compact-sm" variant="default" onClick={() => place(null)}>
          Mark {name} as ordered
        </Button>
      </div>
    );
  return (
    <div className="order order-held">
      <p id={why}>
        <strong>Hold the order:</strong> {holding.length} thing{holding.length === 1 ? '' : 's'} that must fit{' '}
        {holding.length === 1 ? 'is' : 'are'} not measured:{' '}
        {holding.map((f, i) => (
          <span key={f.rule}>
            {i > 0 ? ', ' : ''}
            <button
              type="button"
              className="link-button"
              onClick={() => send(uiActions.explained({ kind: 'finding', finding: f }))}
            >
              {f.title.charAt(0).toLowerCase() + f.title.slice(1)}
            </button>
          </span>
        ))}
      </p>
      <div className="order-row">
        <TextInput
          size="xs"
          aria-label={`Reason for ordering ${name} all the same`}
          aria-describedby={why}
          placeholder="Ordered all the same, because…"
          value={reason}
          maxLength={1000}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
        <Button
          size="compact-sm"
          variant="default"
          disabled={reason.trim().length < 8}
          onClick={() => place(reason.trim())}
        >
          Order with this reason
        </Button>
      </div>
    </div>
  );
}
