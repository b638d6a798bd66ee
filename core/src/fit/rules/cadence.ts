import { EASY_TOP_CADENCE_RPM, SPIN_OUT_WIDTH_RPM, TOP_CADENCE_RPM } from '../../constants.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { tyreRadius } from '../../quantity/tyre.ts';
import { cadenceAt } from '../../ride/steady.ts';
import { choose, measureIt } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { planRule } from '../say.ts';

/** Can the rider still add power at cruising speed in the highest gear? */
export const cadence = planRule(
  {
    id: 'cadence',
    words: 'Legs at cruise',
    group: 'gears',
    uses: ['ringTeeth', 'cogTeeth', 'clusterKind', 'hubGear', 'rearTyre', 'frontTyre'],
    source: 'Ride model, docs/models.md.',
  },
  ({ build, gearing, steady, asItWillBe }, say) => {
    const wheelRadiusM = steady?.system.vehicle.wheelRadiusM ?? tyreRadius(asItWillBe.tyres.rear);
    const { cruiseMs } = build.brief;
    const highest = Math.min(...gearing.gears.map((g) => g.cog));
    const rpm = cadenceAt(cruiseMs, wheelRadiusM, gearing.ring, highest);
    const spunAt = TOP_CADENCE_RPM - SPIN_OUT_WIDTH_RPM;
    const provenance = gearing.counted ? 'measured' : 'assumed';
    say.because(
      ruleFigure('Cruise', amount(cruiseMs, 'speed', 0)),
      { label: 'Ring', value: `${gearing.ring} teeth, ${gearing.ringFrom}`, provenance },
      { label: 'Highest gear', value: gearing.gears.at(-1)?.label ?? '', provenance },
      ruleFigure('Cadence there', amount(rpm, 'cadence')),
      ruleFigure('Legs spin out from', amount(spunAt, 'cadence')),
    );
    if (!gearing.counted)
      return say.open(
        'Teeth not counted',
        phrase`Ring or cogs are common sizes, not the donor’s; cadence at cruise would be ${amount(rpm, 'cadence')}.`,
        measureIt('ringTeeth'),
        measureIt('cogTeeth'),
      );
    if (rpm > spunAt)
      return say.rework(
        'Legs spin out at cruise',
        phrase`At ${amount(cruiseMs, 'speed', 0)} in the highest gear the cranks turn at ${amount(rpm, 'cadence')}; past ${amount(spunAt, 'cadence')} the rider adds less and less.`,
        choose('bigger-ring', phrase`A ring of ${Math.ceil((gearing.ring * rpm) / EASY_TOP_CADENCE_RPM)} teeth.`),
        choose('smaller-cog', phrase`A smaller smallest cog.`),
      );
    return say.fits(
      'Legs keep up at cruise',
      phrase`${amount(rpm, 'cadence')} in the highest gear at ${amount(cruiseMs, 'speed', 0)}.`,
    );
  },
);
