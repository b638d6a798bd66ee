import type { Stage } from '../../sheet/stage.ts';

export const briefStage: Stage = {
  id: 'brief',
  label: 'Brief',
  key: '1',
  decides: 'Who rides, where, and how far it must go',
  screen: async () => ({ Component: (await import('./Brief.tsx')).BriefStage }),
};
