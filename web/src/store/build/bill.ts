import type { PayloadAction } from '@reduxjs/toolkit';
import { usualLine, type Bill, type LineChoice, type Offer, type Supplier } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of parts and money: lines of the bill, suppliers, what they ask. */
export const billReducers = {
  /** A change of one line; it keeps its name, so that it is still called something when nothing wants it any more. */
  lineEdited(state: BuildState, action: PayloadAction<Edit<{ key: string; change: Partial<LineChoice> }>>) {
    if (!state.build) return;
    const { key, change } = action.payload.value;
    const { lines } = state.build.bill;
    lines[key] = { ...usualLine, ...lines[key], ...change };
  },
  /** Several lines at once: an order placed, a delivery unpacked. */
  linesEdited(state: BuildState, action: PayloadAction<Edit<{ key: string; change: Partial<LineChoice> }[]>>) {
    if (!state.build) return;
    const { lines } = state.build.bill;
    for (const { key, change } of action.payload.value) lines[key] = { ...usualLine, ...lines[key], ...change };
  },
  /** A line as if nothing had been decided of it. */
  lineCleared(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (state.build) Reflect.deleteProperty(state.build.bill.lines, action.payload.value);
  },
  billEdited(state: BuildState, action: PayloadAction<Edit<Partial<Omit<Bill, 'lines'>>>>) {
    if (state.build) Object.assign(state.build.bill, action.payload.value);
  },
  supplierKept(state: BuildState, action: PayloadAction<Edit<Supplier>>) {
    if (!state.build) return;
    const { value } = action.payload;
    const { suppliers } = state.build.bill;
    const at = suppliers.findIndex((s) => s.id === value.id);
    if (at < 0) suppliers.push(value);
    else suppliers[at] = value;
  },
  /** A supplier goes with all it asks; lines ordered there keep its name. */
  supplierDropped(state: BuildState, action: PayloadAction<Edit<string>>) {
    if (!state.build) return;
    const { bill } = state.build;
    bill.suppliers = bill.suppliers.filter((s) => s.id !== action.payload.value);
    bill.offers = bill.offers.filter((o) => o.supplier !== action.payload.value);
  },
  /** What suppliers ask now, in place of what the same ones asked for the same parts. */
  offersBrought(state: BuildState, action: PayloadAction<Edit<{ suppliers: Supplier[]; offers: Offer[] }>>) {
    if (!state.build) return;
    const { suppliers, offers } = action.payload.value;
    const { bill } = state.build;
    const known = new Map(bill.suppliers.map((s) => [s.id, s]));
    for (const supplier of suppliers) known.set(supplier.id, supplier);
    bill.suppliers = [...known.values()];
    const name = (o: Offer): string => `${o.supplier} ${o.part}`;
    const all = new Map(bill.offers.map((o) => [name(o), o]));
    for (const offer of offers) all.set(name(offer), offer);
    bill.offers = [...all.values()];
  },
};
