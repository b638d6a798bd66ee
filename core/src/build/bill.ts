import { z } from '../reading/zod.ts';

/** How a line of the bill stands, in the order a part goes through it. */
export const lineStates = [
  'wanted',
  'ordered',
  'promised',
  'arrived',
  'checked',
  'fitted',
  'faulty',
  'returned',
  'spare',
  'forSale',
  'sold',
] as const;
export type LineState = (typeof lineStates)[number];
export const lineStateWords: Record<LineState, string> = {
  wanted: 'wanted',
  ordered: 'ordered',
  promised: 'promised',
  arrived: 'arrived',
  checked: 'checked',
  fitted: 'fitted',
  faulty: 'faulty',
  returned: 'sent back',
  spare: 'spare',
  forSale: 'for sale',
  sold: 'sold',
};
/** States in which the thing lies here. */
const hereStates: readonly LineState[] = ['arrived', 'checked', 'fitted', 'faulty', 'spare', 'forSale'];
/** States in which it was paid for, or will have to be. */
export const boughtStates: readonly LineState[] = ['ordered', 'promised', ...hereStates, 'sold'];

/** Where a line comes from. */
export const lineSources = ['order', 'have', 'donor', 'borrow', 'hire'] as const;
export type LineSource = (typeof lineSources)[number];
export const lineSourceWords: Record<LineSource, string> = {
  order: 'to be ordered',
  have: 'had already',
  donor: 'kept from the donor',
  borrow: 'borrowed',
  hire: 'hired by the day',
};

const money = z.number().min(0).max(1_000_000);
const date = z.iso.date().nullable().default(null);
const supplierId = z.string().min(1).max(60);

/** What was decided and seen of one line; what is not here is as the plan has it. */
const lineChoiceSchema = z.object({
  state: z.enum(lineStates).default('wanted'),
  from: z.enum(lineSources).default('order'),
  /** What it is called, kept from when it was last touched: a line no longer wanted still has its name. */
  name: z.string().max(120).default(''),
  count: z.int().min(1).max(1000).nullable().default(null),
  /** Each, in the build's money; null: the shelf's. */
  price: money.nullable().default(null),
  supplier: supplierId.nullable().default(null),
  orderedOn: date,
  promisedOn: date,
  arrivedOn: date,
  returnBy: date,
  /** Why it was ordered against a finding that says measure. */
  reason: z.string().trim().max(1000).nullable().default(null),
  note: z.string().max(500).default(''),
  /** What of a kit's box was found on unpacking, by thing; what is not here was not looked for yet. */
  unboxed: z.record(z.string().max(40), z.enum(['present', 'missing', 'faulty'])).default({}),
  /** What it was sold for. */
  soldFor: money.nullable().default(null),
});
export type LineChoice = z.infer<typeof lineChoiceSchema>;
/** A line nothing was decided of. */
export const usualLine: Readonly<LineChoice> = Object.freeze(lineChoiceSchema.parse({}));

/** Whom parts are bought from. */
export const supplierSchema = z.object({
  id: supplierId,
  name: z.string().trim().min(1).max(80),
  shipping: money,
  /** Goods from which carriage is free; null: never. */
  freeFrom: money.nullable(),
  /** It sends batteries. */
  lithium: z.boolean(),
  /** It sends to islands, and what that adds; null: it does not. */
  islands: money.nullable(),
});
export type Supplier = z.infer<typeof supplierSchema>;

/** One supplier's price for a part, each, how many there are, and how long it takes. */
export const offerSchema = z.object({
  supplier: supplierId,
  part: z.string().min(1).max(80),
  price: money,
  stock: z.int().min(0).max(100_000).nullable().default(null),
  leadDays: z.object({
    low: z.number().min(0).max(365),
    likely: z.number().min(0).max(365),
    high: z.number().min(0).max(365),
  }),
  returnDays: z.int().min(0).max(365).default(14),
});
export type Offer = z.infer<typeof offerSchema>;

/** As many suppliers and prices as a build keeps. */
export const MOST_SUPPLIERS = 12;
export const MOST_OFFERS = 4000;

/** Parts, money and time of a build. */
export const billSchema = z.object({
  /** By line: a part chosen by name by its id, any other by its id and place. */
  lines: z.record(z.string().max(140), lineChoiceSchema).default({}),
  suppliers: z.array(supplierSchema).max(MOST_SUPPLIERS).default([]),
  offers: z.array(offerSchema).max(MOST_OFFERS).default([]),
  /** ISO 4217. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .default('EUR'),
  /** With what chance a part must have come by its day. */
  chance: z.number().min(0.5).max(0.99).default(0.8),
  /** The day all is wanted by. */
  neededBy: date,
  /** Sent to an island. */
  island: z.boolean().default(false),
  /** A shop's figures: its hour, share asked beforehand, tax as a share. */
  shop: z
    .object({
      name: z.string().max(80).default(''),
      hour: money.default(45),
      deposit: z.number().min(0).max(1).default(0.3),
      tax: z.number().min(0).max(1).default(0.2),
      /** An invoice: its number, day, hours as worked, deposit as paid; null: none is written yet. */
      invoice: z
        .object({
          number: z.string().max(40).default(''),
          on: z.iso.date(),
          hours: z.number().min(0).max(1000),
          paid: money.default(0),
        })
        .nullable()
        .default(null),
    })
    .prefault({}),
  /** A ready-made vehicle to hold against it: list price, and the one it is to be had for. */
  readyMade: z
    .object({
      list: money,
      sale: money,
      /** What a kilometre of it costs to run; null: nobody knows. */
      perKm: z.number().min(0).max(100).nullable().default(null),
    })
    .nullable()
    .default(null),
  /** How it will be used, for what a kilometre costs. Usual figures until somebody says otherwise. */
  use: z
    .object({
      kmAYear: z.number().min(0).max(100_000).default(2500),
      years: z.number().min(0.5).max(50).default(6),
      /** Share of all that was paid that it is sold for at the end. */
      resale: z.number().min(0).max(1).default(0.2),
      /** A kilowatt-hour from the wall. */
      kWh: z.number().min(0).max(100).default(0.3),
      /** Looking after it, each 1000 km. */
      service: money.default(20),
    })
    .prefault({}),
});
export type Bill = z.infer<typeof billSchema>;

/** Where a new build starts: nothing ordered, nobody asked. */
export const usualBill = (): Bill => billSchema.parse({});

/** What a counter answers of orders: how each stands. */
export const standingsSchema = z.object({
  orders: z
    .array(
      z.object({
        supplier: supplierId,
        part: z.string().min(1).max(80),
        state: z.enum(['ordered', 'promised', 'arrived']),
        promisedOn: z.iso.date().nullable(),
        arrivedOn: z.iso.date().nullable(),
      }),
    )
    .max(1000),
});
