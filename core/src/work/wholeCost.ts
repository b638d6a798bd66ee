import { boughtStates, type Bill } from '../build/bill.ts';
import type { BillLine } from './bill.ts';

/** What a conversion comes to, all told, in the build's money; what is won back stands below nought. */
export interface WholeCost {
  rows: { id: 'parts' | 'bench' | 'carriage' | 'donor' | 'sold'; label: string; sum: number }[];
  total: number;
  /** Suppliers' carriage is not known yet for so many lines that are still to be ordered. */
  withoutCarriage: number;
  /** A kilometre over its life; null without a reckoned ride. */
  perKm: PerKm | null;
  /** Against a ready-made vehicle; null where none is named. */
  readyMade: AgainstReadyMade | null;
}

/** What a kilometre costs, by what for. */
export interface PerKm {
  km: number;
  /** All that was paid less what it is sold for at the end, over all kilometres. */
  buying: number;
  energy: number;
  battery: number;
  service: number;
  total: number;
}

/** Held against a ready-made vehicle: above nought, the conversion is the cheaper. */
export interface AgainstReadyMade {
  lessThanList: number;
  lessThanSale: number;
  /** Km after which it turns; null where it does not, or where nobody knows what a kilometre of the other costs. */
  turnsAtKm: number | null;
}

/** A kilometre of the plan's own ride: Wh from the battery, the share of the wall's that it is, and the battery's wear. */
export interface Riding {
  whPerKm: number;
  charged: number;
  batteryPerKm: number;
}

/** Carriage of all that was ordered: each supplier's, for each day's order, free from its sum on. */
export function carriageOf(lines: readonly BillLine[], bill: Bill): number {
  const goods = new Map<string, number>();
  for (const { choice, state, from, sum } of lines) {
    if (from !== 'order' || choice.supplier === null || !(boughtStates.includes(state) || state === 'returned'))
      continue;
    const order = `${choice.supplier} ${choice.orderedOn ?? ''}`;
    goods.set(order, (goods.get(order) ?? 0) + sum);
  }
  return [...goods].reduce((all, [order, sum]) => {
    const s = bill.suppliers.find((one) => one.id === order.slice(0, order.lastIndexOf(' ')));
    if (!s || (s.freeFrom !== null && sum >= s.freeFrom - 1e-9)) return all;
    return all + s.shipping + (bill.island ? (s.islands ?? 0) : 0);
  }, 0);
}

/**
 * What a conversion comes to: all lines the plan wants and all that was bought besides, carriage, the donor, less what
 * was sold; a kilometre of it over its life; and against a ready-made vehicle. Source: models, §11.
 */
export function wholeCost(
  lines: readonly BillLine[],
  bill: Bill,
  donorPrice: number,
  riding: Riding | null,
): WholeCost {
  const sum = (which: (line: BillLine) => boolean): number =>
    lines.reduce((all, line) => (which(line) ? all + line.sum : all), 0);
  const counts = (l: BillLine): boolean => l.why !== 'notWanted' || boughtStates.includes(l.state);
  const bench = sum((l) => counts(l) && l.why === 'bench');
  const parts = sum((l) => counts(l) && l.why !== 'bench');
  const sold = lines.reduce((all, l) => all + (l.state === 'sold' ? (l.choice.soldFor ?? 0) : 0), 0);
  const carriage = carriageOf(lines, bill);
  const rows: WholeCost['rows'] = [
    { id: 'parts', label: 'Parts, remedies and work by others', sum: parts },
    { id: 'bench', label: 'Tools and supplies', sum: bench },
    { id: 'carriage', label: 'Carriage of what is ordered', sum: carriage },
    { id: 'donor', label: 'The donor', sum: donorPrice },
    { id: 'sold', label: 'Won back by selling', sum: -sold },
  ];
  const total = rows.reduce((all, row) => all + row.sum, 0);
  const { use, readyMade } = bill;
  const km = use.kmAYear * use.years;
  const perKm = riding && km > 0 ? perKmOf(total, km, use, riding) : null;
  const running = perKm ? perKm.energy + perKm.battery + perKm.service : null;
  return {
    rows,
    total,
    withoutCarriage: lines.filter((l) => l.why !== 'notWanted' && l.from === 'order' && l.state === 'wanted').length,
    perKm,
    readyMade: readyMade
      ? {
          lessThanList: readyMade.list - total,
          lessThanSale: readyMade.sale - total,
          turnsAtKm: turnsAt(readyMade.sale - total, running, readyMade.perKm),
        }
      : null,
  };
}

function perKmOf(total: number, km: number, use: Bill['use'], { whPerKm, charged, batteryPerKm }: Riding): PerKm {
  const buying = (total * (1 - use.resale)) / km;
  const energy = (whPerKm / 1000 / charged) * use.kWh;
  const service = use.service / 1000;
  return { km, buying, energy, battery: batteryPerKm, service, total: buying + energy + batteryPerKm + service };
}

/** Km at which what was cheaper to buy has cost as much as the other; null where it stays the cheaper. */
function turnsAt(less: number, running: number | null, other: number | null): number | null {
  if (running === null || other === null) return null;
  const more = running - other;
  const km = less / more;
  return more !== 0 && km > 0 ? km : null;
}
