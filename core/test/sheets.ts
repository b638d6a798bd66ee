import { readFileSync } from 'node:fs';
import type { Build } from '../src/build/build.ts';
import { readBuildFile } from '../src/formats/buildFile.ts';
import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import { measureNext } from '../src/fit/measureNext.ts';
import { verdictEdges } from '../src/fit/verdictEdges.ts';
import { planContext } from '../src/plan/context.ts';
import { gearSheet } from '../src/plan/gearSheet.ts';
import { planChosen, wholePlan } from '../src/plan/planBuild.ts';
import { rideJob, rideSheet } from '../src/plan/rideSheet.ts';
import { sizeBackwards } from '../src/plan/sizing.ts';
import { summaryOf } from '../src/plan/summary.ts';
import { whatWouldChange } from '../src/plan/whatChanges.ts';
import { phraseText, type Phrase } from '../src/quantity/format.ts';

/** Rows of numbers longer than this are told by their count, ends and sum. */
const LONG_ROW = 12;

const five = (n: number): string => (Number.isFinite(n) ? String(Number(n.toPrecision(5))) : String(n));
const isPhrase = (value: unknown): value is Phrase =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.some((v) => typeof v === 'string') &&
  value.every((v) => typeof v === 'string' || (typeof v === 'object' && v !== null && 'si' in v));

/** Any plain data as text, a fact a line; sentences as they are read, figures to five places. */
function lay(value: unknown, path: string, lines: string[]): void {
  if (typeof value === 'number') lines.push(`${path}: ${five(value)}`);
  else if (typeof value !== 'object' || value === null) lines.push(`${path}: ${String(value)}`);
  else if (isPhrase(value)) lines.push(`${path}: ${phraseText(value, 'metric')}`);
  else if (Array.isArray(value) && value.length > 0 && value.every((v) => typeof v === 'number')) {
    const row = value as number[];
    lines.push(
      row.length <= LONG_ROW
        ? `${path}: ${row.map(five).join(' ')}`
        : `${path}: ${row.length} from ${five(row[0] as number)} to ${five(row.at(-1) as number)}, together ${five(row.reduce((a, b) => a + b, 0))}`,
    );
  } else {
    const entries = Object.entries(value);
    if (entries.length === 0) lines.push(`${path}: empty`);
    for (const [key, v] of entries) {
      if (!Array.isArray(value)) {
        lay(v, `${path}.${key}`, lines);
        continue;
      }
      // One of a row, a line.
      const facts: string[] = [];
      lay(v, '', facts);
      lines.push(`${path}.${key} ${facts.map((fact) => fact.replace(/^\./, '')).join('; ')}`);
    }
  }
}

function demo(name: string): Build {
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
export function sheetsText(build: Build): string {
  const context = planContext(build, starterShelf);
  const plan = planChosen(context);
  const whole = wholePlan(build, plan, null);
  const { drive, pack, drawing, money } = plan;
  const { layout } = pack;
  const lines: string[] = [];
  const { tubes, ...drawn } = summaryOf(plan).drawing.geometry;
  lay({ ...summaryOf(plan), drawing: { ...drawn, tubes: tubes.length, first: tubes[0] } }, 'summary', lines);
  lay(plan.stages, 'stages', lines);
  lay(
    { judged: whole.judged, kits: whole.kits, packs: whole.packs, can: whole.can, worth: whole.worth },
    'unjudged',
    lines,
  );
  lay({ motor: drive.motor, holdingBack: drive.holdingBack.map((f) => f.rule) }, 'drive', lines);
  lay({ ring: drawing.ringRadiusM, cog: drawing.cogRadiusM, pack: drawing.pack }, 'drawing', lines);
  lay(
    pack.holdingBack.map((f) => f.rule),
    'pack.holdingBack',
    lines,
  );
  lay(layout.pack?.clearances ?? null, 'clearances', lines);
  lay(layout.controller, 'controller', lines);
  lay(
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
    lines,
  );
  lay(layout.wheels ?? null, 'wheels', lines);
  lay(
    layout.fromAbove.map((shape) =>
      JSON.stringify(shape, (_, v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(5)) : v)),
    ),
    'above',
    lines,
  );
  lay(money, 'money', lines);
  lay(gearSheet(context), 'gears', lines);
  lay(sizeBackwards(context), 'sizing', lines);
  for (const figure of ['range', 'topSpeed', 'startGrade', 'climb', 'price'] as const)
    lay(whatWouldChange(context, figure), `change.${figure}`, lines);
  lay(rideJob(context)?.wantedM ?? null, 'job.wantedM', lines);
  const sheet = rideSheet(context);
  if (sheet) {
    const shown: Partial<typeof sheet> = { ...sheet };
    Reflect.deleteProperty(shown, 'job');
    lay(shown, 'ride', lines);
  } else lines.push('ride: none');
  return lines.join('\n') + '\n';
}

/** What would change each open finding of a build, what to measure next, and which rules look at what. */
export function edgesText(build: Build): string {
  const context = planContext(build, starterShelf);
  const plan = planChosen(context);
  const lines: string[] = [];
  for (const finding of plan.findings.filter((f) => f.verdict !== 'fits')) {
    const { edges, otherKits } = verdictEdges(context, finding);
    lines.push(
      `${finding.rule} ${finding.subject ?? ''} ${finding.verdict}; other kits ${otherKits.join(', ') || 'none'}`,
    );
    for (const edge of edges) lines.push(`  ${edge.verdict} ${edge.item}: ${phraseText(edge.text, 'metric')}`);
  }
  for (const next of measureNext(context))
    lines.push(
      `next ${next.item}: ${next.kits} kits, ${next.verdicts} verdicts${next.couldStop ? ', could stop' : ''}${next.couldFit ? ', could fit' : ''}`,
    );
  return lines.join('\n') + '\n';
}
