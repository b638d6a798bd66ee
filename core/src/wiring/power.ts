import {
  CABLE_DROP_MOST,
  COPPER_OHM_MM2_PER_M,
  COPPER_TEMPERATURE_COEFFICIENT,
  FUSE_AT_LEAST,
  FUSE_TIGHTEST,
} from '../constants.ts';
import type { WiringChoice } from '../build/wiring.ts';
import type { Cable, Fuse, Precharge } from '../parts/smallParts.ts';
import type { Shelf } from '../parts/part.ts';

/** Copper in a bundle is taken this warm unless the air is hotter, °C. Source: models, §10. */
const CABLE_C = 40;
/** The fuse sits within this of the pack's plus, m. Source: models, §10. */
export const FUSE_WITHIN = 0.2;
/** A spark above this pits a plug, J; a controller whose capacitors nobody names is taken to have so much, F. Source: models, §10. */
export const SPARK_MOST = 0.5;
export const COMMON_CAPACITANCE = 0.001;
/** A pre-charge lets so much through at first, A, and is held for so many time constants. Source: models, §10. */
const PRECHARGE_AMPS = 2;
const PRECHARGE_TIMES = 5;

/** Resistance of a lead there and back, Ω. */
export function leadOhm(lengthM: number, mm2: number, celsius: number): number {
  return ((2 * COPPER_OHM_MM2_PER_M * lengthM) / mm2) * (1 + COPPER_TEMPERATURE_COEFFICIENT * (celsius - 20));
}

/** What the battery's lead is reckoned from. */
export interface PowerFrom {
  /** Battery limit as set, A. */
  amps: number;
  lengthM: number;
  nominalVolts: number;
  fullVolts: number;
  /** Of the controller's input, F; null: nobody says. */
  capacitanceF: number | null;
  airC: number;
  /** Copper of the lead as it comes, mm², null where nobody says. */
  leadMm2: number | null;
  /** Cable and pre-charge lead that a remedy taken brings: ids. */
  taken: readonly string[];
  /** What each plug in the way bears: name and A. */
  plugs: readonly { what: string; amps: number; volts: number }[];
}

/** Cable, drop, fuse and spark of the battery's lead, each with what it was reckoned from. */
export interface PowerSum extends PowerFrom {
  capacitance: { farad: number; known: boolean };
  celsius: number;
  /** Least size that bears the limit, keeps the drop and carries the fuse. */
  wantedMm2: number;
  carriesA: number;
  /** Size it will have: chosen, brought by a remedy, the lead's own, else what is wanted. */
  mm2: number;
  /** Somebody says what copper it has; else the sum is of what is wanted. */
  copperKnown: boolean;
  /** The fuse is as large as the lead's own copper bears, 1.1 to 1.25 times the limit: it may go on a hot day. */
  fuseTight: boolean;
  /** The fuse was chosen smaller than the limit wants, or breaks fewer volts than the full pack has. */
  fuseTrouble: 'small' | 'volts' | null;
  ohm: number;
  dropV: number;
  dropShare: number;
  lossW: number;
  fuseA: number | null;
  fuseVolts: number | null;
  /** The lead as it will be is thinner than wanted. */
  thin: boolean;
  /** Weakest plug in the way; under the fuse it would melt first. */
  weakest: { what: string; amps: number; volts: number } | null;
  spark: Spark;
}

/** What jumps when the plug is pushed home, and the resistor that keeps it small. */
export interface Spark {
  joules: number;
  /** Null where none is wanted. The one fitted, else the one that should be. */
  precharge: { ohm: number; seconds: number; watts: number; part: string | null } | null;
  /** A pre-charge lead is part of the plan, and lets no more through than it may. */
  fitted: boolean;
  /** Least resistance that lets no more through at first than it may, Ω. */
  leastOhm: number;
  /** One is part of the plan that lets more through: its Ω. */
  weak: number | null;
}

/**
 * Energy in a controller's capacitors at a pack's full volts, and the pre-charge that fills them.
 * @param had ids of parts in the plan, among which may be a pre-charge lead
 */
export function sparkOf(
  fullVolts: number,
  farad: number,
  precharges: readonly Precharge[],
  had: readonly (string | null)[] = [],
): Spark {
  const joules = 0.5 * farad * fullVolts * fullVolts;
  const least = fullVolts / PRECHARGE_AMPS;
  if (joules <= SPARK_MOST) return { joules, precharge: null, fitted: false, leastOhm: least, weak: null };
  let [usual, largest, own]: (Precharge | undefined)[] = [];
  for (const p of precharges) {
    if (p.ohm >= least && (!usual || p.ohm < usual.ohm)) usual = p;
    if (!largest || p.ohm >= largest.ohm) largest = p;
    if (had.includes(p.id) && (!own || p.ohm >= own.ohm)) own = p;
  }
  usual ??= largest;
  // Where nothing on the shelf is large enough, the largest is the best that can be had.
  const fitted = own !== undefined && own.ohm >= Math.min(least, usual?.ohm ?? least);
  const part = fitted ? own : usual;
  const ohm = part?.ohm ?? least;
  return {
    joules,
    precharge: {
      ohm,
      seconds: PRECHARGE_TIMES * ohm * farad,
      watts: (fullVolts * fullVolts) / ohm,
      part: part?.id ?? null,
    },
    fitted,
    leastOhm: least,
    weak: own && !fitted ? own.ohm : null,
  };
}

