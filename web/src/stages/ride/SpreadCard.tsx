import { Button } from '@mantine/core';
import { amount, spreadInputWords, type RideSheet as Sheet, type Spread } from '@sprocket/core';
import { Show } from '../../ui/Show.tsx';
import { BandBar } from './BandBar.tsx';

interface SpreadCardProps {
  sheet: Sheet;
  spread: Spread | null;
  progress: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

/** The spread: bands, the chance of enough, and what the doubt comes from. */
export function SpreadCard({ sheet, spread, progress, stopped, stop, again }: SpreadCardProps) {
  return (
    <section className="card" aria-labelledby="ride-spread" aria-busy={progress !== null}>
      <div className="card-head">
        <h2 id="ride-spread">How sure that is</h2>
        {progress !== null ? (
          <span className="spread-progress">
            <progress value={progress} max={1} aria-label="Rides drawn" />
            <Button size="compact-sm" variant="default" onClick={stop}>
              Stop
            </Button>
          </span>
        ) : stopped ? (
          <span className="spread-progress">
            <span className="quiet">stopped{spread ? ` at ${spread.count} rides` : ''}</span>
            <Button size="compact-sm" variant="default" onClick={again}>
              Ride them again
            </Button>
          </span>
        ) : (
          <span className="quiet">
            {spread ? `${spread.count} rides drawn, the same each time` : 'drawing the first rides…'}
          </span>
        )}
      </div>
      {spread ? (
        <div className="spread">
          <table className="sum spread-bands">
            <caption>One ride in ten falls below the band, one in ten above it</caption>
            <tbody>
              <tr>
                <th scope="row">Range</th>
                <td>
                  <BandBar band={spread.rangeM} need={sheet.wantedM} />
                </td>
                <td className="num">
                  <Show value={amount(spread.rangeM.p10, 'way', 0)} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.rangeM.p50, 'way', 0)} />
                  </strong>{' '}
                  · <Show value={amount(spread.rangeM.p90, 'way', 0)} />
                </td>
              </tr>
              <tr>
                <th scope="row">Energy for the road</th>
                <td>
                  <BandBar band={spread.energyWh} />
                </td>
                <td className="num">
                  <Show value={amount(spread.energyWh.p10, 'energy')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.energyWh.p50, 'energy')} />
                  </strong>{' '}
                  · <Show value={amount(spread.energyWh.p90, 'energy')} />
                </td>
              </tr>
              <tr>
                <th scope="row">Time for it</th>
                <td>
                  <BandBar band={spread.timeS} />
                </td>
                <td className="num">
                  <Show value={amount(spread.timeS.p10, 'time')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.timeS.p50, 'time')} />
                  </strong>{' '}
                  · <Show value={amount(spread.timeS.p90, 'time')} />
                </td>
              </tr>
              <tr>
                <th scope="row">Hottest winding</th>
                <td>
                  <BandBar band={spread.hottestC} />
                </td>
                <td className="num">
                  <Show value={amount(spread.hottestC.p10, 'temperature')} /> ·{' '}
                  <strong>
                    <Show value={amount(spread.hottestC.p50, 'temperature')} />
                  </strong>{' '}
                  · <Show value={amount(spread.hottestC.p90, 'temperature')} />
                </td>
              </tr>
            </tbody>
          </table>
          <div className="spread-right">
            <p className="chance">
              <strong className="num">{Math.round(spread.chance * 100)} in 100</strong> reach{' '}
              <Show value={amount(sheet.wantedM, 'way', 0)} />, the reserve included
              {spread.stuck > 0.005
                ? `; ${Math.round(spread.stuck * 100)} in 100 do not set off on the steepest stretch`
                : ''}
              {spread.walks > 0.005 ? `; ${Math.round(spread.walks * 100)} in 100 walk somewhere` : ''}.
            </p>
            <h3>What the doubt comes from</h3>
            <ul className="causes">
              {spread.causes
                .filter((c) => c.share > 0.015)
                .map((c) => (
                  <li key={c.input}>
                    <span className="cause-bar" style={{ width: `${Math.round(c.share * 100)}%` }} />
                    <span>{spreadInputWords(c.input, sheet.job.told)}</span>
                    <span className="num">{Math.round(c.share * 100)} %</span>
                  </li>
                ))}
            </ul>
          </div>
        </div>
      ) : null}
    </section>
  );
}
