import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import type { Build } from '../src/build/build.ts';
import { mergeBuilds } from '../src/build/merge.ts';
import { readBuild, readBuildFile, readBuildFileWithPhotos, writeBuildFile } from '../src/formats/buildFile.ts';
import { admitted } from '../src/formats/gate.ts';
import { readGpx } from '../src/formats/gpx.ts';
import { mendBuild } from '../src/formats/mend.ts';
import { readSvgOutline } from '../src/formats/svgOutline.ts';
import { partSchema } from '../src/parts/part.ts';
import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import { planContext } from '../src/plan/context.ts';
import { planChosen } from '../src/plan/planBuild.ts';
import { judgeCandidates } from '../src/plan/candidates.ts';
import { notFinite } from '../src/reading/finite.ts';
import { chosenParts } from '../src/vehicle/chosen.ts';
import { readTrackRide } from '../src/formats/trackRide.ts';
import { oddOutlines, oddTracks } from './attackShapes.ts';
import type { Attack } from './attackKind.ts';
import { caseAttacks } from './attackCases.ts';
import { harm, harmed, harmedText, textHarm } from './mutated.ts';
import { refusal } from './refusal.ts';

const NOW = '2026-06-01T12:00:00.000Z';
const file = (path: string): string => readFileSync(new URL(`../../web/public/demo/${path}`, import.meta.url), 'utf8');

export const demos = ['mixte', 'box', 'trike', 'lockkeeper', 'gravel'].map(
  (name) => JSON.parse(file(`builds/demo-${name}.json`)) as Build,
);

/** The demo's builds with the parts they chose as the person's own, and a road from a track. */
const owned = demos.map((build): Build => {
  const { kit, pack, ring, cluster } = chosenParts(build, starterShelf);
  const road = readGpx(file('roads/gorge-road.gpx'), 'track', 'Gorge road');
  if (!road.ok) throw new Error('the demo’s road cannot be read');
  const points = road.value.points.slice(0, 60);
  const outline = { points: [0, 0.3, 0.3, 0.1, 0].map((xM, i) => ({ xM, yM: i < 2 ? 0 : 0.1 + i / 100 })) };
  return {
    ...build,
    ownParts: [kit, ring, cluster, pack && { ...pack, form: 'custom', ...outline }].filter((part) => part !== null),
    brief: { ...build.brief, route: { ...road.value, points } },
  } as Build;
});
const tracks = ['gorge-road', 'town-round', 'towpath'].map((name) => file(`roads/${name}.gpx`).slice(0, 30_000));
/** Cut off as they are, they end in the middle of a point: closed again. */
const roads = tracks.map((text) => `${text.slice(0, text.lastIndexOf('</trkpt>'))}</trkpt></trkseg></trk></gpx>`);
const outlines = [
  '<svg xmlns="http://www.w3.org/2000/svg" width="360mm" height="110mm" viewBox="0 0 360 110"><g transform="translate(2 3) rotate(4)"><path d="M0 100 L340 100 L350 40 C340 20 300 5 250 8 Q120 4 20 20 A30 30 0 0 0 0 60 Z"/></g><circle cx="40" cy="40" r="6"/></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" width="14in" viewBox="0 0 1008 300"><rect x="10" y="10" width="900" height="250" transform="scale(0.9) skewX(3)"/><polygon points="0,0 100,0 100,90 30,120"/><ellipse cx="500" cy="150" rx="420" ry="120"/></svg>',
];

const changes = fc.array(harm, { minLength: 1, maxLength: 4 });
const textChanges = fc.array(textHarm, { minLength: 1, maxLength: 3 });
const corner = fc.record({
  xM: fc.double({ min: -0.05, max: 0.5, noNaN: true }),
  yM: fc.double({ min: -0.05, max: 0.3, noNaN: true }),
});
const one = <T>(of: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...of);

/** What is wrong with how a build is planned, whatever it holds; null where every figure is one. */
function planned(build: Build, every: boolean): string | null {
  const context = planContext(build, starterShelf);
  const { figures, money, gearing, pack, findings, wiring, drawing } = planChosen(context);
  const { balance, budget } = pack.layout;
  const told = findings.map((f) => [f.why, f.evidence, f.remedies]);
  const candidates = every ? judgeCandidates(context) : null;
  return notFinite({ figures, money, gearing, band: pack.band, balance, budget, wiring, drawing, told, candidates });
}

function attackBuild(document: unknown, every = false): string | null {
  const found = readBuild(document);
  return found.ok ? planned(found.value, every) : refusal(found.problems);
}

/** A road read and ridden: on a build, as the app does with it. */
function attackRoad(text: string): string | null {
  const found = readGpx(text, 'track', 'A road');
  if (!found.ok) return refusal(found.problems);
  const build = demos[text.length % demos.length] as Build;
  return attackBuild({ ...build, brief: { ...build.brief, route: found.value } });
}

