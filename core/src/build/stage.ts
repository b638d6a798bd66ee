/** The ten stages of the work, in its order. */
export const stageIds = [
  'brief',
  'donor',
  'drive',
  'pack',
  'gearing',
  'wiring',
  'parts',
  'build',
  'proving',
  'logbook',
] as const;
export type StageId = (typeof stageIds)[number];
