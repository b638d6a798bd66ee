import { itemsFor } from '@sprocket/core';
import type { Stage } from '../../sheet/stage.ts';

export const donorStage: Stage = {
  id: 'donor',
  label: 'Donor',
  key: '2',
  decides: 'What there is to convert, and in what state',
  screen: async () => ({ Component: (await import('./Donor.tsx')).DonorStage }),
  finds: ({ donor }) =>
    itemsFor(donor).map((item) => ({
      id: `item-${item.id}`,
      label: item.label,
      description: `Field · ${item.how}`,
      path: `donor#${item.id}`,
    })),
};
