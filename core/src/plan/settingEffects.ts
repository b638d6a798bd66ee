import type { Build } from '../build/build.ts';
import type { SettingId } from '../build/wiring.ts';
import { legalClass } from '../parts/law.ts';
import type { Shelf } from '../parts/part.ts';
import { amount, type Amount } from '../quantity/format.ts';
import { assistLimit } from '../vehicle/system.ts';
import { settingRows } from '../wiring/settings.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { planContext } from './context.ts';

/** What a setting does to the plan: the same figures with it as compared, and as tried. */
export interface SettingEffect {
  id: SettingId;
  /** The two values held against each other, in words or amounts. */
  from: Amount | string;
  to: Amount | string;
  /** Figure by figure, before and after; those it leaves alone are left out. */
  figures: { label: string; from: Amount; to: Amount }[];
  /** What the law says of the second; null where no class limits it. */
  law: 'within' | 'over' | null;
}

interface Figures {
  range: number;
  top: number;
  start: number;
  hottest: number;
  delay: number | null;
  limit: number | undefined;
}

function figuresOf(build: Build, starter: Shelf): Figures | null {
  const context = planContext(build, starter);
  const { reckoning: r, start, kit } = context;
  if (!r || !start || !kit) return null;
  return {
    range: r.toEmpty.distanceM,
    top: context.fastest.ms,
    start: start.grade,
    hottest: r.toEmpty.maxWindingC,
    delay: wiringOf(context)?.cadence.delayS ?? null,
    limit: assistLimit(build, { kit }),
  };
}

const setTo = (build: Build, change: Partial<Build['wiring']['settings']>): Build => ({
  ...build,
  wiring: { ...build.wiring, settings: { ...build.wiring.settings, ...change } },
});
const without = (build: Build, id: keyof Build['wiring']['settings']): Build => {
  const settings = { ...build.wiring.settings };
  Reflect.deleteProperty(settings, id);
  return { ...build, wiring: { ...build.wiring, settings } };
};

/**
 * What each setting changes in the plan, reckoned by the ride model with the setting one way and the other: as sold
 * against as set, or, where nothing was set, as sold against a plain step of it. A dozen rides: for a worker.
 */
export function settingEffects(build: Build, starter: Shelf): SettingEffect[] {
  const context = planContext(build, starter);
  const { asSold } = context.chosen;
  if (!asSold || !context.kit) return [];
  const rows = settingRows(build, asSold, context.pack);
  const { settings } = build.wiring;
  const { controller } = asSold;
  const law = legalClass(build.brief.legalClass, context.laws);
  const circumference = wheelOf(rows);
  const trials: { id: SettingId; from: Build; to: Build; words: [Amount | string, Amount | string] }[] = [];
  const add = (id: keyof typeof settings, sold: number, step: number, say: (n: number) => Amount | string): void => {
    const to = settings[id] ?? step;
    trials.push({ id, from: without(build, id), to: setTo(build, { [id]: to }), words: [say(sold), say(to)] });
  };
  add('batteryAmps', controller.batteryLimitA, Math.round(controller.batteryLimitA * 0.8), (n) =>
    amount(n, 'current', 0),
  );
  add('lowVolts', controller.cutoffVolts, controller.cutoffVolts + 2, (n) => amount(n, 'voltage'));
  add('startStrength', 1, 0.7, (n) => amount(n, 'share', 0));
  add('circumference', circumference, circumference * 0.95, (n) => amount(n, 'size', 0));
  if (asSold.wiring?.cadence)
    add(
      'pedalPulses',
      asSold.wiring.cadence.pulses ?? 2,
      Math.max(1, (asSold.wiring.cadence.pulses ?? 2) + 2),
      (n) => `${n} pulses`,
    );
  const limit = build.choice.assistLimitMs ?? asSold.assistLimitMs;
  if (limit !== undefined) {
    const slower = limit - 5 / 3.6;
    trials.push({
      id: 'limit',
      from: build,
      to: { ...build, choice: { ...build.choice, assistLimitMs: Math.max(1, slower) } },
      words: [amount(limit, 'speed', 0), amount(Math.max(1, slower), 'speed', 0)],
    });
  }
  return trials.flatMap(({ id, from, to, words }): SettingEffect[] => {
    const [a, b] = [figuresOf(from, starter), figuresOf(to, starter)];
    if (!a || !b) return [];
    const figure = (
      label: string,
      x: number,
      y: number,
      dimension: Amount['dimension'],
      least: number,
      digits?: number,
    ) =>
      Math.abs(y - x) < least ? [] : [{ label, from: amount(x, dimension, digits), to: amount(y, dimension, digits) }];
    return [
      {
        id,
        from: words[0],
        to: words[1],
        figures: [
          ...figure('range', a.range, b.range, 'way', 50),
          ...figure('top speed', a.top, b.top, 'speed', 0.03),
          ...figure('steepest start', a.start, b.start, 'grade', 0.0005),
          ...figure('hottest winding', a.hottest, b.hottest, 'temperature', 0.5),
          ...(a.delay === null || b.delay === null ? [] : figure('start delay', a.delay, b.delay, 'time', 0.005, 2)),
          ...(a.limit === undefined || b.limit === undefined
            ? []
            : figure('help ends at', a.limit, b.limit, 'speed', 0.01)),
        ],
        law:
          !law || law.assistMs === null || b.limit === undefined
            ? null
            : b.limit > law.assistMs + 0.01
              ? 'over'
              : 'within',
      },
    ];
  });
}

/** The circumference the plan would set, m. */
function wheelOf(rows: ReturnType<typeof settingRows>): number {
  const advised = rows.find((r) => r.id === 'circumference')?.advised;
  return typeof advised === 'object' ? advised.si : 2;
}
