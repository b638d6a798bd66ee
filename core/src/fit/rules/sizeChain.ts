import { tyreRadius } from '../../quantity/tyre.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, set, take } from '../remedies.ts';

/** Least pedal clearance in a corner that is ridden, m. Source: project. */
const PEDAL_LEAST = 0.08;

/** A kit wheel of another size: what changes after it, link by link. */
export const sizeChain = kitRule(
  {
    id: 'size-chain',
    words: 'Another wheel size',
    group: 'wheel',
    uses: ['rearTyre', 'frontTyre', 'bracketHeight', 'crankLength', 'rearBrake', 'frontBrake'],
    source: 'Size → ride height → pedal clearance → crank length → brake reach → the other wheel → speed reading.',
    school: 'wheelSize',
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit || fit.beadsM.length === 0) return null;
    const rear = fit.place === 'rear';
    const { survey } = build.donor;
    const tyre = survey[rear ? 'rearTyre' : 'frontTyre'];
    if (!tyre || fit.beadsM.some((b) => Math.abs(b - tyre.value.beadM) < 0.0015)) return null;
    say.needOwn(rear ? 'rearTyre' : 'frontTyre');
    const height = say.need('bracketHeight');
    const crank = say.need('crankLength');
    const thought = build.choice.newWheels[fit.place]?.beadM;
    const nearest =
      thought ?? fit.beadsM.reduce((a, b) => (Math.abs(b - tyre.value.beadM) < Math.abs(a - tyre.value.beadM) ? b : a));
    const drop = tyreRadius(tyre.value) - tyreRadius({ ...tyre.value, beadM: nearest });
    const brake = survey[rear ? 'rearBrake' : 'frontBrake']?.value;
    if (height === undefined || crank === undefined)
      return say.open(
        'What another wheel size would change',
        phrase`The nearest kit wheel would ${drop > 0 ? 'lower' : 'raise'} the ${rear ? 'rear' : 'front'} axle by ${amount(Math.abs(drop), 'size')}.`,
      );
    // The cranks sit between the axles: about half of the drop reaches them.
    const pedal = height - drop * (rear ? 0.58 : 0.42) - crank;
    say.because(
      ruleFigure('Axle lower by', amount(drop, 'size')),
      ruleFigure('Pedal above the ground', amount(pedal, 'size')),
    );
    const reach =
      brake === 'rim' ? phrase` Rim brake pads must move ${amount((tyre.value.beadM - nearest) / 2, 'size')}.` : [];
    if (brake === 'rim' && Math.abs(tyre.value.beadM - nearest) / 2 > 0.014)
      return say.stop(
        'The rim brake does not reach',
        phrase`The kit rim is ${amount(Math.abs(tyre.value.beadM - nearest) / 2, 'size')} away from the pads; long arms reach 14 mm at most.`,
        buy(
          'lace',
          phrase`Have the motor laced into the donor’s size.`,
          take('lacing', rear ? 'rear wheel' : 'front wheel'),
          { work: 0 },
        ),
      );
    if (pedal < PEDAL_LEAST)
      return say.rework(
        'Pedals come near the ground',
        phrase`${amount(pedal, 'size')} is left; ${amount(PEDAL_LEAST, 'size')} is wanted in corners.`,
        buy(
          'cranks',
          phrase`Cranks ${amount(Math.ceil((PEDAL_LEAST - pedal) / 0.005) * 0.005, 'size')} shorter.`,
          take('cranks', 'bracket'),
          { work: 30 },
        ),
      );
    if (build.schools.wheelSize === 'smaller' && drop > 0)
      return say.fits('Smaller on purpose', [
        ...phrase`The axle sinks by ${amount(drop, 'size')}, pedals clear the ground by ${amount(pedal, 'size')}; set the speed reading to the new size.`,
        ...reach,
      ]);
    return say.rework(
      'Another wheel size moves things',
      [
        ...phrase`The axle moves by ${amount(drop, 'size')}, pedals clear by ${amount(pedal, 'size')}, and the speed reading must be set anew.`,
        ...reach,
      ],
      buy('lace', phrase`Lace the hub into the donor’s size.`, take('lacing', rear ? 'rear wheel' : 'front wheel')),
      set('smaller', phrase`Choose “smaller on purpose” as your school and follow each link.`),
    );
  },
);
