import { phrase } from '../../quantity/format.ts';
import { choose, look } from '../remedies.ts';
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
    uses: [],
    source: 'Bolt circles and cog fittings do not interchange.',
  },
  ({ chosen, kit }, say) => {
    const { ring } = chosen;
    if (!ring) return null;
    say.because(partData('Ring', ring.mount));
    if (!kit?.mid)
      return say.open(
        'Bolt circle of the cranks',
        phrase`The ring is made for ${circle(ring.mount)} mm; the donor’s cranks have not been measured for it.`,
        look(
          'measure-circle',
          phrase`Measure between two neighbouring bolts; for five arms multiply by 1.70, for four by 1.41.`,
        ),
      );
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
