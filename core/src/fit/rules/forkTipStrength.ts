import { armPart } from '../../vehicle/vehicle.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Thin stamped fork tips. m. Source: workshop practice. */
const THIN = 0.003;
const STOUT = 0.0045;

/** Thickness of the fork tips a front motor twists. */
export const forkTipStrength = kitRule(
  {
    id: 'fork-tip-strength',
    words: 'Fork tip thickness',
    group: 'axle',
    uses: ['frontDropoutThickness'],
    source: 'Workshop practice: stamped tips under 3 mm open up; 4.5 mm and more hold.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    if (kit.hub?.place !== 'front') return null;
    const thick = say.need('frontDropoutThickness');
    if (thick === undefined)
      return say.open('Fork tips not measured', phrase`A front motor twists the tips at every start.`);
    if (thick < THIN)
      return say.stop(
        'Fork tips too thin',
        phrase`${amount(thick, 'size')}: a stamped tip opens up, and the wheel leaves it.`,
        buy('steel-fork', phrase`Fit a fork with forged or plate tips.`, take('steel-fork', 'fork'), { work: 90 }),
      );
    if (thick < STOUT && build.choice.torqueArms < 2)
      return say.rework(
        'Thin fork tips want two arms',
        phrase`${amount(thick, 'size')} of tip; under ${amount(STOUT, 'size')} both sides want an arm, and ${build.choice.torqueArms} planned.`,
        buy('two-arms', phrase`Plan two torque arms.`, take(armPart(kit), 'front axle', 2), {
          work: 30,
          sets: { torqueArms: 2 },
        }),
      );
    return say.fits('Fork tips stout enough', phrase`${amount(thick, 'size')} of tip.`);
  },
);
