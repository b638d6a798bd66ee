import type { ReadProblem } from '../src/reading/problems.ts';

/** Words of the schema library's own, and of programs, that no person should be told. */
const NOT_FOR_PEOPLE = /Invalid|\bexpected\b|\breceived\b|undefined|\[object/;

/** What is wrong with how a file was refused; null where it is told with a place and in words. */
export function refusal(problems: readonly ReadProblem[]): string | null {
  if (problems.length === 0) return 'refused without a word';
  const bad = problems.find(({ path, message }) => path === '' || message === '' || NOT_FOR_PEOPLE.test(message));
  return bad ? `refused with “${bad.path}: ${bad.message}”` : null;
}
