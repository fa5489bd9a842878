import { createBrowserRouter, type RouteObject } from 'react-router';
import { ErrorPage, NotFound } from './error-page.js';
import { Frame } from './frame.js';
import { Home } from './home.js';

const windows: RouteObject['lazy'] = async () => ({
  Component: (await import('../features/windows/windows-page.js')).WindowsPage,
});
const salt: RouteObject['lazy'] = async () => ({
  Component: (await import('../features/salt/salt-page.js')).SaltPage,
});

/** The morning is in the first load; every other view comes when it is opened. */
export const router = createBrowserRouter([
  {
    path: '/run/:washId/live',
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('../features/live/live-page.js')).LivePage }),
  },
  {
    path: '/visit/:first/:second',
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('../features/live/visit-page.js')).VisitPage }),
  },
  {
    path: '/pair',
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('../features/access/pair-page.js')).PairPage }),
  },
  {
    path: '/trust',
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('../features/access/trust-page.js')).TrustPage }),
  },
  {
    path: '/',
    Component: Frame,
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    children: [
      { index: true, Component: Home },
      {
        path: 'plan',
        lazy: async () => ({ Component: (await import('../features/plan/plan-page.js')).PlanPage }),
      },
      { path: 'windows/:vehicleId?', lazy: windows },
      {
        path: 'run/:washId',
        lazy: async () => ({ Component: (await import('../features/run/run-page.js')).RunPage }),
      },
      {
        path: 'weather',
        lazy: async () => ({ Component: (await import('../features/weather/weather-page.js')).WeatherPage }),
      },
      {
        path: 'washes',
        lazy: async () => ({ Component: (await import('../features/washes/washes-page.js')).WashesPage }),
      },
      {
        path: 'balance/:vehicleId?',
        lazy: async () => ({ Component: (await import('../features/balance/balance-page.js')).BalancePage }),
      },
      { path: 'salt/:vehicleId?', lazy: salt },
      {
        path: 'condition/:vehicleId?',
        lazy: async () => ({
          Component: (await import('../features/condition/condition-page.js')).ConditionPage,
        }),
      },
      {
        path: 'lab',
        lazy: async () => ({ Component: (await import('../features/lab/lab-page.js')).LabPage }),
      },
      {
        path: 'customers',
        lazy: async () => ({
          Component: (await import('../features/customers/customers-page.js')).CustomersPage,
        }),
      },
      {
        path: 'changes',
        lazy: async () => ({
          Component: (await import('../features/changes/changes-page.js')).ChangesPage,
        }),
      },
      {
        path: 'vehicles',
        lazy: async () => ({
          Component: (await import('../features/vehicles/vehicles-page.js')).VehiclesPage,
        }),
      },
      {
        path: 'places',
        lazy: async () => ({ Component: (await import('../features/places/places-page.js')).PlacesPage }),
      },
      {
        path: 'round',
        lazy: async () => ({ Component: (await import('../features/run/round-page.js')).RoundPage }),
      },
      {
        path: 'clinic',
        lazy: async () => ({ Component: (await import('../features/clinic/clinic-page.js')).ClinicPage }),
      },
      {
        path: 'kit',
        lazy: async () => ({ Component: (await import('../features/kit/kit-page.js')).KitPage }),
      },
      {
        path: 'desk/:name?',
        lazy: async () => ({ Component: (await import('../features/desk/desk-page.js')).DeskPage }),
      },
      {
        path: 'settings',
        lazy: async () => ({
          Component: (await import('../features/settings/settings-page.js')).SettingsPage,
        }),
      },
      { path: '*', Component: NotFound },
    ],
  },
]);
