import { chargerFor } from '../../pack/charger.ts';
import type { Build } from '../../build/build.ts';
import { ridingNow } from '../../build/brief.ts';
import type { Doc, DocBlock } from '../../formats/doc.ts';
import { upkeepFacts } from '../../log/upkeep.ts';
import { upkeepTasks, type UpkeepTask } from '../../log/upkeepTasks.ts';
import { packLife } from '../../pack/life.ts';
import { legalClass } from '../../parts/law.ts';
import { proofSheet, type ProofSheet } from '../../proof/protocol.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';
import { deceleration, stoppingDistance } from '../../safety/stopping.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { assistLimit } from '../../vehicle/system.ts';
import type { ChosenPlan } from '../planBuild.ts';
import { vehicleSvg } from './vehicleSvg.ts';

/** When a task is done, in the owner’s words. */
function intervalWords(task: UpkeepTask, facts: ReturnType<typeof upkeepFacts>): Phrase {
  const parts: (string | ReturnType<typeof amount>)[] = [];
  const everyKm = task.everyKm?.(facts);
  if (task.firstKm !== undefined) parts.push('first after ', amount(task.firstKm * 1000, 'way', 0), ', then ');
  if (everyKm !== undefined) parts.push('every ', amount(everyKm * 1000, 'way', 0));
  if (task.everyDays !== undefined)
    parts.push(parts.length > 0 ? ' or ' : 'every ', task.everyDays >= 360 ? 'year' : `${task.everyDays} days`);
  if (task.everyCharges !== undefined) parts.push(parts.length > 0 ? ' or ' : 'every ', `${task.everyCharges} charges`);
  if (task.afterWinter) parts.push(', in spring');
  if (task.after !== undefined) parts.push(`, and after a ${task.after}`);
  return parts;
}

/** What it does and does not, in figures an owner can use. */
export function whatItDoes(context: PlanContext): { label: string; value: Phrase }[] {
  const { reckoning, band, build, start, fastest, stopping, systemMassKg } = context;
  if (!reckoning || !band) return [];
  const limit = assistLimit(build, context);
  const stops = stopping ? deceleration(stopping) : null;
  const { rides } = build.tuned;
  return [
    {
      label: 'Range, on your road',
      value: band.hardly
        ? phrase`the legs do nearly all: no range to plan by`
        : phrase`${amount(band.lowM, 'way', 0)} on a bad day, ${amount(band.midM, 'way', 0)} as a rule${rides ? `, from ${rides.count} rides` : ', as planned'}`,
    },
    { label: 'Help ends at', value: limit === undefined ? phrase`no set limit` : phrase`${amount(limit, 'speed', 0)}` },
    { label: 'As fast on the flat as', value: phrase`${amount(fastest.helpedMs, 'speed', 0)}` },
    { label: 'Starts on up to', value: start ? phrase`${amount(start.grade, 'grade', 0)}` : phrase`not known` },
    {
      label: `Climbs ${Math.round(reckoning.climbGrade * 100)} % at`,
      value: phrase`${amount(reckoning.climb.speedMs, 'speed', 0)}`,
    },
    {
      label: 'Stops in the wet, from full help',
      value: stops
        ? phrase`${amount(stoppingDistance(fastest.helpedMs, stops.wet), 'height')}; dry ${amount(stoppingDistance(fastest.helpedMs, stops.dry), 'height')}`
        : phrase`not known: brakes never looked at`,
    },
    { label: 'All that moves, as planned', value: phrase`${amount(systemMassKg, 'mass', 0)}` },
    { label: 'Of that, rider', value: phrase`${amount(ridingNow(build.brief).massKg, 'mass', 0)}` },
  ];
}

const words = (text: string): Phrase => [text];

