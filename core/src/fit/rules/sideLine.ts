import { phrase } from '../../quantity/format.ts';
import { kitRule, remedy } from '../say.ts';

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
        remedy(phrase`A kit whose sprocket bolts to a rotor’s seat, or a hub motor.`),
      );
    if (brake === 'discCable' || brake === 'discHydraulic')
      return say.stop(
        'Sprocket and rotor want one seat',
        phrase`The rear disc takes the seat that the second sprocket bolts to.`,
        remedy(phrase`A hub motor, or give up the rear disc for a rim brake.`, { cost: 60, minutes: 120 }),
      );
    const mount = say.need('rearRotorMount');
    return mount === 'sixBolt'
      ? say.rework(
          'Sprocket bolts to the rotor’s seat',
          phrase`In line within a millimetre, or the chain comes off at speed.`,
          remedy(phrase`Line it up with a straight edge, with washers under the six bolts.`, {
            cost: 4,
            minutes: 60,
            tool: 'straight edge',
          }),
        )
      : say.stop(
          'No seat for the second sprocket',
          phrase`The rear hub has no six-bolt rotor seat.`,
          remedy(phrase`A rear hub with a rotor’s seat, or a hub motor.`, { cost: 70, minutes: 120 }),
        );
  },
);
