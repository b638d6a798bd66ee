import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** What is fixed under the shell and keeps a mid-drive from seating. */
export const underBracket = kitRule(
  {
    id: 'under-bracket',
    words: 'Under the shell',
    group: 'frame',
    uses: ['underBracket'],
    source: 'Workshop practice: guides, bolts and plates under the shell are where mid-drives first foul.',
    fitCritical: true,
  },
  (_context, kit, say) => {
    if (!kit.mid) return null;
    const what = say.need('underBracket');
    if (what === undefined)
      return say.open(
        'Under the shell not looked at',
        phrase`A guide, bolt or plate there keeps the motor from seating.`,
      );
    if (what === 'cableGuide' || what === 'openCables')
      return say.rework(
        'Cables run where the motor goes',
        phrase`The gear cables pass under the shell; the motor’s case would saw through them.`,
        work(
          'lead-round',
          phrase`Take the guide off and lead the cables in a low-friction liner beside the case, or along the top of the chainstay.`,
          40,
          { takes: take('cable-liner', 'leads') },
        ),
      );
    if (what === 'bolt')
      return say.rework(
        'Something stands proud under the shell',
        phrase`A bolt or boss under the shell meets the case before it is home.`,
        work('flat-bolt', phrase`Replace the bolt by a flat one.`, 10),
        work('flush', phrase`File the boss flush where it carries nothing.`, 20, { tools: ['flat-file'] }),
      );
    if (what === 'standPlate')
      return say.rework(
        'Stand plate behind the shell',
        phrase`The kickstand’s plate stands where the lock ring and its tool must go.`,
        buy('dropout-stand', phrase`Take the stand off and fit one at the dropout.`, take('dropout-stand', 'stand'), {
          work: 30,
        }),
        buy(
          'twin-stand',
          phrase`Take the stand off and fit a two-legged one behind the wheel.`,
          take('twin-stand', 'stand'),
          { work: 30 },
        ),
      );
    return say.fits('Nothing under the shell', phrase`The shell is bare underneath.`);
  },
);
