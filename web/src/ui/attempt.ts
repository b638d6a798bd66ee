import { notifications } from '@mantine/notifications';

/** An error with words for a person in it: where and what. */
export class Told extends Error {}

/** What browsers call it when a store refuses, and what a person can do. */
const reasons: readonly (readonly [RegExp, string])[] = [
  [
    /dynamically imported module|importing a module script|unable to preload/i,
    'a part of the app did not load. Load this page again; what you typed is saved.',
  ],
  [
    /Quota|disk is full|FILE_ERROR_NO_SPACE/i,
    'the browser’s store is full. Delete photos or builds you no longer need, or make room on the disk.',
  ],
  [/DatabaseClosed|InvalidState|connection is closing/i, 'the browser has closed its store. Load this page again.'],
  [/VersionError|VersionChange|UpgradeBlocked/i, 'another window has a newer version open. Load this page again.'],
  [
    /MissingAPI|SecurityError|OpenFailed|NotAllowed/i,
    'this browser does not let the app keep anything. Allow it to store data.',
  ],
  [/ConstraintError|KeyExists/i, 'something of the same name is there already.'],
  [/AbortError|TimeoutError|UnknownError|ReadOnly/i, 'the browser gave up writing it. Try again.'],
];

/** Why a store refused, in words a person can act on; never the browser’s own. */
export function refusalWords(error: unknown): string {
  if (error instanceof Told) return error.message;
  const {
    name = '',
    message = '',
    inner,
  } = (error ?? {}) as { name?: string; message?: string; inner?: { name?: string } };
  const said = `${name} ${inner?.name ?? ''} ${message}`;
  const known = reasons.find(([sign]) => sign.test(said));
  return (
    known?.[1] ?? 'the browser’s store did not take it. Try again; if that does not help, save your work to a file.'
  );
}

/**
 * Does what a person asked of the browser's store, and says so where it is refused: nothing fails without a word.
 * @param what the thing that would not be kept, as the start of a sentence: “The photo”
 * @returns what the work gave; undefined where it was refused
 */
export async function attempt<T>(what: string, work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (error) {
    notifications.show({
      color: 'red',
      autoClose: false,
      message: `${what} was not kept: ${refusalWords(error)}`,
    });
    return undefined;
  }
}
