import { expect } from 'chai';
import judgementRows from '@sprocket/catalogue/crossings/judgements.json' with { type: 'json' };
import type { Taking } from '../../build/remedy.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { surveyItem } from '../../donor/survey.ts';
import { phraseText } from '../../quantity/format.ts';
import { contextOf, judged, measure, world, type World, type WorldOf } from '../../../test/world.ts';
import { judgeBy, ruleById } from '../judge.ts';
import { answersOf, crossingSchema, kitCrossings, packCrossings } from './judgements.ts';
import { contradictions } from './contradictions.ts';

/** A world each row speaks in: the right kit, kind or place. */
const where: Record<keyof typeof judgementRows, WorldOf> = {
  'belt-mid': { kit: 'wren-m250' },
  'belt-split': { kit: 'wren-m250', survey: { finalDrive: 'belt' } },
  'belt-rear': {},
  'through-shell': { kit: 'wren-m250' },
  'guard-mid': { kit: 'wren-m250' },
  'guard-rear': {},
  'hub-dynamo': { kit: 'linnet-f250' },
  'carrier-axle': { kit: 'linnet-f250', survey: { frontCarrier: 'basket' } },
  'rack-pack': { pack: 'loaf-36-17' },
  'child-rack': { pack: 'loaf-36-17' },
  'child-tube': { edit: at('seatTube') },
  'lock-behind': { edit: at('behindSeatTube') },
  'saddle-back': { kind: 'deltaTrike', edit: at('behindSeatTube') },
  'bar-middle': {},
  'child-bar': {},
  'former-motor': {},
  'former-pack': {
    survey: { formerMotor: 'whole' },
    edit: ({ pack }) => {
      pack.origin = 'used';
    },
  },
  'rim-surface-rear': { kit: 'linnet-f250' },
  'rim-surface-front': {},
  'shell-air': { kind: 'velomobile' },
  'shell-hands': { kind: 'velomobile' },
  'mount-front-rim': taking('front-brake', 'front brake'),
  'mount-front-disc': taking('disc-brake', 'front brake'),
  'mount-rear-rim': taking('front-brake', 'rear brake'),
  'mount-rear-disc': taking('disc-brake', 'rear brake'),
  'fork-steerer': taking('steel-fork', 'fork'),
  'rack-eyelets': taking('rear-rack', 'rack'),
  'stand-place': taking('twin-stand', 'stand'),
  'tensioner-hanger': taking('chain-tensioner', 'chain'),
};

function taking(part: string, place: Taking['place']): WorldOf {
  return { taken: [{ part, count: 1, place }] };
}

function at(place: 'seatTube' | 'behindSeatTube'): (made: World) => void {
  return ({ build, pack }) => {
    pack.places = [place];
    build.choice.packPlace = place;
  };
}

describe('judgements of the catalogue', () => {
  for (const [id, row] of Object.entries(judgementRows)) {
    const of = where[id as keyof typeof judgementRows];
    it(`${id}: each answer as the row has it, and measure where nobody looked`, () => {
      const read = crossingSchema.parse(row);
      const { item } = read;
      if (!item) {
        expect(judged(id, world(of))?.verdict).to.equal(read.says.always?.verdict);
        return;
      }
      const bare = world(of);
      Reflect.deleteProperty(bare.build.donor.survey, item);
      const open = judged(id, bare);
      expect(open?.verdict).to.equal('measure');
      expect(open?.title).to.equal(read.unseen?.title);
      expect(open?.remedies.map((r) => r.item)).to.deep.equal([item]);
      for (const answer of answersOf(item) ?? []) {
        const made = world(of);
        measure(made, item, answer);
        const found = judged(id, made);
        expect(found?.verdict, answer).to.equal(read.says[answer]?.verdict);
        expect(found?.title, answer).to.equal(read.says[answer]?.title);
        expect(phraseText(found?.why ?? [], 'metric'), answer).to.equal(read.says[answer]?.why);
        // From memory it is no fit yet.
        const recalled = made.build.donor.survey[item];
        if (recalled && found?.verdict === 'fits') {
          recalled.provenance = 'recalled';
          expect(judged(id, made)?.verdict, `${answer}, recalled`).to.equal('measure');
        }
      }
    });
  }

  it('keep to their own kits, places and kinds', () => {
    const front = world({ kit: 'linnet-f250' });
    const mid = world({ kit: 'wren-m250' });
    for (const id of ['belt-mid', 'through-shell', 'guard-mid', 'belt-rear', 'guard-rear'])
      expect(judged(id, front), id).to.equal(null);
    for (const id of ['hub-dynamo', 'carrier-axle', 'belt-rear']) expect(judged(id, mid), id).to.equal(null);
    expect(judged('carrier-axle', world({ kit: 'linnet-f250', survey: { frontCarrier: 'none' } }))).to.equal(null);
    for (const id of ['rack-pack', 'lock-behind', 'former-pack', 'shell-air'])
      expect(judged(id, world({})), id).to.equal(null);
    expect(judged('child-tube', world({ pack: 'loaf-36-17' }))).to.equal(null);
    // A wheel the kit replaces brings a rim of its own.
    expect(judged('rim-surface-rear', world({}))).to.equal(null);
    expect(judged('rim-surface-rear', world({ survey: { rearTyre: '37-590' } }))?.verdict).to.equal('fits');
    expect(judged('rim-surface-front', world({ survey: { frontBrake: 'discCable' } }))).to.equal(null);
  });

  it('ask the last question of the kit that is chosen, never of a candidate', () => {
    const made = world({});
    made.build.closing = {};
    const rule = ruleById('closing-question');
    const ground = contextOf(made);
    const other = starterShelf.kit.find((k) => k.id === 'wren-m250') ?? null;
    expect(rule?.judge(ground)?.verdict).to.equal('measure');
    expect(rule?.judge(ground.with(other, null))).to.equal(null);
    expect(rule?.fitCritical).to.equal(true);
  });

  it('take parts that are on the shelf, and hold the order while they ask', () => {
    for (const rule of [...kitCrossings, ...packCrossings]) expect(rule.fitCritical, rule.id).to.equal(true);
    const parts = new Set(Object.values(starterShelf).flatMap((list) => list.map((p: { id: string }) => p.id)));
    let taken = 0;
    for (const row of Object.values(judgementRows))
      for (const said of Object.values(crossingSchema.parse(row).says))
        for (const { part } of said.remedies.flatMap((r) => r.takes)) {
          taken++;
          expect(parts.has(part), part).to.equal(true);
        }
    expect(taken).to.be.greaterThan(20);
  });
});

