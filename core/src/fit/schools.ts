import type { SchoolId, Schools } from '../build/schools.ts';

/** Two sides on which good converters differ, each with its reason. */
export interface School {
  title: string;
  question: string;
  sides: Record<string, { words: string; reason: string }>;
}

export const schools: { [K in SchoolId]: School & { sides: Record<Schools[K], { words: string; reason: string }> } } = {
  carbon: {
    title: 'Carbon frames',
    question: 'May a carbon frame carry a kit at all?',
    sides: {
      refuse: { words: 'refuse', reason: 'Clamps and reaction torque crush it, cables saw it, and it fails unseen.' },
      midOnly: {
        words: 'mid-drive only, with care',
        reason: 'A metal-lined threaded shell bears a small mid-drive if nothing is clamped to a tube.',
      },
    },
  },
  midArm: {
    title: 'Torque arm on a mid-drive',
    question: 'Does a mid-drive want an arm or strap to the frame?',
    sides: {
      always: { words: 'always', reason: 'A lock ring that creeps chews the shell before it is noticed.' },
      ifLoosens: { words: 'only if it loosens', reason: 'Tightened twice in the first 50 km, most stay put.' },
    },
  },
  hubGearMid: {
    title: 'Hub gear behind a mid-drive',
    question: 'Is a hub gear a good partner for a mid-drive?',
    sides: {
      smooth: {
        words: 'yes, for smooth shifting',
        reason: 'It shifts at rest, keeps one chain line and little is exposed.',
      },
      complexity: {
        words: 'no, too much in one hub',
        reason: 'Its torque limit is soon reached, and it cannot be mended at the roadside.',
      },
    },
  },
  cutoffs: {
    title: 'Brake cut-offs',
    question: 'Must every brake lever cut the motor?',
    sides: {
      always: { words: 'always', reason: 'A motor that pushes against a brake lengthens every stop.' },
      withThrottle: {
        words: 'only where there is a throttle',
        reason: 'With pedal assist alone, feet stop the motor as hands brake.',
      },
    },
  },
  throttle: {
    title: 'Throttle',
    question: 'Does the throttle follow the assist level, or give all at once?',
    sides: {
      scaled: { words: 'scaled to the assist level', reason: 'Among people a thumb’s twitch must not be full power.' },
      full: { words: 'full at any level', reason: 'To get out of the way, all of it must be there at once.' },
    },
  },
  wheelSize: {
    title: 'Kit wheel',
    question: 'Must the kit wheel match the donor’s?',
    sides: {
      match: { words: 'match the donor', reason: 'Brakes, ride height, pedals and speed reading stay as they were.' },
      smaller: { words: 'smaller on purpose', reason: 'A hub pulls harder and runs cooler in a smaller wheel.' },
    },
  },
  battery: {
    title: 'Where the battery goes',
    question: 'In the frame, or on a rack?',
    sides: {
      frame: { words: 'in the frame', reason: 'Low and central: it steers as before and nothing breaks off.' },
      rack: { words: 'on the rack', reason: 'Easy to take off, and the triangle stays free.' },
    },
  },
  donorAge: {
    title: 'Old or newer donor',
    question: 'What makes the better donor?',
    sides: {
      oldSimple: { words: 'old and simple', reason: 'Steel, threads and slots take anything and can be bent back.' },
      newerDiscs: { words: 'newer, with discs', reason: 'New weight and speed ask for brakes an old bike never had.' },
    },
  },
  kitSource: {
    title: 'One supplier or a mix',
    question: 'Must kit and battery come from one seller?',
    sides: {
      oneSupplier: { words: 'one supplier', reason: 'Plugs and volts are theirs to match, and so is the blame.' },
      mix: { words: 'mix', reason: 'Each part as good as can be had, matched by the builder.' },
    },
  },
  leadAcid: {
    title: 'Lead-acid',
    question: 'May it be lead-acid?',
    sides: {
      lastResort: {
        words: 'only when nothing else can be had',
        reason: 'Three times the weight, a third of the life.',
      },
      accept: { words: 'accept it', reason: 'Cheap, hard to set alight, and delivered anywhere.' },
    },
  },
  rimBrakes: {
    title: 'Rim brakes',
    question: 'Are rim brakes enough?',
    sides: {
      upgraded: {
        words: 'upgraded pads, under 25 km/h',
        reason: 'Good pads and new cables stop a middling bike well enough when dry.',
      },
      discs: { words: 'discs above that', reason: 'Wet rims and a loaded bike do not go together.' },
    },
  },
};
