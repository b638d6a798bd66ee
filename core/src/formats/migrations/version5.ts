import type { Loose } from './loose.ts';

/** Wiring as version 6 began with it: written out, so that a later usual one does not reach back. */
const lever = {
  by: null,
  part: null,
  acts: null,
  unplugged: null,
  reachM: null,
  restM: null,
  pulledM: null,
  sawAtRest: null,
  sawPulled: null,
};
const wiringThen = {
  parts: {
    display: null,
    keypad: null,
    throttle: null,
    cadence: null,
    speed: null,
    shift: null,
    frontLamp: null,
    rearLamp: null,
    horn: null,
  },
  boxes: {},
  leads: {},
  levers: { left: { ...lever }, right: { ...lever } },
  sensors: { cadenceGapM: null, speedGapM: null, throttleHand: null },
  bar: { left: null, right: null },
  power: { mm2: null, fuseA: null, precharge: null, adapter: null, disconnects: false },
  packs: null,
  phases: [],
  settings: {},
  checks: {},
};

/** Version 5 → 6: nothing had been decided of leads, levers, bar or settings. */
export function fromVersion5(build: Loose): Loose {
  return { ...build, version: 6, wiring: wiringThen };
}
