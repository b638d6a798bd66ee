import { isObject, type Loose } from './loose.ts';

/** The bill as version 7 began with it. */
const billThen = {
  suppliers: [],
  offers: [],
  currency: 'EUR',
  chance: 0.8,
  neededBy: null,
  island: false,
  shop: { name: '', hour: 45, deposit: 0.3, tax: 0.2 },
  readyMade: null,
};
const lineThen = {
  state: 'ordered',
  from: 'order',
  name: '',
  count: null,
  price: null,
  supplier: null,
  promisedOn: null,
  arrivedOn: null,
  returnBy: null,
  note: '',
  unboxed: {},
  soldFor: null,
};

/** Version 6 → 7: what was marked as ordered, by part, is a line of the bill that stands at ordered. */
export function fromVersion6({ orders, ...build }: Loose): Loose {
  const lines: Loose = {};
  if (isObject(orders))
    for (const [part, order] of Object.entries(orders))
      lines[part] = isObject(order) ? { ...lineThen, orderedOn: order.on, reason: order.reason ?? null } : order;
  return { ...build, version: 7, bill: { ...billThen, lines } };
}
