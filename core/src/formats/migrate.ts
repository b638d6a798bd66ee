import { fromVersion1 } from './migrations/version1.ts';
import { fromVersion2 } from './migrations/version2.ts';
import { fromVersion3 } from './migrations/version3.ts';
import { fromVersion4 } from './migrations/version4.ts';
import { fromVersion5 } from './migrations/version5.ts';
import { fromVersion6 } from './migrations/version6.ts';
import { fromVersion7 } from './migrations/version7.ts';
import { fromVersion8 } from './migrations/version8.ts';
import { fromVersion9 } from './migrations/version9.ts';
import { fromVersion10 } from './migrations/version10.ts';
import { fromVersion11 } from './migrations/version11.ts';
import { fromVersion12 } from './migrations/version12.ts';
import { fromVersion13 } from './migrations/version13.ts';
import { fromVersion14 } from './migrations/version14.ts';
import { isObject, type Loose } from './migrations/loose.ts';

/** One step up for each older version, the first from version 1. */
const steps: readonly ((build: Loose) => Loose)[] = [
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
  fromVersion7,
  fromVersion8,
  fromVersion9,
  fromVersion10,
  fromVersion11,
  fromVersion12,
  fromVersion13,
  fromVersion14,
];

/** Takes a parsed build file of an older version up to today's, a version at a time. Newer fields get their usual values. */
export function broughtUpToDate(document: unknown, version: number): unknown {
  if (!isObject(document)) return document;
  return steps.slice(Math.max(0, Math.floor(version) - 1)).reduce((build, step) => step(build), document);
}
