import type { MergeStep } from '../build/merge.ts';
import type { Refused } from './gate.ts';
import { conditionWords, surveyItems } from '../donor/survey.ts';
import { partById, type Shelf } from '../parts/part.ts';
import { amount, amountText } from '../quantity/format.ts';
import type { Dimension, UnitSystem } from '../quantity/units.ts';

/** Sections of a build as the rail names them. */
const sections: Record<string, string> = {
  brief: 'Brief',
  donor: 'Donor',
  choice: 'Choice',
  keptChoices: 'Kept beside it',
  schools: 'Schools',
  weights: 'Weight',
  ownParts: 'Own parts',
  ownLaws: 'Own legal classes',
  overrides: 'Set aside',
  fixes: 'Remedy taken',
  bill: 'Parts and money',
  'bill.lines': 'The bill',
  arrivals: 'Measured on arrival',
  closing: 'What else is there',
  wiring: 'Wiring',
  bench: 'Bench',
  built: 'As built',
  proving: 'Proving',
  tuned: 'Tuned to tests',
  log: 'Logbook',
};

/** Fields as their screens name them, and what their numbers measure. */
const fields: Record<string, { words: string; dimension?: Dimension }> = {
  name: { words: 'Name' },
  variant: { words: 'Variant' },
  'brief.purpose': { words: 'Purpose' },
  'brief.aboard': { words: 'Who is aboard' },
  'brief.trailer.massKg': { words: 'Trailer, empty', dimension: 'mass' },
  'brief.trailer.loadKg': { words: 'Trailer’s load', dimension: 'mass' },
  'brief.cargoKg': { words: 'Load carried', dimension: 'mass' },
  'brief.posture': { words: 'Posture' },
  'brief.panniers': { words: 'Load in panniers' },
  'brief.trailer': { words: 'Trailer' },
  'brief.rangeWantedM': { words: 'Range wanted', dimension: 'way' },
  'brief.reserve': { words: 'Reserve' },
  'brief.cruiseMs': { words: 'Cruising speed', dimension: 'speed' },
  'brief.legalClass': { words: 'Rules to ride by' },
  'brief.budget': { words: 'Budget for parts' },
  'brief.massTargetKg': { words: 'Weigh at most', dimension: 'mass' },
  'brief.temperatureC': { words: 'Temperature', dimension: 'temperature' },
  'brief.altitudeM': { words: 'Height above sea', dimension: 'height' },
  'brief.headwindMs': { words: 'Headwind', dimension: 'speed' },
  'brief.thereAndBack': { words: 'There and back' },
  'brief.route': { words: 'Road' },
  massKg: { words: 'Mass, dressed', dimension: 'mass' },
  statureM: { words: 'Height', dimension: 'size' },
  effort: { words: 'Effort' },
  'donor.kind': { words: 'Kind of vehicle' },
  'donor.inside': { words: 'Inside as drawn' },
  'donor.obstructions': { words: 'What stands in the way' },
  'choice.kitId': { words: 'Kit' },
  'choice.packId': { words: 'Battery' },
  'choice.packPlace': { words: 'Battery’s place' },
  'choice.packSpot': { words: 'Battery’s spot' },
  'choice.ringId': { words: 'Ring' },
  'choice.clusterId': { words: 'Cogs' },
  'choice.hubGearId': { words: 'Hub gear' },
  'choice.torqueArms': { words: 'Torque arms' },
  'choice.assistLimitMs': { words: 'Assist limit', dimension: 'speed' },
  'wiring.settings.circumference': { words: 'Wheel circumference', dimension: 'size' },
  'wiring.settings.batteryAmps': { words: 'Battery current', dimension: 'current' },
  'wiring.settings.lowVolts': { words: 'Low volts', dimension: 'voltage' },
  'wiring.sensors.cadenceGapM': { words: 'Cadence sensor’s gap', dimension: 'size' },
  'wiring.sensors.speedGapM': { words: 'Speed sensor’s gap', dimension: 'size' },
  'wiring.levers.left.restM': { words: 'Left lever’s gap at rest', dimension: 'size' },
  'wiring.levers.left.pulledM': { words: 'Left lever’s gap pulled', dimension: 'size' },
  'wiring.levers.right.restM': { words: 'Right lever’s gap at rest', dimension: 'size' },
  'wiring.levers.right.pulledM': { words: 'Right lever’s gap pulled', dimension: 'size' },
  axleFlatsM: { words: 'Axle across its flats', dimension: 'size' },
  washerBoreM: { words: 'Bore of the washers', dimension: 'size' },
  armBoreM: { words: 'Bore of the arms', dimension: 'size' },
  alongM: { words: 'Along its place', dimension: 'size' },
};

