import { armPart } from '../../vehicle/vehicle.ts';
import { longer, shorter } from '../../quantity/compare.ts';
import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, work, choose, take, measureIt } from '../remedies.ts';

/** Flats may be this much smaller than the slot and still count as filling it, m. */
const SLACK_GOOD = 0.0004;
/** Beyond this much slack an axle rocks and rounds its flats, m. */
const SLACK_WORST = 0.0012;
/** Most that is filed off both sides of a slot together, m. */
const FILE_LIMIT = 0.001;

/** Slot width against the axle's flats, and closed holes for through-axles, which take no hub motor. */
export const axleSlot = kitRule(
  {
    id: 'axle-slot',
    words: 'Axle in the slot',
    group: 'axle',
    fitCritical: true,
    uses: ['rearAxleHolding', 'rearSlotWidth', 'frontAxleHolding', 'frontSlotWidth'],
    source: 'The axle’s flats must enter the slot and fill it; round diameter and flats are two dimensions.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const { survey } = context.build.donor;
    const slotItem = rear ? 'rearSlotWidth' : 'frontSlotWidth';
    const holdItem = rear ? 'rearAxleHolding' : 'frontAxleHolding';
    const slot = survey[slotItem];
    const holding = survey[holdItem];
    say.because(
      surveyed(context, holdItem),
      surveyed(context, slotItem),
      partData('Axle across its flats', amount(fit.axleFlatsM, 'size')),
      partData('Axle diameter', amount(fit.axleDiameterM, 'size')),
    );
    if (holding?.value === 'throughAxle') {
      return say.stop(
        'A closed hole takes no motor axle',
        phrase`The ${rear ? 'rear' : 'front'} end has a through-axle hole. This hub has a solid axle with ${amount(fit.axleFlatsM, 'size')} flats and nuts: it cannot enter, and nothing would hold its torque.`,
        ...(rear
          ? [choose('mid-drive', phrase`A mid-drive leaves this end alone.`)]
          : [
              buy('steel-fork', phrase`Fit a rigid steel fork with open slots.`, take('steel-fork', 'fork'), {
                work: 90,
              }),
              choose('other-wheel', phrase`Drive another wheel.`),
            ]),
      );
    }
    if (!slot || !holding) {
      return say.open(
        'Axle slot not measured',
        phrase`The axle is ${amount(fit.axleFlatsM, 'size')} across its flats; the slot it must enter has not been measured.`,
        ...(holding ? [] : [measureIt(holdItem)]),
        ...(slot ? [] : [measureIt(slotItem)]),
      );
    }
    const slack = slot.value - fit.axleFlatsM;
    if (shorter(slack, -FILE_LIMIT)) {
      return say.stop(
        'Axle thicker than the slot',
        phrase`The slot is ${amount(slot.value, 'size')} wide and the flats ${amount(fit.axleFlatsM, 'size')}: ${amount(-slack, 'size')} would have to come off the dropout, more than ${amount(FILE_LIMIT, 'size')}.`,
        choose('thinner-axle', phrase`Choose a hub with flats of ${amount(slot.value, 'size')} or less.`),
      );
    }
    if (longer(slack, SLACK_WORST)) {
      return say.rework(
        'Axle loose in the slot',
        phrase`The slot is ${amount(slot.value, 'size')} wide, ${amount(slack, 'size')} more than the flats: the axle rocks at every start and rounds them off.`,
        buy(
          'filling-arms',
          phrase`Fit a torque arm that fills the flats each side before the first ride.`,
          take(armPart(kit), rear ? 'rear axle' : 'front axle', 2),
          { work: 30, sets: { torqueArms: 2 } },
        ),
      );
    }
    if (!isProven(slot) || !isProven(holding)) {
      return say.open(
        'Axle slot not proven',
        phrase`${amount(slot.value, 'size')} would take the ${amount(fit.axleFlatsM, 'size')} flats, but it is not measured.`,
        ...(isProven(holding) ? [] : [measureIt(holdItem)]),
        ...(isProven(slot) ? [] : [measureIt(slotItem)]),
      );
    }
    if (shorter(slack, -0.00005)) {
      return say.rework(
        'File the slot to the flats',
        phrase`The flats are ${amount(fit.axleFlatsM, 'size', 2)} and the slot ${amount(slot.value, 'size', 2)}: ${amount(-slack, 'size', 2)} to file away, evenly, until the axle goes in by hand and no further.`,
        work(
          'file',
          phrase`File both faces of each slot by ${amount(-slack / 2, 'size', 2)}; touch up the bare metal.`,
          40,
          { takes: take('touch-up-paint', rear ? 'rear axle' : 'front axle'), tools: ['flat-file'] },
        ),
      );
    }
    if (longer(slack, SLACK_GOOD) && context.build.choice.torqueArms === 0) {
      return say.rework(
        'Slack on the flats, and no torque arm',
        phrase`The slot is ${amount(slack, 'size', 2)} wider than the flats; with no torque arm the axle works in it.`,
        buy('arm', phrase`Plan one torque arm.`, take(armPart(kit), rear ? 'rear axle' : 'front axle'), {
          work: 30,
          sets: { torqueArms: 1 },
        }),
      );
    }
    return say.fits(
      'Axle fills the slot',
      phrase`Slot ${amount(slot.value, 'size', 2)}, flats ${amount(fit.axleFlatsM, 'size', 2)}: ${amount(slack, 'size', 2)} of slack.`,
    );
  },
);
