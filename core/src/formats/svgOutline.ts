import { SaxesParser } from 'saxes';
import svgpath from 'svgpath';
import { area, FillRule, simplifyPath, unionD, type PathD } from 'clipper2-ts';
import { xmlWords } from '../reading/xmlWords.ts';
import type { ReadResult } from '../reading/problems.ts';

/** An outline read from an SVG: m, x along its foot from its left end, y up from its foot. */
export interface ReadOutline {
  points: { xM: number; yM: number }[];
  lengthM: number;
  heightM: number;
  /** How its size was known, and what was left out. */
  notes: string[];
}

/** Files larger than this are refused, bytes; so are deeper nesting and more elements, whatever they say. */
const MOST_BYTES = 400_000;
const MOST_ELEMENTS = 4000;
const MOST_DEPTH = 40;
/** Points of an outline after its needless ones are dropped: more would tell nothing and slow every placing. */
const MOST_POINTS = 100;
/** Points of all shapes before that, and how often their edges may cross: more is a hatching, and slow to make one of. */
const MOST_DRAWN = 10_000;
const MOST_CROSSINGS = 20_000;
/** How far a drawn curve may lie from its points, mm. */
const FLAT_WITHIN = 0.15;
/** A point farther out than this, mm, is a slip: no sheet is so large. */
const FARTHEST_MM = 100_000;
const SMALLEST_MM = 20;
const LARGEST_MM = 1200;

/** Elements that draw, and that hold what draws. All others are refused, since what is not known is not safe. */
const HOLDS = new Set(['svg', 'g', 'title', 'desc', 'metadata', 'defs']);
const DRAWS = new Set(['path', 'polygon', 'polyline', 'rect', 'circle', 'ellipse']);
const REFUSED: Record<string, string> = {
  script: 'a script',
  foreignobject: 'foreign content',
  image: 'a picture',
  use: 'a reference to elsewhere',
  a: 'a link',
  iframe: 'a page within',
  animate: 'an animation',
  set: 'an animation',
  style: 'a style sheet',
  text: 'lettering: turn it to paths or take it out',
};

const PER_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  '': 25.4 / 96,
};

interface Size {
  mm: number;
  given: boolean;
}

function sizeOf(text: string | undefined): Size | null {
  if (text === undefined) return null;
  const m = /^\s*([\d.]+(?:e-?\d+)?)\s*(mm|cm|in|pt|pc|px|)\s*$/i.exec(text);
  if (!m) return null;
  const unit = (m[2] ?? '').toLowerCase();
  return { mm: Number(m[1]) * (PER_MM[unit] ?? 1), given: unit !== '' && unit !== 'px' };
}

class Refusal extends Error {}

const num = (text: string | undefined): number => {
  const v = text === undefined ? 0 : Number.parseFloat(text);
  if (!Number.isFinite(v)) throw new Refusal(`the number “${String(text).slice(0, 20)}” cannot be read`);
  return v;
};

