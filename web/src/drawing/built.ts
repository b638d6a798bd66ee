/** All of it is on: what a vehicle’s things are once it is built, or as it is meant to be. */
export const BUILT = {
  motor: 'tight',
  pack: 'tight',
  'rear wheel': 'tight',
  'front wheel': 'tight',
  chain: 'tight',
} as const;
