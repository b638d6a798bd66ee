import { amount, phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { work } from '../remedies.ts';

/** A cadence sensor: how long it lets the rider push alone, and whether its gap is near enough. */
export const cadenceSensor = kitRule(
  {
    id: 'cadence-sensor',
    words: 'Cadence sensor',
    group: 'controls',
    uses: [],
    source: 'docs/models.md, cadence sensor: worst start p·60/(n·c) at 40 rpm.',
  },
  (context, _kit, say) => {
    const sheet = wiredOf(context)?.cadence;
    if (!sheet?.sensor || sheet.is === 'none') return null;
    if (sheet.is === 'leftOff')
      return say.fits(
        'Cadence sensor left off, by your school',
        phrase`The throttle alone starts it; pedals turn freely.`,
      );
    const { sensor } = sheet;
    say.because(
      partData('Magnets', String(sensor.magnets)),
      ruleFigure('Pulses waited for', `${sheet.pulses}${sheet.pulsesKnown ? '' : ', taken'}`),
      ruleFigure('Way till it helps', amount(sheet.delayM ?? 0, 'size', 0)),
    );
    const wait = phrase`${String(sensor.magnets)} magnets, ${String(sheet.pulses)} pulses at 40 rpm: ${(sheet.delayS ?? 0).toFixed(2)} s and ${amount(sheet.delayM ?? 0, 'height', 1)} on the legs alone in the easiest gear.`;
    if (sheet.gap === 'wide')
      return say.rework(
        'Cadence sensor reads too far off',
        phrase`${amount(sheet.gapM ?? 0, 'size')} between ring and sensor; it reads across ${amount(sensor.clearanceM, 'size')}.`,
        work('closer', phrase`Set it nearer, or turn the ring so that its magnets face it.`, 15),
      );
    return say.fits(
      sheet.is === 'inside' ? 'Cadence sensor inside the motor' : 'Cadence sensor goes on',
      sheet.is === 'inside'
        ? wait
        : [
            ...wait,
            ` On the ${sensor.side}, ${sheet.cranksOff ? 'the crank comes off for it' : 'the crank stays on'}.`,
          ],
    );
  },
);
