import type { Stage } from '../stage.ts';

export const logbookStage: Stage = {
  id: 'logbook',
  label: 'Logbook',
  key: '0',
  decides: 'What it really uses on the road, and when to re-torque, check and service',
  screen: null,
};
