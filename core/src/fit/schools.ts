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
      untouched: {
        words: 'a front hub in a metal fork, nothing clamped to carbon',
        reason: 'A hub in a metal fork twists and clamps nothing of carbon; a pack on a rack does not either.',
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
  hubArms: {
    title: 'Torque arms on a hub',
    question: 'Does every hub motor want an arm?',
    sides: {
      always: { words: 'always', reason: 'It costs little, and a slot that opens once throws the wheel.' },
      aboveTorque: {
        words: 'above a torque',
        reason: 'Below 40 N·m thick steel slots and a keyed washer hold; an arm badly fitted is worse than none.',
      },
    },
  },
  controllerPlace: {
    title: 'Controller',
    question: 'In the motor, or in a box of its own?',
    sides: {
      ownBox: { words: 'a box of its own', reason: 'It cools in the wind and is changed without opening the motor.' },
      inMotor: { words: 'in the motor', reason: 'One box and a bundle of leads fewer; nothing to find a place for.' },
    },
  },
  levers: {
    title: 'Brake levers',
    question: 'Keep the levers there are, or take the kit’s?',
    sides: {
      kitLevers: { words: 'the kit’s levers', reason: 'The switch is inside, dry, and sure to move with the lever.' },
      keepOwn: {
        words: 'keep mine, add sensors',
        reason: 'They fit the hand, the brake and the shifter already; a magnet and a sensor are enough.',
      },
    },
  },
  brakeLever: {
    title: 'Electric braking',
    question: 'Should a lever brake with the motor, or only cut it?',
    sides: {
      cutOnly: { words: 'cut only', reason: 'Braking torque works the axle both ways, and a full battery refuses it.' },
      electric: {
        words: 'brake with the motor',
        reason: 'Pads last, and long descents heat the motor instead of the rims.',
      },
    },
  },
  cadenceSensor: {
    title: 'Cadence sensor',
    question: 'Fit the cadence sensor, or ride by throttle alone?',
    sides: {
      fitted: { words: 'fitted', reason: 'Help comes with the pedals, as most rules ask, and hands stay free.' },
      leftOff: {
        words: 'left off, with a throttle',
        reason: 'Nothing to knock out of line, and no push when feet only turn over.',
      },
    },
  },
  midAxle: {
    title: 'Mid-drive axle',
    question: 'An axle for this shell, or a longer one for the next frame?',
    sides: {
      exact: { words: 'exact', reason: 'Cranks stand as near as they can, and no stack of spacers works loose.' },
      longer: { words: 'longer, with spacers', reason: 'The same motor then goes on the next, wider frame.' },
    },
  },
  crankOffset: {
    title: 'Cranks off centre',
    question: 'A mid-drive sets the cranks off centre: correct it?',
    sides: {
      corrected: { words: 'corrected', reason: 'Hips and knees notice a centimetre within an hour.' },
      left: {
        words: 'left as it is',
        reason: 'Many riders never notice, and offset cranks are one more thing to buy.',
      },
    },
  },
  newChain: {
    title: 'Chain',
    question: 'A new chain with the motor?',
    sides: {
      ifWorn: { words: 'only if the gauge says so', reason: 'A chain in its middle age has bedded in with its cogs.' },
      always: { words: 'always', reason: 'A motor finds the weak link on the first hill.' },
    },
  },
  entry: {
    title: 'Where leads enter',
    question: 'A drip loop, or sealed straight in?',
    sides: {
      dripLoop: { words: 'a drip loop below', reason: 'Water runs off the lowest point whatever the seal does.' },
      sealed: {
        words: 'sealed, straight in',
        reason: 'Nothing hangs out; but a seal that fails has no second chance.',
      },
    },
  },
  leads: {
    title: 'Leads',
    question: 'Inside the frame, or tied outside?',
    sides: {
      outside: { words: 'tied outside', reason: 'They are seen, reached and changed in minutes.' },
      inside: { words: 'inside the frame', reason: 'Nothing to snag, and it looks like a bicycle.' },
    },
  },
};
