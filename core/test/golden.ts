import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from 'chai';
import { groupStages, type RuleMeta } from '../src/fit/rule.ts';
import { partsOfShelf } from './prices.ts';
import type { Phrase } from '../src/quantity/format.ts';

/**
 * What tests hold the core to, as it was when somebody last looked. Each fact stands in one of four files, so that a
 * change shows as what it is: a verdict, a number or id, money, or words.
 */
const channels = ['verdicts', 'numbers', 'money', 'words'] as const;
type Channel = (typeof channels)[number];
export type Golden = Record<Channel, string[]>;

export const emptyGolden = (): Golden => ({ verdicts: [], numbers: [], money: [], words: [] });

const folder = new URL('golden/', import.meta.url);
const sealFile = new URL('flips.json', folder);

/** Rows of numbers longer than this are held by their count, ends and sum. */
const LONG_ROW = 12;
/** Names under which a figure is money, wherever it stands. */
const MONEY = /(^|\.)(money|price|cost|bill|readyMade|paid|perHour|total|most)(\.|$)/i;
/** Names under which a word is a judgement. */
const JUDGEMENT = /(^|\.)(verdict|answer|judged)$/;
/** Names under which a text is a name out of the plan, not words for a reader. */
const NAMED = /^[\w/.:+×-]+$/;

/** Five figures are enough to show a change, and few enough to hold on every machine. */
const five = (n: number): string => (Number.isFinite(n) ? String(Number(n.toPrecision(5))) : String(n));
const isPhrase = (value: unknown): value is Phrase =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.some((v) => typeof v === 'string') &&
  value.every((v) => typeof v === 'string' || (typeof v === 'object' && v !== null && 'si' in v && 'dimension' in v));

/** What one of a row is called, so that one more of them moves no other's line. */
function nameOf(item: unknown, index: number): string {
  if (typeof item !== 'object' || item === null) return String(index);
  const { id, rule, subject, part, place, item: surveyed } = item as Record<string, unknown>;
  if (typeof id === 'string') return id;
  if (typeof rule === 'string') return typeof subject === 'string' ? `${rule}@${subject.replace(/\s+/g, '_')}` : rule;
  if (typeof part === 'string') return typeof place === 'string' ? `${part}@${place}` : part;
  if (typeof surveyed === 'string') return surveyed;
  return String(index);
}

/** Words without their figures, and the figures by themselves: the one stays as the other moves. */
function layText(text: string, path: string, golden: Golden): void {
  const figures = text.match(/\d+(?:[.,]\d+)*/g) ?? [];
  golden.words.push(
    `${path}: ${text
      .replace(/\d+(?:[.,]\d+)*/g, '#')
      .replace(/\s+/g, ' ')
      .trim()}`,
  );
  if (figures.length > 0) golden[MONEY.test(path) ? 'money' : 'numbers'].push(`${path}: ${figures.join(' ')}`);
}

/** Lays any plain data out, a fact a line, each in the file it belongs to. */
export function layOut(value: unknown, path: string, golden: Golden): void {
  const figures = golden[MONEY.test(path) ? 'money' : 'numbers'];
  if (typeof value === 'number') figures.push(`${path}: ${five(value)}`);
  else if (typeof value === 'string') {
    if (JUDGEMENT.test(path)) golden.verdicts.push(`${path}: ${value}`);
    else if (NAMED.test(value)) figures.push(`${path}: ${value}`);
    else layText(value, path, golden);
  } else if (typeof value !== 'object' || value === null) figures.push(`${path}: ${String(value)}`);
  else if (isPhrase(value)) {
    layText(value.map((v) => (typeof v === 'string' ? v : `{${v.dimension}}`)).join(''), path, golden);
    const amounts = value.filter((v) => typeof v !== 'string');
    if (amounts.length > 0) figures.push(`${path} is: ${amounts.map((v) => five(v.si)).join(' ')}`);
  } else if ('si' in value && 'dimension' in value)
    figures.push(`${path}: ${five(Number(value.si))} ${String(value.dimension)}`);
  else if (Array.isArray(value) && value.length > 0 && value.every((v) => typeof v === 'number')) {
    const row = value as number[];
    const [first] = row;
    const last = row.at(-1);
    figures.push(
      row.length <= LONG_ROW
        ? `${path}: ${row.map(five).join(' ')}`
        : `${path}: ${row.length} from ${five(first ?? NaN)} to ${five(last ?? NaN)}, together ${five(row.reduce((a, b) => a + b, 0))}`,
    );
  } else if (Array.isArray(value)) {
    if (value.length === 0) figures.push(`${path}: none`);
    const seen = new Map<string, number>();
    value.forEach((item, i) => {
      const name = nameOf(item, i);
      const times = (seen.get(name) ?? 0) + 1;
      seen.set(name, times);
      const where = `${path}.${name}${times > 1 ? `(${times})` : ''}`;
      if (typeof item !== 'object' || item === null) return layOut(item, where, golden);
      // One of a row, a line; verdicts each by itself, since each may turn.
      const facts = emptyGolden();
      layOut(item, where, facts);
      golden.verdicts.push(...facts.verdicts);
      for (const channel of ['numbers', 'money', 'words'] as const)
        if (facts[channel].length > 0)
          golden[channel].push(
            `${where}: ${facts[channel].map((fact) => fact.slice(where.length + 1).trim()).join('; ')}`,
          );
    });
  } else {
    const entries = Object.entries(value);
    if (entries.length === 0) figures.push(`${path}: empty`);
    for (const [key, v] of entries) layOut(v, path === '' ? key : `${path}.${key}`, golden);
  }
}

