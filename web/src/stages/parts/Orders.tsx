import { Button } from '@mantine/core';
import { dateAfter, purchaseOrders, putLine, standingsSchema, type BillSheet } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { csvOfRecords } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { PricedTable } from './PricedTable.tsx';
import { today } from '../../ui/today.ts';
import { dayText } from '../../ui/manner.ts';

/** A purchase order for each supplier with something ordered and not come: to print, or as CSV. */
export function Orders({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const orders = purchaseOrders(bill.lines, build.bill);
  if (orders.length === 0) return null;
  return (
    <section aria-labelledby="orders">
      <div className="section-head no-print">
        <h2 id="orders">Orders</h2>
        <span className="quiet">a page for each supplier</span>
        <Standing bill={bill} />
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {orders.map((order) => (
        <article key={order.supplier} className="quotation order-page card" aria-label={`Order to ${order.name}`}>
          <header>
            <div>
              <h3>{order.name}</h3>
              <p>
                For {build.bill.shop.name || build.name}, {dayText(today())}
              </p>
            </div>
            <Button
              className="no-print"
              size="compact-sm"
              variant="default"
              onClick={() =>
                downloadText(
                  `order-${order.supplier}.csv`,
                  csvOfRecords(
                    order.lines.map((l) => ({
                      part: l.part,
                      name: l.name,
                      count: l.count,
                      each: l.price ?? '',
                      sum: l.sum,
                      currency: build.bill.currency,
                    })),
                  ),
                  'text/csv',
                )
              }
            >
              Save as CSV<span className="sr">, {order.name}</span>
            </Button>
          </header>
          <PricedTable
            head="Part"
            lines={order.lines}
            foot={[
              { label: 'Carriage', sum: order.shipping },
              { label: 'In all', sum: order.total, total: true },
            ]}
          />
        </article>
      ))}
    </section>
  );
}

/** How the orders stand at the counter, as simulated days pass: it is a stand-in, and its days are not the calendar's. */
function Standing({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const send = useSend();
  const [day, setDay] = useState(today);
  const [said, setSaid] = useState('');
  const ask = async (on: string): Promise<void> => {
    const lines = bill.lines.filter((l) => l.state === 'ordered' || l.state === 'promised');
    const asked = lines.flatMap((l) =>
      l.choice.supplier !== null && l.choice.orderedOn !== null
        ? [{ line: l, supplier: l.choice.supplier, part: l.part, orderedOn: l.choice.orderedOn }]
        : [],
    );
    try {
      const answer = await fetch('/api/counter/orders', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          day: on,
          orders: asked.map(({ supplier, part, orderedOn }) => ({ supplier, part, orderedOn })),
        }),
      });
      if (!answer.ok) throw new Error(String(answer.status));
      const found = standingsSchema.parse(await answer.json()).orders;
      const changes = asked.flatMap(({ line, supplier, part }) => {
        const standing = found.find((f) => f.supplier === supplier && f.part === part);
        if (!standing || standing.state === 'ordered') return [];
        const { promisedOn, arrivedOn } = standing;
        const change =
          standing.state === 'arrived'
            ? { ...putLine(line, build.bill, 'arrived', arrivedOn ?? on), promisedOn }
            : { ...putLine(line, build.bill, 'promised', on), promisedOn };
        return [{ key: line.key, change }];
      });
      if (changes.length > 0) send(buildActions.linesEdited({ field: `bill.standing.${on}`, value: changes }));
      const come = found.filter((f) => f.state === 'arrived').length;
      setSaid(`On ${on}: ${come} come, ${found.length - come} on the way. A stand-in’s days.`);
      setDay(on);
    } catch {
      setSaid('The counter does not answer. Mark in the bill what has come.');
    }
  };
  return (
    <>
      <Button size="compact-sm" variant="default" onClick={() => void ask(day)}>
        Ask how they stand
      </Button>
      <Button size="compact-sm" variant="default" onClick={() => void ask(dateAfter(day, 1))}>
        A simulated day later
      </Button>
      <span role="status" className="quiet standing-says">
        {said}
      </span>
    </>
  );
}
