import { partData } from '../rule.ts';
import { hasEnds } from '../../donor/kinds.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { set, choose, ask } from '../remedies.ts';

/** Trikes: which rear wheels the chain drives, and what a mid-drive or chain kit does to that. */
export const drivenWheels = kitRule(
  {
    id: 'driven-wheels',
    words: 'Driven wheels',
    group: 'drivetrain',
    uses: ['drivenWheels'],
    source:
      'A motor’s torque through one wheel of a pair pulls the vehicle aside; through both it needs a differential that bears it.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    const { kind } = build.donor;
    if (kit.hub && !hasEnds(kind, kit.hub.place)) {
      say.because(partData('Motor', `hub, ${kit.hub.place} wheel`));
      return say.stop(
        kit.hub.place === 'rear' ? 'No dropouts for a rear hub' : 'No fork for a front hub',
        phrase`The ${kit.hub.place} wheels of this kind run in a pair, on an axle or on stubs: a hub motor has no two ends to sit between.`,
        choose('other-wheel', phrase`Drive the single ${kit.hub.place === 'rear' ? 'front' : 'rear'} wheel.`),
        choose('mid-drive', phrase`A mid-drive, if the bracket suits.`),
      );
    }
    if (hasEnds(kind, 'rear') || (!kit.mid && !kit.side)) return null;
    const driven = say.need('drivenWheels');
    if (driven === undefined)
      return say.open(
        'Which wheels are driven not looked at',
        phrase`A mid-drive pulls through the chain: one rear wheel or both decides how it goes round corners.`,
      );
    if (driven === 'bothRear')
      return say.rework(
        'Both rear wheels driven',
        phrase`A differential made for legs takes the motor’s torque through the chain.`,
        ask(
          'differential',
          phrase`Ask the differential’s maker what torque it bears, and hold the motor to that by its current limit.`,
          30,
        ),
        choose('front-drive', phrase`Drive the front wheel.`),
      );
    if (driven === 'rearLeft' || driven === 'rearRight')
      return say.rework(
        'One rear wheel driven',
        phrase`All the motor’s pull is at the ${driven === 'rearLeft' ? 'left' : 'right'} wheel: it steers at every start, and spins on the wet.`,
        set('gentle-start', phrase`Set a gentle start.`, { work: 10 }),
        choose('front-drive', phrase`Drive the front wheel.`),
      );
    return say.fits('One wheel in the middle is driven', phrase`The chain drives a single rear wheel.`);
  },
);
