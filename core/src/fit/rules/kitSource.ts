import { phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { packRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** Kit and pack from one seller, or matched by the builder. */
export const kitSource = packRule(
  {
    id: 'kit-source',
    words: 'One supplier or a mix',
    group: 'pack',
    uses: [],
    source: 'Two schools; plugs, polarity and cut-off volts must agree whoever sells them.',
    school: 'kitSource',
  },
  ({ build }, pack, kit, say) => {
    if (!kit) return null;
    const same = kit.maker === pack.maker;
    say.because(partData('Kit’s maker', kit.maker), partData('Pack’s maker', pack.maker));
    if (same) return say.fits('Kit and pack from one maker', phrase`Plugs and volts are theirs to match.`);
    return build.schools.kitSource === 'oneSupplier'
      ? say.rework(
          'Kit and pack from two makers',
          phrase`Your school wants both from one: ${kit.maker} and ${pack.maker} each answer for half.`,
          choose('same-maker', phrase`A pack of ${kit.maker}’s.`),
          set('mix', phrase`Choose “mix” as your school.`),
        )
      : say.fits(
          'Matched by the builder',
          phrase`${kit.maker} and ${pack.maker}: check plug family and polarity with a meter before the first connection.`,
        );
  },
);
