import { Button, Checkbox, TextInput } from '@mantine/core';
import { orderFrom, type BillSheet, type BuyingSheet, type Purchase } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { useMoney } from '../../ui/money.ts';
import { today } from '../../ui/today.ts';
import { useWorkerAnswer } from '../../workers/core.ts';

/** The two or three best ways of buying what may be ordered now. */
export function Buying({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const send = useSend();
  const money = useMoney();
  const day = today();
  const { bill: choice } = build;
  const sheet = useWorkerAnswer<BuyingSheet>(
    (worker) => worker.buying(bill.lines, choice, day),
    [bill, choice, day],
    150,
  );
  const names = new Map(choice.suppliers.map((s) => [s.id, s.name]));
  const nameOf = (id: string): string => names.get(id) ?? id;
  const lines = new Map(bill.lines.map((l) => [l.key, l]));
  const order = (way: Purchase): void => {
    send(
      buildActions.linesEdited({
        field: 'bill.ordered',
        value: Object.entries(way.choice).flatMap(([key, supplier]) => {
          const line = lines.get(key);
          return line ? [{ key, change: orderFrom(line, choice, supplier, day) }] : [];
        }),
      }),
    );
  };
  if (choice.suppliers.length === 0)
    return (
      <p className="card">
        No supplier is known yet: ask the parts counter, or bring in a price list, under “Suppliers and prices”.
      </p>
    );
  const edit = (change: Partial<typeof choice>): void => {
    send(buildActions.billEdited({ field: `bill.${Object.keys(change).join()}`, value: change }));
  };
  return (
    <section aria-labelledby="buying">
      <div className="section-head">
        <h2 id="buying">Ways to buy what may be ordered now</h2>
        <span className="quiet">goods and carriage together, the least there is</span>
      </div>
      <div className="fields fields-three card">
        <TextInput
          type="date"
          label="All wanted by"
          value={choice.neededBy ?? ''}
          onChange={(event) => edit({ neededBy: event.currentTarget.value || null })}
          description={choice.neededBy ? undefined : sheet ? `no day named: ${sheet.neededBy} is taken` : undefined}
        />
        <TextInput
          label="With this chance, in 100"
          value={String(Math.round(choice.chance * 100))}
          inputMode="numeric"
          onChange={(event) => {
            const chance = Number(event.currentTarget.value) / 100;
            if (chance >= 0.5 && chance <= 0.99) edit({ chance });
          }}
        />
        <Checkbox
          label="Sent to an island"
          checked={choice.island}
          onChange={(event) => edit({ island: event.currentTarget.checked })}
        />
      </div>
      {sheet === null ? (
        <p className="quiet" role="status">
          Working it out… The solver is fetched the first time; without a network it must have been used before.
        </p>
      ) : Object.keys(sheet.best.choice).length === 0 ? (
        <p className="card">
          {bill.lines.some((l) => l.wave === 'now')
            ? 'Nothing that may be ordered now can be had in time from these suppliers.'
            : 'Nothing is to be ordered now.'}
        </p>
      ) : (
        <>
          <div className="ways">
            {[sheet.best, ...sheet.best.others].map((way, i) => (
              <article key={i} className="card way" aria-label={i === 0 ? 'The cheapest way' : `Way ${i + 1}`}>
                <h3>
                  {i === 0 ? 'Cheapest' : `${money(way.total - sheet.best.total)} more`}
                  <span className="num way-total">{money(way.total)}</span>
                </h3>
                <p className="quiet">
                  {money(way.goods)} goods, {money(way.shipping)} carriage
                </p>
                <ul className="plain-list">
                  {[...new Set(Object.values(way.choice))].sort().map((supplier) => (
                    <li key={supplier}>
                      <strong>{nameOf(supplier)}</strong>{' '}
                      <span className="quiet">
                        {Object.entries(way.choice)
                          .filter(([, s]) => s === supplier)
                          .map(([key]) => lines.get(key)?.name ?? key)
                          .join(', ')}
                      </span>
                    </li>
                  ))}
                </ul>
                <Button size="compact-sm" variant={i === 0 ? 'filled' : 'default'} onClick={() => order(way)}>
                  Mark as ordered like this
                </Button>
              </article>
            ))}
          </div>
          <div className="buying-notes">
            <section className="card">
              <h3>What a supplier’s carriage is worth</h3>
              <ul className="plain-list">
                {sheet.without.map(({ supplier, dearer }) => (
                  <li key={supplier}>
                    Without {nameOf(supplier)}:{' '}
                    {dearer === null ? 'something could not be had in time' : `${money(dearer)} more`}
                  </li>
                ))}
              </ul>
            </section>
            <section className="card">
              <h3>What each day sooner costs</h3>
              <ul className="plain-list">
                {sheet.sooner.length === 0 ? <li>The day is today: there is no sooner.</li> : null}
                {changing(sheet.sooner).map(({ by, days, total }) => (
                  <li key={by}>
                    {days === 1 ? 'A day' : `Up to ${days} days`} sooner, {by}:{' '}
                    {total === null
                      ? 'something cannot come by then'
                      : total - sheet.best.total < 0.005
                        ? 'no more'
                        : `${money(total - sheet.best.total)} more`}
                  </li>
                ))}
              </ul>
            </section>
          </div>
        </>
      )}
      {sheet && (sheet.nobody.length > 0 || sheet.best.infeasible.length > 0) ? (
        <section className="card edge-measure">
          <h3>Not to be had like this</h3>
          <ul className="plain-list">
            {sheet.best.infeasible.map((key) => (
              <li key={key}>{lines.get(key)?.name ?? key}: nobody sends it in time with that chance</li>
            ))}
            {sheet.nobody.map((key) => (
              <li key={key}>{lines.get(key)?.name ?? key}: no supplier offers it here, or has enough of it</li>
            ))}
          </ul>
        </section>
      ) : null}
    </section>
  );
}

/** Of days that cost the same the last, and the first that cannot be had. */
const changing = (list: BuyingSheet['sooner']): BuyingSheet['sooner'] =>
  list.filter((s, i) => list[i + 1]?.total !== s.total);
