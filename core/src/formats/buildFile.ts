import { z } from '../reading/zod.ts';
import { BUILD_SCHEMA, BUILD_VERSION, buildSchema, type Build } from '../build/build.ts';
import { takenRange } from '../donor/items/item.ts';
import { surveyItems } from '../donor/survey.ts';
import { broughtUpToDate } from './migrate.ts';
import { filePhotosSchema, type FilePhoto } from './photos.ts';
import { amount, amountText } from '../quantity/format.ts';
import { dottedPath, firstOfEach, issueWords, parseJson, problemsOf, type ReadResult } from '../reading/problems.ts';

/** Largest build file read, characters. */
export const BUILD_FILE_LIMIT = 120_000_000;

/** A build as an open JSON file, keys in the order of the schema, two spaces, a newline at the end. */
export function writeBuildFile(build: Build, photos: readonly FilePhoto[] = []): string {
  return JSON.stringify(photos.length === 0 ? build : { ...build, photos }, null, 2) + '\n';
}

/**
 * Reads a build file. Everything in it is checked; every fault is named by its path. Files of a
 * newer version are refused rather than half understood.
 */
export function readBuildFile(text: string): ReadResult<Build> {
  if (text.length > BUILD_FILE_LIMIT)
    return { ok: false, problems: [{ path: '(document)', message: 'larger than 120 million characters' }] };
  const document = parseJson(text);
  return document.ok ? readBuild(document.value) : document;
}

/** A build file with the photos it carries. */
export interface BuildFile {
  build: Build;
  photos: FilePhoto[];
}

/** Reads a build file and its photos; a fault in either refuses the whole, so that nothing is lost unseen. */
export function readBuildFileWithPhotos(text: string): ReadResult<BuildFile> {
  const build = readBuildFile(text);
  if (!build.ok) return build;
  const document = JSON.parse(text) as { photos?: unknown };
  const photos = filePhotosSchema.safeParse(document.photos ?? []);
  if (photos.success) return { ok: true, value: { build: build.value, photos: photos.data } };
  return {
    ok: false,
    problems: problemsOf(photos.error).map((p) => ({
      ...p,
      path: p.path === '(document)' ? 'photos' : `photos${p.path.startsWith('[') ? '' : '.'}${p.path}`,
    })),
  };
}

/** Checks a parsed document as a build. */
export function readBuild(document: unknown): ReadResult<Build> {
  const head = z.object({ schema: z.string(), version: z.number() }).safeParse(document);
  if (!head.success || head.data.schema !== BUILD_SCHEMA) {
    return {
      ok: false,
      problems: [{ path: 'schema', message: `not a build file: “schema” must be “${BUILD_SCHEMA}”` }],
    };
  }
  if (head.data.version > BUILD_VERSION) {
    return {
      ok: false,
      problems: [
        {
          path: 'version',
          message: `written by a newer version (${head.data.version}); this one reads up to ${BUILD_VERSION}`,
        },
      ],
    };
  }
  const parsed = checked(broughtUpToDate(document, head.data.version));
  return parsed.ok
    ? parsed
    : {
        ok: false,
        problems: firstOfEach(parsed.faults.map((f) => ({ path: dottedPath(f.path), message: f.message }))),
      };
}

/** One fault of a document, with the steps to its place. */
export interface Fault {
  path: readonly PropertyKey[];
  message: string;
}

/** Every fault of a document of today's version; empty where it is a build. */
export function faultsOf(document: unknown): Fault[] {
  const parsed = checked(document);
  return parsed.ok ? [] : parsed.faults;
}

function checked(document: unknown): { ok: true; value: Build } | { ok: false; faults: Fault[] } {
  const parsed = buildSchema.safeParse(document);
  if (!parsed.success)
    return {
      ok: false,
      faults: parsed.error.issues.map(({ path, ...issue }) => ({ path, message: issueWords(issue) })),
    };
  const faults = [...roadFaults(parsed.data), ...surveyFaults(parsed.data)];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data };
}

/** Shortest and longest road that is ridden, m. */
const SHORTEST_ROAD = 10;
const LONGEST_ROAD = 1_500_000;

function roadFaults({ brief: { route } }: Build): Fault[] {
  if (!route) return [];
  const path = ['brief', 'route', 'points'];
  if (route.points.some((p, i, all) => i > 0 && p.distanceM < (all[i - 1]?.distanceM ?? 0)))
    return [{ path, message: 'distances must not go backwards' }];
  const length = (route.points.at(-1)?.distanceM ?? 0) - (route.points[0]?.distanceM ?? 0);
  return length < SHORTEST_ROAD || length > LONGEST_ROAD
    ? [{ path, message: `a road of ${Math.round(length)} m; it must be between 10 m and 1500 km long` }]
    : [];
}

/** Sizes no vehicle has: bounded in a file as they are in the fields. */
function surveyFaults({ donor: { survey } }: Build): Fault[] {
  return surveyItems.flatMap((item): Fault[] => {
    const value: unknown = survey[item.id]?.value;
    if (item.type !== 'number' || typeof value !== 'number') return [];
    const { min, max } = takenRange(item);
    const say = (si: number): string => amountText(amount(si, item.dimension), 'metric');
    return value < min || value > max
      ? [
          {
            path: ['donor', 'survey', item.id, 'value'],
            message: `${item.label}: ${say(value)} is not between ${say(min)} and ${say(max)}`,
          },
        ]
      : [];
  });
}

/** The build file's JSON Schema, for others who write or read it. */
export function buildFileSchema(): unknown {
  return z.toJSONSchema(buildSchema.extend({ photos: filePhotosSchema.optional() }), {
    io: 'input',
    target: 'draft-2020-12',
  });
}
