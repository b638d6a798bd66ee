import { phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take, askFor } from '../remedies.ts';
import { cutoffWayWords } from '../../build/wiring.ts';
import { leverSheets } from '../../wiring/levers.ts';

/** How each lever is made to cut the motor. */
export const cutoffLevers = kitRule(
  {
    id: 'cutoff-levers',
    words: 'Brake cut-offs',
    group: 'levers',
    uses: ['leftLever', 'rightLever', 'rearBrake'],
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
    const left = say.need('leftLever');
    const right = say.need('rightLever');
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
    const open = sheets.filter((l) => !l.chosen).flatMap((l) => (l.lever ? [l.lever] : []));
    if (chosen.length > 0 && open.length === 0)
      return say.fits(
        'Each lever cuts the motor',
        phrase`${chosen.map((l) => `${hand(l.side)} by ${cutoffWayWords[l.by]}`).join(', ')}, as chosen. Tried on a stand before the first ride.`,
      );
    const awkward = open.filter((l) => l === 'hydraulic' || l === 'withShifter' || l === 'dropBar');
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
    if (brings === 'none')
      return say.rework(
        'The kit brings no cut-offs',
        phrase`Each lever must cut the motor.`,
        buy(
          'magnets',
          phrase`Add a stick-on magnet and sensor at each lever; the gap is 2 to 3 mm.`,
          take('cutoff-magnet', 'levers', open.length),
          { work: 50 },
        ),
      );
    if (brings === 'levers' && awkward.length > 0)
      return say.rework(
        'The kit’s levers do not suit',
        phrase`${awkward.length === 2 ? 'Both levers are' : 'One lever is'} ${awkward[0] === 'hydraulic' ? 'hydraulic' : awkward[0] === 'withShifter' ? 'joined with the shifter' : 'made for drop bars'}: to replace ${awkward.length === 2 ? 'them' : 'it'} would lose brake or gears.`,
        buy(
          awkward[0] === 'hydraulic' ? 'magnets' : 'in-line',
          phrase`Keep the levers and add ${awkward[0] === 'hydraulic' ? 'stick-on magnets' : 'in-line sensors'}.`,
          take(awkward[0] === 'hydraulic' ? 'cutoff-magnet' : 'cutoff-inline', 'levers', awkward.length),
          { work: 50 },
        ),
      );
    if (brings === 'inLine' && open.includes('hydraulic'))
      return say.rework(
        'In-line sensors want a cable',
        phrase`A hydraulic hose has no cable for the sensor to sit in.`,
        buy(
          'magnets',
          phrase`Stick-on magnets at the hydraulic lever.`,
          take('cutoff-magnet', 'levers', open.filter((l) => l === 'hydraulic').length),
          { work: 40 },
        ),
      );
    return say.fits(
      'Each lever cuts the motor',
      phrase`By ${brings === 'levers' ? 'the kit’s own levers' : brings === 'inLine' ? 'sensors in the cables' : 'magnets at the levers'}. Tried on a stand before the first ride.`,
    );
  },
);
