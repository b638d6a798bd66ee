import type { Stage } from '../../sheet/stage.ts';

export const packStage: Stage = {
  id: 'pack',
  label: 'Pack',
  key: '4',
  decides: 'Which battery, and where it sits',
  screen: async () => ({ Component: (await import('./Pack.tsx')).PackStage }),
  finds: (_build, { packs }) =>
    packs.map(({ pack }) => ({
      id: `pack-${pack.id}`,
      label: pack.name,
      description: `Pack · ${pack.maker}`,
      path: `pack#${pack.id}`,
    })),
};
