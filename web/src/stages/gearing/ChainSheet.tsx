import { decimals, amount, gearSheet, type GearSheet } from '@sprocket/core';
import { useDeferredValue, useMemo } from 'react';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { useUnits } from '../../store/store.ts';
import { amountText } from '@sprocket/core';
import { Show, useTexts } from '../../ui/Show.tsx';
import { LacingSheet } from './LacingSheet.tsx';

/** Chain line and length, and the rings and cogs that would do. */
export function ChainSheet() {
  const context = useDeferredValue(usePlanContext());
  const sheet = useTexts(useMemo(() => gearSheet(context), [context]));
  return (
    <>
      <section className="card" aria-labelledby="chain-title">
        <h2 id="chain-title">Chain line and length</h2>
        <div className="chain-two">
          <ChainPlan sheet={sheet} />
          <div>
            <p>
              The ring runs <Show value={amount(sheet.ringLineM, 'size')} /> from the frame’s middle
              {sheet.ringLineKnown ? '' : ', a common figure, not measured'}.{' '}
              {Math.abs(sheet.straightenM) < 0.0015 ? (
                'It stands before the middle of the cogs.'
              ) : (
                <>
                  <strong>
                    <Show value={amount(Math.abs(sheet.straightenM), 'size')} />{' '}
                    {sheet.straightenM > 0 ? 'outward' : 'inward'}
                  </strong>{' '}
                  would put it before the middle of the cogs: spacers, or a ring with that offset.
                </>
              )}
            </p>
            <table className="sum">
              <tbody>
                <tr>
                  <th scope="row">
                    Chain, by the formula<span className="from">ring to the biggest cog, up to an even number</span>
                  </th>
                  <td className="num">{sheet.links} links</td>
                </tr>
                <tr>
                  <th scope="row">
                    The workshop way
                    <span className="from">
                      round the biggest pair, past the derailleur, and one full inch
                      {sheet.growthM > 0 ? ', with the rear wheel at the top of its travel' : ''}
                    </span>
                  </th>
                  <td className="num">{sheet.workshopLinks} links</td>
                </tr>
                {sheet.cadenceAtMotor ? (
                  <tr>
                    <th scope="row">
                      Cadence where the motor runs by itself
                      <span className="from">
                        highest gear at <Show value={amount(sheet.cadenceAtMotor.speedMs, 'speed')} />;{' '}
                        {sheet.cadenceAtMotor.canAdd ? 'legs can still add' : 'legs cannot add any more: a bigger ring'}
                      </span>
                    </th>
                    <td className="num">{Math.round(sheet.cadenceAtMotor.rpm)} rpm</td>
                  </tr>
                ) : null}
              </tbody>
            </table>
          </div>
        </div>
      </section>
      <PairTable sheet={sheet} />
      <LacingSheet lacing={sheet.lacing} />
    </>
  );
}

/** Ring and cogs seen from above, the chain drawn to each; those that lean too far stand out. */
function ChainPlan({ sheet }: { sheet: GearSheet }) {
  const units = useUnits();
  const lines = [...sheet.rows.map((r) => r.lineM), sheet.ringLineM];
  const low = Math.min(...lines) - 0.008;
  const high = Math.max(...lines) + 0.008;
  const y = (line: number): number => 20 + ((high - line) / (high - low)) * 150;
  return (
    <svg
      className="chain-plan"
      viewBox="0 0 360 196"
      role="img"
      aria-label={`Chain seen from above: ring at ${amountText(amount(sheet.ringLineM, 'size'), units)}, ${sheet.rows.filter((r) => r.leans).length} of ${sheet.rows.length} cogs lean too far`}
    >
      <text x="128" y="12" textAnchor="middle" className="road-text">
        cogs
      </text>
      <text x="300" y="12" textAnchor="middle" className="road-text">
        ring
      </text>
      {sheet.rows.map((row) => (
        <g key={row.cog} className={row.leans ? 'chain-leans' : 'chain-straight'}>
          <path d={`M132 ${y(row.lineM)}L296 ${y(sheet.ringLineM)}`} />
          <rect x={128 - row.cog * 0.9} y={y(row.lineM) - 1.6} width={row.cog * 1.8} height="3.2" />
          <text x="4" y={y(row.lineM) + 4} className="road-text num">
            {row.cog}
          </text>
          <text x="66" y={y(row.lineM) + 4} textAnchor="end" className="road-text num">
            {decimals((row.angleRad * 180) / Math.PI, 1)}°
          </text>
        </g>
      ))}
      <rect x="262" y={y(sheet.ringLineM) - 2.4} width="76" height="4.8" className="chain-ring" />
      <text x="300" y={y(sheet.ringLineM) + 18} textAnchor="middle" className="road-text num">
        {amountText(amount(sheet.ringLineM, 'size'), units)}
      </text>
    </svg>
  );
}

/** Rings across, cogs down: what would go, what would not start, what the hub gear forbids. */
function PairTable({ sheet }: { sheet: GearSheet }) {
  const mid = sheet.cells.some((c) => c.startGrade !== null);
  return (
    <section className="card" aria-labelledby="pairs-title">
      <h2 id="pairs-title">Rings and cogs that would do</h2>
      <p className="quiet">
        Rings of the shelf across, {sheet.cogMeans} down. Each cell: speed at 80 rpm in the highest gear
        {mid ? ', and the steepest start of the motor alone in the lowest' : ''}.
      </p>
      <div className="table-scroll" tabIndex={0} role="region" aria-label="Rings and cogs, scrolls sideways">
        <table className="gears pairs">
          <thead>
            <tr>
              <th scope="col">Cog</th>
              {sheet.rings.map((ring) => (
                <th key={ring} scope="col">
                  {ring}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.cogs.map((cog) => (
              <tr key={cog}>
                <th scope="row">{cog}</th>
                {sheet.rings.map((ring) => {
                  const cell = sheet.cells.find((c) => c.ring === ring && c.cog === cog);
                  if (!cell) return <td key={ring} />;
                  return (
                    <td key={ring} className={cell.verdict === 'goes' ? 'pair-goes' : 'pair-not'} title={cell.verdict}>
                      <Show value={amount(cell.topMs, 'speed', 0)} />
                      {cell.startGrade === null ? null : (
                        <span className="from">
                          <Show value={amount(cell.startGrade, 'grade', 0)} />
                        </span>
                      )}
                      {cell.verdict === 'goes' ? null : <span className="from">{cell.verdict}</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
