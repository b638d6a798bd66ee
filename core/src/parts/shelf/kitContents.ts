import boxes from '@sprocket/catalogue/boxes.json' with { type: 'json' };
import { z } from '../../reading/zod.ts';
import { motorPlace, type Kit, type KitContent } from '../kit.ts';

/** What makers differ in: washers beside each nut, bolts for the bar's things, ties, a paper with the wiring on it. */
export const boxSchema = z.object({
  washers: z.int().min(0).max(20),
  bolts: z.int().min(0).max(20),
  ties: z.int().min(0).max(100),
  paper: z.boolean(),
});
type Box = z.infer<typeof boxSchema>;
const makers: Readonly<Record<string, Box>> = boxes.makers;

/** What lies in a kit's box, to be ticked off on unpacking. No kit here brings a charger, a tube or a torque arm. */
export function contentsOf(kit: Kit): KitContent[] {
  const { hub, mid, side, controls, wiring, controller } = kit;
  const house = makers[kit.maker] ?? boxes.others;
  const bare = hub !== undefined && hub.beadsM.length === 0;
  const has = (id: string): boolean => wiring?.leads.some((l) => l.id === id) === true;
  const thing = (id: string, what: string, count = 1): KitContent => ({ id, what, count });
  return [
    ...(hub
      ? [
          bare
            ? thing('motor', `Motor hub for the ${motorPlace(kit)} wheel, bare`)
            : thing('motor', `${motorPlace(kit) === 'front' ? 'Front' : 'Rear'} wheel with the motor laced in`),
          thing('nuts', 'Axle nuts', 2),
          thing('washers', 'Axle washers', house.washers),
        ]
      : []),
    ...(mid
      ? [
          thing('motor', 'Motor for the bottom bracket'),
          thing('ring-nut', 'Ring nut and plate'),
          thing('ring', 'Chainring'),
        ]
      : []),
    ...(side
      ? [
          thing('motor', 'Motor on its bracket'),
          thing('clamps', 'Frame clamps', 2),
          thing('chain', 'Chain and sprocket'),
        ]
      : []),
    ...(controller.place === 'its own box' ? [thing('controller', 'Controller')] : []),
    ...(controls && controls.throttleKind !== 'none' ? [thing('throttle', `Throttle, ${controls.throttleKind}`)] : []),
    ...(has('display') || has('loom') ? [thing('display', 'Display')] : []),
    ...(controls?.cutoffs === 'levers' ? [thing('levers', 'Brake levers with cut-offs', 2)] : []),
    ...(controls?.cutoffs === 'inLine' ? [thing('levers', 'Cut-offs for the brake cables', 2)] : []),
    ...(controls?.cutoffs === 'magnets' ? [thing('levers', 'Stick-on magnets with their sensors', 2)] : []),
    ...(has('cadence') ? [thing('cadence', 'Cadence sensor with its magnets')] : []),
    ...(has('speed') ? [thing('speed', 'Speed sensor with its magnet')] : []),
    ...(has('shift') ? [thing('shift', 'Shift sensor')] : []),
    ...(wiring?.leads ?? [])
      .filter((l) => l.id === 'loom' || l.id === 'battery' || l.id === 'motor')
      .map((l) => thing(`lead-${l.id}`, `${l.what}, ${Math.round(l.lengthM * 1000)} mm`)),
    ...(house.bolts > 0 ? [thing('bolts', 'Bolts for what goes on the bar', house.bolts)] : []),
    ...(house.ties > 0 ? [thing('ties', 'Cable ties', house.ties)] : []),
    ...(house.paper ? [thing('paper', 'Wiring diagram on paper')] : []),
  ];
}