/** Who tried what, with what result, in one line each; nothing where nothing was tried. */
function proved(sheet: ProofSheet | null, build: Build): DocBlock[] {
  if (!sheet || sheet.tried === 0)
    return [
      { kind: 'text', text: words('Nothing was proved on the road: ride it with care until it is.'), strong: true },
    ];
  const of = (state: string): number => sheet.tests.filter((t) => t.state === state).length;
  const people = [...new Set(build.proving.results.map((r) => r.by).filter((by) => by !== ''))];
  const past = sheet.tests.filter((t) => t.state === 'wentPast');
  const not = sheet.tests.filter((t) => t.state === 'notTried');
  return [
    {
      kind: 'text',
      text: words(
        `${sheet.tried} tests tried${people.length > 0 ? ` by ${people.join(', ')}` : ''}: ${of('pass')} passed, ${of('question')} left a question, ${past.length} gone past, ${not.length} left untried, ${of('open')} not tried yet.`,
      ),
    },
    ...(sheet.stops.length > 0
      ? [
          {
            kind: 'caution' as const,
            title: 'Do not ride it',
            text: words(
              `It failed: ${sheet.tests
                .filter((t) => t.state === 'stop')
                .map((t) => t.title.toLowerCase())
                .join('; ')}.`,
            ),
            ask: 'whoever made it',
          },
        ]
      : []),
    ...(past.length + not.length > 0
      ? [
          {
            kind: 'list' as const,
            items: [
              ...past.map((t) => words(`Gone past: ${t.title.toLowerCase()}. Reason: ${t.wentPast?.reason ?? ''}`)),
              ...not.map((t) => words(`Not tried: ${t.title.toLowerCase()}. Reason: ${t.notTried?.reason ?? ''}`)),
            ],
          },
        ]
      : []),
  ];
}

/**
 * The sheet an owner keeps: the vehicle as built, how to charge, store and ride it, what it does and does not, settings,
 * what to check when, what was set aside and why, who made and proved it, spare parts, guarantees. Local rules and
 * qualified people have the last word, and it says so.
 */
