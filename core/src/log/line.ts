import {
  logEntrySchema,
  punctureCauses,
  punctureWheels,
  renewedThings,
  type LogEntry,
  type RenewedThing,
} from '../build/log.ts';
import { upkeepTasks } from './upkeepTasks.ts';

/** What a line said at the door was read as, or why it was not. */
export type LineRead = { ok: true; entry: LogEntry; of: string[] } | { ok: false; why: string };

/** A figure with its unit: what it is and how it becomes SI. */
const units: { of: string; sign: RegExp; si: (n: number) => number }[] = [
  { of: 'wh', sign: /^kwh$/, si: (n) => n * 1000 },
  { of: 'wh', sign: /^wh$/, si: (n) => n },
  { of: 'way', sign: /^km$/, si: (n) => n * 1000 },
  { of: 'way', sign: /^(mi|miles?)$/, si: (n) => n * 1609.344 },
  { of: 'climb', sign: /^m$/, si: (n) => n },
  { of: 'climb', sign: /^(ft|hm)$/, si: (n) => n },
  { of: 'time', sign: /^min$/, si: (n) => n * 60 },
  { of: 'time', sign: /^h$/, si: (n) => n * 3600 },
  { of: 'air', sign: /^(°c|c)$/, si: (n) => n },
  { of: 'air', sign: /^(°f|f)$/, si: (n) => ((n - 32) * 5) / 9 },
  { of: 'wind', sign: /^m\/s$/, si: (n) => n },
  { of: 'wind', sign: /^(km\/h|kmh)$/, si: (n) => n / 3.6 },
  { of: 'wind', sign: /^mph$/, si: (n) => n * 0.44704 },
  { of: 'load', sign: /^kg$/, si: (n) => n },
  { of: 'load', sign: /^lb$/, si: (n) => n * 0.45359237 },
  { of: 'percent', sign: /^%$/, si: (n) => n / 100 },
  { of: 'size', sign: /^mm$/, si: (n) => n / 1000 },
  { of: 'round', sign: /^(°|deg)$/, si: (n) => n / 360 },
];

/** Figures of a line, in the order they stand, and what is left of it as words. */
function figuresOf(line: string): { figures: { of: string; si: number }[]; words: string } {
  const figures: { of: string; si: number }[] = [];
  const words = line.replace(
    /([+-−]?\d+(?:[.,]\d+)?)\s*(kwh|wh|km\/h|kmh|km|miles?|mi|mm|min|m\/s|mph|m|hm|ft|h|°c|°f|c|f|kg|lb|%|°|deg)(?![\p{L}\p{N}])/giu,
    (all: string, figure: string, sign: string) => {
      const unit = units.find((u) => u.sign.test(sign.toLowerCase()));
      const n = Number(figure.replace(',', '.').replace('−', '-'));
      if (!unit || !Number.isFinite(n)) return all;
      figures.push({ of: unit.of, si: unit.of === 'climb' && /ft/i.test(sign) ? n * 0.3048 : unit.si(n) });
      return ' ';
    },
  );
  return { figures, words: words.replace(/\s+/g, ' ').replace(/^[\s,;:]+|[\s,;:]+$/g, '') };
}

const firstWord =
  /^\s*(ride|rode|charge|charged|fault|puncture|flat|done|did|service|changed?|measured?|note)\b[:,]?\s*/i;

/**
 * Reads a line typed at the door: “12.4 km 96 Wh 14 °C to the mill”, “charged 420 Wh 20 % 100 %”, “puncture rear thorn
 * 90°”, “fault display dark: plug wet”, “done torque”, “changed rear tyre to 50 mm”, “measured chain 0.4 %”, or anything
 * else as a note. Nothing is guessed: what does not read says why.
 */
