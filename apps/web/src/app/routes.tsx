import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { SCREEN_IDS, screenOf, type ScreenId } from '../book/screens.js';
import { ErrorScreen, Root, SignedIn } from './root.js';

/** What each screen is made of, fetched when it is first gone to. */
const COMPONENTS: Readonly<Record<ScreenId, () => Promise<ComponentType>>> = {
  overview: async () => (await import('./overview-screen.js')).OverviewScreen,
  buy: async () => (await import('../purchasing/buy-screen.js')).BuyScreen,
  shipments: async () => (await import('../purchasing/shipment/shipments-screen.js')).ShipmentsScreen,
  stock: async () => (await import('../purchasing/stock/stock-screen.js')).StockScreen,
  chargeRules: async () => (await import('../purchasing/shipment/rules-screen.js')).RulesScreen,
  customs: async () => (await import('../purchasing/shipment/customs-screen.js')).CustomsScreen,
  import: async () => (await import('../purchasing/import/import-screen.js')).ImportScreen,
  make: async () => (await import('../costing/make-screen.js')).MakeScreen,
  guide: async () => (await import('./guide/guide-screen.js')).GuideScreen,
  grades: async () => (await import('../production/grades-screen.js')).GradesScreen,
  equipment: async () => (await import('../production/equipment-screen.js')).EquipmentScreen,
  run: async () => (await import('../overhead/run-screen.js')).RunScreen,
  runYear: async () => (await import('../overhead/year-screen.js')).YearScreen,
  volumes: async () => (await import('../overhead/volumes-screen.js')).VolumesScreen,
  departments: async () => (await import('../overhead/departments-screen.js')).DepartmentsScreen,
  activities: async () => (await import('../overhead/activities-screen.js')).ActivitiesScreen,
  methods: async () => (await import('../overhead/methods-screen.js')).MethodsScreen,
  absorption: async () => (await import('../overhead/absorption-screen.js')).AbsorptionScreen,
  periodProfit: async () => (await import('../overhead/profit-screen.js')).ProfitScreen,
  jointBatches: async () => (await import('../overhead/joint-screen.js')).JointScreen,
  chargeOut: async () => (await import('../overhead/charge-out-screen.js')).ChargeOutScreen,
  sell: async () => (await import('../selling/sell-screen.js')).SellScreen,
  channels: async () => (await import('../selling/fees/channels-screen.js')).ChannelsScreen,
  priceBoard: async () => (await import('../selling/board-screen.js')).BoardScreen,
  postage: async () => (await import('../selling/dispatch/postage-screen.js')).PostageScreen,
  quotes: async () => (await import('../selling/quotes/quotes-screen.js')).QuotesScreen,
  plan: async () => (await import('../planning/plan-screen.js')).PlanScreen,
  mix: async () => (await import('../planning/mix/mix-screen.js')).MixScreen,
  decisions: async () => (await import('../planning/decisions-screen.js')).DecisionsScreen,
  whatIfs: async () => (await import('../what-if/what-ifs-screen.js')).WhatIfsScreen,
  compare: async () => (await import('../what-if/compare-screen.js')).CompareScreen,
  looseEnds: async () => (await import('./loose-ends-screen.js')).LooseEndsScreen,
  history: async () => (await import('./history-screen.js')).HistoryScreen,
  settings: async () => (await import('./settings-screen.js')).SettingsScreen,
};

const screens = SCREEN_IDS.map((id): RouteObject => {
  const { path } = screenOf(id);
  const lazy = async () => ({ Component: await COMPONENTS[id]() });
  return path === '' ? { index: true, id, lazy } : { path, id, lazy };
});

export const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <ErrorScreen />,
    children: [
      { path: '/sign-in', lazy: async () => ({ Component: (await import('../accounts/sign-in.js')).SignIn }) },
      {
        element: <SignedIn />,
        children: [
          { path: '/', element: <Navigate to="/books" replace /> },
          {
            path: '/books',
            lazy: async () => ({ Component: (await import('../accounts/books-list.js')).BooksList }),
          },
          {
            path: '/books/:bookId',
            lazy: async () => ({ Component: (await import('./book-shell.js')).BookShell }),
            errorElement: <ErrorScreen />,
            children: screens,
          },
        ],
      },
    ],
  },
]);
