import type { Area } from '@sprocket/core';

/** The ten stages of the work, in order; those not built yet say what they will decide. */
export interface Stage {
  id: 'brief' | 'donor' | 'drive' | 'pack' | 'gearing' | 'wiring' | 'parts' | 'build' | 'proving' | 'logbook';
  label: string;
  key: string;
  area: Area | null;
  /** What the stage decides, as a question. */
  decides: string;
}

export const stages: readonly Stage[] = [
  { id: 'brief', label: 'Brief', key: '1', area: 'brief', decides: 'Who rides, where, and how far it must go' },
  { id: 'donor', label: 'Donor', key: '2', area: 'donor', decides: 'What there is to convert, and in what state' },
  { id: 'drive', label: 'Drive', key: '3', area: 'drive', decides: 'Which kit drives it' },
  { id: 'pack', label: 'Pack', key: '4', area: 'pack', decides: 'Which battery, and where it sits' },
  { id: 'gearing', label: 'Gearing', key: '5', area: 'gearing', decides: 'Which ring and cogs' },
  {
    id: 'wiring',
    label: 'Wiring',
    key: '6',
    area: null,
    decides: 'Where each lead runs, how long it must be, which fuse guards it and how every brake lever cuts the motor',
  },
  {
    id: 'parts',
    label: 'Parts',
    key: '7',
    area: null,
    decides: 'What to order, in which order, what it costs and when it comes',
  },
  {
    id: 'build',
    label: 'Build',
    key: '8',
    area: null,
    decides: 'What to do today, with which tool, and what must be checked before the next step hides it',
  },
  {
    id: 'proving',
    label: 'Proving',
    key: '9',
    area: null,
    decides: 'Whether the finished vehicle does what the plan said, test by test',
  },
  {
    id: 'logbook',
    label: 'Logbook',
    key: '0',
    area: null,
    decides: 'What it really uses on the road, and when to re-torque, check and service',
  },
];
