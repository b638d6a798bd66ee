import { WET_STOPPING_WANTED } from '../../constants.ts';
import { deceleration, stoppingDistance } from '../../safety/stopping.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, set, take } from '../remedies.ts';

/** Helped speed up to which two rim brakes are enough in either school, m/s. Source: the-work, schools. */
const RIMS_UP_TO = 25 / 3.6;

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
  ({ build, systemMassKg, stopping, fastest }, _kit, say) => {
    say.need('frontBrake');
    say.need('rearBrake');
    const v = fastest.ms;
    if (!stopping)
      return say.open(
        'Brakes not looked at',
        phrase`All that moves comes to ${amount(systemMassKg, 'mass')}; what stops it has not been looked at.`,
      );
    const { front, rear } = stopping;
    const { dry, wet } = deceleration(stopping);
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
        buy(
          'two-brakes',
          phrase`Two brakes that work by themselves, before anything else.`,
          take('brake-pair', 'donor'),
          { work: 180 },
        ),
      );
    if (front === 'none' || (rear === 'none' && v > 5))
      return say.rework(
        'One brake is not enough',
        phrase`Only the ${front === 'none' ? 'rear' : 'front'} wheel brakes ${amount(systemMassKg, 'mass')}: ${way(wet).toFixed(0)} m to stop in the wet from ${amount(v, 'speed', 0)}. Most rules ask for two brakes that work by themselves.`,
        buy(
          'brake',
          phrase`Fit a ${front === 'none' ? 'front' : 'rear'} brake.`,
          take('front-brake', front === 'none' ? 'front brake' : 'rear brake'),
          { work: 90 },
        ),
      );
    const rims = front === 'rim' && rear === 'rim';
    // Both schools stop at 25 km/h: pads are enough under it, discs are wanted above.
    if (rims && fastest.helpedMs > RIMS_UP_TO + 1e-6)
      return say.rework(
        'Rim brakes above 25 km/h, by your school',
        phrase`The motor helps to ${amount(fastest.helpedMs, 'speed', 0)} on two rim brakes: ${way(wet).toFixed(0)} m to stop in the wet. ${build.schools.rimBrakes === 'discs' ? 'Your school wants discs above 25 km/h.' : 'Your school trusts upgraded pads under 25 km/h, not above.'}`,
        buy('front-disc', phrase`A disc at the front.`, take('disc-brake', 'front brake'), { work: 120 }),
        set('limit-25', phrase`Hold the assist to 25 km/h.`, { work: 5, sets: { assistLimitMs: 25 / 3.6 } }),
      );
    if (wet < WET_STOPPING_WANTED)
      return say.rework(
        'Long way to stop in the wet',
        phrase`${wet.toFixed(1)} m/s² at ${amount(systemMassKg, 'mass')}: ${way(wet).toFixed(0)} m from ${amount(v, 'speed', 0)}; ${WET_STOPPING_WANTED} m/s² is asked of a city bicycle.`,
        ...(rims
          ? [buy('wet-pads', phrase`Wet-weather pads and new cables.`, take('wet-pads', 'donor'), { work: 60 })]
          : []),
        buy(
          'front-disc',
          rims ? phrase`A disc at the front, which is better.` : phrase`A stronger front brake.`,
          take('disc-brake', 'front brake'),
          { work: 60 },
        ),
        choose('less-load', phrase`Carry less.`),
        set('lower-speed', phrase`Set a lower speed.`, { work: 5 }),
      );
    if (rims && build.schools.rimBrakes === 'upgraded')
      return say.rework(
        'Rim brakes do, with better pads',
        phrase`${way(dry).toFixed(0)} m dry and ${way(wet).toFixed(0)} m wet from ${amount(v, 'speed', 0)}. Your school trusts rim brakes once they have good pads and new cables.`,
        buy('wet-pads', phrase`Wet-weather pads and new cables.`, take('wet-pads', 'donor'), { work: 60 }),
      );
    return say.fits(
      rims ? 'Rim brakes do, up to 25 km/h' : 'Brakes strong enough',
      phrase`${way(dry).toFixed(0)} m dry and ${way(wet).toFixed(0)} m wet from ${amount(v, 'speed', 0)}. Proved at the new weight before the road.`,
    );
  },
);
