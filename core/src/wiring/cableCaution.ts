import type { Pack } from '../parts/pack.ts';
import { amount, phrase } from '../quantity/format.ts';
import type { Caution } from '../safety/caution.ts';
import type { PowerSum } from './power.ts';

/** The battery's lead as a caution of the ride sheet: the same sum as the Wiring stage's. */
export function cableCaution(power: PowerSum, pack: Pack): Caution {
  const fits = !power.fuseTrouble && power.fuseA !== null && power.fuseA <= power.carriesA && !power.thin;
  return {
    id: 'cable',
    title: 'Battery cable and fuse',
    state: !power.copperKnown ? 'unknown' : fits ? 'fine' : 'care',
    lines: [
      { label: 'controller draws up to', value: phrase`${amount(power.amps, 'current')}` },
      {
        label: 'cable, and at least',
        value: phrase`${power.copperKnown ? String(power.mm2) : 'not known'} and ${power.wantedMm2} mm² over ${amount(power.lengthM, 'size', 0)}`,
      },
      {
        label: 'drop, both ways',
        value: phrase`${power.dropV.toFixed(2)} V, ${amount(power.dropShare, 'share', 1)}`,
      },
      {
        label: 'fuse by the battery',
        value: power.fuseA === null ? phrase`none of the common sizes` : phrase`${power.fuseA} A`,
      },
    ],
    why: phrase`Drop is 2·l·0.0172·I ÷ mm², warmer copper more, kept under 3 %; the fuse is the next from 1.25 times the controller’s ${amount(power.amps, 'current')} and below what ${power.mm2} mm² carries, ${amount(power.carriesA, 'current', 0)}. ${pack.name}’s own leads may be thicker.`,
    ask: 'an electrician or a battery builder, before anything is opened or soldered',
  };
}
