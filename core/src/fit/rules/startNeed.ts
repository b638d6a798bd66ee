import { cogsToBe, ringToBe } from '../gearsThatWillBe.ts';
import { isProven } from '../../donor/entry.ts';
import type { Remedy } from '../../build/remedy.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { helpOf } from '../../vehicle/assist.ts';
import { choose, measureIt, set } from '../remedies.ts';
import { ruleFigure, type Rule, type RuleGroup } from '../rule.ts';
import { planRule } from '../say.ts';

/** Starts and walks on the road’s hills: a hub’s are the drive’s affair, a mid-drive’s the gears’. */
function startNeed(id: string, group: RuleGroup, mid: boolean): Rule {
  const otherwise = (hub: Remedy[]): Remedy[] =>
    mid ? [choose('smaller-ring', phrase`A smaller ring.`), choose('bigger-cog', phrase`A bigger largest cog.`)] : hub;
  return planRule(
    {
      id,
      words: 'Starts on the hills',
      group,
      uses: ['vehicleMass', 'cogTeeth', 'ringTeeth', 'rearTyre', 'frontTyre', 'wheelbase', 'rearWheelShare'],
      source: 'Ride model, docs/models.md.',
      dear: true,
      rides: true,
    },
    (context, say) => {
      const { reckoning: r, start, kit, build } = context;
      if (!r || !start || !kit || (kit.mid !== undefined) !== mid) return null;
      say.need('vehicleMass');
      say.need('wheelbase');
      if (mid) {
        cogsToBe(context, say);
        ringToBe(context, say);
      }
      const { step, steps } = helpOf(build, kit, r.system);
      const more = step !== null && step < steps.length ? [set('more-help', phrase`A higher step of help.`)] : [];
      const { walkAtM } = r.toEmpty;
      const noLegs = r.system.rider.powerW === 0;
      say.because(
        ruleFigure('Motor alone starts on', amount(r.startGrade, 'grade')),
        ...(start.limit === 'the motor' ? [] : [ruleFigure(`Past this ${start.limit}`, amount(start.grade, 'grade'))]),
        ruleFigure('Steepest on this road', amount(r.steepest, 'grade')),
        ruleFigure('Stretches walked', String(walkAtM.length)),
      );
      if (noLegs && (walkAtM.length > 0 || context.fromRest === 'not at all'))
        return say.stop(
          'Stays on the hill: nobody pedals',
          walkAtM.length > 0
            ? phrase`${walkAtM.length === 1 ? 'One stretch is' : `${walkAtM.length} stretches are`} too steep for the motor, the first at ${amount(walkAtM[0] ?? 0, 'way')}; there are no legs to help, and nobody who gets off and walks.`
            : phrase`From rest it sets off on ${amount(start.grade, 'grade')} at most${start.limit === 'the motor' ? '' : `, since past that ${start.limit}`}; the road has ${amount(r.steepest, 'grade')}, and there are no legs to help.`,
          ...more,
          ...otherwise([
            choose('mid-drive', phrase`A mid-drive.`),
            choose('smaller-wheel', phrase`A smaller wheel.`),
            choose(
              'stronger-hub',
              phrase`A stronger hub${start.limit === 'the motor' ? '' : ' for the other wheel, or load over the wheel that drives'}.`,
            ),
          ]),
          choose('other-road', phrase`A road without that stretch.`),
        );
      if (walkAtM.length > 0)
        return say.rework(
          'Walks part of the road',
          phrase`On ${walkAtM.length} stretch${walkAtM.length === 1 ? '' : 'es'}, the first at ${amount(walkAtM[0] ?? 0, 'way')}, full force is below the hill and the rider gets off.`,
          ...more,
          ...otherwise([
            choose('mid-drive', phrase`A mid-drive.`),
            choose('smaller-wheel', phrase`A smaller wheel.`),
            choose('stronger-hub', phrase`A stronger hub.`),
          ]),
        );
      const held = start.limit !== 'the motor';
      if (held && start.grade < r.steepest && !isProven(build.donor.survey.wheelbase))
        return say.open(
          'Start on the steepest stretch not proven',
          phrase`By a common frame ${start.limit} past ${amount(start.grade, 'grade')}; the road has ${amount(r.steepest, 'grade')}. The wheelbase, not measured yet, decides how the weight stands.`,
          measureIt('wheelbase'),
        );
      if (held && start.grade < r.steepest)
        return say.rework(
          `On the steepest stretch ${start.limit}`,
          phrase`The motor could set off on ${amount(r.startGrade, 'grade')}, but past ${amount(start.grade, 'grade')} ${start.limit}; the road has ${amount(r.steepest, 'grade')}. With a run-up it passes; from rest only gently.`,
          set(
            'gentle',
            phrase`Start gently there, with the rider’s weight over the wheel that ${start.limit === 'the tyre slips' ? 'drives' : 'lifts'}.`,
          ),
          choose('load-moved', phrase`Carry load over that wheel.`),
        );
      if (r.startGrade < r.steepest)
        return say.rework(
          'Will not start on the steepest stretch by itself',
          context.fromRest === 'not at all'
            ? phrase`The motor alone sets off on ${amount(r.startGrade, 'grade')}; the road has ${amount(r.steepest, 'grade')}, and from rest the legs do not make up the rest. Only with a run-up it passes.`
            : phrase`The motor alone sets off on ${amount(r.startGrade, 'grade')}; the road has ${amount(r.steepest, 'grade')}. With a run-up it passes, from rest the rider must push hard.`,
          ...otherwise([
            set('phase-amps', phrase`More phase amps.`),
            choose('smaller-wheel', phrase`A smaller wheel.`),
            choose('mid-drive', phrase`A mid-drive.`),
          ]),
        );
      return say.fits(
        'Starts on every hill of this road',
        held
          ? phrase`The motor alone sets off on ${amount(r.startGrade, 'grade')}, though past ${amount(start.grade, 'grade')} ${start.limit}; the steepest here is ${amount(r.steepest, 'grade')}.`
          : phrase`The motor alone sets off on ${amount(start.grade, 'grade')}; the steepest here is ${amount(r.steepest, 'grade')}.`,
      );
    },
  );
}

export const startOfHub = startNeed('start-need', 'hills', false);
export const startOfMid = startNeed('start-need-geared', 'gears', true);
