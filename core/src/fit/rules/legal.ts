import { amount, phrase } from '../../quantity/format.ts';
import { legalClass } from '../../safety/law.ts';
import type { Evidence, Finding } from '../finding.ts';
import { partData, ruleFigure, type KitRule } from '../rule.ts';

const RULE = 'legal-class';

/** Rated power, assist speed and throttle against the class chosen in the brief; the authority decides. */
export const legal: KitRule = {
  id: RULE,
  judge(context, kit) {
    const { brief, choice } = context.build;
    const law = legalClass(brief.legalClass);
    const limit = choice.assistLimitMs ?? kit.assistLimitMs;
    const evidence: Evidence[] = [
      ruleFigure('Class', law.name),
      partData('Rated power', amount(kit.ratedW, 'power')),
      ...(law.ratedW === null ? [] : [ruleFigure('Class allows', amount(law.ratedW, 'power'))]),
      {
        label: 'Assist ends at',
        value: limit === undefined ? 'no limit set' : amount(limit, 'speed', 0),
        provenance: choice.assistLimitMs === null ? 'part data' : 'measured',
      },
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: `${law.source}, as of ${law.asOf}; ask the local authority.`,
      ...rest,
    });
    if (law.ratedW !== null && kit.ratedW > law.ratedW) {
      return finding({
        verdict: 'rework',
        title: 'More rated power than its class',
        why: phrase`Rated ${amount(kit.ratedW, 'power')}; “${law.name}” allows ${amount(law.ratedW, 'power')}. Peak watts do not count for the law, rated do.`,
        remedies: [
          {
            text: phrase`Choose a kit rated ${amount(law.ratedW, 'power')}, register it in another class, or keep it to private ground.`,
          },
        ],
      });
    }
    if (law.assistMs !== null && (limit === undefined || limit > law.assistMs + 0.01)) {
      return finding({
        verdict: 'rework',
        title: 'Assist set too fast for its class',
        why:
          limit === undefined
            ? phrase`The kit sets no limit of its own; “${law.name}” wants assist to end at ${amount(law.assistMs, 'speed', 0)}.`
            : phrase`Assist ends at ${amount(limit, 'speed', 0)}; “${law.name}” wants ${amount(law.assistMs, 'speed', 0)}.`,
        remedies: [{ text: phrase`Set the assist limit to ${amount(law.assistMs, 'speed', 0)}.`, cost: 0 }],
      });
    }
    if (law.throttle === 'none beyond walking help' && choice.usesThrottle) {
      return finding({
        verdict: 'rework',
        title: 'Throttle outside its class',
        why: phrase`“${law.name}” allows a throttle for walking help only.`,
        remedies: [{ text: phrase`Leave the throttle off, or tie it to 6 km/h.`, cost: 0 }],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Within its class as set',
      why: phrase`Rated ${amount(kit.ratedW, 'power')}, assist to ${limit === undefined ? 'no limit' : amount(limit, 'speed', 0)}: within “${law.name}”. Local rules have the last word.`,
      remedies: [],
    });
  },
};
