import { phrase } from '../../quantity/format.ts';
import { kitRule, remedy } from '../say.ts';

/** A trike's parking lock must survive the conversion. */
export const parkingLock = kitRule(
  {
    id: 'parking-lock',
    words: 'Parking lock',
    group: 'brakes',
    uses: ['parkingLock'],
    source: 'A trike stands by itself and rolls by itself; a heavier one more so.',
  },
  ({ geometry }, kit, say) => {
    if (!geometry.pairedRear && !geometry.pairedFront) return null;
    const lock = say.need('parkingLock');
    if (lock === undefined)
      return say.open('Parking lock not looked for', phrase`A trike rolls away when its rider gets off.`);
    if (lock === 'no')
      return say.rework(
        'No parking lock',
        phrase`It will be heavier, and its rider gets on and off on slopes.`,
        remedy(phrase`A strap round lever and grip at the least; a locking lever is better.`, {
          cost: 16,
          minutes: 20,
          part: 'locking lever',
        }),
      );
    if (kit.controls?.cutoffs === 'levers')
      return say.rework(
        'The kit’s lever would lose the lock',
        phrase`The lever with the catch must stay.`,
        remedy(phrase`A stick-on magnet at that lever.`, { cost: 14, minutes: 30, part: 'magnet sensors' }),
      );
    return say.fits('The parking lock stays', phrase`The lever with the catch keeps its place.`);
  },
);
