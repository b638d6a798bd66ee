import { amount, phrase } from '../../quantity/format.ts';
import { choose } from '../remedies.ts';
import { partData } from '../rule.ts';
import { planRule } from '../say.ts';

/** "bcd104" in words. */
const circle = (mount: string): string => mount.replace('bcd', '');

/** A chosen ring on the kit's spider, or on the donor's cranks. */
export const ringMount = planRule(
  {
    id: 'ring-mount',
    words: 'Ring’s bolt circle',
    group: 'gears',
    uses: ['boltCircle'],
    source: 'Bolt circles and cog fittings do not interchange.',
  },
  ({ chosen, kit, gearing }, say) => {
    const { ring } = chosen;
    if (!ring) return null;
    say.because(partData('Ring', ring.mount));
    if (!kit?.mid) {
      const own = say.need('boltCircle');
      if (own === undefined)
        return say.open(
          'Bolt circle of the cranks',
          phrase`The ring is made for ${circle(ring.mount)} mm; the donor’s cranks have not been measured for it.`,
        );
      return gearing.ringMount === ring.mount
        ? say.fits('Ring bolts to the cranks', phrase`Both are ${circle(ring.mount)} mm bolt circle.`)
        : say.stop(
            'Ring does not bolt to the cranks',
            phrase`The ring is made for a ${circle(ring.mount)} mm bolt circle and the cranks have ${amount(own, 'size', 0)}.`,
            choose('other-ring', phrase`Choose a ring for ${amount(own, 'size', 0)}.`),
          );
    }
    const spider = kit.mid.ringMount;
    say.because(partData('Kit’s spider', spider));
    return ring.mount === spider
      ? say.fits('Ring bolts to the motor', phrase`Both are ${circle(ring.mount)} mm bolt circle.`)
      : say.stop(
          'Ring does not bolt to the motor',
          phrase`The ring is made for a ${circle(ring.mount)} mm bolt circle and the motor has ${circle(spider)} mm.`,
          choose('other-ring', phrase`Choose a ring for ${circle(spider)} mm.`),
        );
  },
);
