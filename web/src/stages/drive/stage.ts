import type { Stage } from '../../sheet/stage.ts';

export const driveStage: Stage = {
  id: 'drive',
  label: 'Drive',
  key: '3',
  decides: 'Which kit drives it',
  screen: async () => ({ Component: (await import('./Drive.tsx')).DriveStage }),
  finds: (_build, { kits }) =>
    kits.map(({ kit }) => ({
      id: `kit-${kit.id}`,
      label: kit.name,
      description: `Kit · ${kit.maker}`,
      path: `drive#${kit.id}`,
    })),
};
