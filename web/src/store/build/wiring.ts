import {
  type Build,
  usualLead,
  type BoxId,
  type LeadChoice,
  type LeverChoice,
  type WiringChoice,
} from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of leads, plugs, levers, sensors, bar and settings. */
export const wiringReducers = onOpen({
  leadEdited(build: Build, value: { lead: string; change: Partial<LeadChoice> }) {
    const { lead, change } = value;
    const { leads } = build.wiring;
    leads[lead] = { ...usualLead, ...leads[lead], ...change };
  },
  boxPut(build: Build, value: { box: BoxId; at: { xM: number; yM: number } | null }) {
    const { box, at } = value;
    const { boxes } = build.wiring;
    if (at === null) Reflect.deleteProperty(boxes, box);
    else boxes[box] = at;
  },
  controlChosen: patched<Partial<WiringChoice['parts']>>((build) => build.wiring.parts),
  leverEdited(build: Build, value: { side: 'left' | 'right'; change: Partial<LeverChoice> }) {
    const { side, change } = value;
    Object.assign(build.wiring.levers[side], change);
  },
  sensorsEdited: patched<Partial<WiringChoice['sensors']>>((build) => build.wiring.sensors),
  barOrdered: patched<Partial<WiringChoice['bar']>>((build) => build.wiring.bar),
  powerEdited: patched<Partial<WiringChoice['power']>>((build) => build.wiring.power),
  packsJoined(build: Build, value: WiringChoice['packs']) {
    build.wiring.packs = value;
  },
  /** A setting as it was set; undefined puts it back to as sold. */
  settingPut(build: Build, value: Partial<WiringChoice['settings']>) {
    const next = { ...build.wiring.settings, ...value };
    build.wiring.settings = Object.fromEntries(Object.entries(next).filter(([, v]) => v !== undefined));
  },
  phasesTried(build: Build, value: WiringChoice['phases']) {
    build.wiring.phases = value;
  },
  checkRead(build: Build, value: { check: string; reading: WiringChoice['checks'][string] | null }) {
    const { check, reading } = value;
    const { checks } = build.wiring;
    if (reading === null) Reflect.deleteProperty(checks, check);
    else checks[check] = reading;
  },
});
