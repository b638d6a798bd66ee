import type { Remedy, Taking } from '../../build/remedy.ts';
import { conditionItems, type ConditionEntry, type ConditionItem } from '../../donor/donor.ts';
import { conditionItemsFor, conditionWords } from '../../donor/survey.ts';
import { phrase } from '../../quantity/format.ts';
import type { Rule } from '../rule.ts';
import { ask, choose, look, work } from '../remedies.ts';
import { donorRule } from '../say.ts';

/** What putting an item right takes: the person’s own price and minutes where they were written, else the usual. */
function mending(item: ConditionItem, entry: ConditionEntry): Remedy {
  const { mend, takes, minutes } = conditionWords[item];
  if (takes === null) return choose('another-donor', phrase`${mend}`);
  const taking: Taking = {
    part: takes,
    count: 1,
    place: 'donor',
    ...(entry.cost === undefined ? {} : { price: entry.cost }),
  };
  return work('mend', phrase`${mend}`, entry.minutes ?? minutes, { takes: taking });
}

/** One condition of the donor: reject stops, needs work is rework, not looked at is measure. */
export const conditionRules: readonly Rule[] = conditionItems.map((item) =>
  donorRule(
    {
      id: `condition-${item}`,
      words: conditionWords[item].label,
      group: 'condition',
      uses: [],
      source: 'A motor adds speed and weight to whatever is worn already.',
    },
    ({ build }, say) => {
      if (!conditionItemsFor(build.donor.kind).includes(item)) return null;
      const entry = build.donor.condition[item];
      const { label, how } = conditionWords[item];
      if (!entry) {
        say.because({ label, value: 'not looked at', provenance: 'assumed' });
        return say.open(
          `${label}: not looked at`,
          phrase`${how}`,
          look('look', phrase`Look, and mark it sound, needs work or reject.`),
        );
      }
      const words = { sound: 'sound', needsWork: 'needs work', reject: 'reject' }[entry.grade];
      say.because({ label, value: words, provenance: 'measured' });
      const noted = entry.note === '' ? '' : ` Noted: ${entry.note}`;
      if (entry.grade === 'sound') return say.fits(`${label}: sound`, phrase`Looked at and found sound.${noted}`);
      if (item === 'cracks' && entry.grade === 'needsWork')
        return say.stop(
          'A crack: nobody rides it until an expert clears it',
          phrase`A crack grows under a motor’s torque and lets go at once. It is not “needs work” until somebody who repairs frames has seen it.${noted}`,
          ask('frame-expert', phrase`Show it to a frame builder; mark it sound only when they say so in writing.`, 60),
          mending(item, entry),
        );
      return entry.grade === 'needsWork'
        ? say.rework(
            `${label}: needs work`,
            phrase`To be put right before the kit goes on.${noted}`,
            mending(item, entry),
          )
        : say.stop(
            `${label}: reject`,
            phrase`This alone rules the donor out until it is put right.${noted}`,
            mending(item, entry),
          );
    },
  ),
);
