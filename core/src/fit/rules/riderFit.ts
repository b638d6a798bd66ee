import { kindTraits } from '../../donor/kinds.ts';
import { whoSteers } from '../../build/brief.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { donorRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Floor of the step a rider who needs it low can take, m, and a seat easy to rise from. Source: project. */
const LOW_STEP = 0.35;
const EASY_SEAT = { low: 0.4, high: 0.62 };

/** Whether its riders can get on it. */
export const riderFit = donorRule(
  {
    id: 'rider-fit',
    words: 'Getting on',
    group: 'donor',
    uses: ['standover', 'seatHeight', 'seatKind'],
    source: 'A leg must pass over the frame and both feet reach the ground; inseam 0.47 of stature where not measured.',
  },
  ({ build }, say) => {
    const { seat: sits, paired } = kindTraits[build.donor.kind];
    const seated = sits === 'seat' || (paired === 'rear' && say.look('seatKind') === 'seat');
    const riders = whoSteers(build.brief);
    if (seated) {
      const seat = say.need('seatHeight');
      if (seat === undefined)
        return say.open(
          'Seat height not measured',
          phrase`Sitting down and getting up again decides whether it is used.`,
        );
      const stiff = riders.filter((r) => r.mounting !== 'any');
      if (stiff.length > 0 && seat < EASY_SEAT.low)
        return say.rework(
          'Low to get up from',
          phrase`The seat is ${amount(seat, 'size')} high and ${stiff[0]?.name ?? 'a rider'} needs an easy one, from ${amount(EASY_SEAT.low, 'size')}.`,
          buy('risers', phrase`Raise the seat on risers.`, take('seat-risers', 'seat'), {
            work: 90,
          }),
        );
      return say.fits('The seat is easy to reach', phrase`${amount(seat, 'size')} above the ground.`);
    }
    const step = say.need('standover');
    if (step === undefined)
      return say.open('Step height not measured', phrase`Whether each rider gets a leg over it has not been seen.`);
    for (const rider of riders) {
      const inseam = rider.inseamM ?? 0.47 * rider.statureM;
      say.because(ruleFigure(`${rider.name || 'Rider'}, inseam`, amount(inseam, 'stature')));
      if (rider.mounting === 'seated')
        return say.rework(
          'A rider who needs to sit',
          phrase`${rider.name} needs a vehicle to sit in; this one is straddled.`,
          choose('seated', phrase`A trike with a seat.`),
        );
      if (rider.mounting === 'lowStep' && step > LOW_STEP)
        return say.rework(
          'The step is high for its rider',
          phrase`${amount(step, 'size')} to step over; ${rider.name} needs ${amount(LOW_STEP, 'size')} or less.`,
          choose('low-step', phrase`A lower step-through donor.`),
        );
      if (step > inseam + 0.01)
        return say.rework(
          'Too tall to stand over',
          phrase`${amount(step, 'size')} of frame and ${amount(inseam, 'size', 0)} of leg: ${rider.name} cannot stand over it, and it weighs more now.`,
          choose('smaller-frame', phrase`A smaller or lower frame.`),
        );
    }
    return say.fits('Its riders get on it', phrase`${amount(step, 'size')} to step over.`);
  },
);
