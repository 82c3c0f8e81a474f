import type { RouteObject } from 'react-router';
import { BrokenPage } from './page/BrokenPage.js';
import { Loading } from './page/Loading.js';
import { NoSuchPage } from './page/NoSuchPage.js';
import { SignedIn } from './session/SignedIn.js';

/** Every screen is a file of its own, fetched when it is first opened. */
export const routes: RouteObject[] = [
  {
    errorElement: <BrokenPage />,
    hydrateFallbackElement: <Loading />,
    children: [
      {
        path: '/sign-in',
        lazy: async () => ({ Component: (await import('./session/SignInPage.js')).SignInPage }),
      },
      {
        path: '/',
        element: <SignedIn />,
        children: [
          {
            errorElement: <BrokenPage />,
            children: [
              {
                index: true,
                lazy: async () => ({ Component: (await import('./today/TodayPage.js')).TodayPage }),
              },
              {
                path: 'round',
                lazy: async () => ({ Component: (await import('./round/RoundPage.js')).RoundPage }),
              },
              {
                path: 'fleet',
                lazy: async () => ({ Component: (await import('./machine/FleetPage.js')).FleetPage }),
              },
              {
                path: 'fleet/schedule',
                lazy: async () => ({
                  Component: (await import('./schedule/FleetSchedulePage.js')).FleetSchedulePage,
                }),
              },
              {
                path: 'season',
                lazy: async () => ({ Component: (await import('./season/SeasonPage.js')).SeasonPage }),
              },
              {
                path: 'season/plan',
                lazy: async () => ({ Component: (await import('./seasonPlan/PlanPage.js')).PlanPage }),
              },
              {
                path: 'season/load',
                lazy: async () => ({ Component: (await import('./seasonPlan/LoadPage.js')).LoadPage }),
              },
              {
                path: 'season/what-if',
                lazy: async () => ({ Component: (await import('./seasonPlan/WhatIfPage.js')).WhatIfPage }),
              },
              {
                path: 'season/workshop',
                lazy: async () => ({
                  Component: (await import('./seasonPlan/WorkshopDaysPage.js')).WorkshopDaysPage,
                }),
              },
              {
                path: 'books/:bookId',
                lazy: async () => ({ Component: (await import('./books/BookPage.js')).BookPage }),
              },
              {
                path: 'fleet/new',
                lazy: async () => ({
                  Component: (await import('./machine/NewMachinePage.js')).NewMachinePage,
                }),
              },
              {
                path: 'fleet/:machineId/:tab?',
                lazy: async () => ({ Component: (await import('./machine/MachinePage.js')).MachinePage }),
              },
              {
                path: 'fleet/:machineId/visit',
                lazy: async () => ({ Component: (await import('./job/ComposePage.js')).ComposePage }),
              },
              {
                path: 'fleet/:machineId/walk',
                lazy: async () => ({ Component: (await import('./walk/WalkPage.js')).WalkPage }),
              },
              {
                path: 'jobs/:jobId',
                lazy: async () => ({ Component: (await import('./job/JobPage.js')).JobPage }),
              },
              {
                path: 'm/:tag',
                lazy: async () => ({ Component: (await import('./field/FieldPage.js')).FieldPage }),
              },
              {
                path: 'defects',
                lazy: async () => ({ Component: (await import('./defect/DefectsPage.js')).DefectsPage }),
              },
              {
                path: 'fleet/:machineId/paper-log',
                lazy: async () => ({ Component: (await import('./paperLog/PaperLogPage.js')).PaperLogPage }),
              },
              {
                path: 'shelf/count',
                lazy: async () => ({ Component: (await import('./shelf/CountPage.js')).CountPage }),
              },
              {
                path: 'shelf/buying',
                lazy: async () => ({ Component: (await import('./buying/BuyingPage.js')).BuyingPage }),
              },
              {
                path: 'shelf/orders',
                lazy: async () => ({ Component: (await import('./buying/OrdersPage.js')).OrdersPage }),
              },
              {
                path: 'shelf/suppliers',
                lazy: async () => ({ Component: (await import('./buying/SuppliersPage.js')).SuppliersPage }),
              },
              {
                path: 'shelf/lists',
                lazy: async () => ({
                  Component: (await import('./shelfList/ShelfListsPage.js')).ShelfListsPage,
                }),
              },
              {
                path: 'shelf/months',
                lazy: async () => ({ Component: (await import('./shelf/MonthsPage.js')).MonthsPage }),
              },
              {
                path: 'shelf',
                lazy: async () => ({ Component: (await import('./shelf/ShelfPage.js')).ShelfPage }),
              },
              {
                path: 'records',
                lazy: async () => ({ Component: (await import('./records/RecordsPage.js')).RecordsPage }),
              },
              {
                path: 'setup/house-rules',
                lazy: async () => ({
                  Component: (await import('./site/HouseRulesPage.js')).HouseRulesPage,
                }),
              },
              {
                path: 'setup/audit',
                lazy: async () => ({ Component: (await import('./audit/AuditPage.js')).AuditPage }),
              },
              {
                path: 'outbox',
                lazy: async () => ({ Component: (await import('./outbox/OutboxPage.js')).OutboxPage }),
              },
              {
                path: 'account',
                lazy: async () => ({ Component: (await import('./session/AccountPage.js')).AccountPage }),
              },
              {
                path: 'bench/:tool?',
                lazy: async () => ({ Component: (await import('./bench/BenchPage.js')).BenchPage }),
              },
              {
                path: 'help/:page',
                lazy: async () => ({ Component: (await import('./help/HelpPage.js')).HelpPage }),
              },
              {
                path: 'setup',
                lazy: async () => ({ Component: (await import('./setup/SetupPage.js')).SetupPage }),
              },
              { path: '*', element: <NoSuchPage /> },
            ],
          },
        ],
      },
    ],
  },
];
