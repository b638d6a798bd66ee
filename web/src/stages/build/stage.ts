import type { Stage } from '../../sheet/stage.ts';

export const buildStage: Stage = {
  id: 'build',
  label: 'Build',
  key: '8',
  decides: 'What to do today, with which tool, and what must be checked before the next step hides it',
  screen: async () => ({ Component: (await import('./BuildStage.tsx')).BuildStage }),
  finds: (_build, { build: bench }) =>
    bench.steps.map((step) => ({
      id: `step-${step.id}`,
      label: step.title.filter((w) => typeof w === 'string').join(''),
      description: 'Build · step',
      path: `build#step-${step.id}`,
    })),
};
