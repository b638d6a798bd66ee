import { isObject, type Loose } from './loose.ts';

/** Findings that the cut-offs' own rule now makes, and that a taken remedy or an override may stand under. */
const JOINED = ['two-cable-lever', 'parking-lock'];

/**
 * Version 12 → 13: what a lever pulls is told apart from how it is built. “Hydraulic” becomes a hose; one cable a lever is
 * so for each that has no hose. Of two cables nobody said at which lever: both are kept so, from memory, to be looked at.
 */
export function fromVersion12(build: Loose): Loose {
  const donor = isObject(build.donor) ? build.donor : {};
  const fixes: unknown[] = Array.isArray(build.fixes) ? build.fixes : [];
  return {
    ...build,
    version: 13,
    donor: { ...donor, survey: pullsTold(isObject(donor.survey) ? donor.survey : {}) },
    fixes: fixesJoined(fixes),
  };
}

function pullsTold({ leverCables, ...survey }: Loose): Loose {
  const out: Loose = { ...survey };
  for (const side of ['left', 'right'] as const) {
    const lever = survey[`${side}Lever`];
    if (isObject(lever) && lever.value === 'hydraulic') {
      out[`${side}Lever`] = { ...lever, value: 'separate' };
      out[`${side}Pull`] = { ...lever, value: 'hose' };
    } else if (isObject(leverCables) && isObject(lever) && lever.value !== 'none')
      out[`${side}Pull`] =
        leverCables.value === 'two'
          ? { ...leverCables, value: 'twoCables', provenance: 'recalled', note: 'One of the levers pulls two cables.' }
          : { ...leverCables, value: 'cable' };
  }
  return out;
}

function fixesJoined(fixes: readonly unknown[]): unknown[] {
  const moved = fixes.map((fix) =>
    isObject(fix) && JOINED.includes(String(fix.rule)) && fix.remedy === 'magnets'
      ? { ...fix, rule: 'cutoff-levers' }
      : fix,
  );
  const seen = new Set<string>();
  return moved.filter((fix) => {
    if (!isObject(fix) || fix.rule !== 'cutoff-levers') return true;
    const key = String(fix.subject);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
