import { rimStays } from '../../vehicle/rims.ts';
import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, look, work, take } from '../remedies.ts';

/** Rim tape over all nipples of the kit's rim. */
export const rimTape = kitRule(
  {
    id: 'rim-tape',
    words: 'Rim tape',
    group: 'wheel',
    uses: ['tapeWidth', 'rimHoles', 'rimHoleLine', 'rearRimWidth', 'frontRimWidth'],
    source: 'Tape covers every nipple with 2 mm each side and ends short of the rim’s hooks.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const end = fit.place === 'rear' ? 'rear wheel' : 'front wheel';
    // Laced into the donor's own rim: its holes were felt or not, and its width stands in the survey.
    const own = fit.rimInnerM === undefined || rimStays(kit, fit.place, context.asItWillBe.tyres[fit.place]);
    const edges = own ? say.need('rimHoles') : fit.rimHoles;
    const line = own ? say.need('rimHoleLine') : fit.rimHoleLine;
    const inner = own ? say.need(fit.place === 'rear' ? 'rearRimWidth' : 'frontRimWidth') : fit.rimInnerM;
    const tape = say.need('tapeWidth');
    if (!own) say.because(partData('Holes of the kit’s rim', edges ?? 'felt on arrival'));
    if (inner === undefined || (own && edges === undefined))
      return say.open(
        'Rim holes not felt',
        phrase`The hub is laced into the donor’s rim: sharp holes cut tubes, and tape must cover every one.`,
      );
    if (edges === 'sharp')
      return say.rework(
        'Sharp holes in the rim',
        phrase`${own ? 'Kit spokes are thicker and pull harder than the old ones; a' : 'A'} burr at a hole cuts the tube, always at the same place.`,
        work('burr', phrase`Take the burr off each hole with a countersink turned by hand, and tape wide.`, 40, {
          takes: take('rim-tape', end),
          tools: ['countersink'],
        }),
      );
    // Holes in two lines want tape from hook to hook; in one line the middle is enough.
    const wanted = line === 'staggered' ? inner - 0.001 : Math.max(0.012, inner - 0.002);
    say.because(ruleFigure('Tape wanted', amount(wanted, 'size')));
    if (tape === undefined)
      return say.open('Rim tape not measured', phrase`The rim wants tape of about ${amount(wanted, 'size')}.`);
    if (shorter(tape, wanted - (line === 'staggered' ? 0.001 : 0.003)))
      return say.rework(
        own ? 'Tape too narrow for its holes' : 'Tape too narrow to move over',
        phrase`${amount(tape, 'size')}; the rim wants ${amount(wanted, 'size')}${line === 'staggered' ? ', for its holes stand in two lines' : ''}.`,
        buy('tape', phrase`New cloth tape of ${amount(wanted, 'size', 0)}.`, take('rim-tape', end), { work: 10 }),
      );
    if (!own && edges === undefined)
      return say.open(
        'Holes of the kit’s rim not felt',
        phrase`Nobody has felt this rim: a burr at one hole cuts the tube, and how wide the tape must be hangs on how the holes stand.`,
        look(
          'feel',
          phrase`On the day it comes, run a finger round its holes and enter what you feel on the Drive stage, under “As it came”.`,
        ),
      );
    return say.fits('Tape wide enough', phrase`${amount(tape, 'size')} for ${amount(wanted, 'size')} wanted.`);
  },
);
