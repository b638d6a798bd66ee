import { brakeLimits, stoppingDistance } from '../../safety/going.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule, remedy } from '../say.ts';

/** Wet deceleration wanted at the new speed, m/s². Source: ISO 4210 asks 2.2 of a city bicycle in the wet. */
const WANTED_WET = 2.2;

/** What speed and mass ask of the brakes, dry and wet. */
export const brakesEnough = kitRule(
  {
    id: 'brakes-enough',
    words: 'Brakes for the new weight',
    group: 'brakes',
    uses: ['frontBrake', 'rearBrake', 'vehicleMass'],
    source: 'Deceleration of a 100 kg bicycle by its brakes, scaled by mass; stopping way = v·t + v²/2a.',
    school: 'rimBrakes',
  },
  ({ build, systemMassKg }, kit, say) => {
    const front = say.need('frontBrake');
    const rear = say.need('rearBrake');
    const v = Math.min(build.choice.assistLimitMs ?? kit.assistLimitMs ?? 12, 12.5);
    if (front === undefined || rear === undefined)
      return say.open(
        'Brakes not looked at',
        phrase`All that moves comes to ${amount(systemMassKg, 'mass')}; what stops it has not been looked at.`,
      );
    const scale = Math.min(1, 100 / systemMassKg);
    const own = brakeLimits(front, rear);
    const dry = own.dry * scale;
    const wet = own.wet * scale;
    const way = (a: number): number => stoppingDistance(v, a);
    say.because(
      ruleFigure('All that moves', amount(systemMassKg, 'mass')),
      ruleFigure('From', amount(v, 'speed', 0)),
      ruleFigure('Dry', `${dry.toFixed(1)} m/s², stops in ${way(dry).toFixed(0)} m`),
      ruleFigure('Wet', `${wet.toFixed(1)} m/s², stops in ${way(wet).toFixed(0)} m`),
    );
    if (front === 'none' && rear === 'none')
      return say.stop(
        'No brakes at all',
        phrase`Nothing on it stops ${amount(systemMassKg, 'mass')}.`,
        remedy(phrase`Two brakes that work by themselves, before anything else.`, {
          cost: 95,
          minutes: 180,
          part: 'brakes',
        }),
      );
    if (front === 'none' || (rear === 'none' && v > 5))
      return say.rework(
        'One brake is not enough',
        phrase`Only the ${front === 'none' ? 'rear' : 'front'} wheel brakes ${amount(systemMassKg, 'mass')}: ${way(wet).toFixed(0)} m to stop in the wet from ${amount(v, 'speed', 0)}. Most rules ask for two brakes that work by themselves.`,
        remedy(phrase`Fit a ${front === 'none' ? 'front' : 'rear'} brake.`, { cost: 45, minutes: 90, part: 'brake' }),
      );
    const rims = front === 'rim' && rear === 'rim';
    if (rims && build.schools.rimBrakes === 'discs' && v > 25.5 / 3.6)
      return say.rework(
        'Rim brakes above 25 km/h, by your school',
        phrase`Assist to ${amount(v, 'speed', 0)} on two rim brakes: ${way(wet).toFixed(0)} m to stop in the wet.`,
        remedy(phrase`A disc at the front, or assist held to 25 km/h.`, { cost: 75, minutes: 120, part: 'disc brake' }),
      );
    if (wet < WANTED_WET)
      return say.rework(
        'Long way to stop in the wet',
        phrase`${wet.toFixed(1)} m/s² at ${amount(systemMassKg, 'mass')}: ${way(wet).toFixed(0)} m from ${amount(v, 'speed', 0)}; ${WANTED_WET} m/s² is asked of a city bicycle.`,
        remedy(
          phrase`${rims ? 'Wet-weather pads and new cables; a disc at the front is better.' : 'A stronger front brake, or less load and speed.'}`,
          { cost: rims ? 24 : 75, minutes: 60, part: rims ? 'brake pads' : 'disc brake' },
        ),
      );
    return say.fits(
      'Brakes enough as reckoned',
      phrase`${way(dry).toFixed(0)} m dry and ${way(wet).toFixed(0)} m wet from ${amount(v, 'speed', 0)}. Proved at the new weight before the road.`,
    );
  },
);
