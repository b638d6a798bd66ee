import { rulesOf, type OpenedStage } from './stage.ts';

/** Proving: its sheet is worked out when it is opened (`proofSheet`), from results no plan hangs on. */
export const provingStage: OpenedStage<'proving'> = { id: 'proving', rules: rulesOf('proving') };
