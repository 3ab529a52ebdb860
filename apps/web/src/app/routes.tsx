import { lazy, Suspense, type ComponentType } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { Broken } from './Broken';
import { House } from './House';
import { Opening } from './Opening';
import { Lost } from './Lost';

/** A screen that is fetched when somebody goes there; until it is here, the one before stays. */
const screen = <Name extends string>(name: Name, load: () => Promise<Record<Name, ComponentType>>) => lazy(async () => ({ default: (await load())[name] }));

const Today = screen('Today', () => import('../features/today/Today'));
const NewBatch = screen('NewBatch', () => import('../features/newBatch/NewBatch'));
const BatchPage = screen('BatchPage', () => import('../features/batch/BatchPage'));
const Bench = screen('Bench', () => import('../features/bench/Bench'));
const Pit = screen('Pit', () => import('../features/pit/Pit'));
const ReadingsInOut = screen('ReadingsInOut', () => import('../features/readings/ReadingsInOut'));
const Stores = screen('Stores', () => import('../features/stores/Stores'));
const Recipes = screen('Recipes', () => import('../features/recipes/Recipes'));
const NewRecipe = screen('NewRecipe', () => import('../features/recipes/NewRecipe'));
const RecipePage = screen('RecipePage', () => import('../features/recipes/RecipePage'));
const BookInOut = screen('BookInOut', () => import('../features/ledger/BookInOut'));
const Compare = screen('Compare', () => import('../features/ledger/Compare'));
const Trends = screen('Trends', () => import('../features/ledger/Trends'));
const Ledger = screen('Ledger', () => import('../features/ledger/Ledger'));
const Record = screen('Record', () => import('../features/paper/Record'));
const MixingCard = screen('MixingCard', () => import('../features/paper/MixingCard'));
const Labels = screen('Labels', () => import('../features/paper/Labels'));
const DaySheet = screen('DaySheet', () => import('../features/paper/DaySheet'));
const Guide = screen('Guide', () => import('../features/guide/Guide'));
const Calendar = screen('Calendar', () => import('../features/calendar/Calendar'));
const Learnt = screen('Learnt', () => import('../features/learnt/Learnt'));
const KeptEntries = screen('KeptEntries', () => import('../features/kept/KeptEntries'));
const HousePage = screen('HousePage', () => import('../features/house/HousePage'));

/** Every address of the house. */
export const Screens = () => (
  <BrowserRouter>
    <Broken>
      <Suspense fallback={<Opening />}>
        <Routes>
          <Route path="/" element={<House />}>
            <Route index element={<Today />} />
            <Route path="new" element={<NewBatch />} />
            <Route path="batches/:id" element={<BatchPage />} />
            <Route path="bench" element={<Bench />} />
            <Route path="pit" element={<Pit />} />
            <Route path="pit/:id" element={<Pit />} />
            <Route path="readings" element={<ReadingsInOut />} />
            <Route path="stores" element={<Stores />} />
            <Route path="recipes" element={<Recipes />} />
            <Route path="recipes/new" element={<NewRecipe />} />
            <Route path="recipes/:id" element={<RecipePage />} />
            <Route path="ledger/file" element={<BookInOut />} />
            <Route path="ledger/compare" element={<Compare />} />
            <Route path="ledger/trends" element={<Trends />} />
            <Route path="ledger" element={<Ledger />} />
            <Route path="batches/:id/record" element={<Record />} />
            <Route path="batches/:id/mixing-card" element={<MixingCard />} />
            <Route path="batches/:id/labels" element={<Labels />} />
            <Route path="day-sheet" element={<DaySheet />} />
            <Route path="guide" element={<Guide />} />
            <Route path="calendar" element={<Calendar />} />
            <Route path="learnt" element={<Learnt />} />
            <Route path="kept" element={<KeptEntries />} />
            <Route path="house" element={<HousePage />} />
            <Route path="*" element={<Lost />} />
          </Route>
        </Routes>
      </Suspense>
    </Broken>
  </BrowserRouter>
);
