import type { StepSpec } from '../step.ts';
import { after } from './before.ts';

/** From the first measurement of the poles to the last look before the road. Minutes: the trade’s own reckoning. */
export const firstPowerSteps: readonly StepSpec[] = [
  {
    id: 'poles',
    group: 'check',
    place: 'pack',
    title: 'Measure plus and minus at both halves of the battery’s plug before they meet',
    when: (f) => f.pack,
    minutes: [10, 3],
    tools: ['multimeter'],
    after: [
      after('volts-pack', 'crossed poles burn a controller at once'),
      after('plugs-home', 'the other half has to be joined up'),
    ],
  },
  {
    id: 'first-power',
    group: 'check',
    place: 'pack',
    title: 'Battery in last, switch on; a small pop is usual without a pre-charge lead',
    when: (f) => f.pack,
    minutes: [8, 2],
    after: [
      after('poles', 'crossed poles burn a controller at once'),
      after('charge-full', 'an empty battery drops out and is taken for a fault'),
      after('axle-tight', 'a motor that is not held spins its leads off'),
      after('mid-tight', 'a motor that is not held turns round the shell'),
      after('side-chain', 'a loose chain is thrown'),
      after('full-lock', 'a lead that pulls is found without volts on it'),
      after('pack-holder', 'it goes into its holder'),
      after('grips-on', 'a throttle that turns on the bar runs away'),
    ],
  },
  {
    id: 'set-figures',
    group: 'set',
    place: 'bar',
    title: 'Settings as the plan has them: wheel, limit, volts, current',
    when: (f) => f.pack,
    minutes: [12, 3],
    after: [after('first-power', 'they are set on the display')],
  },
  {
    id: 'turns-free',
    group: 'check',
    place: 'motor wheel',
    title: 'Wheel in the air, a little help: right way round, no growl, spins free',
    when: (f) => f.pack,
    minutes: [10, 3],
    after: [
      after('set-figures', 'a wrong wheel or limit is not found on the road'),
      after('gears-set', 'a chain that jumps is not driven'),
      after('brake-centre', 'it must stop before it goes'),
    ],
  },
  {
    id: 'cutoffs-try',
    group: 'check',
    place: 'levers',
    title: 'Pull each lever with the wheel turning: the motor stops at once',
    when: (f) => f.pack && (f.newLevers || f.magnets),
    minutes: [8, 2],
    after: [after('turns-free', 'the motor has to turn for it')],
  },
  {
    id: 'tighten-again',
    group: 'check',
    place: 'motor axle',
    title: 'Axle, arms, cranks and clamps once more with the wrench',
    when: () => true,
    minutes: [12, 3],
    tools: ['torque-wrench'],
    after: [
      after('turns-free', 'the first turns let everything settle'),
      after('seal', 'all is on that will be'),
      after('cutoffs-try', 'it is the last thing before the road'),
    ],
  },
];
