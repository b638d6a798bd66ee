import { Button, NativeSelect, TextInput } from '@mantine/core';
import { amount, type LimitLine } from '@sprocket/core';
import { useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show, useWords } from '../../ui/Show.tsx';
import { today } from '../../ui/today.ts';

/** Where the weight stands: on each wheel, against each limit, and what it does to handling. */
export function WeightSheet() {
  const w = useWords();
  const { balance } = usePlan().pack.layout;
  const { before, now } = balance;
  const rows: { label: string; was: React.ReactNode; is: React.ReactNode }[] = [
    ...balance.perWheel.map((w) => ({
      label: `On the ${w.label}`.replace('the each', 'each'),
      was: <Show value={amount(w.beforeKg, 'mass', 0)} />,
      is: <Show value={amount(w.nowKg, 'mass', 0)} />,
    })),
    {
      label: 'Share on the front',
      was: `${Math.round(balance.frontShare.before * 100)} %`,
      is: `${Math.round(balance.frontShare.now * 100)} %`,
    },
    {
      label: 'Centre of mass, ahead of the rear axle',
      was: <Show value={amount(before.xM, 'size', 0)} />,
      is: <Show value={amount(now.xM, 'size', 0)} />,
    },
    {
      label: 'Centre of mass, above the ground',
      was: <Show value={amount(before.hM, 'size', 0)} />,
      is: <Show value={amount(now.hM, 'size', 0)} />,
    },
    {
      label: 'Tips over the front from',
      was: w(`${balance.tipsOverFront.before.toFixed(1)} m/s²`),
      is: w(`${balance.tipsOverFront.now.toFixed(1)} m/s²`),
    },
    ...(balance.tipsSideways?.cornerMs.map((c) => ({
      label: w(`Lifts a wheel in a bend of ${c.radiusM} m from`),
      was: <Show value={amount(c.before, 'speed', 0)} />,
      is: <Show value={amount(c.now, 'speed', 0)} />,
    })) ?? []),
  ];
  return (
    <div className="weight-grid">
      <section className="card" aria-labelledby="weight-title">
        <h2 id="weight-title">Where the weight stands</h2>
        <table className="sum">
          <thead>
            <tr>
              <th scope="col">Rider and load on</th>
              <th scope="col">without the kit</th>
              <th scope="col">with it</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.label}>
                <th scope="row">{row.label}</th>
                <td className="num">{row.was}</td>
                <td className="num">
                  <strong>{row.is}</strong>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {balance.handling.map((line) => (
          <p key={line}>{line}</p>
        ))}
        <p className="quiet">
          From each mass at its drawn place; weigh the rear axle with the rider on for better. Try braking and cornering
          at the new weight on an empty, level place first.
        </p>
      </section>
      <section className="card" aria-labelledby="limits-title">
        <h2 id="limits-title">Against what bears it</h2>
        <ul className="limit-list">
          {balance.limits.map((l) => (
            <Limit key={l.label} line={l} />
          ))}
        </ul>
      </section>
      <Budget />
    </div>
  );
}

function Limit({ line }: { line: LimitLine }) {
  const share = line.limitKg === null ? null : line.loadKg / line.limitKg;
  const state = line.verdict;
  const words = {
    stop: 'over',
    rework: 'near it',
    fits: 'within',
    measure: share === null ? 'not read' : 'not proven',
  }[state];
  return (
    <li className={`limit tone-${state}`}>
      <span className="limit-name">{line.label}</span>
      <span className="num">
        <Show value={amount(line.loadKg, 'mass', 0)} />{' '}
        {line.limitKg === null ? (
          'of ?'
        ) : (
          <>
            of <Show value={amount(line.limitKg, 'mass', 0)} />
          </>
        )}
      </span>
      <span className="limit-bar" aria-hidden="true">
        <span style={{ width: `${Math.min(100, (share ?? 0) * 100)}%` }} />
      </span>
      <span className="limit-word">{words}</span>
    </li>
  );
}

/** The vehicle's own weight: frozen as it was, added, removed, against the target. */
function Budget() {
  const w = useWords();
  const plan = usePlan();
  const { budget } = plan.pack.layout;
  const { weights, donor } = useBuild();
  const send = useSend();
  const [name, setName] = useState('');
  const [way, setWay] = useState<'off' | 'on'>('off');
  const [mass, setMass] = useState<number | null>(null);
  const weigh = (field: string, value: Partial<typeof weights>): void => {
    send(buildActions.weighed({ field: `weights.${field}`, value }));
  };
  return (
    <section className="card" aria-labelledby="budget-title">
      <h2 id="budget-title">Weight budget</h2>
      <table className="sum">
        <tbody>
          {budget.lines.map((l, i) => (
            <tr key={`${l.label}${i}`}>
              <th scope="row">
                {l.label}
                {l.frozen ? <span className="quiet"> frozen {budget.frozenOn}</span> : null}
              </th>
              <td className="num">
                <Show value={amount(l.kg, 'mass')} />
              </td>
              <td>
                {i > 0 && i <= weights.changes.length ? (
                  <button
                    type="button"
                    className="link-button"
                    aria-label={`Take out ${l.label}`}
                    onClick={() =>
                      weigh(`drop.${weights.changes.length}`, {
                        changes: weights.changes.filter((_, j) => j !== i - 1),
                      })
                    }
                  >
                    take out
                  </button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">Comes to</th>
            <td className="num">
              <strong>
                <Show value={amount(budget.nowKg, 'mass')} />
              </strong>
            </td>
            <td>
              {budget.targetKg === null ? null : (
                <>
                  {budget.nowKg > budget.targetKg ? 'over' : 'under'} the target of{' '}
                  <Show value={amount(budget.targetKg, 'mass')} />
                </>
              )}
            </td>
          </tr>
        </tfoot>
      </table>
      <p className="quiet">
        Added <Show value={amount(budget.addedKg, 'mass')} />, taken off{' '}
        <Show value={amount(budget.removedKg, 'mass')} />.
      </p>
      <div className="fields-tight budget-add">
        <TextInput
          size="xs"
          label="Part"
          placeholder="old rear wheel"
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <NativeSelect
          size="xs"
          label="It was"
          value={way}
          data={[
            { value: 'off', label: 'taken off' },
            { value: 'on', label: 'put on' },
          ]}
          onChange={(event) => setWay(event.currentTarget.value as 'off' | 'on')}
        />
        <AmountField
          label="Its mass"
          dimension="mass"
          value={mass}
          min={0}
          max={100}
          placeholder={w('2.1 kg')}
          onValue={setMass}
          onEmpty={() => setMass(null)}
        />
        <Button
          size="compact-sm"
          variant="default"
          disabled={name.trim() === '' || mass === null}
          onClick={() => {
            if (mass === null) return;
            const others = weights.changes.filter((c) => c.label !== name.trim());
            weigh(`change.${name}`, {
              changes: [...others, { label: name.trim(), kg: way === 'off' ? -mass : mass }],
            });
            setName('');
            setMass(null);
          }}
        >
          Note it
        </Button>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            weigh('baseline', {
              baseline: weights.baseline
                ? null
                : {
                    kg: donor.survey.vehicleMass?.value ?? budget.baselineKg,
                    lines: [],
                    on: today(),
                  },
            })
          }
        >
          {weights.baseline ? 'Let the beginning follow the survey' : 'Freeze the beginning'}
        </Button>
      </div>
    </section>
  );
}
