import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';

import type { Survey, SurveyItemId } from '../donor/donor.ts';
import type { SurveyItem } from '../donor/items/item.ts';
import { vehicleKinds, type VehicleKind } from '../donor/kinds.ts';
import { itemsFor, surveyItem } from '../donor/survey.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Verdict } from '../verdict.ts';
import { flatRoute } from '../ride/route.ts';
import type { Taking } from '../build/remedy.ts';
import { PlanContext, type TakenFix } from '../vehicle/context.ts';
import { kitRules, packRules } from './allRules.ts';
import { packCrossings } from './crossings/judgements.ts';
import { wiringRules } from '../../test/wiringRules.ts';

/** Values tried of an item: its choices, or its range and what is common. */
function values(item: SurveyItem): unknown[] {
  if (item.type === 'choice') return item.options.map((o) => o.value);
  if (item.type === 'number')
    return [...item.common, ...Array.from({ length: 9 }, (_, i) => item.low + ((item.high - item.low) * i) / 8)];
  if (item.type === 'tyre')
    return [
      { beadM: 0.622, widthM: 0.037 },
      { beadM: 0.559, widthM: 0.1 },
      { beadM: 0.406, widthM: 0.047 },
    ];
  return [[28, 24, 21, 18, 16, 14], [19], [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42, 50]];
}

const entry = (value: unknown) => ({ value, typed: '', unit: '', provenance: 'measured' as const, note: '' });

/** A build of a kind with everything measured at its first plausible value. */
function measured(kind: VehicleKind): Build {
  const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  b.donor.kind = kind;
  // Twice, since what is found decides what else is asked.
  for (let pass = 0; pass < 2; pass++) {
    for (const item of itemsFor(b.donor)) {
      if (b.donor.survey[item.id] !== undefined) continue;
      (b.donor.survey as Record<string, unknown>)[item.id] = entry(values(item)[0]);
    }
  }
  return b;
}

/** A build’s context on a road of one grade. */
function contextOf(build: Build, steepest: number): PlanContext {
  const route = {
    ...flatRoute,
    points: [
      { distanceM: 0, elevationM: 0 },
      { distanceM: 1000, elevationM: 1000 * steepest },
    ],
  };
  return PlanContext.of({ ...build, brief: { ...build.brief, route } }, starterShelf, false);
}

/** Builds that between them meet every rule: kinds, hub gears, discs, throttles, classes and schools. */
function worlds(): Build[] {
  const out: Build[] = [];
  for (const kind of vehicleKinds) {
    for (const cluster of ['freewheel', 'hubGear', 'single'] as const) {
      for (const brake of ['rim', 'discCable', 'coaster'] as const) {
        const b = measured(kind);
        const survey = b.donor.survey as Record<string, unknown>;
        survey.clusterKind = entry(cluster);
        survey.rearBrake = entry(brake);
        survey.frontBrake = entry(brake === 'coaster' ? 'rim' : brake);
        // Things that only some vehicles have, so that what is asked of them is asked.
        survey.frontCarrier = entry('basket');
        survey.finalDrive = entry(cluster === 'single' ? 'belt' : 'chain');
        survey.formerMotor = entry(brake === 'coaster' ? 'partsLeft' : 'none');
        for (const item of itemsFor(b.donor)) survey[item.id] ??= entry(values(item)[0]);
        b.choice.usesThrottle = brake !== 'coaster';
        for (const r of b.brief.riders) r.ageYears = brake === 'coaster' ? null : 40;
        if (brake === 'discCable') b.choice.packPlace = 'rack';
        survey.stand = entry('centre');
        survey.standLimit = entry(30);
        b.choice.torqueArms = cluster === 'single' ? 0 : cluster === 'hubGear' ? 1 : 2;
        b.brief.legalClass = brake === 'rim' ? 'epac25' : brake === 'coaster' ? 'moped25' : 'powered45';
        b.brief.purpose = brake === 'rim' ? 'load' : 'commute';
        const [rider] = b.brief.riders;
        if (rider) rider.neverShifts = cluster === 'single' && brake === 'rim';
        if (brake === 'coaster') {
          b.schools = {
            ...b.schools,
            midArm: 'always',
            hubGearMid: 'complexity',
            throttle: 'full',
            kitSource: 'oneSupplier',
            battery: 'rack',
            hubArms: 'always',
            levers: 'keepOwn',
            brakeLever: 'electric',
            cadenceSensor: 'leftOff',
            crankOffset: 'corrected',
            newChain: 'always',
            leads: 'inside',
          };
          b.brief.budget = 100;
        }
        if (brake === 'rim') b.schools = { ...b.schools, throttle: 'full' };
        out.push(b);
      }
    }
  }
  return out;
}

/** What hangs on choices of wiring, on a pack’s plug, on what was set or on who rides: held by kind and by the thresholds. */
const ofWiring = new Set([...wiringRules, 'kit-box', 'closing-question', 'lead-ends', 'legs']);

