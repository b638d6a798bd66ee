import { amount, phrase } from '../../quantity/format.ts';
import { SPARK_MOST } from '../../wiring/power.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, ask, askFor } from '../remedies.ts';

/** What jumps when the battery’s plug is pushed home. */
export const plugSpark = kitRule(
  {
    id: 'plug-spark',
    words: 'Spark at the plug',
    group: 'power',
    uses: [],
    source: 'docs/models.md, spark: ½·C·V²; above half a joule it pits the contacts.',
  },
  (context, _kit, say) => {
    const found = wiredOf(context)?.spark;
    if (!found) return null;
    const { sum: spark, farad, known, fullVolts } = found;
    say.because(
      partData('Capacitors', `${(farad * 1000).toFixed(2)} mF${known ? '' : ', taken'}`),
      ruleFigure('Spark', amount(spark.joules, 'ratio', 2)),
    );
    const sum = phrase`½ · ${(farad * 1000).toFixed(2)} mF · (${amount(fullVolts, 'voltage')})² is ${spark.joules.toFixed(2)} J${known ? '' : '; the kit’s data names no capacitors, 1 mF is taken'}.`;
    const pre = spark.precharge;
    if (!pre) return say.fits('Little spark at the plug', [...sum, ` Under ${SPARK_MOST} J it is left as it is.`]);
    if (spark.fitted)
      return say.fits('The spark is tamed', [
        ...sum,
        ` A pre-charge lead of ${pre.ohm} Ω is part of the plan: held on for ${pre.seconds.toFixed(1)} s.`,
      ]);
    const remedies = [
      ...(pre.part
        ? [
            buy(
              'precharge',
              phrase`A pre-charge lead of ${String(pre.ohm)} Ω.`,
              { part: pre.part, count: 1, place: 'leads' },
              { work: 10 },
            ),
          ]
        : []),
      ask('switch', phrase`Ask the pack’s seller whether its switch charges them softly by itself.`),
    ];
    // On capacitors nobody names a spark is a guess: to be asked after, not to be mended.
    if (!known && spark.weak === null)
      return say.open(
        'A spark at the plug, if its capacitors are the usual ones',
        [...sum, ` Above ${SPARK_MOST} J the contacts pit, and ${pre.ohm} Ω first would tame it.`],
        askFor('how many millifarads its controller has across the battery’s plug'),
        ...remedies,
      );
    return say.rework(
      spark.weak === null ? 'A spark at the plug' : 'The pre-charge lead lets too much through',
      [
        ...sum,
        ...(spark.weak === null
          ? []
          : [
              ` That of ${spark.weak} Ω lets ${(fullVolts / spark.weak).toFixed(1)} A through at first; ${Math.ceil(spark.leastOhm)} Ω are wanted.`,
            ]),
        ` Above ${SPARK_MOST} J the contacts pit: ${pre.ohm} Ω first, ${pre.seconds.toFixed(1)} s, then the plug; the resistor takes ${Math.round(pre.watts)} W for an instant.`,
      ],
      ...remedies,
    );
  },
);
