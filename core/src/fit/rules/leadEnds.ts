import { usualLead } from '../../build/wiring.ts';
import { phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { look, set } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';

/** What was decided of a lead beyond whether it is there at all. */
const DECIDED = ['extension', 'spliceM', 'stringM', 'way', 'stow', 'inside'] as const;

/** Leads and what is at their ends: nothing decided of a lead that is not there, none to a box that is not. */
export const leadEnds = kitRule(
  {
    id: 'lead-ends',
    words: 'Both ends of each lead',
    group: 'leads',
    uses: ['leftShifter', 'rightShifter', 'clusterKind'],
    source: 'Workshop practice: a lead has two ends, and what is decided of it belongs to a lead that is there.',
  },
  (context, kit, say) => {
    const { build, chosen, gearing } = context;
    const leads = wiredOf(context)?.plugged;
    // What was decided is of the kit that is chosen, not of a candidate.
    if (!leads || kit.id !== chosen.kit?.id) return null;
    const there = new Set(leads.map((l) => l.id));
    const stale = Object.entries(build.wiring.leads).filter(
      ([id, choice]) =>
        !there.has(id) && DECIDED.some((key) => JSON.stringify(choice[key]) !== JSON.stringify(usualLead[key])),
    );
    if (stale.length > 0) {
      say.because(ruleFigure('Decided of', stale.map(([id]) => id).join(', ')));
      return say.open(
        'Something is decided of a lead that is not there',
        phrase`${stale.map(([id]) => id).join(', ')}: an extension, a splice or a way stands on the sheet, and this kit has no such lead.`,
        look('look-again', phrase`Look at the kit’s leads again, and take back what was decided on the Wiring stage.`),
      );
    }
    const shift = leads.find((l) => l.to === 'shift');
    const { survey } = build.donor;
    const noShifter = survey.leftShifter?.value === 'none' && survey.rightShifter?.value === 'none';
    const nothingShifts = gearing.kind === 'single' || gearing.hubGear?.speeds === 'stepless' || noShifter;
    if (!shift || !nothingShifts || build.wiring.leads[shift.id]?.leftOff === true) return null;
    say.look('leftShifter');
    say.look('rightShifter');
    return say.rework(
      'The shift sensor has no gear cable to sit on',
      phrase`Nothing is shifted by a cable here: the sensor’s lead would end nowhere.`,
      set('leave-off', phrase`Leave its lead off and seal its socket.`),
    );
  },
);
