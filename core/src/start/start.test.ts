import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from '../build/build.ts';
import { readBuild } from '../formats/buildFile.ts';
import { phraseText } from '../quantity/format.ts';
import { describedRoute, routeLength, steepestGrade } from '../ride/route.ts';
import { answerChips, withPointed, withRoad, withWords } from './answers.ts';
import { readWords } from './freeWords.ts';

const empty = (): Build => newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
const after = (words: string): Build => withWords(empty(), words);
const chips = (build: Build): string[] =>
  answerChips(build).map((c) => `${phraseText(c.words, 'metric').replace(/\s/g, ' ')}${c.guess ? ' ?' : ''}`);

describe('a line of free words', () => {
  it('fills kind, metal, wheels, rider, way, hill and cost, and says what stays a guess', () => {
    const build = after('steel mixte 28in, 82 kg, 12 km each way, one hill of 10 %, up to 900');
    expect(build.donor.kind).to.equal('mixte');
    expect(build.donor.survey.frameMaterial).to.include({ value: 'steel', provenance: 'recalled' });
    expect(build.donor.survey.rearTyre?.value).to.deep.equal({ beadM: 0.622, widthM: 0.037 });
    expect(build.brief.riders[0]?.massKg).to.equal(82);
    expect(build.brief.rangeWantedM).to.be.closeTo(24_000, 1);
    expect(build.brief.budget).to.equal(900);
    const route = build.brief.route;
    if (!route) throw new Error('no road');
    expect(routeLength(route)).to.be.closeTo(12_000, 1);
    expect(steepestGrade(route, false).grade).to.be.closeTo(0.1, 0.005);
    expect(chips(build)).to.deep.equal([
      'Mixte',
      'steel',
      'tyres 37-622',
      'rider 82 kg',
      '12 km one way',
      'a hill of 10 %, 300 m long',
      'up to 900',
      'load 5 kg ?',
      '24 km between charges ?',
      'Pedal assist, 250 W to 25 km/h ?',
    ]);
  });

  const says: readonly (readonly [string, object])[] = [
    ['folding bike 20", I weigh 68 kg, 5 kg load', { kind: 'folding', rider: { massKg: 68 }, load: { massKg: 5 } }],
    ['8 miles to work, flat, under €700', { way: { lengthM: 12_874.752 }, budget: { amount: 700 } }],
    [
      'two kids 15 kg, 90kg rider, 25 km a day',
      { children: { count: 2, massKg: 15 }, rider: { massKg: 90 }, range: { lengthM: 25_000 } },
    ],
    ['10 km there and back; 1 in 8', { range: { lengthM: 10_000 }, way: { lengthM: 5000 } }],
    ['250 W to 25 km/h', { rules: { classId: 'epac25' } }],
    ['750 W 45 km/h', { rules: { classId: 'powered45' } }],
    ['private ground', { rules: { classId: 'private' } }],
    ['750 W, 20 mph with a throttle', { rules: { classId: 'powered32' } }],
    ['pedelec', { rules: { classId: 'epac25' } }],
    ['longtail 100kg plus 40 kg cargo', { kind: 'longtail', rider: { massKg: 100 }, load: { massKg: 40 } }],
    [
      'recumbent trike, 3 climbs of 8 % 1.5 km long',
      { kind: 'tadpoleTrike', hill: { count: 3, grade: 0.08, lengthM: 1500, heightM: null } },
    ],
    ['60 m of climb', { hill: { count: 1, grade: null, lengthM: null, heightM: 60 } }],
    ['1\u202f200 euros', { budget: { amount: 1200 } }],
    ['up to 8 %', { hill: { count: 1, grade: 0.08, lengthM: null, heightM: null } }],
    ['12,5 km range', { range: { lengthM: 12_500 } }],
    ['12 st 4 lb', { rider: { massKg: 12 * 6.35029318 + 4 * 0.45359237 } }],
    ['50-559', { wheels: { beadM: 0.559, widthM: 0.05 } }],
  ];
  for (const [words, said] of says) it(`reads “${words}”`, () => expect(readWords(words).says).to.deep.include(said));

  it('leaves over what it makes nothing of, and no more', () => {
    expect(readWords('tandem 700c, purple paint').left).to.deep.equal(['purple', 'paint']);
    expect(readWords('I want a motor for my old bike').left).to.deep.equal([]);
  });

  it('takes back what the line says no more, and lets stand what was pointed out or measured', () => {
    let build = after('folding bike, 82 kg, up to 900');
    build = withPointed(build, { load: { massKg: 12 } });
    build.donor.survey.rearTyre = {
      value: { beadM: 0.349, widthM: 0.037 },
      typed: '',
      unit: '',
      provenance: 'measured',
      note: '',
    };
    build = withWords(build, 'folding bike 20in');
    expect(build.brief.riders[0]?.massKg).to.equal(75);
    expect(build.brief.budget).to.equal(null);
    expect(build.brief.cargoKg).to.equal(12);
    expect(build.donor.survey.rearTyre?.value.beadM).to.equal(0.349);
    expect(build.start.said).to.deep.equal({ kind: 'words', wheels: 'words', load: 'pointed' });
    const bare = withWords(build, '');
    expect(bare.start.said).to.deep.equal({ load: 'pointed' });
    expect(bare.donor.kind).to.equal('diamond');
  });

  it('what is pointed out later counts above an older line, and a newer line above that', () => {
    let build = after('82 kg');
    build = withPointed(build, { rider: { massKg: 90 } });
    build = withWords(build, '82 kg, steel');
    expect(build.brief.riders[0]?.massKg).to.equal(90);
    build = withWords(build, '83 kg, steel');
    expect(build.brief.riders[0]?.massKg).to.equal(83);
  });

  it('seats children where such a vehicle has seats, and takes off none but its own', () => {
    const build = after('box bike, two children of 20 kg');
    expect(build.brief.aboard.slice(1)).to.deep.equal([
      { rider: 1, seat: 'box', pedals: false },
      { rider: 2, seat: 'box', pedals: false },
    ]);
    const longtail = withWords(build, 'longtail, two children of 20 kg');
    expect(longtail.brief.aboard.map((a) => a.seat)).to.deep.equal(['main', 'deck', 'deck']);
    const none = withWords(longtail, 'longtail');
    expect(none.brief.riders).to.have.length(1);
    expect(none.brief.aboard).to.have.length(1);
  });

  it('an answer taken back is a guess again, and way and hill do not take one another along', () => {
    let build = after('12 km each way, hill 10 %');
    build = withPointed(build, {}, ['hill']);
    expect(build.start.said).to.deep.equal({ way: 'words' });
    expect(build.brief.route?.description).to.deep.equal({ flatM: 12_000, climbs: [] });
    build = withPointed(build, { hill: { count: 2, grade: 0.08, lengthM: 500, heightM: null } }, ['way']);
    expect(build.brief.route?.description?.climbs).to.have.length(2);
  });

  it('a track is way and hills in one: words for either take the place of the whole', () => {
    const track = { ...describedRoute('t', 'Towpath', 5000, [{ heightM: 30, lengthM: 500 }], 'asphalt', 1) };
    Reflect.deleteProperty(track, 'description');
    const dropped = withRoad(after('82 kg'), { ...track, source: 'gpx' });
    expect(dropped.start.said).to.deep.equal({ rider: 'words', way: 'pointed', hill: 'pointed' });
    expect(dropped.brief.rangeWantedM).to.be.closeTo(2 * routeLength(track), 1);
    expect(chips(dropped)).to.include('Towpath');
    const typed = withPointed(dropped, { way: { lengthM: 9000 } });
    expect(typed.start.said).to.deep.equal({ rider: 'words', way: 'pointed' });
    expect(typed.brief.route?.description?.climbs).to.deep.equal([]);
    expect(withPointed(dropped, {}, ['hill']).brief.route).to.equal(null);
    expect(withPointed(dropped, {}, ['hill']).start.said).to.deep.equal({ rider: 'words' });
  });

  it('whatever is typed, the build can be kept, and the same line says the same again', () => {
    const word = fc.constantFrom(
      'steel',
      '82 kg',
      '9999999 kg',
      '0 km each way',
      '99 %',
      '28in',
      'two kids',
      '200 children',
      'up to 999999',
      'tandem',
      '99-999',
      '1 in 0',
      '500 m of climb',
      '0.1 km',
      '-5 kg',
      'flat',
      '700 W',
      '€5',
    );
    const line = fc.oneof(
      fc.array(word).map((w) => w.join(', ')),
      fc.string({ maxLength: 500 }),
    );
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 3 }), (lines) => {
        const build = lines.reduce(withWords, empty());
        const read = readBuild(JSON.parse(JSON.stringify(build)));
        if (!read.ok) throw new Error(JSON.stringify(read.problems));
        expect(withWords(build, build.start.words)).to.deep.equal(build);
        answerChips(build);
      }),
      { numRuns: 150 },
    );
  });
});
