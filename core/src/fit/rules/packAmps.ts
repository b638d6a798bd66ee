import { PACK_CURRENT_MARGIN } from '../../constants.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { partData, ruleFigure, type PackRule } from '../rule.ts';

const RULE = 'pack-amps';
const SOURCE =
  'Continuous amps = cells in parallel × one cell’s, or the board’s, whichever is less; 1.2 times what the controller asks.';

/** Continuous amps of cells and board against the controller's battery limit. */
export const packAmps: PackRule = {
  id: RULE,
  words: 'Amps',
  group: 'pack',
  uses: [],
  judge(_context, pack, kit) {
    if (!kit) return null;
    const cells = pack.parallel * pack.cellContinuousA;
    const least = Math.min(cells, pack.boardA);
    const held = cells <= pack.boardA ? 'the cells' : 'the protection board';
    const asked = kit.controller.batteryLimitA;
    const evidence: Evidence[] = [
      ruleFigure(`Cells, ${pack.parallel} in parallel`, amount(cells, 'current')),
      partData('Protection board', amount(pack.boardA, 'current')),
      partData('Controller asks', amount(asked, 'current')),
      ruleFigure('With a margin of 1.2', amount(asked * PACK_CURRENT_MARGIN, 'current')),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'pack',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (least < asked) {
      return finding({
        verdict: 'stop',
        title: 'Pack too weak for the controller',
        why: phrase`The controller draws up to ${amount(asked, 'current')}; ${held === 'the cells' ? 'the cells give' : 'the protection board gives'} ${amount(least, 'current')} continuously. The pack overheats or cuts out on the first hill.`,
        remedies: [
          {
            text: phrase`Choose a pack of ${amount(asked * PACK_CURRENT_MARGIN, 'current')} or more, or set the controller to ${amount(least / PACK_CURRENT_MARGIN, 'current')} if it can be set.`,
          },
        ],
      });
    }
    if (least < asked * PACK_CURRENT_MARGIN) {
      return finding({
        verdict: 'rework',
        title: 'Little margin on amps',
        why: phrase`The controller draws up to ${amount(asked, 'current')} and ${held === 'the cells' ? 'the cells give' : 'the protection board gives'} ${amount(least, 'current')}: under the 1.2 times that keeps a pack cool and long-lived.`,
        remedies: [
          {
            text: phrase`Set the controller to ${amount(least / PACK_CURRENT_MARGIN, 'current')}, or choose a stronger pack.`,
            cost: 0,
          },
        ],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Amps in hand',
      why: phrase`${held === 'the cells' ? 'The cells give' : 'The protection board gives'} ${amount(least, 'current')} continuously; the controller asks ${amount(asked, 'current')}.`,
      remedies: [],
    });
  },
};
