import { phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

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
    const fit = kit.hub;
    const hole = fit?.valve;
    if (hole === undefined) return null;
    const end = fit?.place === 'front' ? 'front wheel' : 'rear wheel';
    const valve = say.need('valve');
    say.because(partData('Kit rim drilled for', `${hole} valves`));
    if (valve === undefined)
      return say.open('Valve not looked at', phrase`The kit’s rim is drilled for ${hole} valves.`);
    if (valve === hole) return say.fits('The valve suits the hole', phrase`Both are ${hole}.`);
    return valve === 'wide'
      ? say.rework(
          'The valve does not pass the rim',
          phrase`The tube’s valve is wide and the kit rim’s hole narrow.`,
          buy('tube', phrase`A new tube with a narrow valve.`, take('tube', end), { work: 5 }),
        )
      : say.rework(
          'The valve is loose in the rim',
          phrase`A narrow valve chafes through in a wide hole.`,
          buy('sleeve', phrase`A sleeve for the hole.`, take('valve-sleeve', end), { work: 5 }),
          buy('tube', phrase`A tube with a wide valve.`, take('tube', end), { work: 5 }),
        );
  },
);
