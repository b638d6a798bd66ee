import type { Drawn } from '@sprocket/core';

/** One worker that draws vehicles for some seeds. */
export interface Drawer {
  draw: (seeds: readonly number[], tell: (soFar: Drawn[]) => void) => Promise<Drawn[] | null>;
}

/**
 * Draws vehicles with several workers, the seeds dealt out one after another, so that what is there so far is always some of
 * the first. In the order of their seeds, whoever drew them.
 * @param tell called with all that is drawn whenever there is more, and whether that is all
 * @returns what ends it: nothing is told after that
 */
export function drawAll(
  drawers: readonly Drawer[],
  count: number,
  tell: (drawn: Drawn[], done: boolean) => void,
): () => void {
  const parts: Drawn[][] = drawers.map(() => []);
  let open = drawers.length;
  let wanted = true;
  const say = (): void => {
    if (wanted)
      tell(
        parts.flat().sort((a, b) => a.seed - b.seed),
        open === 0,
      );
  };
  drawers.forEach((drawer, n) => {
    const seeds = Array.from({ length: count }, (_, i) => i).filter((i) => i % drawers.length === n);
    const end = (): void => {
      open--;
      say();
    };
    drawer
      .draw(seeds, (soFar) => {
        parts[n] = soFar;
        say();
      })
      .then((all) => {
        // A newer question came: this one is not answered any more.
        if (all === null) return;
        parts[n] = all;
        end();
      })
      .catch(end);
  });
  return () => {
    wanted = false;
  };
}
