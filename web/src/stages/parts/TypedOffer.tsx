import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import type { BillSheet, Offer, Supplier } from '@sprocket/core';
import { useState } from 'react';
import { useBuild } from '../../store/store.ts';
import { NumberField } from '../../ui/NumberField.tsx';

/** A supplier's name as its id: the same for the same name, however it is spaced. */
const idOf = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .slice(0, 60);

/** A price somebody was told: by whom, for what, how much, in how many days. */
export function TypedOffer({
  bill,
  bring,
}: {
  bill: BillSheet;
  bring: (found: { suppliers: Supplier[]; offers: Offer[] }) => boolean;
}) {
  const { suppliers, currency } = useBuild().bill;
  const parts = [...new Map(bill.lines.map((l) => [l.part, l.name]))];
  const [name, setName] = useState('');
  const [part, setPart] = useState('');
  const [price, setPrice] = useState<number | null>(null);
  const [days, setDays] = useState({ low: 2, likely: 4, high: 10 });
  const [carriage, setCarriage] = useState(6);
  const [lithium, setLithium] = useState(false);
  const [fault, setFault] = useState('');
  const known = suppliers.find((s) => s.id === idOf(name));
  const add = (): void => {
    const chosen = part === '' ? parts[0]?.[0] : part;
    const missing =
      idOf(name) === '' ? 'Who asks it?' : chosen === undefined ? 'For what?' : price === null ? 'How much?' : '';
    setFault(missing);
    if (missing !== '' || chosen === undefined || price === null) return;
    const supplier: Supplier = known ?? {
      id: idOf(name),
      name: name.trim(),
      shipping: carriage,
      freeFrom: null,
      lithium,
      islands: null,
    };
    const [low, likely, high] = [days.low, days.likely, days.high].sort((a, b) => a - b) as [number, number, number];
    const taken = bring({
      suppliers: [supplier],
      offers: [
        {
          supplier: supplier.id,
          part: chosen,
          price,
          stock: null,
          leadDays: { low, likely, high },
          // Nobody was asked until when it may go back: none is counted.
          returnDays: 0,
        },
      ],
    });
    if (taken) setPrice(null);
  };
  if (parts.length === 0) return null;
  return (
    <div className="card told no-print">
      <h3>A price you were told</h3>
      <div className="fields fields-three">
        <TextInput
          label="Who asks it"
          value={name}
          maxLength={80}
          error={fault || undefined}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        <NativeSelect
          label="For what"
          value={part}
          data={parts.map(([value, label]) => ({ value, label }))}
          onChange={(e) => setPart(e.currentTarget.value)}
        />
        <NumberField label={`Each, ${currency}`} value={price} most={1_000_000} onValue={setPrice} />
        <NumberField label="Days at least" value={days.low} most={365} onValue={(low) => setDays({ ...days, low })} />
        <NumberField
          label="Days it takes, likeliest"
          value={days.likely}
          most={365}
          onValue={(likely) => setDays({ ...days, likely })}
        />
        <NumberField label="Days at most" value={days.high} most={365} onValue={(high) => setDays({ ...days, high })} />
        {known ? null : (
          <Checkbox
            className="bench-practised"
            label="Sends batteries"
            checked={lithium}
            onChange={(e) => setLithium(e.currentTarget.checked)}
          />
        )}
        {known ? null : (
          <NumberField label={`Carriage, ${currency}`} value={carriage} most={100_000} onValue={setCarriage} />
        )}
      </div>
      <Button size="compact-sm" variant="default" className="cost-drop" onClick={add}>
        Note this price
      </Button>
    </div>
  );
}
