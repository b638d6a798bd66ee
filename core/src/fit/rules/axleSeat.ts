import { armPart } from '../../vehicle/vehicle.ts';
import { ONE_ARM_ABOVE, TWO_ARMS_ABOVE } from '../../constants.ts';
import { isProven } from '../../donor/entry.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, measureIt } from '../remedies.ts';

/** Depth of slot the flats bear on, m. Source: project, common dropouts. */
const SLOT_DEPTH = 0.012;

/**
 * What the seat of a hub's axle is made of, the stress the flats put on it, and the torque arms it
 * wants. Stress = torque ÷ (flat width · slot depth in contact · thickness · ½).
 */
export const axleSeat = kitRule(
  {
    id: 'axle-seat',
    words: 'Axle seat and arms',
    group: 'axle',
    fitCritical: true,
    uses: ['dropoutMaterial', 'forkMaterial', 'forkKind', 'rearDropoutThickness'],
    source:
      'Reaction torque equals peak wheel torque; arms: one above 40 N·m or direct drive, two above 80 N·m or in aluminium, carbon or a fork.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const { survey } = context.build.donor;
    const rear = fit.place === 'rear';
    const materialItem = rear ? 'dropoutMaterial' : 'forkMaterial';
    const material = survey[materialItem];
    const torque = kitPeakTorque(kit);
    const planned = context.build.choice.torqueArms;
    say.because(surveyed(context, materialItem), partData('Peak torque at the wheel', amount(torque, 'torque')));
    if (!rear) say.because(surveyed(context, 'forkKind'));
    if (!rear && (material?.value === 'carbon' || survey.forkKind?.value === 'suspension')) {
      const what = material?.value === 'carbon' ? 'carbon' : 'suspension';
      return say.stop(
        what === 'carbon' ? 'Carbon fork under a hub motor' : 'Suspension fork under a hub motor',
        phrase`The motor twists the fork tips with ${amount(torque, 'torque')} at every start. ${what === 'carbon' ? 'Carbon tips delaminate' : 'Cast suspension tips crack'} without warning, and the wheel comes out.`,
        buy('steel-fork', phrase`Fit a rigid steel fork.`, take('steel-fork', 'fork'), { work: 90 }),
        choose('other-wheel', phrase`Drive another wheel.`),
      );
    }
    if (material?.value === 'carbon') {
      return say.stop(
        'Carbon dropouts under a hub motor',
        phrase`${amount(torque, 'torque')} of reaction torque on carbon: the seat crushes and the axle spins out.`,
        choose('other-donor', phrase`No torque arm mends this; choose another donor.`),
      );
    }
    if (!material || (!rear && !survey.forkKind)) {
      return say.open(
        'What holds the axle?',
        phrase`The axle must hold ${amount(torque, 'torque')}. How many torque arms that takes depends on what the ${rear ? 'dropouts are' : 'fork is'} made of.`,
        ...(material ? [] : [measureIt(materialItem)]),
        ...(!rear && !survey.forkKind ? [measureIt('forkKind')] : []),
      );
    }
    const weak = material.value === 'aluminium' || !rear;
    const wanted = torque > TWO_ARMS_ABOVE || weak ? 2 : torque > ONE_ARM_ABOVE || kit.family === 'rearDirect' ? 1 : 0;
    say.because(ruleFigure('Torque arms wanted', String(wanted)), ruleFigure('Torque arms planned', String(planned)));
    const thickness = rear ? survey.rearDropoutThickness : undefined;
    if (thickness) {
      const stress = torque / (fit.axleFlatsM * SLOT_DEPTH * thickness.value * 0.5);
      say.because(
        surveyed(context, 'rearDropoutThickness'),
        ruleFigure('Stress on the slot with no arm', `${Math.round(stress / 1e6)} MPa`),
      );
    }
    if (planned < wanted) {
      return say.rework(
        wanted === 2 ? 'Wants two torque arms' : 'Wants a torque arm',
        phrase`${amount(torque, 'torque')} at the axle in ${material.value}${rear ? '' : ' fork tips'} wants ${wanted}; ${planned} planned.`,
        buy(
          'arms',
          phrase`Plan ${wanted} torque arm${wanted > 1 ? 's, one a side' : ''}.`,
          take(armPart(kit), rear ? 'rear axle' : 'front axle', wanted),
          { work: 30, sets: { torqueArms: wanted } },
        ),
      );
    }
    if (!isProven(material)) {
      return say.open(
        'Material not proven',
        phrase`${material.value} would do with ${planned} torque arm${planned === 1 ? '' : 's'}, but nobody has checked it.`,
        measureIt(materialItem),
      );
    }
    return say.fits(
      planned === 0 ? 'Seat holds without arms' : `Held with ${planned} torque arm${planned === 1 ? '' : 's'}`,
      phrase`${amount(torque, 'torque')} at the axle in ${material.value}: ${wanted} wanted, ${planned} planned.`,
    );
  },
);
