import { Button, TextInput } from '@mantine/core';
import { quotationOf, type BillSheet } from '@sprocket/core';
import { buildActions } from '../../app/buildSlice.ts';
import { useBuild, useSend } from '../../app/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useMoney } from '../../ui/money.ts';
import { today } from '../../ui/today.ts';

/** A shop’s quotation for the whole conversion, to print. */
export function Quotation({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const plan = usePlan();
  const send = useSend();
  const money = useMoney();
  const { shop, currency } = build.bill;
  const sheet = quotationOf(bill, plan.money.minutes, shop);
  const edit = (change: Partial<typeof shop>): void => {
    send(
      buildActions.billEdited({
        field: `bill.shop.${Object.keys(change).join()}`,
        value: { shop: { ...shop, ...change } },
      }),
    );
  };
  const figure = (label: string, value: number, put: (n: number) => void, most: number) => (
    <TextInput
      label={label}
      defaultValue={String(Math.round(value * 100) / 100)}
      inputMode="decimal"
      onChange={(event) => {
        const typed = event.currentTarget.value.replace(',', '.').trim();
        const n = Number(typed);
        if (typed !== '' && Number.isFinite(n) && n >= 0 && n <= most) put(n);
      }}
    />
  );
  return (
    <section aria-labelledby="quotation">
      <div className="section-head no-print">
        <h2 id="quotation">Quotation</h2>
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
        {figure(`An hour, ${currency}`, shop.hour, (hour) => edit({ hour }), 10_000)}
        {figure('Tax, %', shop.tax * 100, (n) => edit({ tax: n / 100 }), 100)}
        {figure('Deposit, %', shop.deposit * 100, (n) => edit({ deposit: n / 100 }), 100)}
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
            <h3>{shop.name || 'Quotation'}</h3>
            <p>
              Electric conversion: {build.name}
              <br />
              {today()}
            </p>
          </div>
          <p className="num quotation-total">{money(sheet.total)}</p>
        </header>
        <table className="bill">
          <thead>
            <tr>
              <th scope="col">For</th>
              <th scope="col" className="num">
                Count
              </th>
              <th scope="col" className="num">
                Each
              </th>
              <th scope="col" className="num">
                Comes to
              </th>
            </tr>
          </thead>
          <tbody>
            {sheet.parts.map((line) => (
              <tr key={line.key}>
                <th scope="row">{line.name}</th>
                <td className="num">{line.count}</td>
                <td className="num">{money(line.price ?? 0)}</td>
                <td className="num">{money(line.sum)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">Work, as far as the plan counts it</th>
              <td className="num">{sheet.hours.toFixed(1)} h</td>
              <td className="num">{money(shop.hour)}</td>
              <td className="num">{money(sheet.work)}</td>
            </tr>
          </tbody>
          <tfoot>
            <tr>
              <th scope="row" colSpan={3}>
                Before tax
              </th>
              <td className="num">{money(sheet.net)}</td>
            </tr>
            <tr>
              <th scope="row" colSpan={3}>
                Tax, {Math.round(shop.tax * 1000) / 10} %
              </th>
              <td className="num">{money(sheet.tax)}</td>
            </tr>
            <tr className="total">
              <th scope="row" colSpan={3}>
                In all
              </th>
              <td className="num">{money(sheet.total)}</td>
            </tr>
            <tr>
              <th scope="row" colSpan={3}>
                Asked on ordering
              </th>
              <td className="num">{money(sheet.deposit)}</td>
            </tr>
          </tfoot>
        </table>
        {sheet.unpriced.length > 0 ? <p>Not priced yet: {sheet.unpriced.join(', ')}.</p> : null}
        <p className="quiet">
          Prices as known on this day. Tax rules differ: ask a tax adviser which rate holds. What the vehicle may do on
          the road, the local authority decides.
        </p>
      </article>
    </section>
  );
}

function isCurrency(code: string): boolean {
  if (!/^[A-Z]{3}$/.test(code)) return false;
  try {
    new Intl.NumberFormat(undefined, { style: 'currency', currency: code });
    return true;
  } catch {
    return false;
  }
}
