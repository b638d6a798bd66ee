import { readFileSync } from 'node:fs';
import type { Build } from '../src/build/build.ts';
import { readBuildFile } from '../src/formats/buildFile.ts';

/** One of the demo's builds, a copy of its own. */
export function demoBuild(name: 'mixte' | 'trike' | 'box' | 'lockkeeper' | 'gravel'): Build {
  const file = new URL(`../../web/public/demo/builds/demo-${name}.json`, import.meta.url);
  const read = readBuildFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.problems)}`);
  return read.value;
}
