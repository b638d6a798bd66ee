import type { Kit } from '../kit.ts';
import { controls, mm, sideKit, levels } from './kitRows.ts';

/** Side-mounted chain kits of the starter shelf. */
export const sideKits: readonly Kit[] = [
  sideKit(
    {
      id: 'hobby-s350',
      name: 'Hobby S350',
      maker: 'Pell & Daughter',
      family: 'sideChain',
      kg: 4.8,
      price: 189,
      note: 'A motor on a bracket at the left, its sprocket bolted to a rotor’s seat.',
      watts: 350,
      volts: 36,
      amps: [15, 38],
      kt: 0.2,
      ohm: 0.15,
      limit: 25,
      throttle: true,
      assist: levels(390),
      system: 130,
      controls: controls('levers', 'twist', 1500),
    },
    {
      clampTubesM: { least: mm(18), most: mm(34) },
      clampSpanM: { least: mm(140), most: mm(260) },
      sprocketMount: 'rotorBolts',
    },
  ),
  sideKit(
    {
      id: 'hobby-s250',
      name: 'Hobby S250',
      maker: 'Pell & Daughter',
      family: 'sideChain',
      kg: 3.9,
      price: 139,
      note: 'The same with a sprocket clamped to the spokes.',
      watts: 250,
      volts: 36,
      amps: [12, 30],
      kt: 0.2,
      ohm: 0.2,
      limit: 25,
      throttle: true,
      assist: levels(310),
      system: 120,
      controls: controls('levers', 'twist', 1500),
    },
    {
      clampTubesM: { least: mm(18), most: mm(32) },
      clampSpanM: { least: mm(140), most: mm(240) },
      sprocketMount: 'spokes',
    },
  ),
];
