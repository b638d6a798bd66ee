import type { Stage } from '../../sheet/stage.ts';

export const provingStage: Stage = {
  id: 'proving',
  label: 'Proving',
  key: '9',
  decides: 'Whether the finished vehicle does what the plan said, test by test',
  screen: async () => ({ Component: (await import('./ProvingStage.tsx')).ProvingStage }),
};
