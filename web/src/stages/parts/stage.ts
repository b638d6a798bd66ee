import type { Stage } from '../../sheet/stage.ts';

export const partsStage: Stage = {
  id: 'parts',
  label: 'Parts',
  key: '7',
  decides: 'What to order, in which order, what it costs and when it comes',
  screen: async () => ({ Component: (await import('./Parts.tsx')).PartsStage }),
  finds: (_build, { parts: { bill } }) =>
    bill.lines.map((line) => ({
      id: `line-${line.key}`,
      label: line.name,
      description: 'Parts · line of the bill',
      path: `parts#line-${line.key}`,
    })),
};
