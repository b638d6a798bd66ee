import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, ask, take } from '../remedies.ts';

/** Clamps of kits are made for 22.2 mm. m. Source: ISO 4210 grip diameter. */
const CLAMP = 0.0222;

/** Bar diameter against the kit's clamps. */
export const barClamp = kitRule(
  {
    id: 'bar-clamp',
    words: 'Clamps on the bar',
    group: 'controls',
    uses: ['barDiameter', 'barShape'],
    source: 'Levers, throttles and keypads clamp on 22.2 mm; drop bars are 23.8 mm.',
  },
  (_context, _kit, say) => {
    const shape = say.need('barShape');
    const across = say.need('barDiameter');
    if (across === undefined)
      return say.open('Bar not measured across', phrase`The kit’s clamps are made for ${amount(CLAMP, 'size')}.`);
    if (across < CLAMP - 0.0008)
      return say.rework(
        'Bar thinner than the clamps',
        phrase`${amount(across, 'size')} for clamps of ${amount(CLAMP, 'size')}.`,
        buy(
          'shims',
          phrase`Shims of sheet aluminium under each clamp, the slit opposite the clamp’s.`,
          take('bar-shim', 'bar'),
          { work: 15 },
        ),
      );
    if (across > CLAMP + 0.0008)
      return say.rework(
        'Bar thicker than the clamps',
        phrase`${amount(across, 'size')}${shape === 'drop' ? ', a drop bar' : ''}; the clamps close on ${amount(CLAMP, 'size')} and crack if forced.`,
        buy('stub', phrase`A stub of 22.2 mm on the bar or stem for the controls.`, take('bar-stub', 'bar'), {
          work: 30,
        }),
        ask('other-clamps', phrase`Ask the kit’s maker for clamps made for this size.`),
      );
    return say.fits('Clamps suit the bar', phrase`${amount(across, 'size')}.`);
  },
);
