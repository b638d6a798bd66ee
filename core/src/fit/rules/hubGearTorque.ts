import { RIDER_PEAK_TORQUE } from '../../constants.ts';
import { kitPeakTorque } from '../../drive/kitTorque.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { cogsToBe, hubGearLimits, ringToBe } from '../gearsThatWillBe.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { choose, set } from '../remedies.ts';

/** Torque that a mid-drive and its rider together put into a hub gear. */
export const hubGearTorque = kitRule(
  {
    id: 'hub-gear-torque',
    words: 'Torque into the hub gear',
    group: 'drivetrain',
    uses: ['clusterKind', 'hubGear', 'hubGearTorque', 'cogTeeth', 'ringTeeth'],
    source:
      'Torque at the cog is torque at the ring ÷ (ring ÷ cog); a rider puts in up to some 60 N·m at the cranks beside the motor.',
  },
  (context, kit, say) => {
    const limits = hubGearLimits(context);
    if (!kit.mid || !limits) return null;
    const chosen = context.gearing.hubGear?.part;
    if (!chosen) say.needOwn('hubGearTorque');
    const bears = limits.mostTorqueNm;
    if (chosen && bears !== undefined) say.because(partData('The hub gear bears', amount(bears, 'torque')));
    const cog = cogsToBe(context, say)?.[0];
    const ring = ringToBe(context, say);
    const motor = kitPeakTorque(kit);
    const pedals = !(context.build.choice.usesThrottle && kit.throttle);
    const atRing = motor + (pedals ? RIDER_PEAK_TORQUE : 0);
    say.because(
      partData('Motor’s peak at the ring', amount(motor, 'torque')),
      ruleFigure('Rider’s beside it', amount(pedals ? RIDER_PEAK_TORQUE : 0, 'torque')),
    );
    if (bears === undefined || cog === undefined)
      return say.open(
        'What torque the hub gear bears not known',
        phrase`Motor and rider give ${amount(atRing, 'torque')} at the ring.`,
      );
    const atCog = (atRing * cog) / ring;
    say.because(ruleFigure('At the cog', amount(atCog, 'torque')));
    if (atCog > bears * 1.6)
      return say.stop(
        'Far too much torque for the hub gear',
        phrase`${amount(atCog, 'torque')} at the cog of a hub that bears ${amount(bears, 'torque')}.`,
        choose('weaker-motor', phrase`A weaker motor.`),
        choose('other-wheel', phrase`A hub motor in the other wheel.`),
        choose('derailleur', phrase`Derailleur gears.`),
      );
    if (atCog > bears + 1e-6) {
      const left = (bears * ring) / cog - (pedals ? RIDER_PEAK_TORQUE : 0);
      return say.rework(
        'More torque than the hub gear bears',
        phrase`${amount(atCog, 'torque')} of motor and rider at the cog; it bears ${amount(bears, 'torque')}.`,
        ...(left > 0
          ? [
              set(
                'phase-current',
                phrase`Set the phase current to ${Math.floor((left / motor) * 100)} %, and let up while shifting.`,
                { work: 20 },
              ),
            ]
          : []),
        choose('smaller-cog', phrase`A smaller cog or a bigger ring.`),
        choose('weaker-motor', phrase`A weaker motor.`),
      );
    }
    return say.fits(
      'The hub gear bears motor and rider',
      phrase`${amount(atCog, 'torque')} at the cog of ${amount(bears, 'torque')}.`,
    );
  },
);
