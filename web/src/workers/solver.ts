import { integerSolver, type IntegerSolver } from '@sprocket/core';
import wasm from 'highs/runtime?url';

let made: Promise<IntegerSolver> | undefined;

/** The integer solver with its module beside the app's own files, loaded once. */
export function solver(): Promise<IntegerSolver> {
  made ??= integerSolver(() => wasm);
  return made;
}
