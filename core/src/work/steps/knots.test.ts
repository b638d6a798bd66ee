import { expect } from 'chai';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { planContext } from '../../plan/context.ts';
import { planChosen } from '../../plan/planBuild.ts';
import { derailleur9, disc } from '../../../test/city.ts';
import { world, type WorldOf } from '../../../test/world.ts';
import { stepLibrary } from './library.ts';

/** Orders that converters came to grief over: what must come before what, each an edge of its own in the library. */
const knots: readonly (readonly [first: string, then: string])[] = [
  // Axle’s nut and plug against the freewheel.
  ['cogs-on', 'wheel-in'],
  // The arm’s bolt before the wheel hides it.
  ['arms-ready', 'wheel-in'],
  ['try-axle', 'arms-ready'],
  ['stack-out', 'wheel-in'],
  // Wheel home, arms on the flats, then the caliper.
  ['wheel-in', 'axle-tight'],
  ['axle-lead', 'axle-tight'],
  ['axle-tight', 'axle-seen'],
  ['axle-tight', 'brake-centre'],
  ['axle-seen', 'bolts-marked'],
  ['axle-seen', 'first-power'],
  ['rotor-off', 'rotor-on'],
  ['rotor-on', 'wheel-in'],
  // Rim: finger, tape, a little air, tyre.
  ['feel-holes', 'tape-rim'],
  ['tape-rim', 'tyre-on'],
  ['tyre-on', 'bead-even'],
  ['bead-even', 'wheel-in'],
  // Mid-drive: loose, aligned, then tight; chain on before cranks.
  ['chain-off', 'cranks-off'],
  ['pedals-off', 'cranks-off'],
  ['cranks-off', 'bracket-out'],
  ['bracket-out', 'shell-clean'],
  ['shell-clean', 'mid-in'],
  ['front-derailleur-off', 'mid-in'],
  ['mid-in', 'mid-plate'],
  ['mid-plate', 'mid-tight'],
  ['mid-tight', 'mid-locked'],
  ['mid-locked', 'cranks-on'],
  ['ring-on', 'chain-on'],
  ['chain-on', 'cranks-on'],
  ['cranks-on', 'pedals-on'],
  ['cranks-on', 'chain-line'],
  ['mid-locked', 'first-power'],
  // A motor beside the frame.
  ['side-clamps', 'side-chain'],
  ['side-sprocket', 'side-chain'],
  ['side-chain', 'side-tight'],
  ['side-guard', 'first-power'],
  // Bar: grips off, throttle before grip, display and levers before the clamps are drawn.
  ['grips-off', 'throttle-on'],
  ['grips-off', 'levers-off'],
  ['throttle-on', 'grips-on'],
  ['levers-on', 'grips-on'],
  ['display-on', 'bar-sat'],
  ['grips-on', 'bar-sat'],
  ['bar-sat', 'cutoff-set'],
  ['throttle-springs', 'first-power'],
  ['crank-aside', 'cadence-ring'],
  ['cadence-ring', 'crank-back'],
  // Leads: loose, full lock and fold, then tied; loops, then sealed.
  ['lay-leads', 'full-lock'],
  ['full-lock', 'tie-leads'],
  ['lay-leads', 'fold-try'],
  ['fold-try', 'tie-leads'],
  ['travel-try', 'tie-leads'],
  ['lay-leads', 'plugs-home'],
  ['turns-free', 'tie-leads'],
  ['loops-down', 'seal'],
  // Battery: measured before it is charged, before it is plugged, in last.
  ['pack-look', 'volts-pack'],
  ['volts-pack', 'charge-full'],
  ['volts-pack', 'pack-holder'],
  ['volts-pack', 'poles'],
  ['plugs-home', 'poles'],
  ['frame-volts', 'poles'],
  ['poles', 'first-power'],
  ['charge-full', 'first-power'],
  ['full-lock', 'first-power'],
  ['brakes-try', 'first-power'],
  ['brake-centre', 'brakes-try'],
  ['first-power', 'set-figures'],
  ['limit-set', 'turns-free'],
  ['turns-free', 'cutoffs-try'],
  ['turns-free', 'throttle-try'],
  ['tighten-again', 'counted'],
  // Nothing is worked on that may go back; nothing cracked is worked on.
  ['look-over', 'on-stand'],
  ['measure-kit', 'lace'],
  ['measure-kit', 'mid-in'],
  ['measure-kit', 'try-axle'],
];

const vehicles: readonly WorldOf[] = [
  { kit: 'otter-r250', survey: { ...derailleur9, ...disc } },
  { kit: 'linnet-f250', kind: 'folding' },
  { kit: 'wren-m250', survey: { ...derailleur9, frontDerailleur: 'yes' } },
  { kit: 'wren-m250', kind: 'tandem' },
  { kit: 'hobby-s350' },
  {
    kit: 'wren-m250',
    edit: ({ build }) => {
      build.choice.hubGearId = starterShelf.hubGear[0]?.id ?? null;
    },
  },
  { kit: 'otter-r250', kind: 'fullSuspension' },
];

describe('the knots of a conversion', () => {
  it('each is an edge of the library, with the trouble told', () => {
    for (const [first, then] of knots) {
      const edge = stepLibrary.find((s) => s.id === then)?.after?.find((a) => a.step === first);
      expect(edge?.why, `${first} before ${then}`).to.be.a('string').and.not.equal('');
    }
  });

  it('no order that is given puts one wrong, on any kind of kit', () => {
    const met = new Set<string>();
    for (const of of vehicles) {
      const { build } = world(of);
      build.choice.usesThrottle = true;
      const { order } = planChosen(planContext(build, starterShelf)).build;
      for (const [first, then] of knots) {
        const [a, b] = [order.indexOf(first), order.indexOf(then)];
        if (a < 0 || b < 0) continue;
        met.add(`${first} ${then}`);
        expect(a, `${of.kit ?? ''}: ${first} before ${then}`).to.be.lessThan(b);
      }
    }
    expect(knots.filter(([a, b]) => !met.has(`${a} ${b}`)).map((k) => k.join(' '))).to.deep.equal([]);
  });
});
