import { createBrowserRouter } from 'react-router';
import { House } from './House';
import { Broken, Lost } from './Lost';

export const router = createBrowserRouter([
  {
    path: '/',
    Component: House,
    ErrorBoundary: Broken,
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../sections/today/Today')).Today }) },
      { path: 'new', lazy: async () => ({ Component: (await import('../sections/newBatch/NewBatch')).NewBatch }) },
      { path: 'batches/:id', lazy: async () => ({ Component: (await import('../sections/batch/BatchPage')).BatchPage }) },
      { path: 'bench', lazy: async () => ({ Component: (await import('../sections/bench/Bench')).Bench }) },
      { path: 'pit', lazy: async () => ({ Component: (await import('../sections/pit/Pit')).Pit }) },
      { path: 'pit/:id', lazy: async () => ({ Component: (await import('../sections/pit/Pit')).Pit }) },
      { path: 'readings', lazy: async () => ({ Component: (await import('../sections/readings/ReadingsInOut')).ReadingsInOut }) },
      { path: 'stores', lazy: async () => ({ Component: (await import('../sections/stores/Stores')).Stores }) },
      { path: 'recipes', lazy: async () => ({ Component: (await import('../sections/recipes/Recipes')).Recipes }) },
      { path: 'recipes/new', lazy: async () => ({ Component: (await import('../sections/recipes/NewRecipe')).NewRecipe }) },
      { path: 'recipes/:id', lazy: async () => ({ Component: (await import('../sections/recipes/RecipePage')).RecipePage }) },
      { path: 'ledger/file', lazy: async () => ({ Component: (await import('../sections/ledger/BookInOut')).BookInOut }) },
      { path: 'ledger/compare', lazy: async () => ({ Component: (await import('../sections/ledger/Compare')).Compare }) },
      { path: 'ledger/trends', lazy: async () => ({ Component: (await import('../sections/ledger/Trends')).Trends }) },
      { path: 'ledger', lazy: async () => ({ Component: (await import('../sections/ledger/Ledger')).Ledger }) },
      { path: 'batches/:id/record', lazy: async () => ({ Component: (await import('../sections/paper/Record')).Record }) },
      { path: 'batches/:id/mixing-card', lazy: async () => ({ Component: (await import('../sections/paper/MixingCard')).MixingCard }) },
      { path: 'batches/:id/labels', lazy: async () => ({ Component: (await import('../sections/paper/Labels')).Labels }) },
      { path: 'day-sheet', lazy: async () => ({ Component: (await import('../sections/paper/DaySheet')).DaySheet }) },
      { path: 'guide', lazy: async () => ({ Component: (await import('../sections/guide/Guide')).Guide }) },
      { path: 'calendar', lazy: async () => ({ Component: (await import('../sections/calendar/Calendar')).Calendar }) },
      { path: 'learnt', lazy: async () => ({ Component: (await import('../sections/learnt/Learnt')).Learnt }) },
      { path: 'kept', lazy: async () => ({ Component: (await import('../sections/kept/KeptEntries')).KeptEntries }) },
      { path: 'house', lazy: async () => ({ Component: (await import('../sections/house/HousePage')).HousePage }) },
      { path: '*', Component: Lost },
    ],
  },
]);
