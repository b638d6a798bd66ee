import type { BillLine } from '@sprocket/core';
import type { ReactNode } from 'react';
import { useMoney } from '../../ui/money.ts';

/** A sum at the foot of a sheet; `total` is set larger. */
export interface FootRow {
  label: string;
  sum: number;
  total?: boolean;
}

/** Lines with count, price and sum, and what they come to: an order, a quotation, an invoice. */
export function PricedTable({
  lines,
  head,
  more,
  foot,
}: {
  lines: readonly BillLine[];
  head: string;
  more?: ReactNode;
  foot: readonly FootRow[];
}) {
  const money = useMoney();
  return (
    <table className="bill">
      <thead>
        <tr>
          <th scope="col">{head}</th>
          {['Count', 'Each', 'Comes to'].map((word) => (
            <th key={word} scope="col" className="num">
              {word}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((l) => (
          <tr key={l.key}>
            <th scope="row">{l.name}</th>
            <td className="num">{l.count}</td>
            <td className="num">{l.price === null ? 'ask' : money(l.price)}</td>
            <td className="num">{money(l.sum)}</td>
          </tr>
        ))}
        {more}
      </tbody>
      <tfoot>
        {foot.map((row) => (
          <tr key={row.label} className={row.total ? 'total' : ''}>
            <th scope="row" colSpan={3}>
              {row.label}
            </th>
            <td className="num">{money(row.sum)}</td>
          </tr>
        ))}
      </tfoot>
    </table>
  );
}
