import { barItems } from '../../wiring/bar.ts';
import { amount, capital, phrase } from '../../quantity/format.ts';
import { ruleFigure, type Rule } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, work, take, askFor } from '../remedies.ts';

function barRoom(side: 'left' | 'right'): Rule {
  const barItem = side === 'left' ? 'barLeft' : 'barRight';
  const shiftItem = side === 'left' ? 'leftShifter' : 'rightShifter';
  const leverItem = side === 'left' ? 'leftLever' : 'rightLever';
  return kitRule(
    {
      id: `bar-${side}`,
      words: `Bar, ${side}`,
      group: 'controls',
      uses: [barItem, 'gripLength', shiftItem, leverItem],
      source: 'Grip, lever, shifter, throttle and keypad laid out along the straight of the bar.',
    },
    ({ build, shelf }, kit, say) => {
      const shape = build.donor.survey.barShape?.value;
      if (shape === 'drop' || shape === 'sideSticks') return null;
      const straight = say.need(barItem);
      say.need('gripLength');
      say.need(shiftItem);
      say.need(leverItem);
      if (!kit.controls)
        return say.open(
          'What goes on the bar is not known',
          phrase`The kit’s data does not list its controls.`,
          askFor('the length of throttle and keypad along the bar'),
        );
      const things = barItems(build, kit, side, shelf);
      const sum = things.reduce((total, t) => total + t.lengthM, 0);
      const list = things.map((t) => `${t.what} ${Math.round(t.lengthM * 1000)}`).join(', ');
      say.because(ruleFigure('Laid out from the end, mm', list), ruleFigure('Together', amount(sum, 'size')));
      if (straight === undefined)
        return say.open(
          `Bar not measured, ${side}`,
          phrase`${capital(list)} mm want ${amount(sum, 'size')} of straight bar.`,
        );
      const spare = straight - sum;
      if (spare < -0.03)
        return say.rework(
          `No room on the ${side} of the bar`,
          phrase`${amount(sum, 'size')} of controls on ${amount(straight, 'size')}: ${amount(-spare, 'size')} too long.`,
          buy('stem-bracket', phrase`Move keypad or bell to a bracket on the stem.`, take('stem-bracket', 'bar'), {
            work: 40,
          }),
          buy('half-grip', phrase`A half grip on that side.`, take('half-grip', 'bar'), { work: 20 }),
          buy('longer-bar', phrase`A longer bar.`, take('handlebar', 'bar'), { work: 60 }),
        );
      if (spare < 0)
        return say.rework(
          `Tight on the ${side} of the bar`,
          phrase`${amount(-spare, 'size')} more than the straight has.`,
          buy('half-grip', phrase`A half grip on that side.`, take('half-grip', 'bar'), { work: 20 }),
          work('over-bend', phrase`Clamp over the start of the bend, if the clamp is narrow.`, 10),
        );
      return say.fits(
        `Room on the ${side} of the bar`,
        phrase`${amount(spare, 'size')} to spare of ${amount(straight, 'size')}.`,
      );
    },
  );
}

/** Left and right of the bar, laid out in mm. */
export const barLeft = barRoom('left');
export const barRight = barRoom('right');
