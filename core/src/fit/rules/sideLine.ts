import { longer } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, choose, take } from '../remedies.ts';

/** What shims under the sprocket or the bracket make up, m. Source: workshop practice. */
const LINE_SHIMS = 0.006;

/** A side-mounted chain kit's second sprocket on the wheel. */
export const sideLine = kitRule(
  {
    id: 'side-line',
    words: 'Side kit’s sprocket',
    group: 'drivetrain',
    uses: ['rearBrake', 'rearRotorMount', 'leftSprocketLine'],
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
        phrase`It pulls the spokes sideways at every start; they break at the bend, some 100 km on.`,
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
    const line = say.need('leftSprocketLine');
    if (mount === undefined || (mount === 'sixBolt' && line === undefined))
      return say.open(
        'Left side of the rear hub not measured',
        phrase`The second sprocket bolts to a rotor’s seat, in line with the motor’s.`,
      );
    const wants = kit.side.sprocketLineM;
    if (mount === 'sixBolt' && line !== undefined && wants !== undefined && longer(Math.abs(line - wants), LINE_SHIMS))
      return say.stop(
        'The two sprockets stand out of line',
        phrase`The seat is ${amount(line, 'size')} from the middle and the motor’s chain runs at ${amount(wants, 'size')}: more than ${amount(LINE_SHIMS, 'size')} of shims can make up.`,
        choose('hub', phrase`A hub motor.`),
      );
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