export function readLine(line: string, id: string, at: string): LineRead {
  const text = line.trim();
  if (text === '') return { ok: false, why: 'Nothing typed yet.' };
  const said = firstWord.exec(text)?.[1]?.toLowerCase() ?? '';
  const rest = text.replace(firstWord, '');
  const { figures, words } = figuresOf(rest);
  const one = (of: string): number | null => figures.find((f) => f.of === of)?.si ?? null;
  const percents = figures.filter((f) => f.of === 'percent').map((f) => f.si);
  const common = { id, at, note: words };
  const kept = (raw: unknown, of: string[]): LineRead => {
    const read = logEntrySchema.safeParse(raw);
    return read.success
      ? { ok: true, entry: read.data, of }
      : { ok: false, why: `Out of bounds: ${read.error.issues.map((i) => i.path.join('.')).join(', ')}.` };
  };
  const kinds: Record<string, () => LineRead> = {
    charge: () => {
      const wallWh = one('wh');
      if (wallWh === null) return { ok: false, why: 'A charge wants its energy at the wall: “charged 420 Wh”.' };
      const [from = null, to = null] = percents;
      return kept(
        {
          kind: 'charge',
          ...common,
          wallWh,
          from,
          to,
          minutes: (one('time') ?? 0) / 60 || null,
          temperatureC: one('air'),
        },
        ['energy at the wall', ...(from === null ? [] : ['from']), ...(to === null ? [] : ['to'])],
      );
    },
    puncture: () => {
      const wheel = punctureWheels.find((w) => new RegExp(`\\b${w}\\b`, 'i').test(rest));
      if (!wheel) return { ok: false, why: `A puncture wants its wheel: ${punctureWheels.join(', ')}.` };
      const cause = punctureCauses.find((c) => new RegExp(`\\b${c}\\b`, 'i').test(rest)) ?? 'unknown';
      return kept({ kind: 'puncture', id, at, note: '', wheel, cause, round: one('round') }, [
        'wheel',
        'cause',
        ...(one('round') === null ? [] : ['place round the rim']),
      ]);
    },
    fault: () => {
      if (words === '') return { ok: false, why: 'A fault wants a few words on what failed.' };
      const [what = '', cause = '', cure = ''] = rest.split(/\s*[;:]\s*/);
      return kept({ kind: 'fault', id, at, what, cause, cure }, [
        'what',
        ...(cause ? ['cause'] : []),
        ...(cure ? ['cure'] : []),
      ]);
    },
    done: () => {
      const key = words.toLowerCase();
      const task =
        upkeepTasks.find((t) => t.id === key.split(' ')[0]) ??
        upkeepTasks.find((t) => key !== '' && t.words.toLowerCase().includes(key.split(' ')[0] as string));
      if (!task)
        return {
          ok: false,
          why: `Done what: ${upkeepTasks
            .slice(0, 8)
            .map((t) => t.id)
            .join(', ')} …`,
        };
      return kept(
        { kind: 'service', id, at, task: task.id, note: words.replace(new RegExp(`^${task.id}\\s*`, 'i'), '') },
        [task.words.toLowerCase()],
      );
    },
    changed: () => {
      if (rest === '') return { ok: false, why: 'Changed what: “changed rear tyre to 50 mm”.' };
      const [what = '', to = ''] = rest.split(/\s+to\s+/i);
      const touches = touchedBy(rest);
      const of = /setting|limit|level/i.test(rest) ? 'setting' : 'part';
      // Read once, where it is typed and can be seen and put right; nothing later goes by the words.
      const renews = of === 'part' ? renewedBy(rest) : null;
      return kept({ kind: 'change', id, at, of, what, to, touches, renews }, [
        'what',
        ...(to ? ['to'] : []),
        ...(renews ? [`new: ${renewedThings[renews]}`] : []),
      ]);
    },
    measured: () => {
      const what = (
        [
          ['chainWear', /chain/i, 'percent'],
          ['padFront', /front.*(pad|block)|(pad|block).*front/i, 'size'],
          ['padRear', /rear.*(pad|block)|(pad|block).*rear/i, 'size'],
          ['treadFront', /front.*tread|tread.*front/i, 'size'],
          ['treadRear', /tread/i, 'size'],
          ['capacity', /capacity|battery/i, 'wh'],
          ['odometer', /odo/i, 'way'],
        ] as const
      ).find(([, match]) => match.test(rest));
      const value = what ? one(what[2]) : null;
      if (!what || value === null)
        return {
          ok: false,
          why: 'Measured what: “measured chain 0.4 %”, “measured front pad 2.1 mm”, “measured capacity 460 Wh”.',
        };
      return kept({ kind: 'measurement', id, at, note: '', what: what[0], value }, [what[0]]);
    },
    note: () => kept({ kind: 'note', id, at, note: rest.slice(0, 1000) }, ['words']),
    ride: () => {
      const distanceM = one('way');
      if (distanceM === null) return { ok: false, why: 'A ride wants its way: “12.4 km 96 Wh”.' };
      const energyWh = one('wh');
      const [startCharge = null, endCharge = null] = percents;
      const wall = /\bwall\b/i.test(rest);
      const own = /\b(own|usual) road\b/i.test(rest);
      return kept(
        {
          kind: 'ride',
          id,
          at,
          name: words
            .replace(/\b(at the )?wall\b|\b(own|usual) road\b/gi, '')
            .replace(/\s+/g, ' ')
            .trim()
            .slice(0, 120),
          from: 'typed',
          distanceM,
          timeS: one('time') ?? 0,
          energyWh,
          energyFrom: wall ? 'wall' : energyWh === null && endCharge !== null ? 'gauge' : 'meter',
          startCharge,
          endCharge,
          temperatureC: one('air'),
          headwindMs: one('wind'),
          loadKg: one('load'),
          climbM: one('climb'),
          ownRoad: own,
        },
        figures.map((f) => f.of),
      );
    },
  };
  const alias: Record<string, string> = {
    rode: 'ride',
    charged: 'charge',
    flat: 'puncture',
    did: 'done',
    service: 'done',
    change: 'changed',
    measure: 'measured',
  };
  const kind = said === '' ? (one('way') !== null ? 'ride' : 'note') : (alias[said] ?? said);
  return (kinds[kind] ?? kinds.note)?.() ?? { ok: false, why: 'It cannot be read.' };
}

