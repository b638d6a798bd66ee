import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { work, choose, take } from '../remedies.ts';

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
    if (fit === 'onePiece' && kit.mid.boreM.least >= 0.05)
      return say.fits(
        'Made for one-piece shells',
        phrase`The one-piece crank is drawn out to one side and the motor fills its shell.`,
      );
    if (fit === 'onePiece')
      return say.stop(
        'One-piece cranks',
        phrase`The cranks are one bent bar through a 51 mm shell; a mid-drive made for threads does not fill it.`,
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
