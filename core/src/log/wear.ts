import type { Build } from '../build/build.ts';
import { byTime, entriesOf, type EntryOf, type MeasuredThing, type RenewedThing } from '../build/log.ts';
import { NORMAL_90 } from '../constants.ts';
import { amount, type Phrase, phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { odometerOf } from './odometer.ts';
import { upkeepFacts } from './upkeep.ts';

/** Things that wear, and how long they still last. */
export interface Wear {
  id: 'chain' | 'padFront' | 'padRear' | 'tyreDriven';
  words: string;
  /** Life from new, m: one in ten shorter, one in ten longer. */
  lifeM: { low: number; mid: number; high: number };
  /** Ridden on this one, m. */
  riddenM: number;
  /** Still to go, m; 0 where it is worn out. */
  leftM: { low: number; mid: number; high: number };
  /** Of its life gone, by what was measured, else by way: 0 new, 1 out. */
  gone: number;
  measured: { at: string; value: number; m: number }[];
  /** What the life is reckoned from. */
  why: Phrase[];
}

/**
 * Lives of a bicycle of 100 kg on its legs’ 75 W alone, m, and how far they lie apart in the logarithm. Source: the
 * trade’s middling figures; a chain between 2000 and 5000 km, pads and blocks likewise, a town tyre 5000.
 */
const USUAL = {
  chain: { m: 3.2e6, sd: 0.4 },
  disc: { joules: 4.2e6, sd: 0.45 },
  rim: { joules: 3.4e6, sd: 0.5 },
  tyre: { m: 4.5e6, sd: 0.35 },
} as const;
const USUAL_LEGS_W = 75;
const USUAL_AXLE_KG = 60;
/** Wear of a chain rises less than its load: twice the watts take a third off its life. Source: project. */
const CHAIN_POWER = 0.6;
const TYRE_LOAD = 1.2;
/** A driven tyre wears so much faster. Source: project. */
const DRIVEN_TYRE = 0.75;
/** Besides the road’s own braking: grit, wet rims and shunting about, J a metre. Source: project. */
const GRIT_J_PER_M = 0.5;
/** Share of the braking that the front does. Source: statics, an ordinary bicycle at 3 m/s². */
const FRONT_SHARE = 0.65;
/** What is new and what is out, by what is measured: a chain in share of stretch, linings and tread in m. Source: workshop practice. */
const OUT: Record<Wear['id'], { fresh: number; out: number; of: MeasuredThing; sd: number }> = {
  chain: { fresh: 0, out: 0.0075, of: 'chainWear', sd: 0.15 },
  padFront: { fresh: 0.004, out: 0.001, of: 'padFront', sd: 0.15 },
  padRear: { fresh: 0.004, out: 0.001, of: 'padRear', sd: 0.15 },
  tyreDriven: { fresh: 0.004, out: 0.0008, of: 'treadRear', sd: 0.2 },
};

/** Less worn than this, what was measured tells no pace. */
const LEAST_GONE = 0.08;

/** When the thing that wears now was put on: the last change that renewed it, else the beginning. */
function fittedAt(changes: readonly EntryOf<'change'>[], thing: RenewedThing): string {
  return (
    changes
      .filter((c) => c.renews === thing)
      .map((c) => c.at)
      .sort()
      .at(-1) ?? ''
  );
}

/** A life in the logarithm drawn to what was measured: both normal there. */
function learned(
  usual: { m: number; sd: number },
  seen: { gone: number; m: number } | null,
  sd: number,
): { m: number; sd: number } {
  if (!seen || seen.gone < LEAST_GONE || seen.m <= 0) return usual;
  // What was measured is trusted the more the further it is gone.
  const own = sd / Math.sqrt(Math.min(1, seen.gone));
  const weight = 1 / (1 + (own / usual.sd) ** 2);
  return {
    m: Math.exp(Math.log(usual.m) + weight * (Math.log(seen.m / seen.gone) - Math.log(usual.m))),
    sd: Math.sqrt(1 / (1 / usual.sd ** 2 + 1 / own ** 2)),
  };
}

/**
 * How long chain, linings and the driven tyre last on this vehicle and road, honest in its width, and drawn to what was
 * measured since each was fitted. Null without kit and pack.
 */
export function wearOf(context: PlanContext, build: Build, now: string): Wear[] | null {
  const { reckoning, asItWillBe, axleLoads } = context;
  if (!reckoning) return null;
  const facts = upkeepFacts(context);
  const odometer = odometerOf(build.log, now);
  const changes = entriesOf(build.log, 'change');
  const measurements = entriesOf(build.log, 'measurement').sort(byTime);
  const { toEmpty, system } = reckoning;
  const wayM = Math.max(1, toEmpty.distanceM);
  const { account } = toEmpty;
  const legsW = system.rider.powerW;
  // Through the chain: the legs always, the motor where it sits in the middle.
  const motorW = facts.mid ? account.wheel / Math.max(1, toEmpty.timeS) : 0;
  const chainW = legsW + motorW;
  const brakeJPerM = account.brakes / wayM + GRIT_J_PER_M;
  const loadKg = facts.driven === 'front' ? axleLoads.frontKg : axleLoads.rearKg;
  const kindOf = (b: string | undefined): 'disc' | 'rim' | null =>
    b === 'rim' ? 'rim' : b === 'discCable' || b === 'discHydraulic' ? 'disc' : null;
  const pads = (end: 'front' | 'rear'): { m: number; sd: number } | null => {
    const kind = kindOf(asItWillBe.brakes[end]);
    if (!kind) return null;
    const share = end === 'front' ? FRONT_SHARE : 1 - FRONT_SHARE;
    return { m: USUAL[kind].joules / (brakeJPerM * share), sd: USUAL[kind].sd };
  };
  const front = pads('front');
  const rear = pads('rear');
  const rows: {
    id: Wear['id'];
    words: string;
    usual: { m: number; sd: number };
    fitted: RenewedThing;
    why: Phrase[];
  }[] = [
    {
      id: 'chain',
      words: 'Chain',
      usual: {
        m: USUAL.chain.m * (USUAL_LEGS_W / Math.max(20, chainW)) ** CHAIN_POWER,
        sd: USUAL.chain.sd,
      },
      fitted: 'chain',
      why: [
        facts.mid
          ? phrase`${amount(legsW, 'power')} of legs and ${amount(motorW, 'power')} of motor go through it`
          : phrase`${amount(legsW, 'power')} of legs go through it; the motor drives past it`,
      ],
    },
    ...(front
      ? [
          {
            id: 'padFront' as const,
            words: 'Front pads',
            usual: front,
            fitted: 'padFront' as const,
            why: [
              phrase`${amount(brakeJPerM / 3600, 'energyPerWay', 2)} go into the brakes on this road, two thirds in front`,
            ],
          },
        ]
      : []),
    ...(rear
      ? [
          {
            id: 'padRear' as const,
            words: 'Rear pads',
            usual: rear,
            fitted: 'padRear' as const,
            why: [phrase`${amount(brakeJPerM / 3600, 'energyPerWay', 2)} go into the brakes, a third behind`],
          },
        ]
      : []),
    {
      id: 'tyreDriven',
      words: facts.driven === 'front' ? 'Front tyre, driven' : 'Rear tyre, driven',
      usual: {
        m: USUAL.tyre.m * DRIVEN_TYRE * (USUAL_AXLE_KG / Math.max(20, loadKg)) ** TYRE_LOAD,
        sd: USUAL.tyre.sd,
      },
      fitted: facts.driven === 'front' ? 'tyreFront' : 'tyreRear',
      why: [phrase`${amount(loadKg, 'mass', 0)} stand on it, and the motor pulls through it`],
    },
  ];
  return rows.map(({ id, words, usual, fitted, why }) => {
    const since = fittedAt(changes, fitted);
    const startM = since === '' ? 0 : odometer.at(since);
    const riddenM = odometer.at(now) - startM;
    const { of, fresh, out, sd } = OUT[id];
    const thing = id === 'tyreDriven' && facts.driven === 'front' ? 'treadFront' : of;
    const measured = measurements
      .filter((m) => m.what === thing && m.at >= since)
      .map((m) => ({ at: m.at, value: m.value, m: odometer.at(m.at) - startM }));
    const last = measured.at(-1);
    const gone = last ? Math.max(0, (last.value - fresh) / (out - fresh)) : null;
    const life = learned(usual, last && gone !== null ? { gone, m: last.m } : null, sd);
    const lifeM = {
      low: life.m * Math.exp(-NORMAL_90 * life.sd),
      mid: life.m,
      high: life.m * Math.exp(NORMAL_90 * life.sd),
    };
    // Measured: what is left of it at the pace it went; else what is left of a life.
    const left = (m: number): number =>
      gone !== null && last ? Math.max(0, m * (1 - gone) - (riddenM - last.m)) : Math.max(0, m - riddenM);
    return {
      id,
      words,
      lifeM,
      riddenM,
      leftM: { low: left(lifeM.low), mid: left(lifeM.mid), high: left(lifeM.high) },
      gone: gone !== null && last ? gone + (riddenM - last.m) / life.m : riddenM / life.m,
      measured,
      why: last ? [...why, phrase`measured on ${last.at.slice(0, 10)} after ${amount(last.m, 'way', 0)}`] : why,
    };
  });
}
