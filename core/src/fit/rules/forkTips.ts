import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Recessed fork tips under a motor's flat washer. */
export const forkTips = kitRule(
  {
    id: 'fork-tips',
    words: 'Fork tip faces',
    group: 'axle',
    uses: ['frontTips'],
    source: 'Workshop practice: a washer that bridges the lips bends, and the nut loses its grip.',
  },
  (_context, kit, say) => {
    if (kit.hub?.place !== 'front') return null;
    const tips = say.need('frontTips');
    if (tips === undefined)
      return say.open('Fork tips’ faces not looked at', phrase`On recessed tips the washer does not lie flat.`);
    if (tips === 'recessed')
      return say.rework(
        'Recessed fork tips',
        phrase`The lips keep the motor’s washer off the tip’s face.`,
        buy(
          'c-spacers',
          phrase`Fit C-shaped spacers that fill the recess; do not file the lips off unless a torque arm takes their place.`,
          take('c-spacer', 'front axle'),
          { work: 15 },
        ),
      );
    return say.fits('Flat fork tips', phrase`The washer lies flat on the tip.`);
  },
);