/** An outline read, put on the pack that a build has chosen, and placed. */
function attackOutline(text: string): string | null {
  const found = readSvgOutline(text);
  if (!found.ok) return refusal(found.problems);
  const { points, lengthM, heightM } = found.value;
  const build = owned[text.length % owned.length] as Build;
  const pack = build.ownParts.find((part) => part.kind === 'pack');
  if (!pack) return null;
  const drawn = { ...pack, form: 'custom', points, outline: { ...pack.outline, lengthM, heightM } };
  if (!partSchema.safeParse(drawn).success) return null;
  return attackBuild({ ...build, ownParts: [...build.ownParts.filter((part) => part !== pack), drawn] });
}

/** Every kind of file with anything in it: each is refused with its place, or used to the end with figures that are. */
const outlineTries = fc.tuple(one(outlines), textChanges);
export const attacks: readonly Attack[] = [
  {
    name: 'build files',
    tries: fc.tuple(one(demos), changes).map(
      ([build, c]) =>
        () =>
          attackBuild(harmed(build, c)),
    ),
  },
  {
    name: 'build files, every kit and pack judged',
    tries: fc.tuple(one(demos), changes).map(
      ([build, c]) =>
        () =>
          attackBuild(harmed(build, c), true),
    ),
  },
  {
    name: 'own parts and tracks in build files',
    tries: fc.tuple(one(owned), changes).map(([build, c]) => () => {
      const { ownParts, brief } = harmed({ ownParts: build.ownParts, brief: build.brief }, c) as Build;
      return attackBuild({ ...build, ownParts, brief });
    }),
  },
  {
    name: 'build files that are mended',
    tries: fc.tuple(one(owned), changes).map(([build, c]) => () => {
      const mended = mendBuild(harmed(build, c), 'mended', NOW).build;
      const again = readBuild(mended);
      return again.ok ? planned(again.value, false) : `mended, and not read: ${again.problems[0]?.path}`;
    }),
  },
  {
    name: 'build files altered as text',
    tries: fc.tuple(one(demos), textChanges).map(([build, c]) => () => {
      const found = readBuildFile(harmedText(JSON.stringify(build, null, 2), c));
      return found.ok ? planned(found.value, false) : refusal(found.problems);
    }),
  },
  {
    name: 'tracks',
    tries: fc.tuple(one(roads), textChanges).map(
      ([road, c]) =>
        () =>
          attackRoad(harmedText(road, c)),
    ),
  },
  {
    name: 'build files with photos, and marks of the byte order',
    tries: fc.tuple(one(demos), textChanges, fc.boolean()).map(([build, c, mark]) => () => {
      const photos = [{ item: 'valve', on: '2026-01-02', dataUrl: 'data:image/png;base64,iVBORw0KGgo=' }];
      const text = `${mark ? '\uFEFF' : ''}${harmedText(writeBuildFile(build, photos), c)}`;
      const found = readBuildFileWithPhotos(text);
      return found.ok ? null : refusal(found.problems);
    }),
  },
  {
    name: 'edits and merges through the gate',
    tries: fc.tuple(one(owned), changes, changes).map(([build, c, d]) => () => {
      const sound = readBuild(build);
      if (!sound.ok) return 'the demo cannot be read';
      const mine = admitted(sound.value, harmed(sound.value, c) as Build).build;
      const theirs = admitted(sound.value, harmed(sound.value, d) as Build).build;
      const { build: made } = admitted(theirs, mergeBuilds(sound.value, mine, theirs).build, [mine]);
      const again = readBuild(made);
      return again.ok ? planned(again.value, false) : `merged, and not read: ${again.problems[0]?.path}`;
    }),
  },
  {
    name: 'outlines',
    tries: outlineTries.map(
      ([svg, c]) =>
        () =>
          attackOutline(harmedText(svg, c)),
    ),
  },
  {
    name: 'outlines nobody would draw',
    tries: oddOutlines.map((svg) => () => attackOutline(svg)),
  },
  {
    name: 'tracks nobody rode',
    tries: oddTracks.map((text) => () => {
      const ride = readTrackRide(text, 'a', 'A ride', () => 60);
      return (ride.ok ? notFinite(ride.value) : refusal(ride.problems)) ?? attackRoad(text);
    }),
  },
  {
    name: 'own packs whose outlines cross themselves',
    tries: fc.tuple(one(owned), fc.array(corner, { minLength: 3, maxLength: 60 })).map(([build, points]) => () => {
      const pack = build.ownParts.find((part) => part.kind === 'pack');
      if (!pack) return null;
      return attackBuild({
        ...build,
        ownParts: [...build.ownParts.filter((p) => p !== pack), { ...pack, form: 'custom', points }],
      });
    }),
  },
  ...caseAttacks,
];
