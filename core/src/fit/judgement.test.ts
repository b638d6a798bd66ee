import { runs } from '../../test/runs.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { BUILD_VERSION, newBuild, type Build } from '../build/build.ts';
import { derivedSizes } from '../donor/derived.ts';
import { isProven } from '../donor/entry.ts';
import { donorGeometry } from '../donor/geometry.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { itemsFor, surveyItems } from '../donor/survey.ts';
import { readBuildFile, readBuildFileWithPhotos, writeBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planBuild, planChosen } from '../plan/planBuild.ts';
import { typedSurvey } from '../../test/typed.ts';
import { planContext } from '../plan/context.ts';
import { kitRules } from './allRules.ts';
import { catalogText } from '../../test/golden.ts';
import { judgeBy, ruleCatalog, rulesUsing } from './judge.ts';
import type { Rule } from './rule.ts';
import { wantedItems, type WantedItem } from './wanted.ts';
import { schools } from './schools.ts';
import type { SchoolId } from '../build/schools.ts';
import { verdictEdges } from './verdictEdges.ts';
import { counted } from '../../test/counted.ts';

function demo(name: string): Build {
  const read = readBuildFile(
    readFileSync(new URL(`../../../web/public/demo/builds/demo-${name}.json`, import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

describe('the rules as a whole', () => {
  it('is the catalogue its golden file has: group, order, school and items of each rule', () => {
    const kept = readFileSync(new URL('../../test/golden/rules.txt', import.meta.url), 'utf8').split('\n');
    expect(catalogText(ruleCatalog).split('\n')).to.deep.equal(kept);
  });

  it('are at least sixty on kit and vehicle, each with a name, a group and an id of its own', () => {
    expect(kitRules.length).to.be.at.least(60);
    expect(new Set(ruleCatalog.map((r) => r.id)).size).to.equal(ruleCatalog.length);
    for (const rule of ruleCatalog) expect(rule.words, rule.id).not.to.equal('');
  });

  it('name every survey item they look at, and every item that is not a length of the drawing is used by one', () => {
    const met = counted();
    const uses = new Map(ruleCatalog.map((r) => [r.id, new Set<string>(r.uses)]));
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      const plan = planBuild(demo(name), starterShelf);
      for (const finding of plan.kits.flatMap((k) => k.findings)) {
        for (const e of finding.evidence)
          if (e.item && met())
            expect(uses.get(finding.rule)?.has(e.item), `${finding.rule} looks at ${e.item}`).to.equal(true);
      }
    }
    const drawn = new Set([
      'insideScheme',
      'forkTravel',
      'seatTubeLength',
      'track',
      'bracketReach',
      'boltCircle',
      'ringTeeth',
      'rearRimWidth',
      'frontRimWidth',
    ]);
    for (const item of surveyItems) if (!drawn.has(item.id)) expect(rulesUsing(item.id), item.id).not.to.have.length(0);
    met.enough();
  });

  it('put numbers, source and remedy into every verdict on every demo kit', () => {
    const met = counted();
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      for (const f of planBuild(demo(name), starterShelf).kits.flatMap((k) => k.findings)) {
        expect(f.source, f.rule).not.to.equal('');
        if (f.verdict !== 'fits' && met()) expect(f.remedies.length, `${f.rule}: ${f.title}`).to.be.greaterThan(0);
      }
    }
    met.enough();
  });

  it('taking any measurement away never lets a kit fit that did not, and never clears a stop to fits', () => {
    const whole = demo('lockkeeper');
    const before = planBuild(whole, starterShelf);
    fc.assert(
      fc.property(fc.subarray(Object.keys(whole.donor.survey), { minLength: 1, maxLength: 5 }), (gone) => {
        const less = structuredClone(whole);
        for (const id of gone) Reflect.deleteProperty(less.donor.survey, id);
        const after = planBuild(less, starterShelf);
        for (const k of after.kits) {
          const was = new Map(before.kits.find((x) => x.kit.id === k.kit.id)?.findings.map((f) => [f.rule, f.verdict]));
          for (const f of k.findings)
            if (f.verdict === 'fits' && was.has(f.rule))
              expect(was.get(f.rule), `${k.kit.id} ${f.rule}`).to.equal('fits');
        }
      }),
      { numRuns: runs(6, 80) },
    );
  });
});

describe('guesses, overrides, orders and schools', () => {
  it('a guess alone neither stops nor fits', () => {
    const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    b.donor.survey = typedSurvey({ rearDropoutSpacing: '110 mm ?', dropoutMaterial: 'steel ?' });
    const kit = planBuild(b, starterShelf).kits.find((k) => k.kit.id === 'otter-r250');
    const finding = kit?.findings.find((f) => f.rule === 'dropout-spacing');
    expect(finding?.verdict).to.equal('measure');
    expect(JSON.stringify(finding?.why)).to.match(/rests on a guess/);
  });

  it('an override takes a finding out of the count and leaves it in sight, with its reason', () => {
    const b = demo('mixte');
    const before = planBuild(b, starterShelf);
    const finding = before.findings.find((f) => f.rule === 'stand-load');
    b.overrides = [
      { rule: 'stand-load', subject: finding?.subject ?? '', reason: 'leans on the workshop wall', on: '2026-05-04' },
    ];
    const after = planBuild(b, starterShelf);
    expect(after.findings.find((f) => f.rule === 'stand-load')?.override?.reason).to.equal(
      'leans on the workshop wall',
    );
    expect(after.stages.drive.counts.rework).to.equal(before.stages.drive.counts.rework - 1);
    expect(after.findings.length).to.equal(before.findings.length);
  });

  it('an order waits for what must fit and is not measured', () => {
    const b = demo('box');
    expect(planBuild(b, starterShelf).drive.holdingBack.map((f) => f.rule)).to.include('bottom-bracket');
    const bore = b.donor.survey.bracketBore;
    if (bore) bore.provenance = 'measured';
    expect(planBuild(b, starterShelf).drive.holdingBack.map((f) => f.rule)).not.to.include('bottom-bracket');
  });

  it('every school changes what at least one of these builds is told', function () {
    const builds = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'].map(demo);
    const [mixte, , , lock, gravel] = builds as [Build, Build, Build, Build, Build];
    mixte.choice.packPlace = 'rack';
    mixte.choice.packId = 'loaf-36-17';
    lock.choice.kitId = 'wren-m250';
    gravel.choice.usesThrottle = true;
    gravel.brief.purpose = 'load';
    const steelDisc = structuredClone(gravel);
    steelDisc.choice.torqueArms = 0;
    const lead = structuredClone(mixte);
    lead.choice.packId = starterShelf.pack.find((p) => p.chemistry === 'lead')?.id ?? null;
    const unarmed = structuredClone(mixte);
    unarmed.choice.torqueArms = 0;
    const direct = structuredClone(mixte);
    direct.choice.kitId = starterShelf.kit.find((k) => k.family === 'rearDirect' && k.throttle)?.id ?? null;
    const fast = structuredClone(mixte);
    fast.brief.legalClass = 'powered45';
    fast.choice.assistLimitMs = 12;
    const small = structuredClone(mixte);
    small.choice.kitId = 'linnet-f250-s';
    for (const id of Object.keys(schools) as SchoolId[]) {
      const asked = ruleCatalog.filter((r) => r.school === id || r.id === 'wheel-size') as Rule[];
      const told = (side: string): string =>
        JSON.stringify(
          [...builds, steelDisc, lead, fast, small, unarmed, direct].map((b) =>
            // What was not chosen is not asked here, nor are rules of no school.
            asked
              .map((rule) => judgeBy(rule, planContext({ ...b, schools: { ...b.schools, [id]: side } }, starterShelf)))
              .map((f) => [f?.rule, f?.verdict, f?.title]),
          ),
        );
      const [a, z] = Object.keys(schools[id].sides) as [string, string];
      expect(told(a), id).not.to.equal(told(z));
    }
  });
});

describe('what is chosen still wants measured', () => {
  const wanted = (build: Build): WantedItem[] =>
    wantedItems(planChosen(planContext(build, starterShelf)).findings, build.donor);

  it('is what its findings look at and nobody has measured, what holds an order back first', () => {
    const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    b.choice.kitId = 'otter-r250';
    const before = wanted(b);
    const spacing = before.find((w) => w.item === 'rearDropoutSpacing');
    expect(spacing?.holdsOrder).to.equal(true);
    expect(spacing?.waits).not.to.be.empty;
    // A rear hub has no business with the front dropouts.
    expect(before.some((w) => w.item === 'frontDropoutSpacing')).to.equal(false);
    const holds = before.map((w) => w.holdsOrder);
    expect(holds.lastIndexOf(true)).to.be.lessThan(holds.indexOf(false) === -1 ? holds.length : holds.indexOf(false));
    b.donor.survey = typedSurvey({ rearDropoutSpacing: '135 mm' });
    expect(wanted(b).some((w) => w.item === 'rearDropoutSpacing')).to.equal(false);
    // Only guessed, it is wanted still.
    b.donor.survey.rearDropoutSpacing = {
      ...(b.donor.survey.rearDropoutSpacing as object),
      provenance: 'assumed',
    } as never;
    expect(wanted(b).some((w) => w.item === 'rearDropoutSpacing')).to.equal(true);
  });

  it('every finding that says measure and looks at an open item is waited for by one', () => {
    for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel']) {
      const build = demo(name);
      const { findings } = planChosen(planContext(build, starterShelf));
      const all = new Set(wantedItems(findings, build.donor).flatMap((w) => w.waits));
      const open = new Set(
        itemsFor(build.donor)
          .filter((i) => !isProven(build.donor.survey[i.id]))
          .map((i) => i.id),
      );
      for (const f of findings) {
        const uses = ruleCatalog.find((r) => r.id === f.rule)?.uses ?? [];
        const waits = f.verdict === 'measure' && !f.override && uses.some((id) => open.has(id));
        if (waits) expect(all.has(f.title), `${name}: ${f.title}`).to.equal(true);
      }
    }
  });
});

describe('what would change a verdict', () => {
  it('finds the size from which it turns, and kits that the rule lets pass', () => {
    const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    b.choice.kitId = 'otter-r250';
    b.donor.survey = typedSurvey({ rearDropoutSpacing: '130 mm', dropoutMaterial: 'steel' });
    const { edges, otherKits } = verdictEdges(planContext(b, starterShelf), {
      rule: 'dropout-spacing',
      subject: 'otter-r250',
      verdict: 'rework',
    });
    const fits = edges.filter((e) => e.item === 'rearDropoutSpacing' && e.verdict === 'fits').flatMap((e) => e.text);
    const from = fits.find((part) => typeof part !== 'string');
    expect(typeof from === 'object' ? from.si : NaN).to.be.closeTo(0.134, 2e-4);
    expect(otherKits.length).to.be.greaterThan(0);
    expect(otherKits).not.to.include('Otter R250');
  });
});

describe('donors of every kind', () => {
  it('are drawn from common values alone, with nothing out of place', () => {
    for (const kind of vehicleKinds) {
      const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
      b.donor.kind = kind;
      const g = donorGeometry(b.donor, 1.72);
      expect(g.problem, kind).to.equal(null);
      for (const tube of g.tubes)
        for (const p of tube.points) {
          expect(Number.isFinite(p.x + p.y), `${kind} ${tube.name}`).to.equal(true);
          expect(p.y, `${kind} ${tube.name}`).to.be.greaterThan(0);
        }
      expect(g.headTop.y, kind).to.be.greaterThan(g.headBottom.y - 0.001);
      expect(planBuild(b, starterShelf).verdict, kind).to.equal('measure');
    }
  });

  it('are asked nothing that is not theirs', () => {
    const asks = (kind: (typeof vehicleKinds)[number]): string[] =>
      itemsFor({ kind, survey: {} }).map((item) => item.id);
    expect(asks('diamond')).not.to.include.members(['track', 'hands', 'foldSlack', 'timingChain']);
    expect(asks('tadpoleTrike')).not.to.include.members(['seatSide', 'forkMaterial', 'standover']);
    expect(asks('deltaTrike')).not.to.include('rearDropoutSpacing');
    expect(asks('folding')).to.include('foldSlack');
  });

  it('derived sizes carry wider errors where they rest on guesses', () => {
    const b = demo('mixte');
    const sure = derivedSizes(b.donor);
    for (const id of ['seatSide', 'topSide', 'downSide'] as const) {
      const entry = b.donor.survey[id];
      if (entry) entry.provenance = 'assumed';
    }
    const unsure = derivedSizes(b.donor);
    const error = (sizes: typeof sure, label: string): number => sizes.find((s) => s.label === label)?.error ?? NaN;
    expect(error(unsure, 'Head angle')).to.be.greaterThan(error(sure, 'Head angle') * 2);
    expect(unsure.find((s) => s.label === 'Head angle')?.guessed).to.include('topSide');
  });
});

describe('can it, and is it worth it', () => {
  it('are two answers: a lovely bike that no kit goes on is not worth one', () => {
    const plan = planBuild(demo('gravel'), starterShelf);
    expect(plan.can.verdict).to.equal('stop');
    expect(plan.worth.answer).to.equal('no');
    expect(plan.worth.weighed.find((w) => w.label === 'Liking')?.weight).to.equal(3);
  });

  it('a dear and disliked conversion is not worth it, however well it fits', () => {
    const b = demo('lockkeeper');
    expect(planBuild(b, starterShelf).worth.answer).to.equal('yes');
    b.donor.worth = { ...b.donor.worth, liking: 'disliked', riderFit: 'poor', readyMadePrice: 500 };
    const plan = planBuild(b, starterShelf);
    expect(plan.can.verdict).to.equal('fits');
    expect(plan.worth.answer).to.equal('no');
  });

  it('says too little is known rather than guess', () => {
    expect(planBuild(newBuild('a', 'A', '2026-01-01T00:00:00.000Z'), starterShelf).worth.answer).to.equal('unknown');
  });
});

describe('build files with photos', () => {
  const pixel =
    'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR4nGNgYGBgAAAABQABh6FO1AAAAABJRU5ErkJggg==';

  it('carry them there and back', () => {
    const photos = [{ item: 'rearSlotWidth', on: '2026-05-04', dataUrl: pixel }];
    const read = readBuildFileWithPhotos(writeBuildFile(demo('mixte'), photos));
    expect(read.ok && read.value.photos).to.deep.equal(photos);
    expect(readBuildFile(writeBuildFile(demo('mixte'), photos)).ok).to.equal(true);
  });

  it('refuse what is not a raster picture, with its place', () => {
    for (const dataUrl of [
      'data:image/svg+xml;base64,PHN2Zy8+',
      'https://example.org/a.png',
      'data:text/html;base64,PGI+',
    ]) {
      const read = readBuildFileWithPhotos(
        writeBuildFile(demo('mixte'), [{ item: 'valve', on: '2026-05-04', dataUrl }]),
      );
      expect(read.ok).to.equal(false);
      if (!read.ok) expect(read.problems[0]?.path).to.equal('photos[0].dataUrl');
    }
  });

  it('of version 1 still open, their condition split as it was meant', () => {
    const read = readBuildFile(readFileSync(new URL('../../test/builds/version-1.json', import.meta.url), 'utf8'));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.version).to.equal(BUILD_VERSION);
    expect(read.value.donor.condition.spokes?.grade).to.equal(read.value.donor.condition.wheels?.grade);
    expect(read.value.donor.condition.rust?.grade).to.equal(read.value.donor.condition.cracks?.grade);
    expect(planBuild(read.value, starterShelf).chosen.kit?.id).to.equal('otter-r250');
  });
});
