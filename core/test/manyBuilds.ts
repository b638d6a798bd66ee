import type { Build } from '../src/build/build.ts';
import { vehicleKinds } from '../src/donor/kinds.ts';
import { starterShelf } from '../src/parts/shelf/starterShelf.ts';
import { world } from './world.ts';

/** Every kit of the shelf, each on three kinds of donor. */
export function* manyBuilds(): Generator<Build> {
  let n = 0;
  for (const kit of starterShelf.kit)
    for (let k = 0; k < 3; k++) {
      const { build } = world({ kind: vehicleKinds[n++ % vehicleKinds.length] ?? 'diamond', kit: kit.id });
      build.choice.torqueArms = n % 3;
      build.choice.usesThrottle = n % 2 === 0;
      yield build;
    }
}
