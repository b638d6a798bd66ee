import { conditionItems } from '../../donor/donor.ts';
import { conditionItemsFor, conditionWords } from '../../donor/survey.ts';
import { phrase } from '../../quantity/format.ts';
import type { Finding } from '../finding.ts';
import type { DonorRule } from '../rule.ts';

const SOURCE = 'A motor adds speed and weight to whatever is worn already.';
/** One condition of the donor: reject stops, needs work is rework, not looked at is measure. */
export const conditionRules: readonly DonorRule[] = conditionItems.map((item) => ({
  id: `condition-${item}`,
  words: conditionWords[item].label,
  group: 'condition',
  uses: [],
  judge(context): Finding | null {
    if (!conditionItemsFor(context.build.donor.kind).includes(item)) return null;
    const entry = context.build.donor.condition[item];
    const { label, how, mend, cost: usualCost, minutes: usualMinutes } = conditionWords[item];
    const base = { rule: `condition-${item}`, area: 'donor' as const, source: SOURCE };
    if (!entry) {
      return {
        ...base,
        verdict: 'measure',
        title: `${label}: not looked at`,
        why: phrase`${how}`,
        evidence: [{ label, value: 'not looked at', provenance: 'assumed' }],
        remedies: [{ text: phrase`Look, and mark it sound, needs work or reject.` }],
      };
    }
    const words = { sound: 'sound', needsWork: 'needs work', reject: 'reject' }[entry.grade];
    const evidence = [{ label, value: words, provenance: 'measured' as const }];
    const noted = entry.note === '' ? '' : ` Noted: ${entry.note}`;
    if (entry.grade === 'sound')
      return {
        ...base,
        verdict: 'fits',
        title: `${label}: sound`,
        why: phrase`Looked at and found sound.${noted}`,
        evidence,
        remedies: [],
      };
    const remedies = [{ text: phrase`${mend}`, cost: entry.cost ?? usualCost, minutes: entry.minutes ?? usualMinutes }];
    if (entry.grade === 'needsWork')
      return {
        ...base,
        verdict: 'rework',
        title: `${label}: needs work`,
        why: phrase`To be put right before the kit goes on.${noted}`,
        evidence,
        remedies,
      };
    return {
      ...base,
      verdict: 'stop',
      title: `${label}: reject`,
      why: phrase`This alone rules the donor out until it is put right.${noted}`,
      evidence,
      remedies,
    };
  },
}));
