import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** Side-mounted chain kits: refused unless everything lines up, and why. */
export const sideKit = kitRule(
  {
    id: 'side-kit',
    words: 'Side-mounted kits',
    group: 'use',
    uses: [],
    source: 'Experience of the trade: two clamps must seat at once and two sprockets line up; few frames let both.',
  },
  (_context, kit, say) =>
    kit.side
      ? say.rework(
          'A side-mounted chain kit',
          phrase`It hangs beside the frame with a second chain at the left leg. Few frames let both clamps seat with the sprockets in line; noise and thrown chains are what owners write about.`,
          choose('hub', phrase`A hub motor for the same money.`),
        )
      : null,
);