describe('answers that contradict one another', () => {
  const says: readonly [id: string, WorldOf][] = [
    ['hydraulic-brake-cable-levers', { survey: { rearBrake: 'discHydraulic' } }],
    ['hydraulic-front-cable-levers', { survey: { frontBrake: 'discHydraulic' } }],
    [
      'hose-at-left-no-hydraulic-brake',
      { survey: { rearBrake: 'discCable', frontBrake: 'discCable', leftPull: 'hose' } },
    ],
    ['hose-at-right-no-hydraulic-brake', { survey: { rearBrake: 'drum', frontBrake: 'drum', rightPull: 'hose' } }],
    ['brakes-without-levers', { survey: { leftLever: 'none', rightLever: 'none' } }],
    ['coaster-on-cogs', { survey: { rearBrake: 'coaster' } }],
    ['belt-on-cassette', { survey: { finalDrive: 'belt', clusterKind: 'cassette' } }],
    ['rack-limit-no-rack', { survey: { rackCarries: 'none' } }],
    ['child-seat-no-rack', { survey: { rackCarries: 'none', childSeat: 'onRack' } }],
    ['basket-hook-no-basket', { survey: { barCarries: 'basketHook', frontCarrier: 'none' } }],
    ['iso-bore', { survey: { bracketBore: '37 mm' } }],
    ['spanish-bore', { survey: { bracketKind: 'spanish' } }],
    ['one-piece-bore', { survey: { bracketKind: 'onePiece' } }],
    ['press-fit-bore', { survey: { bracketKind: 'pressFit' } }],
    ['no-thread-in-threaded-shell', { survey: { bracketThreadHand: 'none' } }],
    ['bosses-no-tube', { survey: { downTubeShape: 'none' } }],
    ['rear-disc-no-seat', { survey: { rearBrake: 'discCable', rearRotorMount: 'none' } }],
    ['drop-lever-straight-bar', { survey: { leftLever: 'dropBar', rightLever: 'dropBar' } }],
    ['left-shared-no-shifter', { survey: { leftLever: 'withShifter' } }],
    ['right-shared-no-shifter', { survey: { rightLever: 'withShifter', rightShifter: 'none' } }],
    [
      'lock-without-lever',
      { kind: 'deltaTrike', survey: { parkingLock: 'yes', leftLever: 'none', rightLever: 'none' } },
    ],
    ['crank-shell', { survey: { crankFit: 'onePiece' } }],
  ];

  it('are all of them tried here', () => {
    expect(says.map(([id]) => id)).to.have.members(contradictions.map((r) => r.id));
  });
  for (const [id, of] of says)
    it(`${id} is found, asks for both again, and for nothing on a vehicle whose answers agree`, () => {
      const rule = ruleById(id);
      const found = rule ? judgeBy(rule, contextOf(world(of))) : null;
      expect(found?.verdict).to.equal('measure');
      expect(found?.remedies.map((r) => r.item)).to.deep.equal(rule?.uses);
      for (const item of rule?.uses ?? []) expect(surveyItem(item).id).to.equal(item);
      expect(judged(id, world({ kind: of.kind ?? 'diamond' }))).to.equal(null);
    });
});
