/**
 * How often a property is tried: a few times in `npm run verify`, many in `npm run verify:long`, which sets
 * SPROCKET_LONG. The seeds are the same on every machine.
 */
export const runs = (few: number, many: number): number => (process.env.SPROCKET_LONG ? many : few);
