import { amount, phrase } from '../../quantity/format.ts';
import { packMass } from './packPlace.ts';
import { kitRule, remedy } from '../say.ts';

/** The stand under the new weight. */
export const standLoad = kitRule(
  {
    id: 'stand-load',
    words: 'Stand',
    group: 'load',
    uses: ['stand', 'standLimit', 'vehicleMass'],
    source: 'A stand bears the vehicle, kit and battery, and whoever leans on it.',
  },
  (context, kit, say) => {
    const { build, geometry } = context;
    const packKg = packMass(context).kg;
    if (geometry.pairedRear || geometry.pairedFront) return null;
    const stand = say.need('stand');
    const own = build.donor.survey.vehicleMass?.value;
    if (stand === undefined)
      return say.open(
        'Stand not looked at',
        phrase`Kit and battery add ${amount(kit.massKg + packKg, 'mass')} to what it bears.`,
      );
    if (stand === 'none')
      return say.rework(
        'Nothing to stand on',
        phrase`A heavier vehicle falls harder, on its battery or motor.`,
        remedy(phrase`A two-legged stand.`, { cost: 34, minutes: 30, part: 'stand' }),
      );
    const limit = say.need('standLimit');
    if (limit === undefined || own === undefined)
      return say.open('Stand’s limit not known', phrase`It will have to bear the vehicle with kit and battery.`);
    const mass = own + kit.massKg + packKg;
    if (mass > limit)
      return say.rework(
        'The stand bears less than it must',
        phrase`${amount(mass, 'mass')} with kit and battery, and it bears ${amount(limit, 'mass')}.`,
        remedy(phrase`A ${stand === 'side' ? 'two-legged' : 'stronger'} stand.`, {
          cost: 34,
          minutes: 30,
          part: 'stand',
        }),
      );
    if (stand === 'side' && mass > 24)
      return say.rework(
        'A side stand under a heavy vehicle',
        phrase`${amount(mass, 'mass')} leaning on one leg: it sinks into soft ground and falls.`,
        remedy(phrase`A two-legged stand.`, { cost: 34, minutes: 30, part: 'stand' }),
      );
    return say.fits('The stand bears it', phrase`${amount(mass, 'mass')} of ${amount(limit, 'mass')}.`);
  },
);
