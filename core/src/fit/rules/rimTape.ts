import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** Rim tape over all nipples of the kit's rim. */
export const rimTape = kitRule(
  {
    id: 'rim-tape',
    words: 'Rim tape',
    group: 'wheel',
    uses: ['tapeWidth', 'rimHoles'],
    source: 'Tape covers every nipple with 2 mm each side and ends short of the rim’s hooks.',
  },
  (_context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    if (fit.rimInnerM === undefined) {
      const edges = say.need('rimHoles');
      if (edges === undefined)
        return say.open('Rim holes not felt', phrase`The hub is laced into a rim: sharp holes cut tubes and nipples.`);
      return edges === 'sharp'
        ? say.rework(
            'Sharp holes in the rim',
            phrase`Kit spokes are thicker and pull harder than the old ones.`,
            work('burr', phrase`Take the burr off each hole with a countersink turned by hand, and tape wide.`, 40, {
              takes: take('rim-tape', fit.place === 'rear' ? 'rear wheel' : 'front wheel'),
              tools: ['countersink'],
            }),
          )
        : say.fits('Rim holes are smooth', phrase`No burr at nipple or valve holes.`);
    }
    const tape = say.need('tapeWidth');
    const wanted = Math.max(0.012, fit.rimInnerM - 0.002);
    say.because(ruleFigure('Tape wanted', amount(wanted, 'size')));
    if (tape === undefined)
      return say.open('Rim tape not measured', phrase`The kit’s rim wants tape of about ${amount(wanted, 'size')}.`);
    return tape < wanted - 0.003
      ? say.rework(
          'Tape too narrow to move over',
          phrase`${amount(tape, 'size')}; the kit’s rim wants ${amount(wanted, 'size')}.`,
          buy(
            'tape',
            phrase`New cloth tape of ${amount(wanted, 'size', 0)}.`,
            take('rim-tape', fit.place === 'rear' ? 'rear wheel' : 'front wheel'),
            { work: 10 },
          ),
        )
      : say.fits('Tape wide enough', phrase`${amount(tape, 'size')} for ${amount(wanted, 'size')} wanted.`);
  },
);
