import { Button } from '@mantine/core';
import { amount, displayUnits, type Bill } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { LeftOver } from './LeftOver.tsx';
import { NumberField } from '../../ui/NumberField.tsx';
import { useMoney } from '../../ui/money.ts';
import { Show, useWords } from '../../ui/Show.tsx';

/** What it comes to all told, a kilometre of it, and against a ready-made one. */
export function Costs() {
  const {
    parts: { cost },
  } = usePlan();
  const build = useBuild();
  const money = useMoney();
  const send = useSend();
  const w = useWords();
  const units = useUnits();
  const { si, sign } = displayUnits.way[units];
  // What a way costs is told for one of the reader's units.
  const way =
    units === 'metric'
      ? { km: si / 1000, sign, word: 'kilometre', many: 'Kilometres a year' }
      : { km: si / 1000, sign, word: 'mile', many: 'Miles a year' };
  const { use, readyMade, currency } = build.bill;
  const put = (value: Partial<Bill>, field: string): void => {
    send(buildActions.billEdited({ field: `bill.${field}`, value }));
  };
  // Bounds are the build's own, in its units; shown they are in the reader's.
  const use1 = (key: keyof Bill['use'], label: string, most: number, times = 1, least = 0, digits = 3) => (
    <NumberField
      label={label}
      value={use[key] * times}
      least={least}
      most={Math.floor(most * times)}
      digits={digits}
      onValue={(n) => put({ use: { ...use, [key]: n / times } }, `use.${key}`)}
    />
  );
  return (
    <section aria-labelledby="costs">
      <div className="section-head">
        <h2 id="costs">What it costs</h2>
        <span className="quiet">
          {cost.withoutCarriage > 0
            ? `carriage of ${cost.withoutCarriage} lines is known once they are ordered`
            : 'with the carriage of all that is ordered'}
        </span>
      </div>
      <div className="costs">
        <div className="card">
          <h3>All told</h3>
          <table className="bill">
            <tbody>
              {cost.rows
                .filter((row) => row.id === 'parts' || row.sum !== 0)
                .map((row) => (
                  <tr key={row.id}>
                    <th scope="row">{row.label}</th>
                    <td className="num">{money(row.sum)}</td>
                  </tr>
                ))}
            </tbody>
            <tfoot>
              <tr className="total">
                <th scope="row">In all</th>
                <td className="num">{money(cost.total)}</td>
              </tr>
            </tfoot>
          </table>
        </div>
        <div className="card">
          <h3>A {way.word}</h3>
          {cost.perKm ? (
            <>
              <p className="cost-big num">{money(cost.perKm.total * way.km, 3)}</p>
              <dl className="cost-rows">
                {(
                  [
                    ['Buying it, less what it is sold for', cost.perKm.buying],
                    ['Electricity, at what the plan’s ride uses', cost.perKm.energy],
                    ['The battery’s wear', cost.perKm.battery],
                    ['Looking after it', cost.perKm.service],
                  ] as const
                ).map(([label, sum]) => (
                  <div key={label}>
                    <dt>{label}</dt>
                    <dd className="num">{money(sum * way.km, 3)}</dd>
                  </div>
                ))}
              </dl>
              <p className="quiet">
                over <Show value={amount(cost.perKm.km * 1000, 'way', 0)} />
              </p>
            </>
          ) : (
            <p className="quiet">
              Known once a kit and a battery that suit each other are chosen, and how far it is ridden.
            </p>
          )}
        </div>
      </div>
      <div className="cost-cards">
        <LeftOver />
        <div className="card no-print">
          <h3>How it will be used</h3>
          <p className="quiet">Usual figures, until you put yours.</p>
          <div className="fields fields-three">
            {use1('kmAYear', way.many, 100_000, 1 / way.km, 0, 0)}
            {use1('years', 'Years', 50, 1, 0.5)}
            {use1('resale', 'Sold at the end for, % of all', 1, 100)}
            {use1('kWh', `A kilowatt-hour, ${currency}`, 100)}
            {use1('service', `Looking after it, ${currency} for 1000 ${way.sign}`, 100_000, way.km, 0, 2)}
          </div>
        </div>
        <div className="card">
          <h3>Against a ready-made one</h3>
          {readyMade && cost.readyMade ? (
            <>
              <p>
                {difference(cost.readyMade.lessThanSale, 'the one that is to be had', money)}{' '}
                {difference(cost.readyMade.lessThanList, 'its list price', money)}{' '}
                {cost.readyMade.turnsAtKm === null
                  ? readyMade.perKm === null
                    ? `Where that turns is not known: what a ${way.word} of the other costs is missing.`
                    : 'That does not turn, however far it is ridden.'
                  : w(`That turns after ${Math.round(cost.readyMade.turnsAtKm / 100) * 100} km.`)}
              </p>
              <div className="fields fields-three no-print">
                <NumberField
                  label={`To be had for, ${currency}`}
                  value={readyMade.sale}
                  most={1_000_000}
                  onValue={(sale) => put({ readyMade: { ...readyMade, sale } }, 'readyMade.sale')}
                />
                <NumberField
                  label={`List price, ${currency}`}
                  value={readyMade.list}
                  most={1_000_000}
                  onValue={(list) => put({ readyMade: { ...readyMade, list } }, 'readyMade.list')}
                />
                <NumberField
                  label={`A ${way.word} to run, ${currency}`}
                  value={readyMade.perKm === null ? null : readyMade.perKm * way.km}
                  most={100}
                  onValue={(n) => put({ readyMade: { ...readyMade, perKm: n / way.km } }, 'readyMade.perKm')}
                />
              </div>
              <Button
                className="no-print cost-drop"
                size="compact-sm"
                variant="default"
                onClick={() => put({ readyMade: null }, 'readyMade')}
              >
                Drop it
              </Button>
            </>
          ) : (
            <Button
              className="cost-drop"
              variant="default"
              onClick={() => {
                const price = build.donor.worth.readyMadePrice ?? 1500;
                put({ readyMade: { list: price, sale: price, perKm: null } }, 'readyMade');
              }}
            >
              Name one to hold it against
            </Button>
          )}
        </div>
      </div>
      <p className="quiet">
        Source: what is paid less what it is sold for, over the distance it is ridden; energy by the plan’s ride; the
        battery’s price over its cycles; service as put. What the riding is worth to you is not in it.
      </p>
    </section>
  );
}

const difference = (less: number, than: string, money: (sum: number) => string): string =>
  less >= 0 ? `${money(less)} less than ${than}.` : `${money(-less)} more than ${than}.`;
