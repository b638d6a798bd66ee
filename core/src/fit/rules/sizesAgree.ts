import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { donorRule } from '../say.ts';
import { work, measureIt } from '../remedies.ts';

/** Angles a head tube has on anything ridden, rad. */
const HEAD = { low: (60 * Math.PI) / 180, high: (80 * Math.PI) / 180 };

/** Whether the sizes on the sheet can belong to one vehicle. */
export const sizesAgree = donorRule(
  {
    id: 'sizes-agree',
    words: 'Sizes agree',
    group: 'donor',
    uses: ['seatSide', 'topSide', 'downSide', 'chainstayLength', 'bracketHeight', 'wheelbase', 'seatTubeAngle'],
    source: 'The three inside lengths, chainstay, wheelbase and heights come to one head angle; 60 to 80° is ridden.',
  },
  ({ geometry, build }, say) => {
    for (const id of ['chainstayLength', 'bracketHeight', 'wheelbase'] as const) say.need(id);
    if (geometry.problem)
      return say.rework(
        'The sizes do not close',
        phrase`${geometry.problem}`,
        work('measure-again', phrase`Measure the sides again, from corner to corner inside the tubes.`, 10),
      );
    const { survey } = build.donor;
    if (!geometry.triangle || !survey.seatSide || !survey.topSide || !survey.downSide) return null;
    for (const id of ['seatSide', 'topSide', 'downSide'] as const) say.need(id);
    say.because(ruleFigure('Head angle they come to', amount(geometry.headAngleRad, 'angle')));
    if (geometry.headAngleRad < HEAD.low || geometry.headAngleRad > HEAD.high)
      return say.open(
        'The sizes come to an odd head angle',
        phrase`${amount(geometry.headAngleRad, 'angle')}: one of the lengths is likely off.`,
        measureIt('wheelbase'),
        measureIt('topSide'),
      );
    return say.fits('The sizes agree', phrase`They come to a head angle of ${amount(geometry.headAngleRad, 'angle')}.`);
  },
);
