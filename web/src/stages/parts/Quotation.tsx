import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { decimals, invoiceOf, quotationOf, type Bill, type BillSheet } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { NumberField } from '../../ui/NumberField.tsx';
import { useMoney } from '../../ui/money.ts';
import { dayTyped, today } from '../../ui/today.ts';
import { PricedTable, type FootRow } from './PricedTable.tsx';
import { dayText, language } from '../../ui/manner.ts';

/** A shop’s quotation for the whole conversion, and its invoice once it is done, to print. */
export function Quotation({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const { build: bench } = usePlan();
  const send = useSend();
  const money = useMoney();
  const { shop, currency } = build.bill;
  const [sheet, setSheet] = useState<'quotation' | 'invoice'>(shop.invoice ? 'invoice' : 'quotation');
  const quotation = quotationOf(
    bill,
    bench.steps.reduce((sum, step) => sum + step.practised, 0),
    shop,
  );
  const invoice = sheet === 'invoice' ? invoiceOf(bill, shop) : null;
  const shown = invoice ?? quotation;
  const edit = (change: Partial<Bill['shop']>): void => {
    send(
      buildActions.billEdited({
        field: `bill.shop.${Object.keys(change).join()}`,
        value: { shop: { ...shop, ...change } },
      }),
    );
  };
  const billed = (change: Partial<NonNullable<Bill['shop']['invoice']>>): void => {
    const from = shop.invoice ?? { number: '', on: today(), hours: quotation.hours, paid: quotation.deposit };
    edit({ invoice: { ...from, ...change } });
  };
  const view = (next: string): void => {
    setSheet(next === 'invoice' ? 'invoice' : 'quotation');
    // Hours and deposit begin as they were quoted.
    if (next === 'invoice' && !shop.invoice) billed({});
  };
  const title = invoice ? `Invoice ${invoiceNumber(shop)}`.trim() : 'Quotation';
  const foot: FootRow[] = [
    { label: 'Before tax', sum: shown.net },
    { label: `Tax, ${Math.round(shop.tax * 1000) / 10} %`, sum: shown.tax },
    { label: 'In all', sum: shown.total, total: true },
    ...(invoice
      ? [
          { label: 'Paid on ordering', sum: -invoice.paid },
          { label: 'To be paid', sum: invoice.due, total: true },
        ]
      : [{ label: 'Asked on ordering', sum: shown.deposit }]),
  ];
  return (
    <section aria-labelledby="quotation">
      <div className="section-head no-print">
        <h2 id="quotation">Quotation and invoice</h2>
        <SegmentedControl
          size="xs"
          aria-label="Which sheet"
          value={sheet}
          data={[
            { value: 'quotation', label: 'Quotation' },
            { value: 'invoice', label: 'Invoice' },
          ]}
          onChange={view}
        />
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <div className="fields fields-three card no-print">
        <TextInput
          label="Shop"
          value={shop.name}
          maxLength={80}
          onChange={(e) => edit({ name: e.currentTarget.value })}
        />
        <NumberField
          label={`An hour, ${currency}`}
          value={shop.hour}
          most={10_000}
          onValue={(hour) => edit({ hour })}
        />
        <NumberField label="Tax, %" value={shop.tax * 100} most={100} onValue={(n) => edit({ tax: n / 100 })} />
        {invoice && shop.invoice ? (
          <>
            <TextInput
              label="Its number"
              value={shop.invoice.number}
              maxLength={40}
              onChange={(e) => billed({ number: e.currentTarget.value })}
            />
            <TextInput
              type="date"
              label="Its day"
              value={shop.invoice.on}
              onChange={(e) => {
                const on = dayTyped(e.currentTarget.value);
                if (on) billed({ on });
              }}
            />
            <NumberField
              label="Hours as worked"
              value={shop.invoice.hours}
              most={1000}
              onValue={(hours) => billed({ hours })}
              description={`${decimals(quotation.hours, 1)} quoted`}
            />
            <NumberField
              label={`Paid already, ${currency}`}
              value={shop.invoice.paid}
              most={1_000_000}
              onValue={(paid) => billed({ paid })}
            />
          </>
        ) : (
          <NumberField
            label="Deposit, %"
            value={shop.deposit * 100}
            most={100}
            onValue={(n) => edit({ deposit: n / 100 })}
          />
        )}
        <TextInput
          label="Money, three letters"
          defaultValue={currency}
          maxLength={3}
          onChange={(event) => {
            const code = event.currentTarget.value.toUpperCase();
            if (isCurrency(code)) send(buildActions.billEdited({ field: 'bill.currency', value: { currency: code } }));
          }}
        />
      </div>
      <article className="quotation card">
        <header>
          <div>
            <h3>{shop.name === '' ? title : `${shop.name}: ${title.toLowerCase()}`}</h3>
            <p>
              Electric conversion: {build.name}
              <br />
              {dayText(invoice && shop.invoice ? shop.invoice.on : today())}
            </p>
          </div>
          <p className="num quotation-total">{money(invoice ? invoice.due : shown.total)}</p>
        </header>
        <PricedTable
          head="For"
          lines={shown.parts}
          more={
            <tr>
              <th scope="row">{invoice ? 'Work, as it was' : 'Work, by the plan’s steps in practised hands'}</th>
              <td className="num">{decimals(shown.hours, 1)} h</td>
              <td className="num">{money(shop.hour)}</td>
              <td className="num">{money(shown.work)}</td>
            </tr>
          }
          foot={foot}
        />
        {invoice && shown.parts.length === 0 ? (
          <p>No part is here or fitted yet: mark them in the bill, and they stand on the invoice.</p>
        ) : null}
        {shown.unpriced.length > 0 ? <p>Not priced yet: {shown.unpriced.join(', ')}.</p> : null}
        <p className="quiet">
          Prices as known on this day. Tax rules differ: ask a tax adviser which rate holds and what an invoice must
          say. What the vehicle may do on the road, the local authority decides.
        </p>
      </article>
    </section>
  );
}

const invoiceNumber = ({ invoice }: Bill['shop']): string => invoice?.number ?? '';

function isCurrency(code: string): boolean {
  if (!/^[A-Z]{3}$/.test(code)) return false;
  try {
    new Intl.NumberFormat(language(), { style: 'currency', currency: code });
    return true;
  } catch {
    return false;
  }
}
