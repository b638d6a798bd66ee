import { UNTRIED_HEALTH } from '../../pack/health.ts';
import { packOriginWords } from '../../parts/pack.ts';
import { amount, capital, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { packRule } from '../say.ts';
import { choose, look } from '../remedies.ts';

/** Health below which a pack is used up, and below which it fades early. Source: the trade: 80 % is the end of its rated life. */
const USED_UP = 0.6;
const WORN = 0.8;

/** An old or home-made pack: what must be tried before it is trusted, and what is left of it. */
export const packTrust = packRule(
  {
    id: 'pack-trust',
    words: 'Pack to be trusted',
    group: 'pack',
    uses: [],
    source:
      'An old pack fails by its weakest block: rest volts by block, capacity, sag and heat under load, before trust.',
  },
  (_context, pack, _kit, say) => {
    const origin = pack.origin ?? 'new';
    if (origin === 'new' && pack.health === undefined) return null;
    const health = pack.health ?? null;
    say.because(
      partData('Comes', packOriginWords[origin]),
      partData('Of its first capacity', health === null ? 'not tried' : amount(health, 'share')),
    );
    if (health === null)
      return say.open(
        'An untried pack',
        phrase`${capital(packOriginWords[origin])}, and nobody has tried what is left of it; ${amount(UNTRIED_HEALTH, 'share')} is reckoned with.`,
        look('rest-volts', phrase`A day after charging, measure each block: none more than 0.05 V from the others.`),
        look(
          'capacity',
          phrase`Discharge it through a meter at a fifth of its amp-hours, and enter what came out of what it had new.`,
        ),
        look(
          'load',
          phrase`Under the controller’s amps for ten minutes: no block sags 0.15 V below the others, none warmer than the hand bears.`,
        ),
        look(
          'heat',
          phrase`Look for swelling, dents, rust at the welds, a sweet smell: any of these, and it goes to the battery bin.`,
        ),
      );
    if (health < USED_UP)
      return say.stop(
        'A used-up pack',
        phrase`${amount(health, 'share')} is left: it fades early, its weakest block is driven flat on each ride, and that is how packs catch fire.`,
        choose('other-pack', phrase`Another pack; take this one where batteries are collected.`),
      );
    if (health < WORN)
      return say.rework(
        'A worn pack',
        phrase`${amount(health, 'share')} is left; the range is reckoned with it, and it falls faster from here.`,
        choose('other-pack', phrase`A newer pack.`),
        look('each-month', phrase`Measure the blocks each month, and charge it watched, off wood, by a smoke alarm.`),
      );
    return say.fits(
      'Tried, and good for more',
      phrase`${amount(health, 'share')} of its first capacity is left, and the range is reckoned with it. Charge it watched at first.`,
    );
  },
);