const fileOf = (name: string, channel: Channel): URL => new URL(`${encodeURI(name)}.${channel}.txt`, folder);
const textOf = (lines: readonly string[]): string => (lines.length === 0 ? '' : `${lines.join('\n')}\n`);
function keptLines(name: string, channel: Channel): string[] {
  const file = fileOf(name, channel);
  return existsSync(file) ? readFileSync(file, 'utf8').split('\n').slice(0, -1) : [];
}

/** Holds what is found now to what is kept under a name, the lines that differ and not two walls of text. */
export function holdGolden(name: string, golden: Golden): void {
  for (const channel of channels) {
    const then = keptLines(name, channel);
    const now = golden[channel];
    const [were, are] = [new Set(then), new Set(now)];
    const where = `${name}, ${channel}`;
    expect(
      now.filter((line) => !were.has(line)),
      `${where}: new lines`,
    ).to.deep.equal([]);
    expect(
      then.filter((line) => !are.has(line)),
      `${where}: lost lines`,
    ).to.deep.equal([]);
    expect(now, `${where}: order of the lines`).to.deep.equal(then);
  }
}

/** Verdicts by what they are of: `path: verdict`, and what a line holds of single rules, `rule:letter`. */
function judgements(lines: readonly string[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const line of lines) {
    const [path = '', ...rest] = line.split(': ');
    const [verdict = '', ...each] = rest.join(': ').split(' ');
    found.set(path, verdict);
    for (const one of each) {
      const [rule = '', letter = ''] = one.split(':');
      found.set(`${path} ${rule}`, letter);
    }
  }
  return found;
}

/** What was judged before and is judged otherwise now: `path: before → now`. */
export function flipsBetween(then: readonly string[], now: readonly string[]): string[] {
  const before = judgements(then);
  return [...judgements(now)].flatMap(([path, verdict]) => {
    const was = before.get(path);
    return was === undefined || was === verdict ? [] : [`${path}: ${was} → ${verdict}`];
  });
}

interface Seals {
  /** Verdicts that were turned, and why: each is to be understood before it is kept. */
  flips: { because: string; of: string; turned: string[] }[];
  /** A digest of each file of verdicts, so that none is changed by hand. */
  seals: Record<string, string>;
}

export const readSeals = (): Seals => JSON.parse(readFileSync(sealFile, 'utf8')) as Seals;
const digest = (lines: readonly string[]): string =>
  createHash('sha256').update(textOf(lines)).digest('hex').slice(0, 16);

/** Names of all that is kept, and the digest of its verdicts as they are in their file. */
export function keptSeals(): Record<string, string> {
  const names = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.verdicts.txt'))
    .map((file) => file.slice(0, -'.verdicts.txt'.length))
    .sort();
  return Object.fromEntries(names.map((name) => [name, digest(keptLines(name, 'verdicts'))]));
}

/**
 * Keeps what is found now under a name. A verdict that is another than before asks for a reason.
 * @param because why verdicts turned, if any did
 * @returns the verdicts that turned
 * @throws where one turned and no reason is given; nothing is written then
 */
export function keepGolden(name: string, golden: Golden, because: string): string[] {
  const turned = flipsBetween(keptLines(name, 'verdicts'), golden.verdicts);
  if (turned.length > 0 && because.trim().length < 12)
    throw new Error(`${name}: verdicts turned, and no reason is given\n  ${turned.join('\n  ')}`);
  mkdirSync(dirname(fileURLToPath(fileOf(name, 'verdicts'))), { recursive: true });
  for (const channel of channels)
    if (golden[channel].length === 0) rmSync(fileOf(name, channel), { force: true });
    else writeFileSync(fileOf(name, channel), textOf(golden[channel]));
  const seals: Seals = existsSync(sealFile) ? readSeals() : { flips: [], seals: {} };
  if (turned.length > 0) seals.flips.push({ because, of: name, turned });
  writeFileSync(sealFile, `${JSON.stringify({ flips: seals.flips, seals: keptSeals() }, null, 2)}\n`);
  return turned;
}

/** What the shelf's own prices are: in all other goldens every part has a price of its own that never changes. */
export const pricesText = (): string => textOf(partsOfShelf().map(({ kind, id, price }) => `${kind} ${id}: ${price}`));

/** Every rule's own data, a rule a line: what the survey, the matrix and the stages read of it. */
export function catalogText(rules: readonly RuleMeta[]): string {
  return rules
    .map((rule) =>
      [
        rule.id,
        rule.about,
        `${rule.group} → ${groupStages[rule.group]}`,
        rule.fitCritical ? 'decides an order' : '',
        rule.dear ? 'dear' : '',
        rule.school ? `school ${rule.school}` : '',
        rule.uses.join(' '),
      ].join('; '),
    )
    .join('\n');
}
