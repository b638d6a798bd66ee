import {
  usualClosing,
  type Arrival,
  type Build,
  type Choice,
  type KeptChoice,
  type Other,
  type Part,
} from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of what is chosen. */
export const choiceReducers = onOpen({
  chose: patched<Partial<Choice>>((build) => build.choice),
  /** Another choice in its place, with what is kept beside it from now on. */
  choiceTaken: patched<Pick<Build, 'choice' | 'keptChoices'>>((build) => build),
  choiceKept(build: Build, value: KeptChoice) {
    build.keptChoices = [...build.keptChoices.filter((k) => k.id !== value.id), value];
  },
  choiceNoted(build: Build, { id, note }: Pick<KeptChoice, 'id' | 'note'>) {
    const kept = build.keptChoices.find((k) => k.id === id);
    // Once somebody has written on it, it is theirs.
    if (kept) Object.assign(kept, { note, proposed: false });
  },
  choiceDropped(build: Build, id: string) {
    build.keptChoices = build.keptChoices.filter((k) => k.id !== id);
  },
  /** What was measured of a part on the bench; a field left empty is as its data says. */
  arrivalMeasured(build: Build, value: { part: string; change: Partial<Arrival> }) {
    const { part, change } = value;
    const next = { ...build.arrivals[part], ...change };
    const kept = Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as Arrival;
    if (Object.keys(kept).length === 0) Reflect.deleteProperty(build.arrivals, part);
    else build.arrivals[part] = kept;
  },
  otherAdded(build: Build, { kit, other }: { kit: string; other: Other }) {
    const closing = (build.closing[kit] ??= usualClosing());
    closing.others.push(other);
  },
  otherJudged(build: Build, { kit, id, change }: { kit: string; id: string; change: Partial<Omit<Other, 'id'>> }) {
    const other = build.closing[kit]?.others.find((o) => o.id === id);
    if (other) Object.assign(other, change);
  },
  otherStruck(build: Build, { kit, id }: { kit: string; id: string }) {
    const closing = build.closing[kit];
    if (closing) closing.others = closing.others.filter((o) => o.id !== id);
  },
  nothingElseSaid(build: Build, { kit, nothingElse }: { kit: string; nothingElse: boolean }) {
    (build.closing[kit] ??= usualClosing()).nothingElse = nothingElse;
  },
  ownPartKept(build: Build, value: Part) {
    const others = build.ownParts.filter((part) => part.id !== value.id);
    build.ownParts = [...others, value];
  },
});
