import type { Stage } from '../../sheet/stage.ts';

export const wiringStage: Stage = {
  id: 'wiring',
  label: 'Wiring',
  key: '6',
  decides: 'Where each lead runs, how long it must be, which fuse guards it and how every brake lever cuts the motor',
  screen: async () => ({ Component: (await import('./Wiring.tsx')).WiringStage }),
  finds: (_build, { wiring }) =>
    (wiring.all?.leads ?? []).map((l) => ({
      id: `lead-${l.id}`,
      label: l.what,
      description: 'Wiring · lead',
      path: `wiring#lead-${l.id}`,
    })),
};
