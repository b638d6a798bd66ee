import { Button, FileButton } from '@mantine/core';
import {
  type BillSheet,
  MOST_OFFERS,
  MOST_SUPPLIERS,
  offerHeads,
  offerSchema,
  readOffers,
  supplierSchema,
  type Offer,
  type Supplier,
} from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { csvOf, readCsv } from '../../ui/csv.ts';
import { downloadText } from '../../ui/download.ts';
import { useMoney } from '../../ui/money.ts';
import { today } from '../../ui/today.ts';
import { TypedOffer } from './TypedOffer.tsx';

/** Largest price list that is read, bytes. */
const LARGEST = 2_000_000;

/** Suppliers and what they ask: from the stand-in counter, from a price list, typed. */
export function Counter({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const send = useSend();
  const money = useMoney();
  const { shelf } = usePlanContext();
  const [said, setSaid] = useState('');
  const [faults, setFaults] = useState<string[]>([]);
  const { suppliers, offers } = build.bill;
  /** Takes what was found, as far as a build keeps so many; says so where it does not. */
  const bring = (found: { suppliers: Supplier[]; offers: Offer[] }): boolean => {
    const names = new Set([...suppliers, ...found.suppliers].map((s) => s.id));
    const prices = new Set([...offers, ...found.offers].map((o) => `${o.supplier} ${o.part}`));
    if (names.size > MOST_SUPPLIERS || prices.size > MOST_OFFERS) {
      setSaid(
        `A build keeps ${MOST_SUPPLIERS} suppliers and ${MOST_OFFERS} prices: leave some out first. Nothing was taken.`,
      );
      return false;
    }
    send(buildActions.offersBrought({ field: 'bill.offers', value: found }));
    return true;
  };
  const ask = async (): Promise<void> => {
    setFaults([]);
    try {
      const answer = await fetch(`/api/counter?day=${today()}`);
      if (!answer.ok) throw new Error(String(answer.status));
      const body: unknown = await answer.json();
      const read = supplierSchema
        .array()
        .max(12)
        .safeParse((body as { suppliers?: unknown }).suppliers);
      const list = offerSchema
        .array()
        .max(4000)
        .safeParse((body as { offers?: unknown }).offers);
      if (!read.success || !list.success) throw new Error('not understood');
      if (!bring({ suppliers: read.data, offers: list.data })) return;
      setSaid(
        `${list.data.length} prices of ${read.data.length} invented suppliers. It is a stand-in: nothing can be bought there.`,
      );
    } catch {
      setSaid('The counter does not answer. Everything else works without it: bring in a price list, or type prices.');
    }
  };
  const read = async (file: File | null): Promise<void> => {
    if (!file) return;
    setFaults([]);
    if (file.size > LARGEST) {
      setSaid(`${file.name} is larger than the two megabytes that are read.`);
      return;
    }
    const table = readCsv(await file.text());
    if (!table.ok) {
      setSaid(`${file.name} was not read.`);
      setFaults(table.problems.map((p) => `${p.path}: ${p.message}`));
      return;
    }
    const found = readOffers(table.rows, shelf);
    if (found.offers.length > 0 && !bring(found)) return;
    setSaid(
      `${found.offers.length} prices taken from ${file.name}${found.problems.length > 0 ? `, ${found.problems.length} rows not understood` : ''}.`,
    );
    setFaults(found.problems.map((p) => `${p.path}: ${p.message}`));
  };
  const save = (): void => {
    const byId = new Map(suppliers.map((s) => [s.id, s]));
    const rows = offers.map((o) => {
      const s = byId.get(o.supplier);
      return [
        s?.name ?? o.supplier,
        o.part,
        o.price,
        o.stock ?? '',
        o.leadDays.low,
        o.leadDays.likely,
        o.leadDays.high,
        o.returnDays,
        s?.shipping ?? '',
        s?.freeFrom ?? '',
        s?.lithium === false ? 'no' : 'yes',
      ];
    });
    downloadText('prices.csv', csvOf([offerHeads, ...rows]), 'text/csv');
  };
  return (
    <section aria-labelledby="suppliers">
      <div className="section-head">
        <h2 id="suppliers">Suppliers and prices</h2>
        <span className="quiet">{offers.length} prices known</span>
      </div>
      <div className="card">
        <p>
          The <strong>parts counter</strong> is a stand-in that ships with the app: four invented suppliers, the same
          prices for everybody on the same day. Nothing is sent to it and nothing can be bought there.
        </p>
        <div className="table-tools">
          <Button size="compact-sm" onClick={() => void ask()}>
            Ask the parts counter
          </Button>
          <FileButton accept=".csv,text/csv" onChange={(file) => void read(file)}>
            {(props) => (
              <Button size="compact-sm" variant="default" {...props}>
                Bring in a price list (CSV)
              </Button>
            )}
          </FileButton>
          {offers.length > 0 ? (
            <Button size="compact-sm" variant="default" onClick={save}>
              Save the prices
            </Button>
          ) : null}
        </div>
        <p role="status" className="counter-says">
          {said}
        </p>
        {faults.length > 0 ? (
          <ul className="plain-list tone-text-rework">
            {faults.slice(0, 12).map((f) => (
              <li key={f}>{f}</li>
            ))}
            {faults.length > 12 ? <li>and {faults.length - 12} more</li> : null}
          </ul>
        ) : null}
        <p className="quiet">
          A list’s first row names its columns: {offerHeads.join(', ')}. The first three must be there.
        </p>
      </div>
      <TypedOffer bill={bill} bring={bring} />
      {suppliers.length > 0 ? (
        <div className="scroll-x" tabIndex={0} role="region" aria-label="Suppliers">
          <table className="bill">
            <thead>
              <tr>
                <th scope="col">Supplier</th>
                <th scope="col" className="num">
                  Carriage
                </th>
                <th scope="col" className="num">
                  Free from
                </th>
                <th scope="col">Batteries</th>
                <th scope="col">Islands</th>
                <th scope="col" className="num">
                  Prices
                </th>
                <td />
              </tr>
            </thead>
            <tbody>
              {suppliers.map((s) => (
                <tr key={s.id}>
                  <th scope="row">{s.name}</th>
                  <td className="num">{money(s.shipping)}</td>
                  <td className="num">{s.freeFrom === null ? 'never' : money(s.freeFrom)}</td>
                  <td>{s.lithium ? 'sends them' : 'does not send them'}</td>
                  <td>{s.islands === null ? 'does not send there' : `${money(s.islands)} more`}</td>
                  <td className="num">{offers.filter((o) => o.supplier === s.id).length}</td>
                  <td>
                    <Button
                      size="compact-xs"
                      variant="subtle"
                      onClick={() =>
                        send(buildActions.supplierDropped({ field: `bill.supplier.${s.id}`, value: s.id }))
                      }
                    >
                      Leave out<span className="sr"> {s.name}</span>
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
    </section>
  );
}
