import type { Stage } from '../stage.ts';

export const partsStage: Stage = {
  id: 'parts',
  label: 'Parts',
  key: '7',
  decides: 'What to order, in which order, what it costs and when it comes',
  screen: null,
};
