import type { Build } from '../../build/build.ts';
import { purposeWords, surfaceWords } from '../../build/brief.ts';
import { stageIds, type StageId } from '../../build/stage.ts';
import { surveyItems } from '../../donor/survey.ts';
import { vehicleKindWords } from '../../donor/kinds.ts';
import type { Doc, DocBlock } from '../../formats/doc.ts';
import { logBlocks } from './logBlocks.ts';
import { amount, phrase, phraseText, type Phrase } from '../../quantity/format.ts';
import { routeLength } from '../../ride/route.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { verdictWords } from '../../verdict.ts';
import type { BuildPlan } from '../planBuild.ts';
import { proofSheet } from '../../proof/protocol.ts';
import { vehicleSvg } from './vehicleSvg.ts';
import { whatItDoes } from './handover.ts';

/** A photo as a build keeps it: what it shows by its id, its day, the picture. */
export interface PaperPhoto {
  item: string;
  on: string;
  dataUrl: string;
}

/** What a photo shows, in words: a thing of the survey, a step of the bench, a test. */
function captionOf(plan: BuildPlan, tests: readonly { id: string; title: string }[], { item, on }: PaperPhoto): string {
  const [kind = '', id = ''] = item.split(/:(.*)/);
  const step = plan.build.steps.find((s) => s.id === id);
  const said =
    kind === 'step'
      ? step && phraseText(step.title, 'metric')
      : kind === 'test'
        ? tests.find((t) => t.id === id)?.title
        : surveyItems.find((i) => i.id === item)?.label;
  return `${said ?? item}, ${on}`;
}

const words = (text: string): Phrase => [text];
const stageName: Record<StageId, string> = Object.fromEntries(
  stageIds.map((id) => [id, id.charAt(0).toUpperCase() + id.slice(1)]),
) as Record<StageId, string>;
const proofStateWords = {
  open: 'not tried',
  pass: 'passed',
  question: 'open question',
  stop: 'stop',
  wentPast: 'gone past',
  notTried: 'left untried',
} as const;

/** Findings of a stage with why, source and what was decided. */
function findingRows(plan: BuildPlan, stage: StageId): Phrase[][] {
  return plan.findings
    .filter((f) => f.stage === stage)
    .map((f) => [
      words(verdictWords[f.verdict]),
      words(f.title),
      f.why,
      f.override
        ? words(`set aside on ${f.override.on}: ${f.override.reason}`)
        : f.fixed
          ? words(`taken on ${f.fixed.on}: ${f.fixed.because}`)
          : f.verdict === 'fits'
            ? words('')
            : (f.remedies[0]?.text ?? words('')),
      words(f.source),
    ]);
}

/**
 * The report of a whole build: what was decided, why, by what sums and sources, what it takes, what was built and proved,
 * and how it went in use. `now` is a local moment.
 */
