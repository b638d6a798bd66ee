import { placeController } from '../../layout/controller.ts';
import { frameRoom } from '../../layout/frameRoom.ts';
import { packShape } from '../../layout/packShape.ts';
import { voltsSuit } from '../../pack/volts.ts';
import { packPlaceWords } from '../../parts/pack.ts';
import { amount, capital, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { packRule } from '../say.ts';
import { chosenPlacement } from '../../layout/packPlacement.ts';
import { buy, choose, take } from '../remedies.ts';

/** The controller's box beside the pack, with air round it and a way for its leads. */
export const controllerRoom = packRule(
  {
    id: 'controller-room',
    words: 'Controller beside the pack',
    group: 'pack',
    uses: ['seatSide', 'topSide', 'downSide', 'wheelbase'],
    source: 'Pack and controller compete for the same room; 8 mm of air all round, and 30 mm for its leads to bend.',
  },
  (context, pack, kit, say) => {
    // Beside a pack whose volts it cannot take, no controller is put.
    if (!kit || kit.controller.place === 'in the motor' || !voltsSuit(kit, pack)) return null;
    if (context.geometry.triangle && !context.build.donor.inside)
      for (const id of ['seatSide', 'topSide', 'downSide'] as const) say.need(id);
    else if (!context.geometry.triangle) say.need('wheelbase');
    const { lies } = chosenPlacement(context, pack, kit);
    const { room } = frameRoom(context.build, context.geometry, kit);
    const found = placeController(room, kit, lies ? { shape: packShape(pack), lies } : null);
    if (!found) return null;
    const { shape, lies: at, airy } = found;
    const size = `${Math.round(shape.lengthM * 1000)} × ${Math.round(shape.heightM * 1000)} × ${Math.round(shape.widthM * 1000)} mm`;
    say.because(
      partData('Controller’s case', kit.controller.boxM ? size : `${size}, common for its current`),
      ruleFigure(`Room ${packPlaceWords[at.place]}, beyond its air`, amount(at.clearanceM, 'size', 0)),
    );
    if (!airy)
      return say.rework(
        'No airy room for the controller',
        phrase`With the pack there, its best place is ${packPlaceWords[at.place]}, ${amount(-at.clearanceM, 'size', 0)} short of the air it wants.`,
        buy(
          'bag',
          phrase`A bag or bracket under the saddle or on the rack, in the wind and out of the spray.`,
          take('controller-bag', 'frame'),
          { work: 30 },
        ),
        choose('in-motor', phrase`A kit with its controller in the motor.`),
      );
    return say.fits(
      'The controller has its place',
      phrase`${capital(packPlaceWords[at.place])}, with air all round and ${amount(at.clearanceM, 'size', 0)} to spare to ${at.tightest.name}.`,
    );
  },
);
