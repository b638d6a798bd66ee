import { ownMass } from '../../build/ownMass.ts';
import { massOf } from '../../vehicle/vehicle.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, measureIt, take } from '../remedies.ts';

/** Heaviest that is leaned rather than stood, kg. Source: project, what one hand holds up. */
const LEANED_UP_TO = 28;

/** The stand under the new weight. */
export const standLoad = kitRule(
  {
    id: 'stand-load',
    words: 'Stand',
    group: 'load',
    uses: ['stand', 'standLimit', 'vehicleMass'],
    source: 'A stand bears the vehicle, kit and battery, and whoever leans on it.',
  },
  (context, _kit, say) => {
    const { build, geometry } = context;
    // A pack on the trailer does not lean on the bicycle’s stand.
    const towed = build.brief.trailer && context.added.pack.towed ? context.added.pack.kg : 0;
    const standing = context.unladenKg - towed;
    const onIt = standing - massOf(context.asItWillBe, 'vehicle');
    if (geometry.pairedRear || geometry.pairedFront) return null;
    const stand = say.need('stand');
    const weighed = ownMass(build);
    const own = weighed.known ? weighed.kg : undefined;
    if (stand === undefined)
      return say.open('Stand not looked at', phrase`Kit and battery add ${amount(onIt, 'mass')} to what it bears.`);
    if (stand === 'none' && standing <= LEANED_UP_TO)
      return own === undefined
        ? say.open(
            'No stand, and the vehicle not weighed',
            phrase`Leaned against a wall it wants none up to ${amount(LEANED_UP_TO, 'mass')}.`,
            measureIt('vehicleMass'),
          )
        : say.fits('Leaned, as before', phrase`No stand; ${amount(standing, 'mass')} leans against a wall as it did.`);
    if (stand === 'none')
      return say.rework(
        'Nothing to stand on',
        phrase`${amount(standing, 'mass')} leaned against a wall slides and falls, on its battery or motor.`,
        buy('stand', phrase`A two-legged stand.`, take('twin-stand', 'stand'), { work: 30 }),
      );
    const limit = say.need('standLimit');
    if (limit === undefined || own === undefined)
      return say.open(
        'Stand’s limit not known',
        phrase`It will have to bear the vehicle with kit and battery.`,
        ...(own === undefined ? [measureIt('vehicleMass')] : []),
      );
    const mass = own + onIt;
    if (mass > limit)
      return say.rework(
        'The stand bears less than it must',
        phrase`${amount(mass, 'mass')} with kit and battery, and it bears ${amount(limit, 'mass')}.`,
        buy('stand', phrase`A ${stand === 'side' ? 'two-legged' : 'stronger'} stand.`, take('twin-stand', 'stand'), {
          work: 30,
        }),
      );
    if (stand === 'side' && mass > 24)
      return say.rework(
        'A side stand under a heavy vehicle',
        phrase`${amount(mass, 'mass')} leaning on one leg: it sinks into soft ground and falls.`,
        buy('stand', phrase`A two-legged stand.`, take('twin-stand', 'stand'), { work: 30 }),
      );
    return say.fits('The stand bears it', phrase`${amount(mass, 'mass')} of ${amount(limit, 'mass')}.`);
  },
);
