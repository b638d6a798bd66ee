import type { Stage } from '../../sheet/stage.ts';

export const gearingStage: Stage = {
  id: 'gearing',
  label: 'Gearing',
  key: '5',
  decides: 'Which ring and cogs',
  screen: async () => ({ Component: (await import('./Gearing.tsx')).GearingStage }),
};
