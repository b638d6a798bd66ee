import type { Build } from '../../build/build.ts';
import { byTime, entriesOf, entryKindWords, measuredThings } from '../../build/log.ts';
import type { DocBlock } from '../../formats/doc.ts';
import { odometerOf } from '../../log/odometer.ts';
import { againWords, reviewQuestions, reviewRatings } from '../../log/review.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';

const words = (text: string): Phrase => [text];

/** The log of a vehicle in use, summed up by kind, and its last lines. */
export function logBlocks(build: Build, now: string): DocBlock[] {
  const { entries, review } = build.log;
  if (entries.length === 0)
    return [{ kind: 'text', text: words('Nothing was written in the logbook yet.'), quiet: true }];
  const rides = entriesOf(build.log, 'ride');
  const odometer = odometerOf(build.log, now);
  const wh = rides.reduce((sum, r) => sum + (r.energyFrom === 'meter' ? (r.energyWh ?? 0) : 0), 0);
  const metred = rides.reduce((sum, r) => sum + (r.energyFrom === 'meter' && r.energyWh !== null ? r.distanceM : 0), 0);
  const events = entries.filter((e) => e.kind !== 'ride' && e.kind !== 'charge').sort(byTime);
  const said = (e: (typeof events)[number]): string =>
    e.kind === 'fault'
      ? [e.what, e.cause, e.cure].filter((t) => t !== '').join('; ')
      : e.kind === 'puncture'
        ? `${e.wheel} wheel, ${e.cause}${e.round === null ? '' : `, ${Math.round(e.round * 360)}° from the valve`}`
        : e.kind === 'change'
          ? `${e.what}${e.to ? `: ${e.from ? `${e.from} → ` : ''}${e.to}` : ''}`
          : e.kind === 'service'
            ? `${e.task}${e.note ? `: ${e.note}` : ''}`
            : e.note;
  return [
    {
      kind: 'facts',
      rows: [
        { label: 'Ridden', value: phrase`${amount(odometer.at(now), 'way', 0)} in ${rides.length} rides` },
        {
          label: 'Used, off a meter',
          value: metred > 0 ? phrase`${amount(wh / metred, 'energyPerWay', 1)}` : words('not read'),
        },
        { label: 'Punctures', value: words(String(entriesOf(build.log, 'puncture').length)) },
        { label: 'Faults', value: words(String(entriesOf(build.log, 'fault').length)) },
      ],
    },
    ...(events.length > 0
      ? [
          {
            kind: 'table' as const,
            caption: 'What happened',
            heads: ['When', 'What', 'Said'],
            rows: events.map((e) => [
              words(e.at.slice(0, 10)),
              words(entryKindWords[e.kind]),
              e.kind === 'measurement'
                ? phrase`${measuredThings[e.what].words}: ${amount(e.value, measuredThings[e.what].dimension, measuredThings[e.what].dimension === 'share' ? 2 : 1)}`
                : words(said(e)),
            ]),
          },
        ]
      : []),
    ...(review
      ? [
          { kind: 'heading' as const, text: 'Half a year on', sub: review.at.slice(0, 10) },
          {
            kind: 'facts' as const,
            rows: [
              { label: 'Would do it again', value: words(review.again ? againWords[review.again] : 'not said') },
              ...reviewRatings.flatMap(({ id, words: label }) => {
                const n = review.ratings[id];
                return n === undefined ? [] : [{ label, value: words(`${n} of 5`) }];
              }),
            ],
          },
          {
            kind: 'list' as const,
            items: reviewQuestions.flatMap(({ id, words: q }) => {
              const answer = review.answers[id];
              return answer ? [words(`${q} ${answer}`)] : [];
            }),
          },
        ]
      : []),
  ];
}
