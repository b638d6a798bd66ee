import { longer } from '../../quantity/compare.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { work, choose, take } from '../remedies.ts';

/** Bore of a shell for one-piece cranks, m. Source: the trade. */
const ONE_PIECE_BORE = 0.0513;

/** How the old cranks come off. */
export const crankRemoval = kitRule(
  {
    id: 'crank-removal',
    words: 'Old cranks',
    group: 'bracket',
    uses: ['crankFit'],
    source: 'Each kind of crank wants its own puller.',
  },
  (_context, kit, say) => {
    if (!kit.mid) return null;
    const fit = say.need('crankFit');
    if (fit === undefined)
      return say.open(
        'How the cranks come off not looked at',
        phrase`The bracket must be empty before a mid-drive goes in.`,
      );
    const made = kit.mid.boreM.least >= 0.05;
    const adapted = kit.mid.adapterBoresM.some((bore) => !longer(Math.abs(bore - ONE_PIECE_BORE), 0.0012));
    if (fit === 'onePiece' && (made || adapted))
      return say.fits(
        made ? 'Made for one-piece shells' : 'One-piece cranks come out, an adapter goes in',
        made
          ? phrase`The one-piece crank is drawn out to one side and the motor fills its shell.`
          : phrase`The bent bar is drawn out to one side; the kit’s adapter fills the 51 mm shell it leaves.`,
      );
    if (fit === 'onePiece')
      return say.stop(
        'One-piece cranks',
        phrase`The cranks are one bent bar through a 51 mm shell; this motor does not fill it and no adapter for 51 mm is sold with it.`,
        choose('hub', phrase`Choose a hub motor.`),
        choose('one-piece-kit', phrase`Choose a kit made for one-piece shells.`),
      );
    if (fit === 'cottered')
      return say.rework(
        'Cottered cranks',
        phrase`Cotter pins of this age seldom come out whole.`,
        work(
          'press-out',
          phrase`Press them out with a pin press, never a hammer on the bare axle; reckon with drilling one.`,
          60,
          { takes: take('cotter-pins', 'bracket'), tools: ['pin-press'] },
        ),
      );
    return say.fits(
      'Cranks come off',
      phrase`${fit === 'splined' ? 'Splined' : 'Square taper'} cranks, with the puller for them.`,
    );
  },
);