const stepText = (step: MergeStep): string => (typeof step === 'object' ? step.key : String(step));

/** What is known of a place: the whole path's words, else those of its last named step. */
function fieldAt(path: readonly MergeStep[]): { words: string; dimension?: Dimension } | undefined {
  const whole = fields[path.map(stepText).join('.')];
  if (whole) return whole;
  if (path[0] === 'donor' && path[1] === 'survey') {
    const item = surveyItems.find((i) => i.id === path[2]);
    if (item) return item.type === 'number' ? { words: item.label, dimension: item.dimension } : { words: item.label };
  }
  if (path[0] === 'donor' && path[1] === 'condition') {
    const words = conditionWords[stepText(path[2] ?? '') as keyof typeof conditionWords] as
      { label: string } | undefined;
    if (words) return { words: words.label };
  }
  return fields[stepText(path.at(-1) ?? '')];
}

/** A place within a build in words a person knows it by, e.g. “Donor: Wheelbase”. */
export function placeWords(path: readonly MergeStep[]): string {
  const section = sections[stepText(path[0] ?? '')];
  const field =
    fieldAt(path)?.words ??
    path
      .slice(section ? 1 : 0)
      .map(stepText)
      .join(' ');
  return section && field !== '' ? `${section}: ${field}` : (section ?? field);
}

/** What an entry of a row is, where rows can be full. */
const entries: Record<string, string> = {
  'log.entries': 'a line',
  'log.mappings': 'a table’s columns',
  'proving.coasts': 'a coast-down',
  'proving.results': 'a test result',
  'proving.searches': 'a search for a fault',
  'proving.repairs': 'a repair',
  'bill.suppliers': 'a supplier',
  'bill.offers': 'a price',
  'bench.weekly': 'a bench time',
  'bench.once': 'a bench time',
  'bench.away': 'a day away',
  'built.otherwise': 'a change of plan',
  'weights.changes': 'a weight',
  'brief.riders': 'a rider',
  keptChoices: 'a choice kept beside',
  ownParts: 'a part',
  ownLaws: 'a legal class',
  overrides: 'a finding',
  fixes: 'a remedy',
};

/** What an entry of a row goes by for a person: the words in it. */
function entryName(value: unknown): string {
  if (typeof value === 'string') return value;
  if (typeof value !== 'object' || value === null) return '';
  const { name, what, note, words, label, reason, task, at, on } = value as Record<string, unknown>;
  const found = [name, what, words, label, note, reason, task, at, on].find(
    (w) => typeof w === 'string' && w.trim() !== '',
  );
  return typeof found === 'string' ? found.replace(/^(\d{4}-\d\d-\d\d)T/, '$1 ') : '';
}

/** Something that could not be kept, in a sentence: where, what and why. */
export function refusedWords({ path, message, value }: Refused, shelf: Shelf, units: UnitSystem): string {
  const row = path.slice(0, -1).map(stepText).join('.');
  const entry = entries[row];
  const section = sections[stepText(path[0] ?? '')] ?? 'This build';
  const full = /^must be at most (\d+) entries$/.exec(message);
  if (entry !== undefined && typeof value === 'object') {
    const name = entryName(value).slice(0, 60);
    const why = full ? `there is room for ${full[1] ?? ''}` : message;
    return `${section}: ${entry}${name === '' ? '' : `, “${name}”`}: ${why}.`;
  }
  if (path.length === 0) return `An edit ${message}.`;
  return `${placeWords(path)}: “${valueWords(path, value, shelf, units).slice(0, 60)}” ${message}.`;
}

/** A value of a build in a few words: as it was typed, by its part's name, or what it measures. */
export function valueWords(path: readonly MergeStep[], value: unknown, shelf: Shelf, units: UnitSystem): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const dimension = fieldAt(path)?.dimension;
    return dimension ? amountText(amount(value, dimension), units) : String(value);
  }
  if (typeof value === 'string') return partById(shelf, value)?.name ?? value;
  if (Array.isArray(value)) return `a list of ${value.length}`;
  const { typed, unit, value: inner, name, alongM, remedy } = value as Record<string, unknown>;
  if (typeof alongM === 'number') return `${amountText(amount(alongM, 'size'), units)} along`;
  if (typeof remedy === 'string') return 'taken';
  if (typeof typed === 'string' && typed !== '') {
    const sign = typeof unit === 'string' ? unit : '';
    return typed.endsWith(sign) ? typed : `${typed} ${sign}`;
  }
  if (inner !== undefined) return valueWords(path, inner, shelf, units);
  return typeof name === 'string' ? name : 'another version of it';
}
