import { PACK_CURRENT_MARGIN } from '../../constants.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { packRule } from '../say.ts';
import { askFor, choose, look, set } from '../remedies.ts';

/** Continuous amps of cells and board against the controller's battery limit. */
export const packAmps = packRule(
  {
    id: 'pack-amps',
    words: 'Amps',
    group: 'pack',
    uses: [],
    source:
      'Continuous amps = cells in parallel × one cell’s, or the board’s, whichever is less; 1.2 times what the controller asks.',
  },
  (_context, pack, kit, say) => {
    if (!kit) return null;
    const { cellContinuousA, boardA } = pack;
    if (cellContinuousA === null || boardA === null)
      return say.open(
        cellContinuousA === null ? 'What its cells give is not known' : 'What its board lets through is not known',
        phrase`The controller asks ${amount(kit.controller.batteryLimitA, 'current')}; the least of cells and protection board decides, and ${cellContinuousA === null && boardA === null ? 'neither is' : 'one is not'} known.`,
        askFor('the cell’s name, how many stand in parallel, and the board’s continuous amps'),
        look('load-test', phrase`Or draw the asked amps for ten minutes and feel for a hot block; stop at 50 °C.`),
      );
    const cells = pack.parallel * cellContinuousA;
    const least = Math.min(cells, boardA);
    const held = cells <= boardA ? 'the cells' : 'the protection board';
    const asked = kit.controller.batteryLimitA;
    say.because(
      ruleFigure(`Cells, ${pack.parallel} in parallel`, amount(cells, 'current')),
      partData('Protection board', amount(boardA, 'current')),
      partData('Controller asks', amount(asked, 'current')),
      ruleFigure('With a margin of 1.2', amount(asked * PACK_CURRENT_MARGIN, 'current')),
    );
    if (least < asked) {
      return say.stop(
        'Pack too weak for the controller',
        phrase`The controller draws up to ${amount(asked, 'current')}; ${held === 'the cells' ? 'the cells give' : 'the protection board gives'} ${amount(least, 'current')} continuously. The pack overheats or cuts out on the first hill.`,
        choose('stronger-pack', phrase`Choose a pack of ${amount(asked * PACK_CURRENT_MARGIN, 'current')} or more.`),
        set(
          'less-current',
          phrase`Set the controller to ${amount(least / PACK_CURRENT_MARGIN, 'current')}, if it can be set.`,
          { work: 10 },
        ),
      );
    }
    if (least < asked * PACK_CURRENT_MARGIN) {
      return say.rework(
        'Little margin on amps',
        phrase`The controller draws up to ${amount(asked, 'current')} and ${held === 'the cells' ? 'the cells give' : 'the protection board gives'} ${amount(least, 'current')}: under the 1.2 times that keeps a pack cool and long-lived.`,
        set('less-current', phrase`Set the controller to ${amount(least / PACK_CURRENT_MARGIN, 'current')}.`, {
          work: 10,
        }),
        choose('stronger-pack', phrase`Choose a stronger pack.`),
      );
    }
    return say.fits(
      'Amps in hand',
      phrase`${held === 'the cells' ? 'The cells give' : 'The protection board gives'} ${amount(least, 'current')} continuously; the controller asks ${amount(asked, 'current')}.`,
    );
  },
);
