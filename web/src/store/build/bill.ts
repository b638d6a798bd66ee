import { type Build, usualLine, type Bill, type LineChoice, type Offer, type Supplier } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of parts and money: lines of the bill, suppliers, what they ask. */
export const billReducers = onOpen({
  /** A change of one line; it keeps its name, so that it is still called something when nothing wants it any more. */
  lineEdited(build: Build, value: { key: string; change: Partial<LineChoice> }) {
    const { key, change } = value;
    const { lines } = build.bill;
    lines[key] = { ...usualLine, ...lines[key], ...change };
  },
  /** Several lines at once: an order placed, a delivery unpacked. */
  linesEdited(build: Build, value: { key: string; change: Partial<LineChoice> }[]) {
    const { lines } = build.bill;
    for (const { key, change } of value) lines[key] = { ...usualLine, ...lines[key], ...change };
  },
  /** A line as if nothing had been decided of it. */
  lineCleared(build: Build, value: string) {
    Reflect.deleteProperty(build.bill.lines, value);
  },
  billEdited: patched<Partial<Omit<Bill, 'lines'>>>((build) => build.bill),
  supplierKept(build: Build, value: Supplier) {
    const { suppliers } = build.bill;
    const at = suppliers.findIndex((s) => s.id === value.id);
    if (at < 0) suppliers.push(value);
    else suppliers[at] = value;
  },
  /** A supplier goes with all it asks; lines ordered there keep its name. */
  supplierDropped(build: Build, value: string) {
    const { bill } = build;
    bill.suppliers = bill.suppliers.filter((s) => s.id !== value);
    bill.offers = bill.offers.filter((o) => o.supplier !== value);
  },
  /** What suppliers ask now, in place of what the same ones asked for the same parts. */
  offersBrought(build: Build, value: { suppliers: Supplier[]; offers: Offer[] }) {
    const { suppliers, offers } = value;
    const { bill } = build;
    const known = new Map(bill.suppliers.map((s) => [s.id, s]));
    for (const supplier of suppliers) known.set(supplier.id, supplier);
    bill.suppliers = [...known.values()];
    const name = (o: Offer): string => `${o.supplier} ${o.part}`;
    const all = new Map(bill.offers.map((o) => [name(o), o]));
    for (const offer of offers) all.set(name(offer), offer);
    bill.offers = [...all.values()];
  },
});
