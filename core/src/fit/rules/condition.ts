import { conditionItems, type ConditionItem } from '../../donor/donor.ts';
import { conditionWords } from '../../donor/survey.ts';
import { phrase } from '../../quantity/format.ts';
import type { Finding } from '../finding.ts';
import type { DonorRule } from '../rule.ts';

const SOURCE = 'A motor adds speed and weight to whatever is worn already.';
const mend: Record<ConditionItem, { text: string; cost: number }> = {
  cracks: { text: 'A cracked or rusted-through frame is not welded up for a motor; look for another donor.', cost: 0 },
  headset: { text: 'Adjust the headset; fit new bearings if it stays rough.', cost: 22 },
  hinge: { text: 'Renew the hinge bushes and latch; if play stays, reject it.', cost: 40 },
  wheels: { text: 'True the wheels and renew bent or seized spokes.', cost: 30 },
  brakes: { text: 'New pads and cables, then try again with the full load.', cost: 28 },
};

/** One condition of the donor: reject stops, needs work is rework, not looked at is measure. */
export const conditionRules: readonly DonorRule[] = conditionItems.map((item) => ({
  id: `condition-${item}`,
  judge(context): Finding | null {
    const entry = context.build.donor.condition[item];
    const { label, how } = conditionWords[item];
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
    const { text, cost } = mend[item];
    if (entry.grade === 'needsWork')
      return {
        ...base,
        verdict: 'rework',
        title: `${label}: needs work`,
        why: phrase`To be put right before the kit goes on.${noted}`,
        evidence,
        remedies: [{ text: phrase`${text}`, cost }],
      };
    return {
      ...base,
      verdict: 'stop',
      title: `${label}: reject`,
      why: phrase`This alone rules the donor out until it is put right.${noted}`,
      evidence,
      remedies: [{ text: phrase`${text}`, cost }],
    };
  },
}));
