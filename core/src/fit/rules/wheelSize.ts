import { hasPairedRearWheels } from '../../donor/kinds.ts';
import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { tyreName } from '../../quantity/tyre.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, surveyed, type KitRule } from '../rule.ts';

const RULE = 'wheel-size';
const SOURCE = 'ISO 5775 bead seats; the kit wheel equals the donor’s unless changed on purpose.';
/** Having a bare hub laced into a rim of the right size. */
const LACING_COST = 85;

/** The kit's wheel against the donor's bead seat; two driven wheels side by side take no single hub. */
export const wheelSize: KitRule = {
  id: RULE,
  words: 'Wheel size',
  group: 'wheel',
  fitCritical: true,
  uses: ['rearTyre', 'frontTyre'],
  judge(context, kit) {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const item = rear ? 'rearTyre' : 'frontTyre';
    const tyre = context.build.donor.survey[item];
    const beads = fit.beadsM.map((b) => Math.round(b * 1000));
    const evidence: Evidence[] = [
      surveyed(context, item),
      partData('Kit wheel bead seats', beads.length === 0 ? 'bare hub, laced to order' : beads.join(', ') + ' mm'),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (rear && hasPairedRearWheels(context.build.donor.kind)) {
      return finding({
        verdict: 'stop',
        title: 'Two wheels on one axle behind',
        why: phrase`The rear wheels sit on a common axle held from within; a hub motor needs a wheel between two ends of its own.`,
        remedies: [{ text: phrase`Drive the front wheel, or the chain with a mid-drive.` }],
      });
    }
    if (!tyre) {
      return finding({
        verdict: 'measure',
        title: 'Wheel size not read',
        why: phrase`The kit wheel must match the donor’s; its tyre size has not been read.`,
        remedies: [measureIt(item)],
      });
    }
    const bead = Math.round(tyre.value.beadM * 1000);
    if (beads.length > 0 && !beads.includes(bead)) {
      // What another size brings with it, link by link, is judged by a rule of its own.
      if (context.build.schools.wheelSize === 'smaller' && beads.some((b) => b < bead) && isProven(tyre)) {
        return finding({
          verdict: 'fits',
          title: 'A smaller kit wheel, on purpose',
          why: phrase`The donor’s bead seat is ${amount(bead / 1000, 'size')}, the kit comes in ${beads.join(', ')} mm; by your school that is meant.`,
          remedies: [],
        });
      }
      const nearest = beads.reduce((a, b) => (Math.abs(b - bead) < Math.abs(a - bead) ? b : a));
      return finding({
        verdict: 'rework',
        title: 'Kit wheel of another size',
        why: phrase`The donor’s bead seat is ${amount(bead / 1000, 'size')} (${tyreName(tyre.value)}); the kit comes in ${beads.join(', ')} mm. The nearest would move the axle by ${amount(Math.abs(nearest - bead) / 2000, 'size')}, and rim brakes with it.`,
        remedies: [
          { text: phrase`Have the motor laced into a ${amount(bead / 1000, 'size')} rim.`, cost: LACING_COST },
        ],
      });
    }
    if (!isProven(tyre)) {
      return finding({
        verdict: 'measure',
        title: 'Wheel size not proven',
        why: phrase`${tyreName(tyre.value)} would match; read the sidewall.`,
        remedies: [measureIt(item)],
      });
    }
    return finding({
      verdict: 'fits',
      title: beads.length === 0 ? 'Hub laced to this size' : 'Kit wheel matches',
      why: phrase`Bead seat ${amount(bead / 1000, 'size')} on donor and kit wheel alike.`,
      remedies: [],
    });
  },
};
