import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { tubePlaces } from '../../parts/pack.ts';
import { chosenPlacement } from '../../layout/packPlacement.ts';
import { packRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** A pack's rail on the frame's bosses, or its clamps round a tube. */
export const packBosses = packRule(
  {
    id: 'pack-bosses',
    words: 'Rail on the bosses',
    group: 'pack',
    uses: ['bosses', 'bossSpacing', 'bossDown', 'bossSeat', 'bossThreads', 'downTubeDiameter', 'seatTubeDiameter'],
    source: 'Rail holes are slotted for one spacing; without bosses a rail wants clamps of the tube’s size.',
    fitCritical: true,
  },
  (context, pack, _kit, say) => {
    if (!tubePlaces.includes(chosenPlacement(context, pack).place)) return null;
    const { place, lies } = chosenPlacement(context, pack);
    const bossed = place === 'downTube' || place === 'seatTube';
    const bosses = bossed ? say.need('bosses') : 'none';
    if (bosses === undefined)
      return say.open('Bosses not looked for', phrase`The rail bolts to bottle bosses, or is clamped.`);
    if (pack.form === 'bag')
      return say.fits(
        'Straps hold the bag',
        phrase`Three straps round the tube with rubber under them; no boss is needed.`,
      );
    if ((bosses === 'both' || bosses === place) && pack.railHolesM && lies?.fixing !== 'clamps') {
      const spacing = say.need('bossSpacing');
      const sound = say.need('bossThreads');
      const first = say.need(place === 'downTube' ? 'bossDown' : 'bossSeat');
      const { spacing: holes, slot } = pack.railHolesM;
      say.because(partData('Rail’s holes', amount(holes, 'size')), partData('Slots allow', amount(slot, 'size')));
      if (spacing === undefined || sound === undefined || first === undefined)
        return say.open(
          'Bosses not measured',
          phrase`The rail’s holes are ${amount(holes, 'size')} apart, with ${amount(slot, 'size')} of slot.`,
        );
      if (sound === 'no')
        return say.rework(
          'Bosses not sound',
          phrase`${amount(pack.massKg, 'mass')} of battery shakes a loose insert out.`,
          buy('rivet-nuts', phrase`Set new rivet nuts.`, take('rivet-nuts', 'pack'), {
            work: 40,
            tools: ['rivet-nut-setter'],
          }),
          buy('clamps', phrase`Add two clamps.`, take('tube-clamps', 'pack'), { work: 20 }),
        );
      if (Math.abs(spacing - holes) > slot / 2 + 0.001)
        return say.rework(
          'Rail and bosses differ',
          phrase`Bosses ${amount(spacing, 'size')} apart, holes ${amount(holes, 'size')}, slots of ${amount(slot, 'size')}.`,
          work('drill-plate', phrase`Drill the rail’s plate to suit, away from its lock and contacts.`, 30, {
            takes: take('drill-bits', 'pack'),
            tools: ['drill'],
          }),
          buy('clamps', phrase`Clamp the rail instead.`, take('tube-clamps', 'pack'), { work: 20 }),
        );
      return say.fits(
        'The rail bolts to the bosses',
        phrase`${amount(spacing, 'size')} apart, the lower ${amount(first, 'size')} up the tube; a third fixing with a clamp carries a pack over 2.5 kg better.`,
      );
    }
    const tubeAcross = say.need(
      place === 'topTube'
        ? 'topTubeDiameter'
        : place === 'seatTube' || place === 'behindSeatTube'
          ? 'seatTubeDiameter'
          : 'downTubeDiameter',
    );
    if (tubeAcross === undefined)
      return say.open(
        'Clamped, and the tube not measured',
        phrase`The rail is clamped round the tube, and clamps come by its thickness.`,
      );
    const clamps = pack.clampTubesM;
    if (!clamps)
      return say.rework(
        'No bosses to bolt to',
        phrase`The pack brings no clamps; the tube is ${amount(tubeAcross, 'size')} across.`,
        buy(
          'clamps',
          phrase`Two clamps for ${amount(tubeAcross, 'size')} with rubber under them, and a strap.`,
          [take('tube-clamps', 'pack'), take('pack-strap', 'pack')],
          { work: 30 },
        ),
      );
    return tubeAcross >= clamps.least && tubeAcross <= clamps.most
      ? say.fits(
          'Clamps hold the rail',
          phrase`The tube is ${amount(tubeAcross, 'size')}, the clamps go round ${amount(clamps.least, 'size')} to ${amount(clamps.most, 'size')}.`,
        )
      : say.rework(
          'Clamps of another size',
          phrase`The tube is ${amount(tubeAcross, 'size')}; the clamps go round ${amount(clamps.least, 'size')} to ${amount(clamps.most, 'size')}.`,
          buy('clamps', phrase`Clamps for ${amount(tubeAcross, 'size')}.`, take('tube-clamps', 'pack'), { work: 20 }),
        );
  },
);
