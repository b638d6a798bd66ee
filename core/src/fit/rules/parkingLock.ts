import { partById } from '../../parts/part.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** A trike's parking lock must survive the conversion. */
export const parkingLock = kitRule(
  {
    id: 'parking-lock',
    words: 'Parking lock',
    group: 'levers',
    uses: ['parkingLock'],
    source: 'A trike stands by itself and rolls by itself; a heavier one more so.',
  },
  ({ geometry, build, shelf }, _kit, say) => {
    if (!geometry.pairedRear && !geometry.pairedFront) return null;
    const lock = say.need('parkingLock');
    const locking = (['left', 'right'] as const).some((side) => {
      const part = partById(shelf, build.wiring.levers[side].part ?? '');
      return part?.kind === 'control' && part.lever?.locks === true;
    });
    if (lock === undefined)
      return say.open('Parking lock not looked for', phrase`A trike rolls away when its rider gets off.`);
    if (lock !== undefined && locking)
      return say.fits(
        'A lever that locks is chosen',
        phrase`It holds the trike at the kerb and cuts the motor as well.`,
      );
    if (lock === 'no')
      return say.rework(
        'No parking lock',
        phrase`It will be heavier, and its rider gets on and off on slopes.`,
        buy('locking-lever', phrase`A lever that locks.`, take('locking-lever', 'levers'), { work: 20 }),
        buy('strap', phrase`A strap round lever and grip, at the least.`, take('lever-strap', 'levers'), { work: 5 }),
      );
    return say.fits(
      'The parking lock stays',
      phrase`The lever with the catch keeps its place; it is cut by a sensor, never exchanged for the kit’s.`,
    );
  },
);