export function reportDoc(
  context: PlanContext,
  plan: BuildPlan,
  build: Build,
  now: string,
  photos: readonly PaperPhoto[] = [],
): Doc {
  const { brief } = build;
  const { kit, pack } = plan.chosen;
  const { money } = plan;
  const proof = proofSheet(context, plan.wiring.all?.checks ?? []);
  const price = (n: number | null): Phrase => (n === null ? ['–'] : phrase`${amount(n, 'money')}`);
  const currency = build.bill.currency;
  const leads = plan.wiring.all?.leads ?? [];
  const stages = stageIds.filter((s) => plan.findings.some((f) => f.stage === s));
  const blocks: DocBlock[] = [
    {
      kind: 'drawing',
      svg: vehicleSvg(plan.drawing, kit?.name ?? null),
      alt: `${build.name} from its right side`,
    },
    { kind: 'heading', text: 'The answer' },
    {
      kind: 'text',
      strong: true,
      text: words(`${verdictWords[plan.verdict]}. Can it: ${plan.can.words}. Worth it: ${plan.worth.words}.`),
    },
    { kind: 'text', text: plan.can.why },
    { kind: 'facts', rows: whatItDoes(context) },
    { kind: 'heading', text: 'Brief' },
    {
      kind: 'facts',
      rows: [
        { label: 'What for', value: words(purposeWords[brief.purpose]) },
        {
          label: 'Road',
          value: brief.route
            ? phrase`${brief.route.name}, ${amount(routeLength(brief.route), 'way')} ${brief.thereAndBack ? 'there and back' : 'one way'}, ${surfaceWords[brief.route.surface].toLowerCase()}`
            : words('none named: a flat one stands in'),
        },
        { label: 'Range wanted', value: phrase`${amount(brief.rangeWantedM, 'way', 0)}` },
        { label: 'Load carried', value: phrase`${amount(brief.cargoKg, 'mass', 0)}` },
        ...brief.riders.map((r) => ({
          label: r.name || 'Rider',
          value: phrase`${amount(r.massKg, 'mass', 0)}, ${r.effort}`,
        })),
      ],
    },
    { kind: 'heading', text: 'Donor' },
    {
      kind: 'text',
      text: words(
        `${vehicleKindWords[build.donor.kind]}; ${plan.donor.progress.proven} of ${plan.donor.progress.total} things of the survey proven, the rest is asked for, not supposed.`,
      ),
    },
    { kind: 'heading', text: 'What was decided' },
    {
      kind: 'facts',
      rows: [
        { label: 'Motor', value: words(kit ? `${kit.name}, ${kit.maker}` : 'none') },
        { label: 'Battery', value: words(pack ? `${pack.name}, ${pack.maker}` : 'none') },
        {
          label: 'Ring and cogs',
          value: words(`${context.gearing.ring} × ${context.gearing.cogs?.join('-') ?? 'not counted'}`),
        },
        { label: 'Variant', value: words(build.variant || 'A') },
      ],
    },
    ...(build.built.otherwise.length > 0
      ? [
          {
            kind: 'list' as const,
            items: build.built.otherwise.map((o) =>
              words(`Built otherwise on ${o.at.slice(0, 10)}: ${o.what || 'changed'}. Why: ${o.reason}`),
            ),
          },
        ]
      : []),
    { kind: 'heading', text: 'Figures, with the sums behind them' },
    ...plan.figures.map((f): DocBlock => ({
      kind: 'table',
      caption: `${f.label}: ${f.formula}; held by ${f.limit}`,
      heads: ['Of', 'Value', 'From'],
      rows: [
        ...f.sum.map((s): Phrase[] => [
          words(s.label),
          typeof s.value === 'string' ? [s.value] : [s.value],
          words(s.from ?? ''),
        ]),
        [words(f.label), f.value ? [f.value] : ['–'], f.note],
      ],
      figures: [1],
    })),
    ...stages.flatMap((stage): DocBlock[] => [
      {
        kind: 'table',
        caption: `Findings: ${stageName[stage]}`,
        heads: ['Verdict', 'What', 'Why', 'Decided', 'Source'],
        rows: findingRows(plan, stage),
      },
    ]),
    ...(leads.length > 0
      ? [
          {
            kind: 'table' as const,
            caption: 'Leads',
            heads: ['Lead', 'Needed', 'With its plug'],
            rows: leads.map((l): Phrase[] => [
              words(l.what),
              phrase`${amount(l.neededM, 'size', 0)}`,
              l.suppliedM === null ? ['–'] : phrase`${amount(l.suppliedM, 'size', 0)}`,
            ]),
            figures: [1, 2],
          },
        ]
      : []),
    {
      kind: 'table',
      caption: `Parts, ${currency}`,
      heads: ['Part', 'Count', 'Each', 'Sum', 'State'],
      rows: [
        ...plan.parts.bill.lines.map((l): Phrase[] => [
          words(l.name),
          words(String(l.count)),
          price(l.price),
          price(l.sum),
          words(l.state),
        ]),
        [words('The whole conversion'), [''], [''], price(money.conversion), ['']],
      ],
      figures: [1, 2, 3],
    },
    {
      kind: 'table',
      caption: 'Steps at the bench',
      heads: ['Step', 'Done', 'By', 'Seen'],
      rows: plan.build.order.flatMap((id): Phrase[][] => {
        const step = plan.build.steps.find((s) => s.id === id);
        const done = build.bench.done[id];
        return step
          ? [
              [
                step.title,
                words(done ? (done.leftOut ? 'left out' : done.at.replace('T', ' ')) : '–'),
                words(done?.by ?? ''),
                words(done?.note ?? ''),
              ],
            ]
          : [];
      }),
    },
    ...(proof && proof.tried > 0
      ? [
          {
            kind: 'table' as const,
            caption: 'Proved',
            heads: ['Test', 'Foretold', 'Read', 'Outcome'],
            rows: proof.tests
              .filter((t) => t.state !== 'open')
              .map((t): Phrase[] => {
                const r = t.readings.find((x) => x.value !== null);
                const digits = r?.digits === undefined ? [] : ([r.digits] as const);
                return [
                  words(t.title),
                  r?.band
                    ? phrase`${amount(r.band.low, r.dimension, ...digits)} to ${amount(r.band.high, r.dimension, ...digits)}`
                    : words(''),
                  r ? phrase`${amount(r.value as number, r.dimension, ...digits)}` : words(''),
                  words(proofStateWords[t.state]),
                ];
              }),
          },
        ]
      : []),
    { kind: 'heading', text: 'In use' },
    ...logBlocks(build, now),
    ...(photos.length > 0
      ? [
          { kind: 'heading' as const, text: 'Photos' },
          {
            kind: 'photos' as const,
            photos: photos.map((p) => ({ caption: captionOf(plan, proof?.tests ?? [], p), dataUrl: p.dataUrl })),
          },
        ]
      : []),
  ];
  return {
    title: `${build.name}: the whole build`,
    sub: words(`Report of ${now.slice(0, 10)}${build.variant ? `, variant ${build.variant}` : ''}`),
    blocks,
    foot: 'What was measured is told as measured, what was not as to be measured. Local rules and qualified people have the last word.',
  };
}
