import type { Build, LegalClass, Override, Schools, Fix } from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** Edits of what the builder decided: schools, overrides, remedies taken, laws of one’s own. */
export const decisionsReducers = onOpen({
  schoolChosen: patched<Partial<Schools>>((build) => build.schools),
  overridden(build: Build, value: Override) {
    const { rule, subject } = value;
    const others = build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
    build.overrides = [...others, value];
  },
  overrideClosed(build: Build, value: Pick<Override, 'rule' | 'subject'>) {
    const { rule, subject } = value;
    build.overrides = build.overrides.filter((o) => o.rule !== rule || o.subject !== subject);
  },
  lawKept(build: Build, value: LegalClass) {
    const at = build.ownLaws.findIndex((law) => law.id === value.id);
    // In its own place, so that a list does not turn over while one of its names is typed.
    if (at < 0) build.ownLaws.push(value);
    else build.ownLaws[at] = value;
  },
  lawDropped(build: Build, value: string) {
    build.ownLaws = build.ownLaws.filter((law) => law.id !== value);
  },
  remedyTaken(build: Build, value: Fix) {
    const { rule, subject } = value;
    const others = build.fixes.filter((f) => f.rule !== rule || f.subject !== subject);
    build.fixes = [...others, value];
  },
  remedyLeft(build: Build, value: Pick<Fix, 'rule' | 'subject'>) {
    const { rule, subject } = value;
    build.fixes = build.fixes.filter((f) => f.rule !== rule || f.subject !== subject);
  },
});
