import { comparedGroups, comparedGroupWords, type Compared } from '@sprocket/core';
import { useState, type ReactNode } from 'react';
import { extentOfAll, MiniBike } from '../../drawing/MiniBike.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { Say } from '../../ui/Show.tsx';
import type { Beside } from './useBeside.ts';

/** A column each, drawn to one scale; what differs stands out, and the best of a line is marked. */
export function ComparedTable({
  sides,
  compared,
  does,
}: {
  sides: readonly Beside[];
  compared: Compared;
  does: (side: Beside) => ReactNode;
}) {
  const [onlyDiffering, setOnlyDiffering] = useState(false);
  const extent = extentOfAll(compared.sides.map((s) => s.drawing));
  const span = sides.length + 1;
  return (
    <div className="compare-scroll" tabIndex={0} role="region" aria-label="Side by side">
      <table className="compare-table">
        <thead>
          <tr>
            <td>
              {sides.length > 1 ? (
                <label className="only-differing">
                  <input
                    type="checkbox"
                    checked={onlyDiffering}
                    onChange={(event) => setOnlyDiffering(event.currentTarget.checked)}
                  />
                  Only what differs
                </label>
              ) : null}
            </td>
            {sides.map((side, i) => {
              const found = compared.sides[i];
              return found ? (
                <th key={side.id} scope="col" className={`side side-${side.of}`}>
                  <MiniBike drawing={found.drawing} extent={extent} />
                  <span className="side-name">{side.of === 'build' ? side.name : (found.kit ?? 'No kit chosen')}</span>
                  <span className="side-what">
                    {side.of === 'build' ? `${found.kit ?? 'no kit chosen'}, ` : ''}
                    {found.pack ?? 'no battery chosen'}
                    {found.gears.length > 0 ? `, ${found.gears.join(', ').toLowerCase()}` : ''}
                  </span>
                  <span className="side-note">{side.of === 'kept' ? '' : side.note}</span>
                </th>
              ) : null;
            })}
          </tr>
          {sides.length > 1 ? (
            <tr className="side-does">
              <td />
              {sides.map((side) => (
                <td key={side.id} className={`cell-${side.of}`}>
                  {does(side)}
                </td>
              ))}
            </tr>
          ) : null}
        </thead>
        {comparedGroups.map((group) => {
          const rows = compared.rows.filter((r) => r.group === group && (r.differs || !onlyDiffering));
          return rows.length === 0 ? null : (
            <tbody key={group}>
              <tr>
                <th scope="rowgroup" colSpan={span}>
                  {comparedGroupWords[group]}
                </th>
              </tr>
              {rows.map((row) => (
                <tr key={row.id} className={row.differs ? 'differs' : 'same'}>
                  <th scope="row">{row.label}</th>
                  {row.cells.map((cell, i) => (
                    <td key={sides[i]?.id} className={`cell-${sides[i]?.of ?? ''}${cell.best ? ' best' : ''}`}>
                      {cell.verdict ? <VerdictMark verdict={cell.verdict} /> : null}{' '}
                      {cell.says ? <Say words={cell.says} /> : <span aria-label="not known">–</span>}
                      {cell.best ? <span className="sr"> (best of them)</span> : null}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          );
        })}
        {compared.findings.length > 0 ? (
          <tbody>
            <tr>
              <th scope="rowgroup" colSpan={span}>
                Where they stand otherwise
              </th>
            </tr>
            {compared.findings.map(({ title, cells }) => (
              <tr key={title} className="differs">
                <th scope="row">{title}</th>
                {cells.map((cell, i) => (
                  <td key={sides[i]?.id} className={`cell-${sides[i]?.of ?? ''}`}>
                    {cell ? (
                      <>
                        <VerdictMark verdict={cell.verdict} />
                        {cell.verdict === 'fits' ? null : (
                          <p className="finding-why">
                            <Say words={cell.why} />
                          </p>
                        )}
                      </>
                    ) : (
                      <span className="quiet">not asked of it</span>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        ) : null}
      </table>
    </div>
  );
}
