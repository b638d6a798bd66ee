import { decimals, amount, type RideSheet as Sheet } from '@sprocket/core';
import { Say, Show } from '../../ui/Show.tsx';

/** The ride as planned and the ways it goes worse. */
export function Scenarios({ sheet }: { sheet: Sheet }) {
  return (
    <section className="card" aria-labelledby="ride-scenarios">
      <h2 id="ride-scenarios">If it goes worse</h2>
      <table className="sum">
        <thead>
          <tr>
            <th scope="col">When</th>
            <td>range</td>
            <td>uses</td>
          </tr>
        </thead>
        <tbody>
          {sheet.scenarios.map((s) => (
            <tr key={s.id}>
              <th scope="row">
                {s.words}
                <span className="from">
                  {s.enough ? 'still enough' : 'falls short'}
                  {s.walked ? ', walks somewhere' : ''}
                </span>
              </th>
              <td className="num">
                <Show value={amount(s.rangeM, 'way', 0)} />
              </td>
              <td className="num">
                <Show value={amount(s.whPerKm / 1000, 'energyPerWay')} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sheet.turnBackM === null ? (
        <p className="quiet">Half of the usable charge is never gone on one pass: no turn-back point.</p>
      ) : (
        <p>
          Half of the usable charge is gone at <Show value={amount(sheet.turnBackM, 'way')} />: the turn-back point.
        </p>
      )}
    </section>
  );
}

/** Each hill with a run-up and from rest. */
export function Hills({ sheet }: { sheet: Sheet }) {
  if (sheet.hills.length === 0) return null;
  return (
    <section className="card" aria-labelledby="ride-hills">
      <h2 id="ride-hills">Each hill, with a run-up and from rest</h2>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Hills, scrolls sideways">
        <table className="gears">
          <thead>
            <tr>
              <th scope="col">At</th>
              <th scope="col">Long</th>
              <th scope="col">Steepest</th>
              <th scope="col">Slowest, with the run-up</th>
              <th scope="col">From rest in its steepest</th>
            </tr>
          </thead>
          <tbody>
            {sheet.hills.map((h) => (
              <tr key={h.atM}>
                <th scope="row">
                  <Show value={amount(h.atM, 'way')} />
                </th>
                <td>
                  <Show value={amount(h.lengthM, 'height')} />
                </td>
                <td>
                  <Show value={amount(h.grade, 'grade')} />
                </td>
                <td>{h.walked ? 'walked' : <Show value={amount(h.slowestMs, 'speed')} />}</td>
                <td className={h.fromRest === 'motor alone' ? '' : 'warn'}>
                  {
                    {
                      'motor alone': 'the motor alone sets off',
                      'with the legs': 'sets off with the legs’ help',
                      'not at all': 'does not set off',
                    }[h.fromRest]
                  }
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Life, price and care of the pack on this road. */
export function Life({ sheet }: { sheet: Sheet }) {
  const { life } = sheet;
  return (
    <section className="card" aria-labelledby="ride-life">
      <h2 id="ride-life">The pack’s life on this road</h2>
      <p>
        About <strong className="num">{life.cycles}</strong> full cycles to 80 %;{' '}
        <strong className="num">
          <Show value={amount(life.pricePerKm / 1000, 'perWay')} />
        </strong>{' '}
        for the pack alone; <strong className="num">{decimals(life.chargeHours, 1)} h</strong> from empty on{' '}
        {life.charger === null ? 'its own charger, taken as one' : 'the charger'} of {life.chargerA} A.
      </p>
      <ul className="advice">
        {life.advice.map((a) => (
          <li key={JSON.stringify(a)}>
            <Say words={a} />
          </li>
        ))}
      </ul>
    </section>
  );
}
