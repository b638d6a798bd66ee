import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { phraseText } from '../quantity/format.ts';
import { kitNamed } from '../../test/world.ts';
import type { Verdict } from '../verdict.ts';
import type { Finding } from './finding.ts';
import { canIt, worthIt, type WorthCost } from './worth.ts';

const finding = (rule: string, verdict: Verdict, rest: Partial<Finding> = {}): Finding => ({
  rule,
  stage: 'drive',
  verdict,
  title: `${rule} says so`,
  why: ['why'],
  evidence: [],
  remedies: [],
  source: 'test',
  subject: 'otter-r250',
  ...rest,
});
const costs = (total: number, rest: Partial<WorthCost> = {}): WorthCost => ({
  parts: total,
  mending: 0,
  remedies: 0,
  bench: 0,
  donor: 0,
  total,
  minutes: 0,
  ...rest,
});
const build = (edit: (worth: Build['donor']['worth']) => void = () => undefined): Build => {
  const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  edit(b.donor.worth);
  return b;
};
const conditions = (rework: number, measure = 0, stop = 0, fits = 4): Finding[] => [
  ...Array.from({ length: rework }, (_, i) => finding(`condition-r${i}`, 'rework', { subject: 'donor' })),
  ...Array.from({ length: measure }, (_, i) => finding(`condition-m${i}`, 'measure', { subject: 'donor' })),
  ...Array.from({ length: stop }, (_, i) => finding(`condition-s${i}`, 'stop', { subject: 'donor' })),
  ...Array.from({ length: fits }, (_, i) => finding(`condition-f${i}`, 'fits', { subject: 'donor' })),
];
const weight = (
  label: string,
  b: Build,
  findings: Finding[] = conditions(0),
  cost = costs(500),
  kits: number | null = 5,
) => worthIt(b, findings, cost, kits).weighed.find((w) => w.label === label)?.weight;

describe('can it', () => {
  const kit = kitNamed('otter-r250');
  it('is what stands worst of vehicle and parts; the plan’s own findings do not decide it', () => {
    expect(canIt([finding('a', 'fits')], kit, null).verdict).to.equal('fits');
    expect(canIt([finding('a', 'fits'), finding('b', 'rework')], kit, null).words).to.equal('It can, once reworked');
    expect(canIt([finding('a', 'stop'), finding('b', 'rework')], kit, null).verdict).to.equal('stop');
    expect(
      canIt([finding('a', 'fits'), finding('range-need', 'rework', { subject: 'plan' })], kit, null).verdict,
    ).to.equal('fits');
    expect(
      canIt(
        [finding('a', 'stop', { override: { reason: 'known to go', on: '2026-01-01' } }), finding('b', 'fits')],
        kit,
        null,
      ).verdict,
    ).to.equal('fits');
  });

  it('is led by the gravest that is known, and says that the rest is not proven', () => {
    const open = [finding('a', 'rework'), finding('b', 'measure', { fitCritical: true })];
    const said = canIt(open, kit, null);
    expect(said.verdict).to.equal('rework');
    expect(said.words).to.equal('Not proven yet, and to be reworked');
    expect(phraseText(said.why, 'metric')).to.equal('Otter R250: a says so; in all 1 to rework, 1 to measure.');
    expect(canIt([finding('a', 'rework'), finding('c', 'fits')], kit, null).words).to.equal('It can, once reworked');
    expect(canIt([finding('b', 'measure'), finding('c', 'fits')], kit, null).words).to.equal('Not proven yet');
    // A stop stays a stop.
    expect(canIt([finding('a', 'stop'), finding('b', 'measure', { fitCritical: true })], kit, null).verdict).to.equal(
      'stop',
    );
  });

  it('counts how many more there are of the kind', () => {
    const two = [finding('a', 'rework'), finding('b', 'rework'), finding('c', 'measure'), finding('d', 'fits')];
    expect(phraseText(canIt(two, kit, null).why, 'metric')).to.equal(
      'Otter R250: a says so; in all 2 to rework, 1 to measure.',
    );
    expect(phraseText(canIt([finding('a', 'fits')], kit, null).why, 'metric')).to.match(
      /Everything asked of Otter R250/,
    );
  });

  it('without a kit names the nearest, or that none was looked at', () => {
    expect(phraseText(canIt([], null, null).why, 'metric')).to.match(/too little is measured to name one/);
    const near = canIt([], null, { name: 'Otter R250', verdict: 'rework' });
    expect(near.words).to.equal('It can, once reworked');
    expect(phraseText(near.why, 'metric')).to.match(/Otter R250 comes nearest/);
    expect(canIt([], null, { name: 'Otter R250', verdict: 'stop' }).words).to.equal('No kit on the shelf goes on');
  });

  it('names the finding that decides: what must fit before what need not, what stands before what was set aside', () => {
    const why = (list: Finding[]): string => phraseText(canIt(list, kit, null).why, 'metric');
    const aside = { override: { reason: 'tried on the bench', on: '2026-01-01' } };
    const must = { fitCritical: true };
    expect(why([finding('a', 'measure'), finding('b', 'measure', must)])).to.match(
      /: b says so; in all 2 to measure\.$/,
    );
    expect(why([finding('a', 'measure'), finding('c', 'measure')])).to.match(/: a says so; in all/);
    expect(why([finding('a', 'rework', aside), finding('b', 'rework')])).to.match(/: b says so\.$/);
    expect(why([finding('a', 'measure', { ...must, ...aside }), finding('b', 'measure')])).to.match(/: b says so\.$/);
    expect(
      why([finding('a', 'stop'), finding('b', 'rework'), finding('c', 'stop'), finding('d', 'stop', aside)]),
    ).to.match(/: a says so; in all 2 to stop, 1 to rework\.$/);
    expect(why([finding('a', 'stop', { subject: 'plan' }), finding('b', 'rework')])).to.match(/: b says so\.$/);
    expect(why([finding('a', 'rework', aside)])).to.match(/measured and fits\.$/);
    // Rework wanted, and something that must fit unproven: what is known leads, what is open is counted.
    expect(why([finding('b', 'measure', must), finding('a', 'rework')])).to.match(/: a says so; in all/);
    expect(canIt([finding('a', 'rework'), finding('b', 'measure', { ...must, ...aside })], kit, null).words).to.equal(
      'It can, once reworked',
    );
  });
});

