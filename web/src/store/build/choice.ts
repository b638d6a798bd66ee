import type { Build, Arrival, Choice, Part } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of what is chosen. */
export const choiceReducers = onOpen({
  chose: patched<Partial<Choice>>((build) => build.choice),
  /** What was measured of a part on the bench; a field left empty is as its data says. */
  arrivalMeasured(build: Build, value: { part: string; change: Partial<Arrival> }) {
    const { part, change } = value;
    const next = { ...build.arrivals[part], ...change };
    const kept = Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as Arrival;
    if (Object.keys(kept).length === 0) Reflect.deleteProperty(build.arrivals, part);
    else build.arrivals[part] = kept;
  },
  ownPartKept(build: Build, value: Part) {
    const others = build.ownParts.filter((part) => part.id !== value.id);
    build.ownParts = [...others, value];
  },
});
