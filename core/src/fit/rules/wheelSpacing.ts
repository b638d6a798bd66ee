import { amount, phrase } from '../../quantity/format.ts';
import { choose, look } from '../remedies.ts';
import { kitRule } from '../say.ts';

/** Rear wheels and hubs that a remedy brings. */
const REAR_WHEELS: readonly string[] = ['plain-rear-wheel', 'coaster-free-wheel', 'strong-wheel', 'disc-rear-hub'];

/** A rear wheel bought to mend something goes into the same dropouts as the old one. */
export const wheelSpacing = kitRule(
  {
    id: 'wheel-spacing',
    words: 'Width of the wheel bought',
    group: 'axle',
    uses: ['rearDropoutSpacing', 'rearAxleHolding'],
    source: 'A hub is made for one width between the dropouts, and for slots or for a through axle.',
    fitCritical: true,
  },
  ({ taken }, _kit, say) => {
    if (!taken.some(({ part, place }) => REAR_WHEELS.includes(part) && place !== 'front wheel')) return null;
    const [spacing, holding] = [say.need('rearDropoutSpacing'), say.need('rearAxleHolding')];
    if (spacing === undefined || holding === undefined)
      return say.open(
        'Width for the new rear wheel not measured',
        phrase`The wheel that was taken must be as wide as the dropouts stand apart, and be held as they hold an axle.`,
      );
    if (holding === 'throughAxle')
      return say.rework(
        'The new rear wheel wants a through axle',
        phrase`The frame holds a through axle, ${amount(spacing, 'size')} wide; common wheels have a threaded axle and nuts.`,
        choose('through-wheel', phrase`Order a wheel for a through axle of this width and thickness.`),
        look('keep', phrase`Leave the wheel and choose another remedy.`),
      );
    return say.fits(
      'Width of the new rear wheel is known',
      phrase`Order it for ${amount(spacing, 'size')} between the dropouts, with a threaded axle and nuts.`,
    );
  },
);
