import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  amountText,
  parseJson,
  phraseText,
  planBuild,
  readBuild,
  starterShelf,
  verdictEdges,
  verdictWords,
  type Build,
  type BuildPlan,
  type UnitSystem,
} from '@sprocket/core';

/** `plan build.json [--json] [--imperial]`: a readable report, or the whole plan as JSON. Bad files: standard error, exit status 2. */
const args = process.argv.slice(2);
const asJson = args.includes('--json');
const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric';
const files = args.filter((arg) => !arg.startsWith('--'));
const from = process.env.INIT_CWD ?? process.cwd();

function report(build: Build, plan: BuildPlan): string {
  const lines: string[] = [`${build.name} (variant ${build.variant}): ${verdictWords[plan.verdict].toLowerCase()}`, ''];
  lines.push(`Kit   ${plan.chosen.kit?.name ?? 'none chosen'}`, `Pack  ${plan.chosen.pack?.name ?? 'none chosen'}`);
  lines.push(`${plan.progress.proven} of ${plan.progress.total} survey items proven`, '');
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
      `${verdictWords[finding.verdict].toUpperCase().padEnd(8)} ${finding.title}  [${finding.area}]`,
      `         ${phraseText(finding.why, system)}`,
    );
    if (finding.override) lines.push(`         overridden ${finding.override.on}: ${finding.override.reason}`);
    if (finding.verdict !== 'fits')
      for (const remedy of finding.remedies) lines.push(`         → ${phraseText(remedy.text, system)}`);
  }
  return lines.join('\n') + '\n';
}

/** The plan with, for each finding on what is chosen, what would change it. */
function withEdges(build: Build, plan: BuildPlan) {
  return {
    ...plan,
    findings: plan.findings.map((f) =>
      f.verdict === 'fits'
        ? f
        : {
            ...f,
            whatWouldChange: verdictEdges(build, starterShelf, {
              rule: f.rule,
              subject: f.subject ?? 'plan',
              verdict: f.verdict,
            }),
          },
    ),
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
  const plan = planBuild(read.value, starterShelf);
  process.stdout.write(
    asJson
      ? JSON.stringify({ file, build: read.value.id, ...withEdges(read.value, plan) }) + '\n'
      : report(read.value, plan),
  );
}
