import { phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule, remedy } from '../say.ts';

/** The tube's valve in the kit rim's hole. */
export const valveHole = kitRule(
  {
    id: 'valve-hole',
    words: 'Valve hole',
    group: 'wheel',
    uses: ['valve'],
    source: 'A wide valve needs 8.5 mm, a narrow one 6.5.',
  },
  (_context, kit, say) => {
    const hole = kit.hub?.valve;
    if (hole === undefined) return null;
    const valve = say.need('valve');
    say.because(partData('Kit rim drilled for', `${hole} valves`));
    if (valve === undefined)
      return say.open('Valve not looked at', phrase`The kit’s rim is drilled for ${hole} valves.`);
    if (valve === hole) return say.fits('The valve suits the hole', phrase`Both are ${hole}.`);
    return valve === 'wide'
      ? say.rework(
          'The valve does not pass the rim',
          phrase`The tube’s valve is wide and the kit rim’s hole narrow.`,
          remedy(phrase`A new tube with a narrow valve.`, { cost: 6, minutes: 5, part: 'tube' }),
        )
      : say.rework(
          'The valve is loose in the rim',
          phrase`A narrow valve chafes through in a wide hole.`,
          remedy(phrase`A sleeve for the hole, or a tube with a wide valve.`, {
            cost: 2,
            minutes: 5,
            part: 'valve sleeve',
          }),
        );
  },
);