/** What is new by a change told in so many words; a guard, a ring or a tool named after it is not the thing itself. */
export function renewedBy(words: string): RenewedThing | null {
  const ends = new Set([...words.matchAll(/\b(front|rear)\b/gi)].map((end) => end[0].toLowerCase()));
  // Of both ends at once one line tells no more than the words do.
  const [end] = ends.size === 1 ? ends : [];
  if (/\bchain\b(?![- ]*(guard|case|ring|wheel|tool|keeper|catcher|stay|line|tension))/i.test(words)) return 'chain';
  if (end && /\b(pads?|blocks?|linings?)\b/i.test(words)) return end === 'front' ? 'padFront' : 'padRear';
  if (end && /\bty(re|res)\b|\btires?\b/i.test(words)) return end === 'front' ? 'tyreFront' : 'tyreRear';
  return null;
}

/** What a change touches of what rides tell, by its words: a tyre rolls, a load or posture stands in the wind. */
export function touchedBy(words: string): ('cdaM2' | 'crr' | 'riderPowerW' | 'health')[] {
  return [
    ...(/pannier|screen|box|posture|bar\b|handlebar|basket|bag/i.test(words) ? (['cdaM2'] as const) : []),
    ...(/tyre|tire|tube|wheel|bearing/i.test(words) ? (['crr'] as const) : []),
    ...(/rider|level|assist|sensor/i.test(words) ? (['riderPowerW'] as const) : []),
    ...(/battery|pack|cell/i.test(words) ? (['health'] as const) : []),
  ];
}