/** Parts that a remedy brings, each where it goes: what they bolt to is asked only then. */
const bought: readonly Taking[] = [
  { part: 'front-brake', place: 'front brake', count: 1 },
  { part: 'front-brake', place: 'rear brake', count: 1 },
  { part: 'disc-brake', place: 'front brake', count: 1 },
  { part: 'disc-brake', place: 'rear brake', count: 1 },
  { part: 'rear-rack', place: 'rack', count: 1 },
  { part: 'twin-stand', place: 'stand', count: 1 },
  { part: 'chain-tensioner', place: 'chain', count: 1 },
  { part: 'plain-rear-wheel', place: 'rear wheel', count: 1 },
];
const asksOfBought = (rule: string): boolean => rule.startsWith('mount-') || ofBought.includes(rule);
const ofBought = ['fork-steerer', 'rack-eyelets', 'stand-place', 'tensioner-hanger', 'wheel-spacing'];
/** With them taken; a fork, which brings what a brake bolts to, for its own rule. */
const takenFor = (rule: string): readonly TakenFix[] => [
  { subject: 'donor', takes: rule === 'fork-steerer' ? [{ part: 'steel-fork', place: 'fork', count: 1 }] : bought },
];

/** One pack of each form that lies differently. */
const typical = starterShelf.pack.filter((p) =>
  ['kettle-36-13', 'slab-52-20', 'loaf-36-17', 'loaf-48-15', 'ballast-36-18-pb'].includes(p.id),
);

describe('every rule is reached', () => {
  const seen = new Map<string, Set<Verdict>>();
  before(function () {
    const note = (rule: string, verdict: Verdict | undefined): void => {
      if (verdict) (seen.get(rule) ?? seen.set(rule, new Set()).get(rule))?.add(verdict);
    };
    for (const build of worlds()) {
      // Enough has been seen of a rule once it fitted, asked and warned.
      const enough = (rule: string): boolean => {
        const v = seen.get(rule);
        return v !== undefined && v.has('fits') && v.has('measure') && (v.has('rework') || v.has('stop'));
      };
      const contexts = [contextOf(build, 0.02), contextOf(build, 0.16)];
      const ground = contextOf(build, 0.08);
      const tried = new Map<SurveyItemId, PlanContext[]>();
      const variants = (id: SurveyItemId): PlanContext[] => {
        let list = tried.get(id);
        if (!list) {
          const rest = { ...build.donor.survey };
          Reflect.deleteProperty(rest, id);
          list = [rest, ...values(surveyItem(id)).map((v): Survey => ({ ...rest, [id]: entry(v) }) as Survey)].map(
            (survey) => ground.on({ ...ground.build, donor: { ...ground.build.donor, survey } }),
          );
          tried.set(id, list);
        }
        return list;
      };
      for (const rule of kitRules) {
        if (enough(rule.id) || ofWiring.has(rule.id)) continue;
        for (const kit of starterShelf.kit) {
          const judge = (c: PlanContext): void => {
            const here = asksOfBought(rule.id) ? c.having(takenFor(rule.id)) : c;
            note(rule.id, rule.judge(here.with(kit, null))?.verdict);
          };
          for (const c of contexts) judge(c);
          if (enough(rule.id)) continue;
          for (const id of rule.uses) for (const c of variants(id)) judge(c);
        }
      }
      // Where a pack lies hangs on the vehicle, not on its brakes and gears.
      const laid =
        build.donor.survey.clusterKind?.value === 'freewheel' &&
        build.donor.survey.rearBrake?.value === 'rim' &&
        ['diamond', 'stepThrough', 'boxBike', 'recumbent'].includes(build.donor.kind);
      for (const rule of packRules) {
        if (enough(rule.id)) continue;
        for (const pack of typical) {
          const kit = starterShelf.kit.find((k) => k.id === 'otter-r250') ?? null;
          for (const other of starterShelf.kit.filter((_k, i) => i % 6 === 2))
            for (const c of contexts) note(rule.id, rule.judge(c.with(other, pack))?.verdict);
          if (!laid || enough(rule.id)) continue;
          for (const id of rule.uses)
            for (const c of variants(id)) note(rule.id, rule.judge(c.with(kit, pack))?.verdict);
        }
      }
    }
  });

  /** These only ever warn, or only speak where something is wrong. */
  const onlyWarns = new Set([
    'side-kit',
    'size-chain',
    'side-clamps',
    'side-line',
    'bracket-spacers',
    'crossover-tandem',
    'shell-air',
    'shell-hands',
  ]);
  /** Taste, or what only shows when parts have come: held by the thresholds and by kind. */
  const onlySays = new Set(['entry-school', 'controller-school', 'axle-bores']);
  /** They hang on where a pack lies or where it came from: held answer by answer (crossings). */
  const ofPlace = new Set(['pack-trust', 'rack-swing-arm', ...packCrossings.map((r) => r.id)]);
  for (const rule of [...kitRules, ...packRules].filter((r) => !ofPlace.has(r.id) && !ofWiring.has(r.id))) {
    it(`${rule.id} fits somewhere, and does not elsewhere`, () => {
      const verdicts = seen.get(rule.id) ?? new Set();
      if (!onlyWarns.has(rule.id)) expect([...verdicts], rule.words).to.include('fits');
      if (onlySays.has(rule.id)) return;
      expect(
        [...verdicts].some((v) => v !== 'fits'),
        `${rule.words}: ${[...verdicts].join(', ')}`,
      ).to.equal(true);
      if (
        rule.uses.length > 0 &&
        rule.id !== 'purpose-fit' &&
        rule.id !== 'seat-load' &&
        rule.id !== 'hub-gear-school' &&
        rule.id !== 'pack-handling' &&
        rule.id !== 'shifting-skill' &&
        rule.id !== 'cable-run'
      )
        expect([...verdicts], `${rule.words} asks for what it lacks`).to.include('measure');
    });
  }
});
