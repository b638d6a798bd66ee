import { isProven } from '../../donor/entry.ts';
import { capital, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { ask, askFor, buy, choose, measureIt, take } from '../remedies.ts';
import { cutoffWayWords, type CutoffWay } from '../../build/wiring.ts';
import { leverSheets } from '../../wiring/levers.ts';

/** How each lever is made to cut the motor. */
export const cutoffLevers = kitRule(
  {
    id: 'cutoff-levers',
    words: 'Brake cut-offs',
    group: 'levers',
    uses: ['leftLever', 'rightLever', 'leftPull', 'rightPull', 'leftSensorRoom', 'rightSensorRoom', 'rearBrake'],
    source: 'Each lever cuts the motor by itself: new lever, in-line sensor or stick-on magnet, whichever it allows.',
    school: 'cutoffs',
  },
  ({ build, shelf }, kit, say) => {
    const always = build.schools.cutoffs === 'always' || (kit.throttle && build.choice.usesThrottle);
    say.because(
      ruleFigure('School', always ? 'every lever cuts' : 'only with a throttle'),
      partData('Kit brings', kit.controls?.cutoffs ?? 'not said'),
    );
    if (!always)
      return say.fits('No cut-off, by your school', phrase`Pedal assist alone: feet stop the motor as hands brake.`);
    const { survey } = build.donor;
    const left = say.need('leftLever');
    const right = say.need('rightLever');
    for (const side of ['left', 'right'] as const) {
      const lever = survey[`${side}Lever`]?.value;
      if (lever !== undefined && lever !== 'none') say.need(`${side}Pull`);
    }
    if (left === undefined || right === undefined)
      return say.open('Levers not looked at', phrase`What each lever is decides how it is made to cut the motor.`);
    const brings = kit.controls?.cutoffs;
    if (brings === undefined)
      return say.open(
        'What cut-offs the kit brings is not known',
        phrase`The kit’s data does not say.`,
        askFor('how the brakes cut the motor'),
      );
    const sheets = leverSheets(build, kit, shelf).filter((l) => l.lever !== 'none');
    // What was chosen for a hand on the Wiring stage stands in place of what the kit brings.
    const chosen = sheets.filter((l) => l.chosen);
    const hand = (side: 'left' | 'right'): string => (side === 'left' ? 'Left' : 'Right');
    for (const l of chosen) say.because(ruleFigure(`${hand(l.side)} lever, chosen`, cutoffWayWords[l.by]));
    const wrong = chosen.find((l) => l.by === 'none' || l.not[l.by] !== undefined);
    if (wrong)
      return say.rework(
        wrong.by === 'none' ? `${hand(wrong.side)} lever cuts nothing` : `${hand(wrong.side)} lever cannot be cut so`,
        wrong.by === 'none'
          ? phrase`No cut-off is chosen for it; by your school every lever cuts the motor.`
          : phrase`${cutoffWayWords[wrong.by]}: ${wrong.not[wrong.by] ?? ''}.`,
        buy(
          'magnets',
          phrase`A stick-on magnet and sensor at that lever.`,
          take('cutoff-magnet', wrong.side === 'left' ? 'left lever' : 'right lever'),
          { work: 30 },
        ),
      );
    if (chosen.length > 0 && chosen.length === sheets.length)
      return say.fits(
        'Each lever cuts the motor',
        phrase`${chosen.map((l) => `${hand(l.side)} by ${cutoffWayWords[l.by]}`).join(', ')}, as chosen. Tried on a stand before the first ride.`,
      );
    const none = [left, right].every((l) => l === 'none');
    if (none)
      return say.rework(
        'No lever to cut the motor',
        phrase`There is no brake lever on the bar; a coaster brake cuts nothing.`,
        buy(
          'cutoff-brake',
          phrase`Fit a front brake with a cut-off lever, which a second brake is wanted for anyway.`,
          take('cutoff-brake', 'front brake'),
          { work: 60 },
        ),
      );
    const pulls = sheets.filter((l) => !l.chosen && l.pull === undefined);
    if (pulls.length > 0)
      return say.open(
        'What the levers pull not looked at',
        phrase`A hose is never opened for a cut-off, and a lever with two cables keeps its place.`,
        ...pulls.map((l) => measureIt(`${l.side}Pull`)),
      );
    // By your school of keeping your own, the kit’s levers stay in their box; the sensors are bought there.
    const lacking = sheets.filter((l) => !l.chosen && !(comes(brings, l.by) || l.not.kitLever === undefined));
    const unseen = sheets.filter((l) => !l.chosen && l.by === 'magnet' && !isProven(survey[`${l.side}SensorRoom`]));
    if (unseen.length > 0)
      return say.open(
        'Room for a sensor at the levers not looked at',
        phrase`${handsOf(unseen)} would be cut by a magnet on the blade and a sensor on the body; whether both lie flat has not been tried.`,
        ...unseen.map((l) => measureIt(`${l.side}SensorRoom`)),
      );
    const dead = lacking.find((l) => l.by === 'none');
    if (dead)
      return say.rework(
        `Nothing cuts the motor at the ${dead.side} lever`,
        phrase`${capital(dead.not.kitLever ?? '')}; ${dead.not.inLine ?? ''}; ${dead.not.magnet ?? ''}.`,
        ask(
          'lever-with-switch',
          phrase`Ask the brake’s maker for the same lever with a switch inside; one with a hose must be bled afterwards.`,
        ),
        choose(
          'other-kit',
          phrase`A kit without a throttle that stops when you pedal backwards, if your rules allow brakes that do not cut the motor.`,
        ),
      );
    if (lacking.length > 0) {
      const magnets = lacking.filter((l) => l.by === 'magnet').length;
      const inLine = lacking.length - magnets;
      const whys = [...new Set(lacking.map((l) => l.not.kitLever ?? ''))].join('; ');
      return say.rework(
        brings === 'none'
          ? 'The kit brings no cut-offs'
          : brings === 'levers'
            ? 'The kit’s levers do not suit'
            : brings === 'inLine'
              ? 'In-line sensors want a cable'
              : 'The kit’s magnets do not hold there',
        brings === 'levers'
          ? phrase`${handsOf(lacking)}: ${whys}. ${lacking.length === 1 ? 'It stays' : 'They stay'} and ${lacking.length === 1 ? 'is' : 'are'} cut by a sensor.`
          : brings === 'inLine'
            ? phrase`${handsOf(lacking)}: ${[...new Set(lacking.map((l) => l.not.inLine ?? ''))].join('; ')}.`
            : phrase`Each lever must cut the motor.`,
        buy(
          magnets === 0 ? 'in-line' : inLine === 0 ? 'magnets' : 'sensors',
          magnets === 0
            ? phrase`Keep the levers and add in-line sensors to their cables.`
            : inLine === 0
              ? phrase`Keep the levers and add a stick-on magnet and sensor at each; the gap is 2 to 3 mm.`
              : phrase`Keep the levers: a stick-on magnet and sensor at one, an in-line sensor in the cable of the other.`,
          [
            ...(magnets > 0 ? [take('cutoff-magnet', 'levers', magnets)] : []),
            ...(inLine > 0 ? [take('cutoff-inline', 'levers', inLine)] : []),
          ],
          { work: 50 },
        ),
      );
    }
    const own = sheets.every((l) => l.chosen || l.by === 'kitLever');
    return say.fits(
      'Each lever cuts the motor',
      own
        ? phrase`By the kit’s own levers. Tried on a stand before the first ride.`
        : phrase`${sheets.map((l) => `${hand(l.side)} by ${cutoffWayWords[l.by]}`).join(', ')}. Tried on a stand before the first ride.`,
    );
  },
);

/** Whether what a kit brings is what a lever is cut by. */
const comes = (brings: string, by: CutoffWay): boolean =>
  (brings === 'levers' && by === 'kitLever') ||
  (brings === 'inLine' && by === 'inLine') ||
  (brings === 'magnets' && by === 'magnet');

/** “Left lever”, or both. */
const handsOf = (levers: readonly { side: 'left' | 'right' }[]): string =>
  levers.length > 1 ? 'Both levers' : levers[0]?.side === 'left' ? 'The left lever' : 'The right lever';
