import { createBrowserRouter, Navigate } from 'react-router';
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
    lazy: async () => ({ Component: (await import('../stages/library/Kinds.tsx')).Kinds }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Drawing…</p>,
  },
  {
    path: '/build/:buildId',
    lazy: async () => ({ Component: (await import('./BuildSheet.tsx')).BuildSheet }),
    errorElement: <Lost />,
    hydrateFallbackElement: <p className="wait">Opening the build…</p>,
    children: [
      { index: true, element: <Navigate to="brief" replace /> },
      { path: 'brief', lazy: async () => ({ Component: (await import('../stages/brief/Brief.tsx')).BriefStage }) },
      { path: 'donor', lazy: async () => ({ Component: (await import('../stages/donor/Donor.tsx')).DonorStage }) },
      { path: 'drive', lazy: async () => ({ Component: (await import('../stages/drive/Drive.tsx')).DriveStage }) },
      { path: 'pack', lazy: async () => ({ Component: (await import('../stages/pack/Pack.tsx')).PackStage }) },
      {
        path: 'gearing',
        lazy: async () => ({ Component: (await import('../stages/gearing/Gearing.tsx')).GearingStage }),
      },
      { path: 'shelf', lazy: async () => ({ Component: (await import('../stages/shelf/Shelf.tsx')).ShelfStage }) },
      { path: 'ride', lazy: async () => ({ Component: (await import('../stages/ride/RideSheet.tsx')).RideStage }) },
      {
        path: 'schools',
        lazy: async () => ({ Component: (await import('../stages/schools/Schools.tsx')).SchoolsStage }),
      },
      {
        path: 'compare',
        lazy: async () => ({ Component: (await import('../stages/compare/Compare.tsx')).CompareStage }),
      },
      { path: ':later', lazy: async () => ({ Component: (await import('../stages/Later.tsx')).LaterStage }) },
    ],
  },
  { path: '*', element: <Lost /> },
]);
