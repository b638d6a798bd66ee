import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { stages } from '../stages/all.ts';
import { Library } from '../stages/library/Library.tsx';
import type { Stage } from '../stages/stage.ts';
import { Lost } from './Lost.tsx';

/** A stage’s address: its screen, or what it will decide. */
function stageRoute(stage: Stage): RouteObject {
  const { screen } = stage;
  return {
    path: stage.id,
    lazy:
      screen ??
      (async () => {
        const { Later } = await import('../sheet/Later.tsx');
        return { Component: () => <Later stage={stage} /> };
      }),
  };
}

export const router = createBrowserRouter([
  { path: '/', element: <Library />, errorElement: <Lost /> },
  {
    path: '/settings',
    lazy: async () => ({ Component: (await import('../stages/settings/Settings.tsx')).Settings }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Opening…</p>,
  },
  {
    path: '/kinds',
    lazy: async () => ({ Component: (await import('../stages/kinds/Kinds.tsx')).Kinds }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Drawing…</p>,
  },
  {
    path: '/build/:buildId',
    lazy: async () => ({ Component: (await import('../sheet/BuildSheet.tsx')).BuildSheet }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Opening the build…</p>,
    children: [
      { index: true, element: <Navigate to="brief" replace /> },
      ...stages.map(stageRoute),
      { path: 'shelf', lazy: async () => ({ Component: (await import('../stages/shelf/Shelf.tsx')).ShelfStage }) },
      { path: 'ride', lazy: async () => ({ Component: (await import('../stages/ride/RideSheet.tsx')).RideStage }) },
      {
        path: 'faults',
        lazy: async () => ({ Component: (await import('../stages/faults/FaultSheet.tsx')).FaultSheet }),
      },
      { path: 'live', lazy: async () => ({ Component: (await import('../stages/live/LiveRide.tsx')).LiveRide }) },
      {
        path: 'schools',
        lazy: async () => ({ Component: (await import('../stages/schools/Schools.tsx')).SchoolsStage }),
      },
      {
        path: 'compare',
        lazy: async () => ({ Component: (await import('../stages/compare/Compare.tsx')).CompareStage }),
      },
      { path: '*', lazy: async () => ({ Component: (await import('../sheet/Later.tsx')).NoStage }) },
    ],
  },
  { path: '*', element: <Lost /> },
]);
