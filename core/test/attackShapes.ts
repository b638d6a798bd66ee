import fc from 'fast-check';

/** Numbers that an outline or a track may carry: plausible, tiny, huge, and past any sum. */
const reach = fc.oneof(
  { arbitrary: fc.double({ min: 0, max: 300, noNaN: true }), weight: 12 },
  { arbitrary: fc.constantFrom(0, -1, 1e-9, 1e6, 1e155, 1e308, -1e308), weight: 1 },
);
const seeded = fc.integer({ min: 1, max: 2 ** 31 - 2 });

/** Longest text made: past what any reader of outlines takes, short of what fills a memory. */
const LONGEST = 600_000;
const repeated = (text: string, times: number): string =>
  text.repeat(Math.max(1, Math.min(times, Math.floor(LONGEST / Math.max(1, text.length)))));

/** Many points from one seed: an array of as many arbitraries would take longer than what is tried. */
function scattered(seed: number, count: number, most: number): string[] {
  let s = seed;
  const next = (): string => {
    s = (s * 48_271) % 2_147_483_647;
    return ((s / 2_147_483_647) * most).toFixed(2);
  };
  return Array.from({ length: count }, () => `${next()},${next()}`);
}

const shape = fc.oneof(
  fc
    .tuple(seeded, fc.constantFrom(3, 12, 60, 400, 3000, 14_000))
    .map(([seed, count]) => `<polygon points="${scattered(seed, count, 300).join(' ')}"/>`),
  fc.array(reach, { minLength: 4, maxLength: 12 }).map((v) => `<path d="M0 0 L${v.join(' ')} Z"/>`),
  fc
    .tuple(reach, reach, reach)
    .map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}"/><rect x="${x}" width="${r}" height="${y}"/>`),
  fc
    .tuple(fc.constantFrom('a', 'c', 'q', 'h', 't'), fc.constantFrom(1, 200, 9000), reach)
    .map(([kind, times, x]) => `<path d="M0 0 ${`${kind}${Array(7).fill(x).join(' ')} `.repeat(times)}Z"/>`),
);

/** Drawings of outlines nobody would draw: hatchings, arcs by the thousand, groups in groups, sheets of a light year. */
export const oddOutlines: fc.Arbitrary<string> = fc
  .record({
    shapes: fc.array(shape, { minLength: 1, maxLength: 3 }),
    times: fc.constantFrom(1, 1, 1, 40, 900),
    depth: fc.constantFrom(0, 0, 3, 39, 400, 30_000),
    transform: fc.constantFrom('', 'scale(1e300)', 'scale(1e-300)', 'rotate(33) skewX(89.9999)', 'matrix(0 0 0 0 0 0)'),
    box: fc.constantFrom('0 0 300 300', '0 0 1e-300 1', '0 0 1e308 1', '0 0', ''),
    width: fc.constantFrom('300mm', '1e-9mm', '99999999999in', '', '12px'),
  })
  .map(
    ({ shapes, times, depth, transform, box, width }) =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" viewBox="${box}">${'<g>'.repeat(depth)}<g transform="${transform}">${repeated(shapes.join(''), times)}</g>${'</g>'.repeat(depth)}</svg>`,
  );

/** Tracks nobody rode: deep, long, all in one place, over the pole, with names as long as books. */
export const oddTracks: fc.Arbitrary<string> = fc
  .record({
    count: fc.constantFrom(0, 1, 2, 50, 4000),
    lat: fc.constantFrom(0, 50, 89.99999, -90, 1e308),
    step: fc.constantFrom(0, 1e-9, 1e-4, 0.001, 0.5, 90),
    ele: fc.constantFrom('100', '-499', '8999', '1e308', '', 'high'),
    depth: fc.constantFrom(0, 0, 5, 39, 3000, 100_000),
    name: fc.constantFrom('A', 'A'.repeat(200_000), '&amp;', '\u0007'),
    timed: fc.boolean(),
  })
  .map(({ count, lat, step, ele, depth, name, timed }) => {
    const points = Array.from({ length: count }, (_, i) => {
      const time = timed
        ? `<time>2026-05-01T08:${String(Math.floor(i / 60) % 60).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}Z</time>`
        : '';
      return `<trkpt lat="${lat + i * step}" lon="${i * step}"><ele>${ele}</ele>${time}</trkpt>`;
    });
    return `<gpx>${'<x>'.repeat(depth)}${'</x>'.repeat(depth)}<trk><name>${name}</name><trkseg>${points.join('')}</trkseg></trk></gpx>`;
  });
