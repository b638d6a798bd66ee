import { Button, NativeSelect } from '@mantine/core';
import { usualLine, type BenchNeed, type LineSource } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend } from '../../store/store.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { Say, Words } from '../../ui/Show.tsx';
import { useMoney } from '../../ui/money.ts';

/** Where a tool may come from, in words of one who looks along the wall. */
const fromWords: Partial<Record<LineSource, string>> = {
  have: 'at hand',
  borrow: 'borrowed',
  hire: 'hired',
  order: 'to be bought',
};

/** What the steps need on the bench, against what is there: each asked for once. */
export function Tools() {
  const { build: bench, money: sums } = usePlan();
  const money = useMoney();
  const send = useSend();
  const { needs } = bench;
  const open = needs.filter((n) => n.from === null);
  const worth = open.reduce((sum, n) => sum + (n.price ?? 0) * n.count, 0);
  const restIsHere = (): void => {
    const value = open.map(({ key, name }) => ({ key, change: { ...usualLine, name, from: 'have' as const } }));
    send(buildActions.linesEdited({ field: 'bill.bench.have', value }));
  };
  if (needs.length === 0) return <p className="card">Choose a kit first: its steps name the tools.</p>;
  return (
    <section aria-labelledby="tools">
      <div className="section-head">
        <h2 id="tools">Tools and supplies</h2>
        <span className="quiet">
          {open.length === 0
            ? `all looked for; ${money(sums.bench)} to be bought or hired`
            : `${open.length} of ${needs.length} not looked for yet: ${money(worth)} if none of them is there`}
        </span>
        {open.length > 0 ? (
          <Button size="compact-sm" variant="default" onClick={restIsHere}>
            All others are at hand
          </Button>
        ) : null}
      </div>
      {(['tool', 'supply'] as const).map((kind) => (
        <table key={kind} className="bill needs">
          <caption className="quiet">{kind === 'tool' ? 'Tools' : 'Used up, by amount'}</caption>
          <thead>
            <tr>
              <th scope="col">{kind === 'tool' ? 'Tool' : 'Supply'}</th>
              <th scope="col">Steps that ask for it</th>
              <th scope="col" className="num">
                To buy
              </th>
              <th scope="col">Where it comes from</th>
            </tr>
          </thead>
          <tbody>
            {needs
              .filter((n) => n.kind === kind)
              .map((need) => (
                <Need key={need.key} need={need} />
              ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}

function Need({ need }: { need: BenchNeed }) {
  const { build: bench } = usePlan();
  const send = useSend();
  const money = useMoney();
  const first = bench.steps.find((s) => s.id === need.steps[0]);
  const put = (from: string): void => {
    const field = `bill.${need.key}.from`;
    if (from === '') send(buildActions.lineCleared({ field, value: need.key }));
    else
      send(
        buildActions.lineEdited({
          field,
          value: { key: need.key, change: { ...usualLine, name: need.name, from: from as LineSource } },
        }),
      );
  };
  const data = [
    { value: '', label: 'not looked for' },
    { value: 'have', label: 'at hand' },
    { value: 'borrow', label: 'borrowed' },
    ...(need.hire === null ? [] : [{ value: 'hire', label: `hired, ${money(need.hire)} a day` }]),
    { value: 'order', label: 'to be bought' },
  ].filter((d) => need.kind === 'tool' || d.value !== 'borrow');
  const fixed = need.state !== 'wanted';
  return (
    <tr className={need.from === null ? 'need-open' : ''}>
      <th scope="row">
        {need.name}
        {need.amount === null ? null : (
          <span className="bill-why">
            <Words>{`${Math.round(need.amount * 10) / 10}${need.unit === 'piece' ? '' : ` ${need.unit}`} in all`}</Words>
          </span>
        )}
      </th>
      <td>
        {first ? <Say words={first.title} /> : null}
        {need.steps.length > 1 ? <span className="quiet"> and {need.steps.length - 1} more</span> : null}
      </td>
      <td className="num">{need.price === null ? 'no price' : money(need.price * need.count)}</td>
      <td>
        {fixed ? (
          `${fromWords[need.from ?? 'order'] ?? ''}: see the bill`
        ) : (
          <NativeSelect
            size="xs"
            aria-label={`Where ${need.name} comes from`}
            value={need.from ?? ''}
            data={data}
            onChange={(event) => put(event.currentTarget.value)}
          />
        )}
      </td>
    </tr>
  );
}