describe('is it worth it', () => {
  it('weighs rider and liking as they were said', () => {
    for (const [said, expected] of [
      ['loved', 3],
      ['liked', 2],
      ['indifferent', 0],
      ['disliked', -3],
      ['untried', null],
    ] as const)
      expect(
        weight(
          'Liking',
          build((w) => (w.liking = said)),
        ),
        said,
      ).to.equal(expected);
    for (const [said, expected] of [
      ['good', 2],
      ['adjustable', 1],
      ['poor', -4],
      ['untried', null],
    ] as const)
      expect(
        weight(
          'Rider',
          build((w) => (w.riderFit = said)),
        ),
        said,
      ).to.equal(expected);
    // Getting on it outweighs what was said, unless overridden.
    const off = finding('rider-fit', 'rework', { subject: 'donor' });
    expect(
      weight(
        'Rider',
        build((w) => (w.riderFit = 'good')),
        [off],
      ),
    ).to.equal(-3);
    expect(
      weight(
        'Rider',
        build((w) => (w.riderFit = 'good')),
        [{ ...off, override: { reason: 'a stool', on: '2026-01-01' } }],
      ),
    ).to.equal(2);
  });

  it('weighs condition by how much there is to put right, and by what was not looked at', () => {
    for (const [works, expected] of [
      [0, 2],
      [1, 1],
      [2, 1],
      [3, -1],
      [4, -1],
      [5, -2],
    ] as const)
      expect(weight('Condition', build(), conditions(works)), String(works)).to.equal(expected);
    expect(weight('Condition', build(), conditions(0, 5, 0, 4))).to.equal(null);
    expect(weight('Condition', build(), conditions(0, 4, 0, 4))).to.equal(2);
    expect(weight('Condition', build(), conditions(0, 0, 1))).to.equal(-4);
  });

  it('holds the whole cost against a ready-made, with an edge at each share', () => {
    const at = (total: number) =>
      weight(
        'Against ready-made',
        build((w) => (w.readyMadePrice = 1000)),
        conditions(0),
        costs(total),
      );
    for (const [edge, below, above] of [
      [500, 3, 2],
      [750, 2, 0],
      [950, 0, -2],
      [1200, -2, -4],
    ] as const) {
      expect(at(edge - 1), `${edge} less`).to.equal(below);
      expect(at(edge), `${edge}`).to.equal(above);
    }
    expect(weight('Against ready-made', build())).to.equal(null);
  });

  it('holds donor, mending and rework against another donor', () => {
    const at = (mend: number) =>
      weight(
        'Against another donor',
        build((w) => (w.otherDonorPrice = 100)),
        conditions(0),
        costs(500, { mending: mend - 30, remedies: 10, donor: 20 }),
      );
    expect(at(69)).to.equal(1);
    expect(at(70)).to.equal(0);
    expect(at(130)).to.equal(0);
    expect(at(131)).to.equal(-2);
    expect(weight('Against another donor', build())).to.equal(undefined);
  });

  it('no kit that goes on weighs most; kits not judged yet weigh nothing', () => {
    expect(weight('Kits', build(), conditions(0), costs(1), 0)).to.equal(-4);
    expect(weight('Kits', build(), conditions(0), costs(1), 1)).to.equal(undefined);
    expect(weight('Kits', build(), conditions(0), costs(1), null)).to.equal(undefined);
  });

  it('answers from the sum, unless something bars it or too little is known', () => {
    const answer = (edit: (w: Build['donor']['worth']) => void, works = 0, total = 400, kits = 5) =>
      worthIt(build(edit), conditions(works), costs(total), kits).answer;
    expect(answer(() => undefined)).to.equal('unknown');
    // Liking 2, rider 2, condition 2.
    expect(answer((w) => Object.assign(w, { liking: 'liked', riderFit: 'good' }))).to.equal('yes');
    // 0 + 1 + 2 = 3 is yes; 0 + 1 + 1 = 2 is even.
    expect(answer((w) => Object.assign(w, { liking: 'indifferent', riderFit: 'adjustable' }))).to.equal('yes');
    expect(answer((w) => Object.assign(w, { liking: 'indifferent', riderFit: 'adjustable' }), 1)).to.equal('even');
    // −3 + 1 + 1 = −1 even; −3 + 1 − 1 = −3 no.
    expect(answer((w) => Object.assign(w, { liking: 'disliked', riderFit: 'adjustable' }), 1)).to.equal('even');
    expect(answer((w) => Object.assign(w, { liking: 'disliked', riderFit: 'adjustable' }), 3)).to.equal('no');
    expect(answer((w) => Object.assign(w, { liking: 'loved', riderFit: 'good' }), 0, 400, 0)).to.equal('no');
    const said = worthIt(
      build((w) => Object.assign(w, { liking: 'loved', riderFit: 'good' })),
      conditions(1),
      costs(1),
      3,
    );
    expect(said.most).to.equal('Liking');
    expect(said.words).to.equal('Worth it');
  });
});
