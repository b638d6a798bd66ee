import { WASHER_LIMIT } from '../../constants.ts';
import { armPart } from '../../vehicle/vehicle.ts';
import { longer, shorter } from '../../quantity/compare.ts';
import type { SmallPartId } from '../../parts/shelf/ids.ts';
import { thicknessOf } from '../../parts/part.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, askFor } from '../remedies.ts';

/** Missing thread that a thinner washer or longer nut makes up, m. Source: project. */
const MADE_UP = 0.002;

/** What a thin washer saves in place of a thick one, m. Source: shelf, 1.2 for 3 mm. */
const THIN_SAVES = 0.0018;

/** The stack on each axle end: washers, arm, dropout, hanger and nut, with thread left over or missing. */
export const axleStack = kitRule(
  {
    id: 'axle-stack',
    words: 'Stack on the axle',
    group: 'axle',
    uses: ['rearDropoutThickness', 'frontDropoutThickness', 'hanger', 'rearDropoutSpacing', 'frontDropoutSpacing'],
    source: 'Axle beyond the hub’s face less everything that goes on it; a nut wants all its thread.',
    fitCritical: true,
  },
  ({ build, shelf, asItWillBe }, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const thick = say.need(rear ? 'rearDropoutThickness' : 'frontDropoutThickness');
    if (!fit.axleOutM || !fit.stackM)
      return say.open(
        'How long the axle is is not known',
        phrase`The kit’s data does not give the axle beyond its faces.`,
        askFor('the axle’s length beyond each face, and the thickness of its washers and nuts'),
      );
    if (thick === undefined)
      return say.open(
        'Dropout thickness not measured',
        phrase`Washers, arm, dropout and nut share ${amount(Math.min(fit.axleOutM.left, fit.axleOutM.right), 'size')} of axle.`,
      );
    const arm = thicknessOf(shelf, armPart(kit));
    const end = rear ? 'rear axle' : 'front axle';
    const on = (part: SmallPartId): number =>
      asItWillBe.fittings.find((t) => t.part === part && t.place === end)?.count ?? 0;
    const clawed = (rear && say.look('hanger') === 'claw') || on('claw-hanger') > 0;
    const claw = clawed ? thicknessOf(shelf, 'claw-hanger') : 0;
    // Arms that are planned; one taken in a washer’s place takes up no more than the washer did.
    const arms = build.choice.torqueArms;
    // Ends wider apart than the hub are filled with washers, half each side: they use up axle like everything else.
    const spacing = say.need(rear ? 'rearDropoutSpacing' : 'frontDropoutSpacing');
    const gap = (spacing ?? fit.dropoutSpacingM) - fit.dropoutSpacingM;
    // More than washers fill is the spacing's own verdict.
    const filled = gap > 0 && !longer(gap, WASHER_LIMIT) ? gap / 2 : 0;
    // A thin washer takes a thick one's place.
    const saved = on('thin-washer') > 0 ? THIN_SAVES : 0;
    // One arm goes on the left, where there is no hanger; a second on the right.
    const left = fit.axleOutM.left - fit.stackM.left - thick - filled - (arms > 0 ? arm : 0) + saved;
    const right = fit.axleOutM.right - fit.stackM.right - thick - filled - (arms > 1 ? arm : 0) - claw + saved;
    const tight = Math.min(left, right);
    const side = left <= right ? 'left' : 'right';
    say.because(
      partData(
        'Axle beyond the face, left and right',
        `${Math.round(fit.axleOutM.left * 1000)} and ${Math.round(fit.axleOutM.right * 1000)} mm`,
      ),
      partData(
        'Washers and nut, left and right',
        `${Math.round(fit.stackM.left * 1000)} and ${Math.round(fit.stackM.right * 1000)} mm`,
      ),
      ...(filled > 0 ? [ruleFigure('Washers between hub and ends, a side', amount(filled, 'size'))] : []),
      ruleFigure('Torque arms planned', String(arms)),
      ruleFigure(`Thread left, ${side}`, amount(tight, 'size')),
    );
    if (shorter(tight, -MADE_UP))
      return say.stop(
        'The axle is too short for the stack',
        phrase`On the ${side} the nut would lack ${amount(-tight, 'size')} of thread: it strips at the first hard start.`,
        choose('longer-axle', phrase`Choose a hub with a longer axle.`),
        buy(
          'arm-for-washer',
          phrase`Fit a torque arm that takes the washer’s place.`,
          take(armPart(kit), rear ? 'rear axle' : 'front axle'),
          { work: 30 },
        ),
      );
    if (shorter(tight, 0))
      return say.rework(
        'The nut lacks a little thread',
        phrase`On the ${side} ${amount(-tight, 'size')} of thread is missing.`,
        buy(
          'thin-washer',
          phrase`Put a thin washer in place of the inner one, and see a full turn of thread past the nut.`,
          take('thin-washer', rear ? 'rear axle' : 'front axle'),
          { work: 15 },
        ),
        buy(
          'arm-for-washer',
          phrase`Fit an arm that replaces the inner washer, and see a full turn of thread past the nut.`,
          take(armPart(kit), rear ? 'rear axle' : 'front axle'),
          { work: 30 },
        ),
      );
    return say.fits(
      'Everything goes on the axle',
      phrase`${amount(tight, 'size')} of thread to spare on the ${side}, the tighter side.`,
    );
  },
);
