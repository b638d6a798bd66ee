import type { ProofTest } from '@sprocket/core';
import { BandMark } from '../../sheet/BandMark.tsx';
import { Show } from '../../ui/Show.tsx';

/** What each reading was foretold to be, where it fell, and the sum behind it. */
export function Bands({ test }: { test: ProofTest }) {
  return (
    <>
      {test.readings.map((r) =>
        r.band ? (
          <figure key={r.id} className="band-figure">
            <figcaption>
              {r.what}:{' '}
              <strong>
                {r.value === null
                  ? 'foretold'
                  : r.verdict === 'pass'
                    ? r.side === 'inside'
                      ? 'inside'
                      : 'outside, harmless'
                    : r.side === 'low'
                      ? 'below'
                      : 'above'}
              </strong>
            </figcaption>
            <BandMark reading={r} band={r.band} />
            <details>
              <summary>The sum behind it</summary>
              <table className="band-sum">
                <tbody>
                  {r.band.sum.map((line) => (
                    <tr key={line.label}>
                      <th scope="row">{line.label}</th>
                      <td className="num">
                        <Show value={line.value} />
                      </td>
                      <td className="quiet">{line.from}</td>
                    </tr>
                  ))}
                  {r.band.causes.slice(0, 4).map((c) => (
                    <tr key={c.words}>
                      <th scope="row">± {c.words}</th>
                      <td className="num">
                        <Show
                          value={{
                            si: c.half,
                            dimension: r.dimension,
                            ...(r.digits === undefined ? {} : { digits: r.digits + 1 }),
                          }}
                        />
                      </td>
                      <td className="quiet">half of 10 to 90 %</td>
                    </tr>
                  ))}
                  {r.band.instrument > 0 ? (
                    <tr>
                      <th scope="row">± instrument</th>
                      <td className="num">
                        <Show
                          value={{
                            si: r.band.instrument,
                            dimension: r.dimension,
                            ...(r.digits === undefined ? {} : { digits: r.digits + 1 }),
                          }}
                        />
                      </td>
                      <td className="quiet">added as squares</td>
                    </tr>
                  ) : null}
                </tbody>
              </table>
            </details>
          </figure>
        ) : null,
      )}
    </>
  );
}
