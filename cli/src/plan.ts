import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  amountText,
  parseJson,
  phraseText,
  planAims,
  judgeCandidates,
  planChosen,
  planContext,
  proofSheet,
  readBuild,
  ridesOn,
  starterShelf,
  textsIn,
  together,
  verdictEdges,
  verdictWords,
  wholePlan,
  type Build,
  type BuildPlan,
  type PlanContext,
  type UnitSystem,
} from '@sprocket/core';

/** `plan build.json [--json] [--imperial]`: a readable report, or the whole plan as JSON. Bad files: standard error, exit status 2. */
const args = process.argv.slice(2);
const asJson = args.includes('--json');
const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric';
const files = args.filter((arg) => !arg.startsWith('--'));
const from = process.env.INIT_CWD ?? process.cwd();

function report(build: Build, written: BuildPlan): string {
  const plan = textsIn(written, system);
  const lines: string[] = [`${build.name} (variant ${build.variant}): ${verdictWords[plan.verdict].toLowerCase()}`, ''];
  lines.push(`Kit   ${plan.chosen.kit?.name ?? 'none chosen'}`, `Pack  ${plan.chosen.pack?.name ?? 'none chosen'}`);
  lines.push(`${plan.donor.progress.proven} of ${plan.donor.progress.total} survey items proven`, '');
  lines.push(`Can it?      ${plan.can.words}. ${phraseText(plan.can.why, system)}`);
  lines.push(
    `Worth it?    ${plan.worth.words}${plan.worth.most === '' ? '' : `; weighs most: ${plan.worth.most.toLowerCase()}`}`,
    '',
  );
  for (const f of plan.families)
    lines.push(
      `${f.words.padEnd(24)}${f.remaining} of ${f.total} kits could go on${f.stoppedBy[0] ? `; ${f.stoppedBy[0].title.toLowerCase()}` : ''}`,
    );
  lines.push('');
  for (const figure of plan.figures) {
    const value = figure.value ? amountText(figure.value, system) : '–';
    const band = figure.band
      ? `  (${amountText(figure.band.low, system)} to ${amountText(figure.band.high, system)})`
      : '';
    lines.push(`${figure.label.padEnd(24)}${value}${band}`, `${''.padEnd(24)}${phraseText(figure.note, system)}`);
  }
  lines.push('');
  for (const finding of plan.findings) {
    lines.push(
      `${verdictWords[finding.verdict].toUpperCase().padEnd(8)} ${finding.title}  [${finding.stage}]`,
      `         ${phraseText(finding.why, system)}`,
    );
    if (finding.override) lines.push(`         overridden ${finding.override.on}: ${finding.override.reason}`);
    if (finding.verdict !== 'fits')
      for (const remedy of finding.remedies) lines.push(`         → ${phraseText(remedy.text, system)}`);
  }
  return lines.join('\n') + '\n';
}

/** Rides drawn for the bands of Proving. */
const DRAWN = 200;

/** The plan with, for each finding on what is chosen, what would change it; under the names its JSON has always had as well. */
function asDocument(context: PlanContext, plan: BuildPlan) {
  const { build: bench, parts, ...whole } = plan;
  const { brief, donor, drive, pack, gearing, wiring } = whole;
  const { day } = context.build.proving;
  const rides = ridesOn(context, day, DRAWN);
  const proving = proofSheet(context, wiring.all?.checks ?? [], rides && { conditions: day, rides });
  return {
    ...whole,
    ...parts,
    bench,
    ...brief,
    ...donor,
    gears: gearing.rows,
    proving: proving && { ...proving, together: together(context, proving) },
    band: pack.band,
    aims: planAims(context, plan),
    layout: {
      ...pack.layout,
      leads: (wiring.all?.leads ?? []).map(({ id, what, points, neededM }) => ({
        id,
        name: what,
        points,
        lengthM: neededM,
      })),
    },
    holdingBack: { kit: drive.holdingBack, pack: pack.holdingBack },
    findings: plan.findings.map((f) => ({
      ...f,
      area: f.stage,
      ...(f.verdict === 'fits' ? {} : { whatWouldChange: verdictEdges(context, f) }),
    })),
  };
}

if (files.length === 0) {
  process.stderr.write('usage: npm run plan -- build.json [--json] [--imperial]\n');
  process.exitCode = 2;
}
for (const file of files) {
  let text: string;
  try {
    text = readFileSync(resolve(from, file), 'utf8');
  } catch (error) {
    process.stderr.write(`${file}: (file): ${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 2;
    continue;
  }
  const document = parseJson(text);
  const read = document.ok ? readBuild(document.value) : document;
  if (!read.ok) {
    for (const problem of read.problems) process.stderr.write(`${file}: ${problem.path}: ${problem.message}\n`);
    process.exitCode = 2;
    continue;
  }
  const context = planContext(read.value, starterShelf);
  const plan = wholePlan(read.value, planChosen(context), judgeCandidates(context));
  process.stdout.write(
    asJson
      ? JSON.stringify({ file, build: read.value.id, ...asDocument(context, plan) }) + '\n'
      : report(read.value, plan),
  );
}