/** The least fuse of the list at 1.25 times the limit that breaks the pack's full volts; null where none does. */
export function fuseFor(amps: number, fullVolts: number, fuses: readonly Fuse[]): Fuse | null {
  return fuses.find((f) => f.amps >= amps * FUSE_AT_LEAST - 1e-9 && f.volts >= fullVolts) ?? null;
}

/**
 * The largest fuse that a lead's own copper bears, from 1.1 times the limit, where the usual one would be too large for
 * it; null where the usual one does, or none goes between. Source: physics, going safely.
 */
function tightFuse(amps: number, fullVolts: number, carriesA: number, fuses: readonly Fuse[]): Fuse | null {
  return (
    fuses
      .filter((f) => f.volts >= fullVolts && f.amps >= amps * FUSE_TIGHTEST - 1e-9 && f.amps <= carriesA + 1e-9)
      .at(-1) ?? null
  );
}

/** The thinnest cable that bears the limit, keeps the drop under 3 % and carries the fuse; the thickest there is where none does. */
export function cableFor(
  from: Pick<PowerFrom, 'amps' | 'lengthM' | 'nominalVolts'>,
  celsius: number,
  fuseA: number | null,
  cables: readonly Cable[],
): Cable {
  const found =
    cables.find(
      (c) =>
        c.amps >= from.amps &&
        (from.amps * leadOhm(from.lengthM, c.mm2, celsius)) / from.nominalVolts <= CABLE_DROP_MOST &&
        (fuseA === null || c.amps >= fuseA),
    ) ?? cables.at(-1);
  if (!found) throw new RangeError('no cable on the shelf');
  return found;
}

/** Everything of the battery's lead. Pure; agrees with hand sums in docs/models.md. */
export function powerOf(
  from: PowerFrom,
  stock: Pick<Shelf, 'cable' | 'fuse' | 'precharge'>,
  choice: WiringChoice['power'],
): PowerSum {
  const celsius = Math.max(CABLE_C, from.airC);
  const farad = from.capacitanceF ?? COMMON_CAPACITANCE;
  const usual = fuseFor(from.amps, from.fullVolts, stock.fuse);
  const brought = stock.cable.filter((c) => from.taken.includes(c.id)).at(-1)?.mm2 ?? null;
  const known = choice.mm2 ?? brought ?? from.leadMm2;
  const bears = (mm2: number): number => stock.cable.filter((c) => c.mm2 <= mm2 + 1e-9).at(-1)?.amps ?? 0;
  // The fuse protects the copper there is: where the usual one is too large for it, the largest it bears.
  const tight =
    known !== null && usual !== null && usual.amps > bears(known)
      ? tightFuse(from.amps, from.fullVolts, bears(known), stock.fuse)
      : null;
  const reckoned = tight ?? usual;
  const fuse = choice.fuseA === null ? reckoned : (stock.fuse.find((f) => f.amps === choice.fuseA) ?? reckoned);
  const atLeast = tight ? FUSE_TIGHTEST : FUSE_AT_LEAST;
  const wanted = cableFor(from, celsius, fuse?.amps ?? null, stock.cable);
  const mm2 = known ?? wanted.mm2;
  const ohm = leadOhm(from.lengthM, mm2, celsius);
  const weakest = from.plugs.reduce<PowerFrom['plugs'][number] | null>(
    (least, plug) => (least && least.amps <= plug.amps ? least : plug),
    null,
  );
  // Field by field: candidates ask for hundreds, and a spread object costs ten times as much.
  return {
    amps: from.amps,
    lengthM: from.lengthM,
    nominalVolts: from.nominalVolts,
    fullVolts: from.fullVolts,
    capacitanceF: from.capacitanceF,
    airC: from.airC,
    leadMm2: from.leadMm2,
    taken: from.taken,
    plugs: from.plugs,
    capacitance: { farad, known: from.capacitanceF !== null },
    celsius,
    wantedMm2: wanted.mm2,
    carriesA: bears(mm2),
    mm2,
    copperKnown: known !== null,
    fuseTight: fuse !== null && fuse.amps < from.amps * FUSE_AT_LEAST - 1e-9 && fuse.amps >= from.amps * atLeast - 1e-9,
    fuseTrouble:
      fuse && fuse.volts < from.fullVolts ? 'volts' : fuse && fuse.amps < from.amps * atLeast - 1e-9 ? 'small' : null,
    ohm,
    dropV: from.amps * ohm,
    dropShare: (from.amps * ohm) / from.nominalVolts,
    lossW: from.amps * from.amps * ohm,
    fuseA: fuse?.amps ?? null,
    fuseVolts: fuse?.volts ?? null,
    thin: mm2 < wanted.mm2 - 1e-9,
    weakest,
    spark: sparkOf(from.fullVolts, farad, stock.precharge, [choice.precharge, ...from.taken]),
  };
}
