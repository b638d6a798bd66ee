import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { stages } from './stages.ts';
import { Library } from '../stages/library/Library.tsx';
import { Lost } from './Lost.tsx';

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
    lazy: async () => ({ Component: (await import('./OpenBuild.tsx')).OpenBuild }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Opening the build…</p>,
    children: [
      { index: true, element: <Navigate to="brief" replace /> },
      ...stages.map(({ id, screen }): RouteObject => ({ path: id, lazy: screen })),
      { path: 'start', lazy: async () => ({ Component: (await import('../stages/start/Start.tsx')).StartSheet }) },
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
      { path: '*', lazy: async () => ({ Component: (await import('../sheet/NoStage.tsx')).NoStage }) },
    ],
  },
  { path: '*', element: <Lost /> },
]);
