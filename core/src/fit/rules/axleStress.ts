import { armPart } from '../../vehicle/vehicle.ts';
import type { Remedy } from '../../build/remedy.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import type { Kit } from '../../parts/kit.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, set, choose, take } from '../remedies.ts';

/** Pressure a slot's edges bear again and again, Pa. Source: project; about half of yield of mild steel and of 6061. */
const BEARS = { steel: 130e6, aluminium: 70e6, titanium: 140e6, carbon: 0 } as const;
/** Part of the torque that each arm takes off the slot. Source: project. */
const ARM_SHARE = 0.45;
/** Deepest contact reckoned with, m: the flats end there. */
const CONTACT = 0.012;

/** One more arm than is planned, where there is room for it. */
function moreArms(kit: Kit, arms: number, end: 'rear axle' | 'front axle'): Remedy[] {
  if (arms >= 2) return [];
  return [
    buy(
      arms === 0 ? 'arm' : 'second-arm',
      arms === 0 ? phrase`Fit a torque arm.` : phrase`Fit a second torque arm.`,
      take(armPart(kit), end, arms + 1),
      { work: 30, sets: { torqueArms: arms + 1 } },
    ),
  ];
}

/** Stress on the slot's edges: torque ÷ (flat width · depth in contact · thickness · ½), less what the arms take. */
export const axleStress = kitRule(
  {
    id: 'axle-stress',
    words: 'Stress on the slot',
    group: 'axle',
    uses: [
      'rearDropoutThickness',
      'frontDropoutThickness',
      'rearSlotDepth',
      'frontSlotDepth',
      'dropoutMaterial',
      'forkMaterial',
    ],
    source: 'docs/models.md, axle; bearing pressure held to half of yield.',
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const end = rear ? 'rear axle' : 'front axle';
    if (build.donor.survey[rear ? 'rearAxleHolding' : 'frontAxleHolding']?.value === 'throughAxle') return null;
    const material = say.need(rear ? 'dropoutMaterial' : 'forkMaterial');
    const thick = say.need(rear ? 'rearDropoutThickness' : 'frontDropoutThickness');
    const depth = say.need(rear ? 'rearSlotDepth' : 'frontSlotDepth');
    const torque = kitPeakTorque(kit);
    say.because(partData('Peak torque', amount(torque, 'torque')));
    if (material === undefined || thick === undefined || depth === undefined)
      return say.open(
        'Stress on the slot not known',
        phrase`${amount(torque, 'torque')} works on the slot’s edges; thickness, depth and material decide whether they bear it.`,
      );
    if (material === 'carbon') return null;
    const arms = build.choice.torqueArms;
    const stress = torque / (fit.axleFlatsM * Math.min(depth, CONTACT) * thick * 0.5);
    const left = stress * Math.max(0.1, 1 - arms * ARM_SHARE);
    const bears = BEARS[material];
    const mpa = (pa: number): string => `${Math.round(pa / 1e6)} MPa`;
    say.because(
      ruleFigure('With no arm', mpa(stress)),
      ruleFigure(`With ${arms}`, mpa(left)),
      ruleFigure('Borne again and again', mpa(bears)),
    );
    if (left > bears * 1.5 && arms >= 2)
      return say.stop(
        'The slot does not bear this torque',
        phrase`Even with two arms ${mpa(left)} is left on ${material} that bears ${mpa(bears)}.`,
        choose('weaker-motor', phrase`Choose a weaker motor.`),
        choose('mid-drive', phrase`Choose a mid-drive, which leaves the slot alone.`),
      );
    if (left > bears)
      return say.rework(
        'Too much for the slot alone',
        phrase`${mpa(left)} on ${material} that bears ${mpa(bears)} again and again, with ${arms} arm${arms === 1 ? '' : 's'}.`,
        ...moreArms(kit, arms, end),
        set('phase-current', phrase`Set a lower phase current.`, { work: 10 }),
      );
    return say.fits(
      'The slot bears the torque',
      phrase`${mpa(left)} with ${arms} arm${arms === 1 ? '' : 's'}, where ${material} bears ${mpa(bears)}.`,
    );
  },
);
