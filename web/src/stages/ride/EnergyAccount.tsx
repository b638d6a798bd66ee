import { amount, type EnergyAccount as Account } from '@sprocket/core';
import { Show } from '../../ui/Show.tsx';

const WH = 3600;

/** The energy account as two beams that balance: what came in, and what became of it. */
export function EnergyAccount({ account: a }: { account: Account }) {
  const came = [
    { label: 'out of the pack', value: a.battery, tone: 'pack' },
    { label: 'given back', value: a.regenerated, tone: 'regen' },
    { label: 'legs, at the tyre', value: a.rider, tone: 'legs' },
  ].filter((x) => x.value > 0.5);
  const went = [
    { label: 'motor’s work at the tyre', value: a.wheel, tone: 'wheel' },
    { label: 'legs’ work at the tyre', value: a.rider, tone: 'legs' },
    { label: 'warm copper', value: a.copper, tone: 'loss' },
    { label: 'gears', value: a.gear, tone: 'loss' },
    { label: 'motor’s own drag', value: a.motorMechanical, tone: 'loss' },
    { label: 'controller', value: a.controller, tone: 'loss' },
    { label: 'display and lamps', value: a.standing, tone: 'loss' },
  ].filter((x) => x.value > 0.5);
  const sum = (list: readonly { value: number }[]): number => list.reduce((total, x) => total + x.value, 0);
  const total = Math.max(sum(came), sum(went));
  return (
    <div className="account">
      {(
        [
          ['Came in', came],
          ['Became', went],
        ] as const
      ).map(([title, list]) => (
        <div key={title} className="account-beam">
          <span className="account-title">
            {title}{' '}
            <span className="num">
              <Show value={amount(sum(list) / WH, 'energy')} />
            </span>
          </span>
          <span className="account-bar" aria-hidden="true">
            {list.map((x) => (
              <span
                key={x.label}
                className={`account-part account-${x.tone}`}
                style={{ width: `${(100 * x.value) / total}%` }}
              />
            ))}
          </span>
        </div>
      ))}
      <table className="sum account-table">
        <caption className="sr">The same as a table</caption>
        <tbody>
          {went.map((x) => (
            <tr key={x.label}>
              <th scope="row">
                <span className={`account-key account-${x.tone}`} aria-hidden="true" /> {x.label}
              </th>
              <td className="num">
                <Show value={amount(x.value / WH, 'energy')} />
              </td>
              <td className="num quiet">
                <Show value={amount(x.value / total, 'share')} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Beside it, <Show value={amount(a.packInternal / WH, 'energy')} /> warmed the pack and{' '}
        <Show value={amount(a.brakes / WH, 'energy')} /> the brakes.
      </p>
    </div>
  );
}
