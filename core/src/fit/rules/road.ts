import { amount, phrase } from '../../quantity/format.ts';
import { look } from '../remedies.ts';
import { planRule } from '../say.ts';

/** Length of the flat road that stands in for none, m. */
const STAND_IN = 10_000;

/** A road has been described, dropped or picked. */
export const road = planRule(
  { id: 'road', words: 'Road', group: 'road', uses: [], source: 'Ride model, docs/models.md.' },
  ({ build }, say) => {
    const { route } = build.brief;
    say.because({ label: 'Road', value: route?.name ?? 'none yet', provenance: route ? 'measured' : 'assumed' });
    return route
      ? say.fits('Road described', phrase`${route.name}: every figure is reckoned on it.`)
      : say.open(
          'No road described yet',
          phrase`Range and climb are reckoned on a flat road of ${amount(STAND_IN, 'way', 0)} until you pick, drop or describe one.`,
          look('pick-road', phrase`Pick a road on the Brief stage, or drop a GPX file there.`),
        );
  },
);
