import { z } from '../reading/zod.ts';
import { BUILD_SCHEMA, BUILD_VERSION, buildSchema, type Build } from '../build/build.ts';
import { takenRange } from '../donor/items/item.ts';
import { surveyItems } from '../donor/survey.ts';
import { broughtUpToDate } from './migrate.ts';
import { filePhotosSchema, type FilePhoto } from './photos.ts';
import { amount, amountText } from '../quantity/format.ts';
import { faultsWhereChanged, parsed } from '../reading/changed.ts';
import { withoutControls } from '../reading/controls.ts';
import { dottedPath, firstOfEach, parseJson, problemsOf, type ReadResult } from '../reading/problems.ts';

/** Largest build file read, characters. */
const BUILD_FILE_LIMIT = 120_000_000;

/** A build as an open JSON file, keys in the order of the schema, two spaces, a newline at the end. */
export function writeBuildFile(build: Build, photos: readonly FilePhoto[] = []): string {
  return JSON.stringify(photos.length === 0 ? build : { ...build, photos }, null, 2) + '\n';
}

const tooLarge = {
  ok: false as const,
  problems: [{ path: '(document)', message: 'larger than 120 million characters' }],
};

/**
 * Reads a build file. Everything in it is checked; every fault is named by its path. Files of a
 * newer version are refused rather than half understood.
 */
export function readBuildFile(text: string): ReadResult<Build> {
  if (text.length > BUILD_FILE_LIMIT) return tooLarge;
  const document = parseJson(text);
  return document.ok ? readBuild(withoutControls(document.value)) : document;
}

/** A build file with the photos it carries. */
export interface BuildFile {
  build: Build;
  photos: FilePhoto[];
}

/** Reads a build file and its photos; a fault in either refuses the whole, so that nothing is lost unseen. */
export function readBuildFileWithPhotos(text: string): ReadResult<BuildFile> {
  if (text.length > BUILD_FILE_LIMIT) return tooLarge;
  const document = parseJson(text);
  if (!document.ok) return document;
  const build = readBuild(withoutControls(document.value));
  if (!build.ok) return build;
  const photos = filePhotosSchema.safeParse((document.value as { photos?: unknown }).photos ?? []);
  if (photos.success) return { ok: true, value: { build: build.value, photos: photos.data } };
  return {
    ok: false,
    problems: problemsOf(photos.error).map((p) => ({
      ...p,
      path: p.path === '(document)' ? 'photos' : `photos${p.path.startsWith('[') ? '' : '.'}${p.path}`,
    })),
  };
}

/** Checks a parsed document as a build. Never throws: what makes a check or a migration fall is a problem of the document. */
export function readBuild(document: unknown): ReadResult<Build> {
  try {
    return readSound(document);
  } catch {
    return {
      ok: false,
      problems: [{ path: '(document)', message: 'is so broken that it cannot be looked at as a build' }],
    };
  }
}

function readSound(document: unknown): ReadResult<Build> {
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
  const sound = checked(broughtUpToDate(document, head.data.version));
  return sound.ok
    ? sound
    : {
        ok: false,
        problems: firstOfEach(sound.faults.map((f) => ({ path: dottedPath(f.path), message: f.message }))),
      };
}

/** One fault of a document, with the steps to its place. */
export interface BuildFault {
  path: readonly PropertyKey[];
  message: string;
  /** Of a row with more entries than it may have: how many it may. */
  most?: number;
}

/** Every fault of a document of today's version; empty where it is a build. */
export function faultsOf(document: unknown): BuildFault[] {
  const sound = checked(document);
  return sound.ok ? [] : sound.faults;
}

/**
 * Faults of a build that came of readable ones by an edit, a merge or an import: only what none of them has is looked at,
 * so that a keystroke is checked in a fraction of what a file takes.
 */
export function faultsOfChange(known: readonly Build[], build: Build): BuildFault[] {
  return [
    ...faultsWhereChanged(buildSchema, known, build).map(({ path, issue }) => faultOf(path, issue)),
    // Of what is of no right shape nothing more can be asked.
    ...(known.some((k) => k.brief.route === build.brief.route) ? [] : attempted(() => roadFaults(build))),
    ...(known.some((k) => k.donor.survey === build.donor.survey) ? [] : attempted(() => surveyFaults(build, known))),
  ];
}

const attempted = (look: () => BuildFault[]): BuildFault[] => {
  try {
    return look();
  } catch {
    return [];
  }
};

function checked(document: unknown): { ok: true; value: Build } | { ok: false; faults: BuildFault[] } {
  const read = parsed(buildSchema, document);
  if (!read.ok) return { ok: false, faults: read.issues.map((issue) => faultOf(issue.path, issue)) };
  const faults = [...roadFaults(read.value), ...surveyFaults(read.value, [])];
  return faults.length > 0 ? { ok: false, faults } : read;
}

function faultOf(path: readonly PropertyKey[], issue: z.core.$ZodIssue): BuildFault {
  return {
    path,
    message: issue.message,
    ...(issue.code === 'too_big' && issue.origin === 'array' ? { most: Number(issue.maximum) } : {}),
  };
}

/** Shortest and longest road that is ridden, m. */
const SHORTEST_ROAD = 10;
const LONGEST_ROAD = 1_500_000;

function roadFaults({ brief: { route } }: Build): BuildFault[] {
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
function surveyFaults({ donor: { survey } }: Build, known: readonly Build[]): BuildFault[] {
  return surveyItems.flatMap((item): BuildFault[] => {
    const entry = survey[item.id];
    const value: unknown = entry?.value;
    if (item.type !== 'number' || typeof value !== 'number') return [];
    if (known.some((k) => k.donor.survey[item.id] === entry)) return [];
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
