import { createBrowserRouter, Navigate } from 'react-router';
import { BooksList } from '../accounts/books-list.js';
import { SignIn } from '../accounts/sign-in.js';
import { BookShell } from './book-shell.js';
import { ErrorScreen, Root, SignedIn } from './root.js';

export const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <ErrorScreen />,
    children: [
      { path: '/sign-in', element: <SignIn /> },
      {
        element: <SignedIn />,
        children: [
          { path: '/', element: <Navigate to="/books" replace /> },
          { path: '/books', element: <BooksList /> },
          {
            path: '/books/:bookId',
            element: <BookShell />,
            errorElement: <ErrorScreen />,
            children: [
              {
                index: true,
                handle: 'Overview',
                lazy: async () => ({ Component: (await import('./overview-screen.js')).OverviewScreen }),
              },
              {
                path: 'buy/import',
                handle: 'Take in a price list or an invoice',
                lazy: async () => ({ Component: (await import('../purchasing/import/import-screen.js')).ImportScreen }),
              },
              {
                path: 'buy/:materialId?',
                handle: 'Buy: materials',
                lazy: async () => ({ Component: (await import('../purchasing/buy-screen.js')).BuyScreen }),
              },
              {
                path: 'make/grades',
                handle: 'Labour grades',
                lazy: async () => ({ Component: (await import('../production/grades-screen.js')).GradesScreen }),
              },
              {
                path: 'make/guide/:productId?',
                handle: 'Guide: cost a product step by step',
                lazy: async () => ({ Component: (await import('./guide/guide-screen.js')).GuideScreen }),
              },
              {
                path: 'make/equipment',
                handle: 'Equipment and shared runs',
                lazy: async () => ({ Component: (await import('../production/equipment-screen.js')).EquipmentScreen }),
              },
              {
                path: 'make/:productId?',
                handle: 'Make: products',
                lazy: async () => ({ Component: (await import('../costing/make-screen.js')).MakeScreen }),
              },
              {
                path: 'run',
                handle: 'Run: running costs',
                lazy: async () => ({ Component: (await import('../overhead/run-screen.js')).RunScreen }),
              },
              {
                path: 'sell/channels',
                handle: 'Places to sell',
                lazy: async () => ({ Component: (await import('../selling/channels-screen.js')).ChannelsScreen }),
              },
              {
                path: 'sell/:productId?',
                handle: 'Sell: prices',
                lazy: async () => ({ Component: (await import('../selling/sell-screen.js')).SellScreen }),
              },
              {
                path: 'plan/:productId?',
                handle: 'Plan: break-even',
                lazy: async () => ({ Component: (await import('../planning/plan-screen.js')).PlanScreen }),
              },
              {
                path: 'loose-ends',
                lazy: async () => ({ Component: (await import('./loose-ends-screen.js')).LooseEndsScreen }),
              },
              {
                path: 'history',
                lazy: async () => ({ Component: (await import('./history-screen.js')).HistoryScreen }),
              },
              {
                path: 'settings',
                lazy: async () => ({ Component: (await import('./settings-screen.js')).SettingsScreen }),
              },
            ],
          },
        ],
      },
    ],
  },
]);
