import { readFileSync } from 'node:fs';
import { readBuildFile } from './core/src/formats/buildFile.ts';
import { starterShelf } from './core/src/parts/shelf/starterShelf.ts';
import { planContext } from './core/src/plan/context.ts';
import { planChosen } from './core/src/plan/planBuild.ts';
import { phraseText } from './core/src/quantity/format.ts';
for (const n of ['lockkeeper','mixte','box','trike','gravel']) {
  const r = readBuildFile(readFileSync(`web/public/demo/builds/demo-${n}.json`,'utf8'));
  if (!r.ok) { console.log(n, r.problems); continue; }
  const p = planChosen(planContext(r.value, starterShelf));
  console.log('==', n, p.verdict, p.figures.map(f => f.id+': '+(f.value? f.value.si.toFixed(2):'-')).join('  '));
  for (const f of p.findings) if (f.verdict!=='fits') console.log('  ', f.verdict, f.rule, '|', f.title, '|', phraseText(f.why,'metric').slice(0,150), '|', f.remedies.map(x=>x.id).join(','));
}
