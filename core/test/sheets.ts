import { readFileSync } from 'node:fs';
import type { Build } from '../src/build/build.ts';
import { readBuildFile } from '../src/formats/buildFile.ts';
import { wantedItems } from '../src/fit/wanted.ts';
import { verdictEdges } from '../src/fit/verdictEdges.ts';
import { planContext } from '../src/plan/context.ts';
import { gearSheet } from '../src/plan/gearSheet.ts';
import { planChosen, wholePlan } from '../src/plan/planBuild.ts';
import { rideJob, rideSheet } from '../src/plan/rideSheet.ts';
import { sizeBackwards } from '../src/plan/sizing.ts';
import { summaryOf } from '../src/plan/summary.ts';
import { whatWouldChange } from '../src/plan/whatChanges.ts';
import { emptyGolden, layOut, type Golden } from './golden.ts';
import { steadyShelf } from './prices.ts';

/** A build of the demo, as its file has it. */
export function demo(name: string): Build {
  const read = readBuildFile(
    readFileSync(new URL(`../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
const choosing = (build: Build, choice: Partial<Build['choice']>): Build => ({
  ...build,
  choice: { ...build.choice, ...choice },
});

/** Builds whose every sheet is held: the demo's, and what else somebody would try with them. */
export const sheetBuilds: Record<string, () => Build> = {
  mixte: () => demo('mixte'),
  box: () => demo('box'),
  trike: () => demo('trike'),
  lockkeeper: () => demo('lockkeeper'),
  gravel: () => demo('gravel'),
  'nothing chosen': () => choosing(demo('mixte'), { kitId: null, packId: null, packPlace: null, packSpot: null }),
  'kit without a pack': () => choosing(demo('gravel'), { packId: null, packPlace: null, packSpot: null }),
  'pack without a kit': () => choosing(demo('box'), { kitId: null }),
  'volts that do not suit': () => choosing(demo('gravel'), { packId: 'reed-36-10', packPlace: null, packSpot: null }),
  'mid-drive on a hub gear': () =>
    choosing(demo('lockkeeper'), { kitId: 'ouzel-m750', packId: 'kettle-48-14', packPlace: null, packSpot: null }),
  'legs that rest': () => {
    const build = demo('trike');
    const riders = build.brief.riders.map((r) => ({ ...r, effort: 'none' as const }));
    return { ...build, brief: { ...build.brief, riders } };
  },
  'smaller wheels': () => {
    const tyre = { beadM: 0.406, widthM: 0.05 };
    return choosing(demo('box'), { newWheels: { rear: tyre, front: null } });
  },
  'a steep road without a track': () => {
    const build = demo('mixte');
    return { ...build, brief: { ...build.brief, route: null, posture: 'flatBar', headwindMs: -2 } };
  },
};

/** Every sheet of a build: what the stages show beside figures and findings. */
export function sheetsGolden(build: Build): Golden {
  const context = planContext(build, steadyShelf);
  const plan = planChosen(context);
  const whole = wholePlan(build, plan, null);
  const { drive, pack, drawing, money } = plan;
  const { layout } = pack;
  const golden = emptyGolden();
  const { tubes, ...drawn } = summaryOf(plan).drawing.geometry;
  layOut({ ...summaryOf(plan), drawing: { ...drawn, tubes: tubes.length, first: tubes[0] } }, 'summary', golden);
  layOut(plan.stages, 'stages', golden);
  layOut(
    { judged: whole.judged, kits: whole.kits, packs: whole.packs, can: whole.can, worth: whole.worth },
    'unjudged',
    golden,
  );
  layOut({ motor: drive.motor, holdingBack: drive.holdingBack.map((f) => f.rule) }, 'drive', golden);
  layOut({ ring: drawing.ringRadiusM, cog: drawing.cogRadiusM, pack: drawing.pack }, 'drawing', golden);
  layOut(
    pack.holdingBack.map((f) => f.rule),
    'pack.holdingBack',
    golden,
  );
  layOut(layout.pack?.clearances ?? null, 'clearances', golden);
  layOut(layout.controller, 'controller', golden);
  layOut(
    plan.wiring.all === null
      ? null
      : {
          ...plan.wiring.all,
          boxes: plan.wiring.all.boxes.map((b) => b.id),
          leads: plan.wiring.all.leads.map(({ id, sum, neededM, bandM, suppliedM, verdict, along }) => ({
            id,
            sum,
            neededM,
            bandM,
            suppliedM,
            verdict,
            along,
          })),
        },
    'wiring',
    golden,
  );
  layOut(layout.wheels ?? null, 'wheels', golden);
  layOut(
    layout.fromAbove.map((shape) =>
      JSON.stringify(shape, (_, v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(5)) : v)),
    ),
    'above',
    golden,
  );
  layOut(money, 'money', golden);
  layOut(gearSheet(context), 'gears', golden);
  layOut(sizeBackwards(context), 'sizing', golden);
  for (const figure of ['range', 'topSpeed', 'startGrade', 'climb', 'price'] as const)
    layOut(whatWouldChange(context, figure), `change.${figure}`, golden);
  layOut(rideJob(context)?.wantedM ?? null, 'job.wantedM', golden);
  const sheet = rideSheet(context);
  if (sheet) {
    const shown: Partial<typeof sheet> = { ...sheet };
    Reflect.deleteProperty(shown, 'job');
    layOut(shown, 'ride', golden);
  } else golden.numbers.push('ride: none');
  return golden;
}

/** What would change each open finding of a build, what they want measured, and which rules look at what. */
export function edgesGolden(build: Build): Golden {
  const context = planContext(build, steadyShelf);
  const plan = planChosen(context);
  const golden = emptyGolden();
  for (const finding of plan.findings.filter((f) => f.verdict !== 'fits')) {
    const { edges, otherKits } = verdictEdges(context, finding);
    layOut({ ...finding, why: [], evidence: [], remedies: [], edges, otherKits }, finding.rule, golden);
  }
  layOut(wantedItems(plan.findings, build.donor), 'wanted', golden);
  return golden;
}