/** A shape's outline as path data, in its own units. */
function pathData(name: string, at: Record<string, string>): string {
  if (name === 'path') return at.d ?? '';
  if (name === 'polygon' || name === 'polyline') {
    const values = (at.points ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(num);
    const pairs = Array.from(
      { length: Math.floor(values.length / 2) },
      (_, i) => `${values[2 * i]} ${values[2 * i + 1]}`,
    );
    return pairs.length < 3 ? '' : `M${pairs.join('L')}Z`;
  }
  if (name === 'rect') {
    const [x, y, w, h] = [num(at.x), num(at.y), num(at.width), num(at.height)];
    return `M${x} ${y}h${w}v${h}h${-w}Z`;
  }
  const rx = num(name === 'circle' ? at.r : at.rx);
  const ry = num(name === 'circle' ? at.r : at.ry);
  const [cx, cy] = [num(at.cx), num(at.cy)];
  return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
}

/** Path data as closed rings of points, curves drawn out. @param room how many points may still be drawn */
function ringsOf(d: string, transforms: readonly string[], perUnit: number, room: { points: number }): PathD[] {
  let path = svgpath(d);
  for (const t of [...transforms].reverse()) path = path.transform(t);
  const rings: PathD[] = [];
  let ring: PathD = [];
  const put = (x: number, y: number): void => {
    if (!Number.isFinite(x) || !Number.isFinite(y)) throw new Refusal('a coordinate is not a number');
    if (Math.max(Math.abs(x), Math.abs(y)) * perUnit > FARTHEST_MM)
      throw new Refusal(`a point lies more than ${FARTHEST_MM / 1000} m from the sheet’s corner`);
    ring.push({ x: x * perUnit, y: y * perUnit });
    if (--room.points < 0) throw new Refusal(`draws more than ${MOST_DRAWN} points: save the outer line alone`);
  };
  const close = (): void => {
    if (ring.length >= 3) rings.push(ring);
    ring = [];
  };
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((s, _i, x, y) => {
      const [kind, ...v] = s as [string, ...number[]];
      if (kind === 'M') {
        close();
        put(v[0] as number, v[1] as number);
      } else if (kind === 'L') put(v[0] as number, v[1] as number);
      else if (kind === 'H') put(v[0] as number, y);
      else if (kind === 'V') put(x, v[0] as number);
      else if (kind === 'Z' || kind === 'z') close();
      else if (kind === 'C' || kind === 'Q') {
        const c =
          kind === 'C'
            ? v
            : [
                x + (2 / 3) * ((v[0] as number) - x),
                y + (2 / 3) * ((v[1] as number) - y),
                (v[2] as number) + (2 / 3) * ((v[0] as number) - (v[2] as number)),
                (v[3] as number) + (2 / 3) * ((v[1] as number) - (v[3] as number)),
                v[2] as number,
                v[3] as number,
              ];
        const [x1, y1, x2, y2, x3, y3] = c as [number, number, number, number, number, number];
        const span =
          (Math.abs(x1 - x) +
            Math.abs(y1 - y) +
            Math.abs(x2 - x1) +
            Math.abs(y2 - y1) +
            Math.abs(x3 - x2) +
            Math.abs(y3 - y2)) *
          perUnit;
        const steps = Math.min(200, Math.max(4, Math.ceil(Math.sqrt(span / FLAT_WITHIN))));
        for (let k = 1; k <= steps; k++) {
          const t = k / steps;
          const u = 1 - t;
          put(
            u * u * u * x + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t * t * t * x3,
            u * u * u * y + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t * t * t * y3,
          );
        }
      }
    });
  close();
  return rings;
}

/**
 * Reads a pack's outline from an SVG drawn at true scale: the largest closed shape, laid on its foot. The file is
 * not trusted: scripts, links, references, pictures, styles with addresses and document types are refused by name,
 * as are files too large or too deep. Curves are good to 0.15 mm, to some
 * tenths more where the outline would have over a hundred corners.
 */
export function readSvgOutline(text: string): ReadResult<ReadOutline> {
  const refuse = (message: string, path = 'file'): ReadResult<ReadOutline> => ({
    ok: false,
    problems: [{ path, message }],
  });
  if (text.length > MOST_BYTES)
    return refuse(`larger than ${MOST_BYTES / 1000} kB: save it plain, with the outline alone`);
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refuse('carries a document type or entities, which are not read');
  const shapes: { name: string; at: Record<string, string>; transforms: string[]; line: number }[] = [];
  const stack: { name: string; transform: string | null; hidden: boolean }[] = [];
  let root: Record<string, string> | null = null;
  let count = 0;
  const parser = new SaxesParser();
  let where = 1;
  try {
    parser.on('error', (error) => {
      throw new Refusal(`cannot be read as XML: ${xmlWords(error.message)}`);
    });
    parser.on('doctype', () => {
      throw new Refusal('carries a document type, which is not read');
    });
    parser.on('processinginstruction', (pi) => {
      if (pi.target !== 'xml') throw new Refusal('carries an instruction to other programs');
    });
    parser.on('opentag', (tag) => {
      where = parser.line;
      if (++count > MOST_ELEMENTS) throw new Refusal(`has more than ${MOST_ELEMENTS} elements`);
      if (stack.length >= MOST_DEPTH) throw new Refusal('is nested too deep');
      const name = tag.name.replace(/^svg:/, '');
      const at = tag.attributes as Record<string, string>;
      if (!root) {
        if (name !== 'svg') throw new Refusal('is not an SVG');
        root = at;
      }
      const inMetadata = stack.some((s) => s.name === 'metadata') || name.includes(':');
      for (const [key, value] of Object.entries(at)) {
        const k = key.toLowerCase();
        if (k.startsWith('on')) throw new Refusal(`carries a script (“${key}”)`);
        if (k === 'href' || k.endsWith(':href')) throw new Refusal('refers to something elsewhere');
        if (/url\s*\(|javascript:|data:|@import|expression\s*\(/i.test(value))
          throw new Refusal(`refers to something elsewhere in “${key}”`);
      }
      const known = name.toLowerCase();
      const refused = REFUSED[known];
      if (refused) throw new Refusal(`carries ${refused}`);
      if (!inMetadata && !HOLDS.has(name) && !DRAWS.has(name) && name !== 'line')
        throw new Refusal(`carries “${name.slice(0, 30)}”, which is not known`);
      const hidden =
        stack.some((s) => s.hidden) ||
        name === 'defs' ||
        /display\s*:\s*none/.test(at.style ?? '') ||
        at.display === 'none';
      stack.push({ name, transform: at.transform ?? null, hidden });
      if (DRAWS.has(name) && !hidden)
        shapes.push({
          name,
          at,
          transforms: stack.flatMap((s) => (s.transform === null ? [] : [s.transform])),
          line: parser.line,
        });
    });
    parser.on('closetag', () => {
      stack.pop();
    });
    parser.write(text).close();
    if (root === null) throw new Refusal('is empty');
    const size = sizeOf((root as Record<string, string>).width);
    const box = ((root as Record<string, string>).viewBox ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const wide = box.length === 4 && box.every(Number.isFinite) && (box[2] as number) > 0 ? (box[2] as number) : null;
    const notes: string[] = [];
    let perUnit = PER_MM.px as number;
    if (size && wide !== null) perUnit = size.mm / wide;
    if (!size?.given)
      notes.push('It gives no size in mm or inches; 96 units are taken for an inch. Check its length below.');
    const room = { points: MOST_DRAWN };
    const rings = shapes.flatMap((s) => {
      where = s.line;
      return ringsOf(pathData(s.name, s.at), s.transforms, perUnit, room);
    });
    if (rings.length === 0) throw new Refusal('has no closed outline');
    if (crossings(rings, MOST_CROSSINGS) > MOST_CROSSINGS)
      throw new Refusal(`crosses itself more than ${MOST_CROSSINGS} times: save the outer line alone`);
    const whole = unionD(rings, [], FillRule.NonZero, 3);
    const largest = [...whole].sort((a, b) => Math.abs(area(b as never)) - Math.abs(area(a as never)))[0];
    if (!largest) throw new Refusal('has no outline with an area');
    if (whole.length > 1) notes.push(`It has ${whole.length} outlines; the largest is taken.`);
    let points = largest;
    for (let within = FLAT_WITHIN; points.length > MOST_POINTS; within *= 1.6)
      points = simplifyPath(largest as never, within, true) as unknown as PathD;
    const xs = points.map((p) => p.x);
    const ys = points.map((p) => p.y);
    const left = Math.min(...xs);
    const foot = Math.max(...ys);
    const lengthMm = Math.max(...xs) - left;
    const heightMm = foot - Math.min(...ys);
    if (Math.max(lengthMm, heightMm) < SMALLEST_MM)
      throw new Refusal(`is only ${Math.max(lengthMm, heightMm).toFixed(1)} mm long: is its scale right?`);
    if (Math.max(lengthMm, heightMm) > LARGEST_MM)
      throw new Refusal(`is ${Math.round(Math.max(lengthMm, heightMm))} mm long: is its scale right?`);
    return {
      ok: true,
      value: {
        // Down on the page is down on the rail: turned so that it runs counter-clockwise with y up.
        points: ccw(points.map((p) => ({ xM: round((p.x - left) / 1000), yM: round((foot - p.y) / 1000) }))),
        lengthM: round(lengthMm / 1000),
        heightM: round(heightMm / 1000),
        notes,
      },
    };
  } catch (error) {
    if (error instanceof Refusal) return refuse(error.message, `line ${where}`);
    return refuse('its outline cannot be read', `line ${where}`);
  }
}

/** How often edges of closed rings cross each other, counted up to a number. */
function crossings(rings: readonly PathD[], most: number): number {
  const edges = rings.flatMap((ring) => ring.map((p, i) => ({ p, q: ring[(i + 1) % ring.length] as typeof p })));
  // In the order of their left ends, each need only be held against those that begin before it ends.
  const sorted = edges.map((e) => (e.p.x <= e.q.x ? e : { p: e.q, q: e.p })).sort((a, b) => a.p.x - b.p.x);
  let count = 0;
  for (let i = 0; i < sorted.length && count <= most; i++) {
    const a = sorted[i] as (typeof sorted)[number];
    const [low, high] = [Math.min(a.p.y, a.q.y), Math.max(a.p.y, a.q.y)];
    for (let k = i + 1; k < sorted.length && count <= most; k++) {
      const b = sorted[k] as (typeof sorted)[number];
      if (b.p.x > a.q.x) break;
      if (Math.max(b.p.y, b.q.y) < low || Math.min(b.p.y, b.q.y) > high) continue;
      if (side(a, b.p) * side(a, b.q) < 0 && side(b, a.p) * side(b, a.q) < 0) count++;
    }
  }
  return count;
}

/** On which side of an edge a point lies: above zero, below, or on it. */
const side = ({ p, q }: { p: PathD[number]; q: PathD[number] }, at: PathD[number]): number =>
  Math.sign((q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x));

const round = (v: number): number => Math.round(v * 1e5) / 1e5;

function ccw(points: { xM: number; yM: number }[]): { xM: number; yM: number }[] {
  const twice = points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] as { xM: number; yM: number };
    return sum + p.xM * q.yM - q.xM * p.yM;
  }, 0);
  return twice < 0 ? [...points].reverse() : points;
}
