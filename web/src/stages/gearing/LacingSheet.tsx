import { amount, type GearSheet } from '@sprocket/core';
import { Show } from '../../ui/Show.tsx';

/** Spoke lengths and crossings of a hub that is laced to order, and how tight its spokes want to be. */
export function LacingSheet({ lacing }: { lacing: GearSheet['lacing'] }) {
  if (!lacing) return null;
  const best = lacing.rows[lacing.best];
  return (
    <section className="card" aria-labelledby="lacing">
      <h2 id="lacing">Lacing the wheel</h2>
      <p>
        <strong>
          {lacing.best === 0 ? 'Radial' : `${lacing.best} cross${lacing.best === 1 ? '' : 'es'}`}
          {best ? (
            <>
              , spokes of <Show value={amount(best.leftM, 'size', 0)} /> left and{' '}
              <Show value={amount(best.rightM, 'size', 0)} /> right
            </>
          ) : null}
        </strong>{' '}
        <span className="quiet">
          {lacing.hub} into {lacing.rim.toLowerCase()}, effective diameter{' '}
          <Show value={amount(lacing.erdM, 'size', 0)} />: measure your rim’s before spokes are cut.
          {lacing.byMaker
            ? ' Its maker says how many crosses it may have: ask before you lace; these go by the rim alone.'
            : ''}
        </span>
      </p>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Spokes, scrolls sideways">
        <table className="gears">
          <thead>
            <tr>
              <th scope="col">Crosses</th>
              <th scope="col">left</th>
              <th scope="col">right</th>
              <th scope="col">off straight at the rim</th>
            </tr>
          </thead>
          <tbody>
            {lacing.rows.map((row) => (
              <tr key={row.crosses} className={row.crosses === lacing.best ? 'marked-row' : ''}>
                <th scope="row">{row.crosses}</th>
                <td>
                  <Show value={amount(row.leftM, 'size', 1)} />
                </td>
                <td>
                  <Show value={amount(row.rightM, 'size', 1)} />
                </td>
                <td className={row.straight ? '' : 'warn'}>
                  <Show value={amount(row.leanRad, 'angle')} />
                  {row.straight ? '' : ', bends the nipple'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">
        Tight at <Show value={amount(lacing.tension.left, 'force', 0)} /> left and{' '}
        <Show value={amount(lacing.tension.right, 'force', 0)} /> right: plucked, they ring at{' '}
        <span className="num">{Math.round(lacing.pitchHz.left)}</span> and{' '}
        <span className="num">{Math.round(lacing.pitchHz.right)}</span> Hz.
      </p>
    </section>
  );
}
