import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Gap wanted under a motor, and the least that is ridden at all, m. Source: project; kerbs are 100 to 120 mm. */
const WANTED = 0.15;
const LEAST = 0.11;

/** Ground under the motor. */
export const motorGround = kitRule(
  {
    id: 'motor-ground',
    words: 'Ground under the motor',
    group: 'bracket',
    uses: ['bracketHeight'],
    source: 'Kerbs are 100 to 120 mm; the case is the lowest thing on the vehicle.',
  },
  (_context, kit, say) => {
    if (!kit.mid) return null;
    const height = say.need('bracketHeight');
    say.because(partData('Case hangs below the axle', amount(kit.mid.hangsBelowM, 'size')));
    if (height === undefined)
      return say.open(
        'Height above the ground not measured',
        phrase`The case hangs ${amount(kit.mid.hangsBelowM, 'size')} below the crank’s centre.`,
      );
    const gap = height - kit.mid.hangsBelowM;
    if (gap < LEAST)
      return say.stop(
        'The motor hangs too low',
        phrase`${amount(height, 'size')} less ${amount(kit.mid.hangsBelowM, 'size')} leaves ${amount(gap, 'size')}: less than a kerb.`,
        choose('higher-motor', phrase`Choose a motor that swings up higher.`),
        choose('hub', phrase`Choose a hub motor.`),
      );
    if (gap < WANTED)
      return say.rework(
        'Little ground under the motor',
        phrase`${amount(gap, 'size')} is left under the case; ${amount(WANTED, 'size')} is wanted for kerbs and ruts.`,
        buy(
          'skid-plate',
          phrase`Fit a skid plate, and step down kerbs wheel by wheel.`,
          take('skid-plate', 'bracket'),
          { work: 20 },
        ),
      );
    return say.fits('Enough ground under the motor', phrase`${amount(gap, 'size')} under the case.`);
  },
);
