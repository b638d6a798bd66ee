import type { PayloadAction } from '@reduxjs/toolkit';
import { usualLead, type BoxId, type LeadChoice, type LeverChoice, type WiringChoice } from '@sprocket/core';
import type { BuildState, Edit } from './state.ts';

/** Edits of leads, plugs, levers, sensors, bar and settings. */
export const wiringReducers = {
  leadEdited(state: BuildState, action: PayloadAction<Edit<{ lead: string; change: Partial<LeadChoice> }>>) {
    if (!state.build) return;
    const { lead, change } = action.payload.value;
    const { leads } = state.build.wiring;
    leads[lead] = { ...usualLead, ...leads[lead], ...change };
  },
  boxPut(state: BuildState, action: PayloadAction<Edit<{ box: BoxId; at: { xM: number; yM: number } | null }>>) {
    if (!state.build) return;
    const { box, at } = action.payload.value;
    const { boxes } = state.build.wiring;
    if (at === null) Reflect.deleteProperty(boxes, box);
    else boxes[box] = at;
  },
  controlChosen(state: BuildState, action: PayloadAction<Edit<Partial<WiringChoice['parts']>>>) {
    if (state.build) Object.assign(state.build.wiring.parts, action.payload.value);
  },
  leverEdited(
    state: BuildState,
    action: PayloadAction<Edit<{ side: 'left' | 'right'; change: Partial<LeverChoice> }>>,
  ) {
    if (!state.build) return;
    const { side, change } = action.payload.value;
    Object.assign(state.build.wiring.levers[side], change);
  },
  sensorsEdited(state: BuildState, action: PayloadAction<Edit<Partial<WiringChoice['sensors']>>>) {
    if (state.build) Object.assign(state.build.wiring.sensors, action.payload.value);
  },
  barOrdered(state: BuildState, action: PayloadAction<Edit<Partial<WiringChoice['bar']>>>) {
    if (state.build) Object.assign(state.build.wiring.bar, action.payload.value);
  },
  powerEdited(state: BuildState, action: PayloadAction<Edit<Partial<WiringChoice['power']>>>) {
    if (state.build) Object.assign(state.build.wiring.power, action.payload.value);
  },
  packsJoined(state: BuildState, action: PayloadAction<Edit<WiringChoice['packs']>>) {
    if (state.build) state.build.wiring.packs = action.payload.value;
  },
  /** A setting as it was set; undefined puts it back to as sold. */
  settingPut(state: BuildState, action: PayloadAction<Edit<Partial<WiringChoice['settings']>>>) {
    if (!state.build) return;
    const next = { ...state.build.wiring.settings, ...action.payload.value };
    state.build.wiring.settings = Object.fromEntries(Object.entries(next).filter(([, v]) => v !== undefined));
  },
  phasesTried(state: BuildState, action: PayloadAction<Edit<WiringChoice['phases']>>) {
    if (state.build) state.build.wiring.phases = action.payload.value;
  },
  checkRead(
    state: BuildState,
    action: PayloadAction<Edit<{ check: string; reading: WiringChoice['checks'][string] | null }>>,
  ) {
    if (!state.build) return;
    const { check, reading } = action.payload.value;
    const { checks } = state.build.wiring;
    if (reading === null) Reflect.deleteProperty(checks, check);
    else checks[check] = reading;
  },
};