export function handoverDoc(context: PlanContext, plan: ChosenPlan, build: Build): Doc {
  const { kit, pack, shelf } = context;
  const { handover } = build.log;
  const facts = upkeepFacts(context);
  const law = legalClass(build.brief.legalClass, shelf.laws);
  const life =
    pack && context.reckoning
      ? packLife(pack, context.reckoning.toEmpty.whPerKm, build.brief.temperatureC, chargerFor(pack, shelf))
      : null;
  const sheet = proofSheet(context, plan.wiring.all?.checks ?? []);
  const settings = plan.wiring.settings.filter((s) => s.is !== null || s.was !== null);
  const shown = (v: (typeof settings)[number]['is']): Phrase => (v === null ? ['–'] : [v]);
  const tasks = upkeepTasks.filter((t) => t.when(facts));
  const spares = plan.parts.bill.lines.filter((l) => l.state === 'spare' || l.leftOver === 'spare');
  const dated = plan.parts.bill.lines.filter((l) => l.choice.returnBy || handover.guarantees[l.key]);
  const maker = handover.maker || build.built.builder;
  const { tyres } = context.asItWillBe;
  const tests = context.kit
    ? [
        words('Before each ride: tyres by the thumb, both brakes, axle nuts and marks by eye, battery locked in.'),
        words('Pedal before you pull: a start from rest draws most and goes nowhere faster.'),
        words('Help fades as the battery empties; turn back at half, not at a tenth.'),
        words('The first bar of a gauge lasts longer than the others: never reckon from it.'),
        words('Brake early: it is heavier than it looks, and longer in the wet.'),
        ...(context.kit.throttle && build.choice.usesThrottle
          ? [words('Off the throttle before you get off, lift it, or turn it by hand.')]
          : []),
      ]
    : [];
  const blocks: DocBlock[] = [
    {
      kind: 'drawing',
      svg: vehicleSvg(plan.drawing, kit?.name ?? null),
      alt: `${build.name} from its right side, with ${kit?.name ?? 'no motor'} and ${pack?.name ?? 'no battery'} where they sit`,
    },
    {
      kind: 'facts',
      rows: [
        { label: 'Motor', value: words(kit ? kit.name : 'none') },
        { label: 'Battery', value: words(pack ? pack.name : 'none') },
        { label: 'Rules it is made to', value: words(law?.name ?? 'none chosen') },
        { label: 'Made by', value: words(maker || '–') },
      ],
    },
    ...(handover.words ? [{ kind: 'text' as const, text: words(handover.words) }] : []),
    { kind: 'heading', text: 'What it does, and does not' },
    { kind: 'facts', rows: whatItDoes(context) },
    {
      kind: 'text',
      quiet: true,
      text: words(
        'On the road, load and weather it was planned for. Cold, wind against, a soft tyre and more load take from it.',
      ),
    },
    { kind: 'heading', text: 'Riding it' },
    { kind: 'list', items: tests },
    ...(life
      ? [
          { kind: 'heading' as const, text: 'Charging and keeping the battery' },
          {
            kind: 'list' as const,
            items: [
              phrase`Empty to full takes about ${Math.round(life.chargeHours * 10) / 10} hours on ${life.charger === null ? 'its own charger, taken as one' : 'the charger'} of ${amount(life.chargerA, 'current')}.`,
              words('Only with its own charger, in a dry place where you would notice a fire, away from the way out.'),
              ...life.advice,
            ],
          },
          {
            kind: 'caution' as const,
            title: 'A battery that smells, hisses, is hot, dented or swollen',
            text: words(
              'Do not charge or ride it. Outside, away from anything that burns, if that is safe; else leave, and call the fire service.',
            ),
            ask: 'the fire service, and a battery workshop before it is used again',
          },
        ]
      : []),
    ...(settings.length > 0
      ? [
          {
            kind: 'table' as const,
            caption: 'Settings of the display and controller',
            heads: ['Setting', 'As set', 'As sold'],
            rows: settings.map((s) => [words(s.words), shown(s.is ?? s.was), shown(s.was)]),
          },
        ]
      : []),
    {
      kind: 'table',
      caption: 'What to look after, and when',
      heads: ['What', 'When', 'How'],
      rows: tasks.map((t) => [words(t.words), intervalWords(t, facts), words(t.how)]),
    },
    { kind: 'heading', text: 'Proved' },
    ...proved(sheet, build),
    ...(build.overrides.length > 0
      ? [
          { kind: 'heading' as const, text: 'Set aside, and why' },
          {
            kind: 'list' as const,
            items: build.overrides.map((o) => {
              const found = plan.findings.find((f) => f.rule === o.rule && (f.subject ?? 'donor') === o.subject);
              return words(`${found?.title ?? o.rule} (${o.on}): ${o.reason}`);
            }),
          },
        ]
      : []),
    { kind: 'heading', text: 'Spare parts and dates' },
    {
      kind: 'facts',
      rows: [
        { label: 'Tyres, front and rear', value: words(`${etrto(tyres.front)}, ${etrto(tyres.rear)}`) },
        {
          label: 'Brake pads, front and rear',
          value: words(
            `${brakeWords[context.asItWillBe.brakes.front ?? 'none']}, ${brakeWords[context.asItWillBe.brakes.rear ?? 'none']}`,
          ),
        },
        {
          label: 'Ring and cogs',
          value: words(`${context.gearing.ring} × ${context.gearing.cogs?.join('-') ?? 'not counted'}`),
        },
        { label: 'Spare with it', value: words(spares.length > 0 ? spares.map((l) => l.name).join(', ') : 'nothing') },
      ],
    },
    ...(dated.length > 0
      ? [
          {
            kind: 'table' as const,
            caption: 'Last days: sending back, and guarantees',
            heads: ['Part', 'Arrived', 'Back by', 'Guarantee to'],
            rows: dated.map((l) => [
              words(l.name),
              words(l.choice.arrivedOn ?? '–'),
              words(l.choice.returnBy ?? '–'),
              words(handover.guarantees[l.key] ?? '–'),
            ]),
          },
        ]
      : [
          {
            kind: 'text' as const,
            quiet: true,
            text: words('No dates of guarantees were written down: keep the bills.'),
          },
        ]),
    { kind: 'lines', labels: ['Made by', 'Handed over to', 'Date'] },
  ];
  return {
    title: build.name,
    sub: words(
      `Handover sheet${handover.owner ? ` for ${handover.owner}` : ''}${handover.on ? `, ${handover.on}` : ''}`,
    ),
    blocks,
    foot: 'This sheet says how the vehicle was made and tried. It approves nothing: local rules, insurers and qualified people have the last word.',
  };
}

const etrto = ({ widthM, beadM }: { widthM: number; beadM: number }): string =>
  `${Math.round(widthM * 1000)}-${Math.round(beadM * 1000)}`;
const brakeWords = {
  rim: 'rim blocks',
  discCable: 'disc pads, cable',
  discHydraulic: 'disc pads, hydraulic',
  drum: 'drum shoes',
  roller: 'roller brake',
  coaster: 'coaster',
  none: 'none',
} as const;
