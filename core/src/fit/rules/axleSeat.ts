import { ONE_ARM_ABOVE, TWO_ARMS_ABOVE } from '../../constants.ts';
import { isProven } from '../../donor/entry.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, ruleFigure, surveyed, type KitRule } from '../rule.ts';

const RULE = 'axle-seat';
const SOURCE =
  'Reaction torque equals peak wheel torque; arms: one above 40 N·m or direct drive, two above 80 N·m or in aluminium, carbon or a fork.';
/** Depth of slot the flats bear on, m. Source: project, common dropouts. */
const SLOT_DEPTH = 0.012;
const ARM_PRICE = 24;

/**
 * What the seat of a hub's axle is made of, the stress the flats put on it, and the torque arms it
 * wants. Stress = torque ÷ (flat width · slot depth in contact · thickness · ½).
 */
export const axleSeat: KitRule = {
  id: RULE,
  words: 'Axle seat and arms',
  group: 'axle',
  fitCritical: true,
  uses: ['dropoutMaterial', 'forkMaterial', 'forkKind', 'rearDropoutThickness'],
  judge(context, kit) {
    const fit = kit.hub;
    if (!fit) return null;
    const { survey } = context.build.donor;
    const rear = fit.place === 'rear';
    const materialItem = rear ? 'dropoutMaterial' : 'forkMaterial';
    const material = survey[materialItem];
    const torque = kitPeakTorque(kit);
    const planned = context.build.choice.torqueArms;
    const evidence: Evidence[] = [
      surveyed(context, materialItem),
      partData('Peak torque at the wheel', amount(torque, 'torque')),
    ];
    if (!rear) evidence.push(surveyed(context, 'forkKind'));
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (!rear && (material?.value === 'carbon' || survey.forkKind?.value === 'suspension')) {
      const what = material?.value === 'carbon' ? 'carbon' : 'suspension';
      return finding({
        verdict: 'stop',
        title: what === 'carbon' ? 'Carbon fork under a hub motor' : 'Suspension fork under a hub motor',
        why: phrase`The motor twists the fork tips with ${amount(torque, 'torque')} at every start. ${what === 'carbon' ? 'Carbon tips delaminate' : 'Cast suspension tips crack'} without warning, and the wheel comes out.`,
        remedies: [{ text: phrase`Fit a rigid steel fork, or drive another wheel.`, cost: 90 }],
      });
    }
    if (material?.value === 'carbon') {
      return finding({
        verdict: 'stop',
        title: 'Carbon dropouts under a hub motor',
        why: phrase`${amount(torque, 'torque')} of reaction torque on carbon: the seat crushes and the axle spins out.`,
        remedies: [{ text: phrase`No torque arm mends this; choose another donor.` }],
      });
    }
    if (!material || (!rear && !survey.forkKind)) {
      return finding({
        verdict: 'measure',
        title: 'What holds the axle?',
        why: phrase`The axle must hold ${amount(torque, 'torque')}. How many torque arms that takes depends on what the ${rear ? 'dropouts are' : 'fork is'} made of.`,
        remedies: [
          ...(material ? [] : [measureIt(materialItem)]),
          ...(!rear && !survey.forkKind ? [measureIt('forkKind')] : []),
        ],
      });
    }
    const weak = material.value === 'aluminium' || !rear;
    const wanted = torque > TWO_ARMS_ABOVE || weak ? 2 : torque > ONE_ARM_ABOVE || kit.family === 'rearDirect' ? 1 : 0;
    evidence.push(ruleFigure('Torque arms wanted', String(wanted)), ruleFigure('Torque arms planned', String(planned)));
    const thickness = rear ? survey.rearDropoutThickness : undefined;
    if (thickness) {
      const stress = torque / (fit.axleFlatsM * SLOT_DEPTH * thickness.value * 0.5);
      evidence.push(
        surveyed(context, 'rearDropoutThickness'),
        ruleFigure('Stress on the slot with no arm', `${Math.round(stress / 1e6)} MPa`),
      );
    }
    if (planned < wanted) {
      return finding({
        verdict: 'rework',
        title: wanted === 2 ? 'Wants two torque arms' : 'Wants a torque arm',
        why: phrase`${amount(torque, 'torque')} at the axle in ${material.value}${rear ? '' : ' fork tips'} wants ${wanted}; ${planned} planned.`,
        remedies: [
          {
            text: phrase`Plan ${wanted} torque arm${wanted > 1 ? 's, one a side' : ''}.`,
            cost: (wanted - planned) * ARM_PRICE,
          },
        ],
      });
    }
    if (!isProven(material)) {
      return finding({
        verdict: 'measure',
        title: 'Material not proven',
        why: phrase`${material.value} would do with ${planned} torque arm${planned === 1 ? '' : 's'}, but nobody has checked it.`,
        remedies: [measureIt(materialItem)],
      });
    }
    return finding({
      verdict: 'fits',
      title: planned === 0 ? 'Seat holds without arms' : `Held with ${planned} torque arm${planned === 1 ? '' : 's'}`,
      why: phrase`${amount(torque, 'torque')} at the axle in ${material.value}: ${wanted} wanted, ${planned} planned.`,
      remedies: [],
    });
  },
};
