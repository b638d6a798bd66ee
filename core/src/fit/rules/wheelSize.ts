import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { tyreName } from '../../quantity/tyre.ts';
import { partData, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, measureIt, take } from '../remedies.ts';

/** The kit's wheel against the donor's bead seat; two driven wheels side by side take no single hub. */
export const wheelSize = kitRule(
  {
    id: 'wheel-size',
    words: 'Wheel size',
    group: 'wheel',
    fitCritical: true,
    uses: ['rearTyre', 'frontTyre'],
    source: 'ISO 5775 bead seats; the kit wheel equals the donor’s unless changed on purpose.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const item = rear ? 'rearTyre' : 'frontTyre';
    const thought = context.build.choice.newWheels[fit.place];
    const tyre = thought ? { value: thought, provenance: 'dataSheet' as const } : context.build.donor.survey[item];
    const beads = fit.beadsM.map((b) => Math.round(b * 1000));
    say.because(
      thought ? partData('Tyre thought of', tyreName(thought)) : surveyed(context, item),
      partData('Kit wheel bead seats', beads.length === 0 ? 'bare hub, laced to order' : beads.join(', ') + ' mm'),
    );
    if (!tyre) {
      return say.open(
        'Wheel size not read',
        phrase`The kit wheel must match the donor’s; its tyre size has not been read.`,
        measureIt(item),
      );
    }
    const bead = Math.round(tyre.value.beadM * 1000);
    if (beads.length > 0 && !beads.includes(bead)) {
      // What another size brings with it, link by link, is judged by a rule of its own.
      if (context.build.schools.wheelSize === 'smaller' && beads.some((b) => b < bead) && isProven(tyre)) {
        return say.fits(
          'A smaller kit wheel, on purpose',
          phrase`The donor’s bead seat is ${amount(bead / 1000, 'size')}, the kit comes in ${beads.join(', ')} mm; by your school that is meant.`,
        );
      }
      const nearest = beads.reduce((a, b) => (Math.abs(b - bead) < Math.abs(a - bead) ? b : a));
      return say.rework(
        'Kit wheel of another size',
        phrase`The donor’s bead seat is ${amount(bead / 1000, 'size')} (${tyreName(tyre.value)}); the kit comes in ${beads.join(', ')} mm. The nearest would move the axle by ${amount(Math.abs(nearest - bead) / 2000, 'size')}, and rim brakes with it.`,
        buy(
          'lace',
          phrase`Have the motor laced into a ${amount(bead / 1000, 'size')} rim.`,
          take('lacing', rear ? 'rear wheel' : 'front wheel'),
        ),
      );
    }
    if (!isProven(tyre)) {
      return say.open(
        'Wheel size not proven',
        phrase`${tyreName(tyre.value)} would match; read the sidewall.`,
        measureIt(item),
      );
    }
    return say.fits(
      beads.length === 0 ? 'Hub laced to this size' : 'Kit wheel matches',
      phrase`Bead seat ${amount(bead / 1000, 'size')} on donor and kit wheel alike.`,
    );
  },
);
