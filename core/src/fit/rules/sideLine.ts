import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, choose, take } from '../remedies.ts';

/** A side-mounted chain kit's second sprocket on the wheel. */
export const sideLine = kitRule(
  {
    id: 'side-line',
    words: 'Side kit’s sprocket',
    group: 'drivetrain',
    uses: ['rearBrake', 'rearRotorMount', 'rearSpokes'],
    source:
      'The second sprocket bolts to the rotor’s seat or clamps to the spokes, in line with the motor’s within a millimetre.',
    fitCritical: true,
  },
  (_context, kit, say) => {
    if (!kit.side) return null;
    const brake = say.need('rearBrake');
    if (brake === undefined)
      return say.open('Left side of the rear hub not looked at', phrase`The second sprocket goes where a rotor would.`);
    if (kit.side.sprocketMount === 'spokes')
      return say.stop(
        'A sprocket clamped to the spokes',
        phrase`It pulls the spokes sideways at every start; they break at the bend, some hundred kilometres on.`,
        choose('bolted', phrase`A kit whose sprocket bolts to a rotor’s seat.`),
        choose('hub', phrase`A hub motor.`),
      );
    if (brake === 'discCable' || brake === 'discHydraulic')
      return say.stop(
        'Sprocket and rotor want one seat',
        phrase`The rear disc takes the seat that the second sprocket bolts to.`,
        choose('hub', phrase`A hub motor.`),
        buy('rim-brake', phrase`Give up the rear disc for a rim brake.`, take('brake-set', 'rear brake'), {
          work: 120,
        }),
      );
    const mount = say.need('rearRotorMount');
    return mount === 'sixBolt'
      ? say.rework(
          'Sprocket bolts to the rotor’s seat',
          phrase`In line within a millimetre, or the chain comes off at speed.`,
          work('line-up', phrase`Line it up with a straight edge, with washers under the six bolts.`, 60, {
            takes: take('thin-washer', 'rear wheel'),
            tools: ['straight-edge'],
          }),
        )
      : say.stop(
          'No seat for the second sprocket',
          phrase`The rear hub has no six-bolt rotor seat.`,
          buy('rotor-hub', phrase`A rear hub with a rotor’s seat.`, take('disc-rear-hub', 'rear wheel'), { work: 120 }),
          choose('hub', phrase`A hub motor.`),
        );
  },
);
