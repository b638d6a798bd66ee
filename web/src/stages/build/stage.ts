import type { Stage } from '../stage.ts';

export const buildStage: Stage = {
  id: 'build',
  label: 'Build',
  key: '8',
  decides: 'What to do today, with which tool, and what must be checked before the next step hides it',
  screen: null,
};
