import { NativeSelect } from '@mantine/core';
import type { usualLine } from '@sprocket/core';
import { type DonorThing, type LineState } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { NumberField } from '../../ui/NumberField.tsx';

const fateWords: Record<DonorThing['fate'], string> = {
  stays: 'stays',
  goesOver: 'goes over',
  comesOff: 'comes off',
  look: 'look at it',
};

/** What of the donor is kept and why, and what becomes of what is left over. */
export function LeftOver() {
  const {
    parts: { donorThings },
  } = usePlan();
  if (donorThings.length === 0) return null;
  return (
    <section className="card" aria-labelledby="left-over">
      <h3 id="left-over">Of the donor: kept, and left over</h3>
      <ul className="plain-list now-list">
        {donorThings.map((thing) => (
          <Thing key={thing.id} thing={thing} />
        ))}
      </ul>
    </section>
  );
}

function Thing({ thing }: { thing: DonorThing }) {
  const { bill } = useBuild();
  const send = useSend();
  const choice = bill.lines[thing.key];
  const put = (change: Partial<typeof usualLine>): void => {
    send(
      buildActions.lineEdited({
        field: `bill.${thing.key}.${Object.keys(change).join()}`,
        value: { key: thing.key, change: { from: 'donor', name: thing.name, price: 0, ...change } },
      }),
    );
  };
  return (
    <li>
      <span>
        <strong>{thing.name}</strong> {fateWords[thing.fate]}
        <span className="bill-why">{thing.why}</span>
      </span>
      {thing.fate === 'comesOff' || choice ? (
        <span className="left-choice">
          <NativeSelect
            size="xs"
            aria-label={`What becomes of ${thing.name}`}
            value={choice?.state ?? ''}
            data={[
              { value: '', label: 'not decided' },
              { value: 'spare', label: 'kept as a spare' },
              { value: 'forSale', label: 'for sale' },
              { value: 'sold', label: 'sold' },
              { value: 'returned', label: 'back to its owner' },
            ]}
            onChange={(event) => {
              const { value } = event.currentTarget;
              if (value === '') send(buildActions.lineCleared({ field: `bill.${thing.key}`, value: thing.key }));
              else put({ state: value as LineState });
            }}
          />
          {choice?.state === 'sold' ? (
            <NumberField
              label={`For, ${bill.currency}`}
              value={choice.soldFor}
              most={1_000_000}
              onValue={(soldFor) => put({ soldFor })}
            />
          ) : null}
        </span>
      ) : null}
    </li>
  );
}
