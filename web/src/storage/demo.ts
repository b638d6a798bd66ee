import { dateAfter, logUpTo, readBuildFile } from '@sprocket/core';
import { today } from '../ui/today.ts';
import { db, readSetting, writeSetting } from './db.ts';

/** True when the server was started to show the demo's builds. */
export async function isDemo(): Promise<boolean> {
  if (document.querySelector('meta[name="demo"]')?.getAttribute('content') === 'yes') return true;
  // A page kept in the browser was made by the server of that day; today's may be another.
  if (!navigator.serviceWorker?.controller) return false;
  try {
    const health = (await (await fetch('/health')).json()) as { demo?: unknown };
    return health.demo === true;
  } catch {
    return false;
  }
}

/** Names of the demo's build files and roads, as shipped beside the app. */
export interface DemoIndex {
  builds: string[];
  roads: { file: string; name: string; note: string }[];
}

export async function demoIndex(): Promise<DemoIndex> {
  const answer = await fetch('/demo/index.json');
  if (!answer.ok) throw new Error('The demo’s files are not beside the app.');
  return (await answer.json()) as DemoIndex;
}

/** Puts the demo's builds in the store, beside what is there; a demo build already there is left as it is. */
export async function loadDemo(): Promise<string[]> {
  const { builds } = await demoIndex();
  const ids: string[] = [];
  for (const file of builds) {
    const answer = await fetch(`/demo/builds/${file}`);
    const read = readBuildFile(await answer.text());
    if (!read.ok) throw new Error(`${file}: ${read.problems[0]?.path ?? ''}: ${read.problems[0]?.message ?? ''}`);
    if ((await db.builds.get(read.value.id)) === undefined)
      await db.builds.add(logUpTo(read.value, dateAfter(today(), -1)));
    ids.push(read.value.id);
  }
  await writeSetting('demo-loaded', 'yes');
  return ids;
}

/** In a demo, fills an empty store once. */
export async function seedDemo(): Promise<void> {
  if ((await readSetting('demo-loaded')) !== undefined || !(await isDemo())) return;
  await loadDemo();
}
