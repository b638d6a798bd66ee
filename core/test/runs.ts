/**
 * How often a property is tried: a few times in `npm run verify`, many in `npm run verify:long`, which sets
 * SPROCKET_LONG; twice where each of thousands of mutants waits for it (SPROCKET_MUTATE). Seeds are the same everywhere.
 */
export const runs = (few: number, many: number): number =>
  process.env.SPROCKET_MUTATE ? 2 : process.env.SPROCKET_LONG ? many : few;
