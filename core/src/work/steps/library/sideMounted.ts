import type { StepSpec } from '../step.ts';
import { after, arrived, tidy } from './before.ts';

/** A motor beside the frame with a chain of its own, and the gears. Minutes: the trade’s own reckoning. */
export const sideMountedSteps: readonly StepSpec[] = [
  {
    id: 'side-clamps',
    group: 'motor',
    place: 'frame',
    title: 'Motor’s clamps on the stays, loose',
    when: (f) => f.side,
    minutes: [30, 8],
    tools: ['hex-keys', 'open-spanners'],
    after: [after('on-stand', tidy), arrived],
  },
  {
    id: 'side-sprocket',
    group: 'motor',
    place: 'rear wheel',
    title: 'Sprocket on the wheel, running true',
    when: (f) => f.side,
    minutes: [40, 10],
    tools: ['hex-keys', 'feeler-gauges'],
    supplies: { threadlock: 2 },
    after: [arrived],
  },
  {
    id: 'side-chain',
    group: 'motor',
    place: 'chain',
    title: 'Its own chain on: sprockets in one line, then the clamps tight',
    when: (f) => f.side,
    minutes: [30, 8],
    tools: ['chain-tool', 'straight-edge'],
    after: [after('side-clamps', 'loose, aligned, then tight'), after('side-sprocket', 'it runs on it')],
  },
  {
    id: 'gears-set',
    group: 'gears',
    place: 'rear wheel',
    title: 'Set the gears: end stops, then the cable',
    when: (f) => f.derailleur && (f.hub === 'rear' || f.mid || f.cogs === 'new'),
    minutes: [18, 5],
    tools: ['hex-keys', 'screwdrivers'],
    after: [
      after('axle-tight', 'the wheel must not move any more'),
      after('cranks-on', 'the chain has to turn'),
      after('cogs-change', 'the stops go by the cogs'),
    ],
  },
];
