import { rulesOf, type OpenedStage } from './stage.ts';

/** Logbook: its sheets are worked out when it is opened (`upkeepOf`, `logChecks`), at a moment no plan knows. */
export const logbookStage: OpenedStage<'logbook'> = { id: 'logbook', rules: rulesOf('logbook') };
