import { hasEnds, kindTraits } from '../../donor/kinds.ts';
import { longer, shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { work, choose, take } from '../remedies.ts';

/** A side-mounted chain kit's two clamps, which must both seat. */
export const sideClamps = kitRule(
  {
    id: 'side-clamps',
    words: 'Side kit’s clamps',
    group: 'frame',
    uses: ['chainstayDiameter', 'seatTubeDiameter', 'clampSpan'],
    source: 'Two clamp points must seat at once: seat tube and chainstay, each round and of the clamp’s size.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    const side = kit.side;
    if (!side) return null;
    const stay = say.need('chainstayDiameter');
    const seat = say.need('seatTubeDiameter');
    const run = say.need('clampSpan');
    const { least, most } = side.clampTubesM;
    say.because(
      partData('Clamps go round', `${Math.round(least * 1000)} to ${Math.round(most * 1000)} mm`),
      partData(
        'Clamps apart',
        `${Math.round(side.clampSpanM.least * 1000)} to ${Math.round(side.clampSpanM.most * 1000)} mm`,
      ),
    );
    if (kindTraits[build.donor.kind].boom || !hasEnds(build.donor.kind, 'rear'))
      return say.stop(
        'Nothing for both clamps',
        phrase`This kind of frame has no seat tube and chainstay side by side for the two clamps.`,
        choose('hub', phrase`A hub motor.`),
      );
    // One tube that is known not to suit decides it, whatever else was not measured.
    const tubes = [
      { what: 'Chainstay', d: stay },
      { what: 'seat tube', d: seat },
    ].flatMap(({ what, d }) => (d === undefined ? [] : [{ what, d }]));
    const off = tubes.filter(({ d }) => shorter(d, least - 0.0005) || longer(d, most + 0.0005));
    if (off.length > 0)
      return say.stop(
        'The clamps do not both seat',
        [
          ...off.flatMap(({ what, d }, i) => [i === 0 ? '' : ', ', `${what} `, amount(d, 'size')]),
          ...phrase`; the clamps go round ${amount(least, 'size')} to ${amount(most, 'size')}. One clamp alone lets the motor swing into the spokes.`,
        ],
        choose('hub', phrase`A hub motor.`),
        choose('mid-drive', phrase`A mid-drive, if the bracket suits.`),
      );
    if (stay === undefined || seat === undefined || run === undefined)
      return say.open(
        'Clamp places not measured',
        phrase`Both clamps must seat at once on round tubes of ${amount(least, 'size')} to ${amount(most, 'size')}.`,
      );
    const { least: near, most: far } = side.clampSpanM;
    if (shorter(run, near) || longer(run, far))
      return say.stop(
        'The clamps cannot be set to this frame',
        phrase`${amount(run, 'size')} from seat tube to chainstay where they would sit; the clamps set from ${amount(near, 'size')} to ${amount(far, 'size')}.`,
        choose('hub', phrase`A hub motor.`),
        choose('mid-drive', phrase`A mid-drive, if the bracket suits.`),
      );
    return say.rework(
      'The clamps may seat',
      phrase`Both tubes suit; whether both clamps seat at once with the sprockets in line is only seen with the kit in hand.`,
      work(
        'turned-spacers',
        phrase`Hold the bracket against the frame before paying; make up the gap with turned spacers, not packing.`,
        120,
        { takes: take('sprocket-shims', 'frame') },
      ),
    );
  },
);
