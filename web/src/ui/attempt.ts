import { notifications } from '@mantine/notifications';

/** Why a store refused, in words. */
export function refusalWords(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const inner = (error as { inner?: { name?: string } } | null)?.inner?.name ?? '';
  if (/Quota/.test(name + inner))
    return 'its store is full. Delete photos or builds that are no longer needed, or make room on the disk.';
  return error instanceof Error ? error.message : String(error);
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
