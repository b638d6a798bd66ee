/** A sum that stops between its steps, so that whoever asked can serve others meanwhile. */
export type Steps<T> = Generator<void, T>;

/** Such a sum taken to its end at once. */
export function finish<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
