import { Button } from '@mantine/core';
import { purchaseOrders, type BillSheet } from '@sprocket/core';
import Papa from 'papaparse';
import { useBuild } from '../../app/store.ts';
import { downloadText } from '../../ui/download.ts';
import { useMoney } from '../../ui/money.ts';
import { today } from '../../ui/today.ts';

/** A purchase order for each supplier with something ordered and not come: to print, or as CSV. */
export function Orders({ bill }: { bill: BillSheet }) {
  const build = useBuild();
  const money = useMoney();
  const orders = purchaseOrders(bill.lines, build.bill);
  if (orders.length === 0) return null;
  return (
    <section aria-labelledby="orders">
      <div className="section-head no-print">
        <h2 id="orders">Orders</h2>
        <span className="quiet">a page for each supplier</span>
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {orders.map((order) => (
        <article key={order.supplier} className="quotation order-page card" aria-label={`Order to ${order.name}`}>
          <header>
            <div>
              <h3>{order.name}</h3>
              <p>
                For {build.bill.shop.name || build.name}, {today()}
              </p>
            </div>
            <Button
              className="no-print"
              size="compact-sm"
              variant="default"
              onClick={() =>
                downloadText(
                  `order-${order.supplier}.csv`,
                  Papa.unparse(
                    order.lines.map((l) => ({
                      part: l.part,
                      name: l.name,
                      count: l.count,
                      each: l.price ?? '',
                      sum: l.sum,
                      currency: build.bill.currency,
                    })),
                  ),
                  'text/csv',
                )
              }
            >
              Save as CSV<span className="sr">, {order.name}</span>
            </Button>
          </header>
          <table className="bill">
            <thead>
              <tr>
                <th scope="col">Part</th>
                <th scope="col" className="num">
                  Count
                </th>
                <th scope="col" className="num">
                  Each
                </th>
                <th scope="col" className="num">
                  Comes to
                </th>
              </tr>
            </thead>
            <tbody>
              {order.lines.map((l) => (
                <tr key={l.key}>
                  <th scope="row">{l.name}</th>
                  <td className="num">{l.count}</td>
                  <td className="num">{l.price === null ? 'ask' : money(l.price)}</td>
                  <td className="num">{money(l.sum)}</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <th scope="row" colSpan={3}>
                  Carriage
                </th>
                <td className="num">{money(order.shipping)}</td>
              </tr>
              <tr className="total">
                <th scope="row" colSpan={3}>
                  In all
                </th>
                <td className="num">{money(order.total)}</td>
              </tr>
            </tfoot>
          </table>
        </article>
      ))}
    </section>
  );
}
