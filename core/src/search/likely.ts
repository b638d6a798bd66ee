import type { Build } from '../build/build.ts';
import { assumeOpen } from '../donor/assumed.ts';
import type { Survey } from '../donor/donor.ts';
import type { Entry } from '../donor/entry.ts';
import { firstStop, judgeBy, ruleById } from '../fit/judge.ts';
import type { Shelf } from '../parts/part.ts';
import { PlanContext } from '../vehicle/context.ts';
import type { KitFate } from './search.ts';

/** Kits worth proposing, and those that would hardly go on. */
export interface LikelyKits {
  kits: string[];
  unlikely: KitFate[];
}

/**
 * Kits that go on a vehicle such as this one usually is: what nobody measured is taken as common for its kind. Those that
 * its usual sizes stop are not proposed before they are measured: a kit for small wheels is none for a bicycle of which
 * nobody has said anything. It decides what is proposed first, never a verdict.
 */
export function likelyKits(build: Build, shelf: Shelf): LikelyKits {
  const survey = { ...build.donor.survey } as Record<string, Entry<unknown>>;
  for (const [id, entry] of Object.entries(assumeOpen(build.donor) as Record<string, Entry<unknown>>))
    survey[id] = { ...entry, provenance: 'measured' };
  const usual: Build = { ...build, donor: { ...build.donor, survey: survey as Survey } };
  const ground = PlanContext.of(usual, shelf, false);
  const wheelSize = ruleById('wheel-size');
  const here = PlanContext.of(build, shelf, false);
  const out: LikelyKits = { kits: [], unlikely: [] };
  for (const kit of shelf.kit) {
    const context = ground.with(kit, null);
    const wheel = wheelSize && judgeBy(wheelSize, context);
    // A wheel of another size is rework that few would begin with.
    const stop = firstStop('kit', context) ?? (wheel?.verdict === 'rework' ? wheel : null);
    if (stop) {
      const known = firstStop('kit', here.with(kit, null));
      out.unlikely.push({ kit: kit.id, standing: 0, stoppedBy: (known ?? stop).title, usually: known === null });
    } else out.kits.push(kit.id);
  }
  return out;
}
