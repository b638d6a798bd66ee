import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, surveyed, type KitRule } from '../rule.ts';

const RULE = 'axle-slot';
const SOURCE = 'The axle’s flats must enter the slot and fill it; round diameter and flats are two dimensions.';
/** Flats may be this much smaller than the slot and still count as filling it, m. */
const SLACK_GOOD = 0.0004;
/** Beyond this much slack an axle rocks and rounds its flats, m. */
const SLACK_WORST = 0.0012;
/** Most that is filed off both sides of a slot together, m. */
const FILE_LIMIT = 0.001;

/** Slot width against the axle's flats, and closed holes for through-axles, which take no hub motor. */
export const axleSlot: KitRule = {
  id: RULE,
  words: 'Axle in the slot',
  group: 'axle',
  fitCritical: true,
  uses: ['rearAxleHolding', 'rearSlotWidth', 'frontAxleHolding', 'frontSlotWidth'],
  judge(context, kit) {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const { survey } = context.build.donor;
    const slotItem = rear ? 'rearSlotWidth' : 'frontSlotWidth';
    const holdItem = rear ? 'rearAxleHolding' : 'frontAxleHolding';
    const slot = survey[slotItem];
    const holding = survey[holdItem];
    const evidence: Evidence[] = [
      surveyed(context, holdItem),
      surveyed(context, slotItem),
      partData('Axle across its flats', amount(fit.axleFlatsM, 'size')),
      partData('Axle diameter', amount(fit.axleDiameterM, 'size')),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (holding?.value === 'throughAxle') {
      return finding({
        verdict: 'stop',
        title: 'A closed hole takes no motor axle',
        why: phrase`The ${rear ? 'rear' : 'front'} end has a through-axle hole. This hub has a solid axle with ${amount(fit.axleFlatsM, 'size')} flats and nuts: it cannot enter, and nothing would hold its torque.`,
        remedies: [
          {
            text: rear
              ? phrase`A mid-drive leaves this end alone.`
              : phrase`Fit a rigid steel fork with open slots, or drive another wheel.`,
            ...(rear ? {} : { cost: 90 }),
          },
        ],
      });
    }
    if (!slot || !holding) {
      return finding({
        verdict: 'measure',
        title: 'Axle slot not measured',
        why: phrase`The axle is ${amount(fit.axleFlatsM, 'size')} across its flats; the slot it must enter has not been measured.`,
        remedies: [...(holding ? [] : [measureIt(holdItem)]), ...(slot ? [] : [measureIt(slotItem)])],
      });
    }
    const slack = slot.value - fit.axleFlatsM;
    if (slack < -FILE_LIMIT) {
      return finding({
        verdict: 'stop',
        title: 'Axle thicker than the slot',
        why: phrase`The slot is ${amount(slot.value, 'size')} wide and the flats ${amount(fit.axleFlatsM, 'size')}: ${amount(-slack, 'size')} would have to come off the dropout, more than ${amount(FILE_LIMIT, 'size')}.`,
        remedies: [{ text: phrase`Choose a hub with flats of ${amount(slot.value, 'size')} or less.` }],
      });
    }
    if (slack > SLACK_WORST) {
      return finding({
        verdict: 'rework',
        title: 'Axle loose in the slot',
        why: phrase`The slot is ${amount(slot.value, 'size')} wide, ${amount(slack, 'size')} more than the flats: the axle rocks at every start and rounds them off.`,
        remedies: [{ text: phrase`Fit a torque arm that fills the flats each side before the first ride.`, cost: 24 }],
      });
    }
    if (!isProven(slot) || !isProven(holding)) {
      return finding({
        verdict: 'measure',
        title: 'Axle slot not proven',
        why: phrase`${amount(slot.value, 'size')} would take the ${amount(fit.axleFlatsM, 'size')} flats, but it is not measured.`,
        remedies: [
          ...(isProven(holding) ? [] : [measureIt(holdItem)]),
          ...(isProven(slot) ? [] : [measureIt(slotItem)]),
        ],
      });
    }
    if (slack < -0.00005) {
      return finding({
        verdict: 'rework',
        title: 'File the slot to the flats',
        why: phrase`The flats are ${amount(fit.axleFlatsM, 'size', 2)} and the slot ${amount(slot.value, 'size', 2)}: ${amount(-slack, 'size', 2)} to file away, evenly, until the axle goes in by hand and no further.`,
        remedies: [
          {
            text: phrase`File both faces of each slot by ${amount(-slack / 2, 'size', 2)}; touch up the bare metal.`,
            cost: 4,
          },
        ],
      });
    }
    if (slack > SLACK_GOOD && context.build.choice.torqueArms === 0) {
      return finding({
        verdict: 'rework',
        title: 'Slack on the flats, and no torque arm',
        why: phrase`The slot is ${amount(slack, 'size', 2)} wider than the flats; with no torque arm the axle works in it.`,
        remedies: [{ text: phrase`Plan one torque arm.`, cost: 24 }],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Axle fills the slot',
      why: phrase`Slot ${amount(slot.value, 'size', 2)}, flats ${amount(fit.axleFlatsM, 'size', 2)}: ${amount(slack, 'size', 2)} of slack.`,
      remedies: [],
    });
  },
};
