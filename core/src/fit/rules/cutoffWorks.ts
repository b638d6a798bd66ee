import { amount, phrase } from '../../quantity/format.ts';
import { cutoffOutcomeWords } from '../../wiring/cutoffs.ts';
import { leverSheets } from '../../wiring/levers.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { work } from '../remedies.ts';

/** What each lever’s cut-off comes to, from its gaps or from what was seen on the stand. */
export const cutoffWorks = kitRule(
  {
    id: 'cutoff-works',
    words: 'Cut-offs as set',
    group: 'levers',
    uses: [],
    source: 'docs/models.md, cut-offs: a sensor sees its magnet while the gap is less than its reach.',
  },
  (context, kit, say) => {
    const told = leverSheets(context.build, kit, context.shelf).flatMap((l) => {
      const outcome = l.seen ?? (l.sheet && l.sheet.outcome !== 'measure' && l.gapsTold ? l.sheet.outcome : null);
      return outcome === null ? [] : [{ ...l, outcome }];
    });
    if (told.length === 0) return null;
    for (const l of told)
      say.because(ruleFigure(`${l.side === 'left' ? 'Left' : 'Right'} lever`, cutoffOutcomeWords[l.outcome]));
    const bad =
      told.find((l) => l.outcome === 'doesNotCut') ??
      told.find((l) => l.outcome === 'noCutOff') ??
      told.find((l) => l.outcome === 'neverRuns');
    if (!bad)
      return say.fits(
        'Cut-offs run and cut',
        phrase`${told.map((l) => `${l.side}: ${l.sheet?.why ?? 'as seen on the stand'}`).join(' ')}`,
      );
    const side = bad.side === 'left' ? 'Left' : 'Right';
    const agrees = bad.sheet?.outcome === bad.outcome;
    const why = agrees && bad.sheet ? bad.sheet.why : 'So it was seen on the stand.';
    const move =
      (agrees ? bad.sheet?.move : null) ??
      (bad.outcome === 'neverRuns'
        ? 'Unplug this lever’s lead: if the motor wakes, its sensor is blind at rest or the wrong way round. Bring the magnet to it, or turn it about.'
        : 'Bring the magnet past the sensor’s reach as the lever is pulled.');
    const remedy = work('move-magnet', phrase`${move} Then try it on the stand, at rest and pulled.`, 15);
    return bad.outcome === 'neverRuns'
      ? say.rework(
          `${side} lever keeps the motor dead`,
          phrase`${why} It sees from ${amount(bad.reachM, 'size')}.`,
          remedy,
        )
      : say.stop(
          `${side} lever does not cut the motor`,
          phrase`${why} Do not ride it so: the brake pulls against the motor.`,
          remedy,
        );
  },
);
