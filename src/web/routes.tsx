import type { ComponentType } from 'react';
import { createBrowserRouter, Link, useRouteError } from 'react-router';
import { frameWords } from '#words/screens/frame';
import { Frame } from './parts/Frame';

const at = (path: string, load: () => Promise<ComponentType>) => ({
  path,
  lazy: async () => ({ Component: await load() }),
});

/** Each place is fetched when it is first entered, so that the shelf opens fast. */
export const makeRouter = () =>
  createBrowserRouter([
    {
      element: <Frame />,
      errorElement: <Broken />,
      children: [
        {
          index: true,
          lazy: async () => ({ Component: (await import('./features/shelf/ShelfPage')).ShelfPage }),
        },
        {
          path: 'formulas/:id/compose',
          lazy: async () => ({ Component: (await import('./features/compose/ComposePage')).ComposePage }),
        },
        {
          path: 'formulas/:id/make',
          lazy: async () => ({ Component: (await import('./features/make/MakePage')).MakePage }),
        },
        {
          path: 'formulas/:id/taste',
          lazy: async () => ({ Component: (await import('./features/taste/TastePage')).TastePage }),
        },
        {
          path: 'formulas/:id/batch',
          lazy: async () => ({ Component: (await import('./features/batch/BatchPage')).BatchPage }),
        },
        {
          path: 'formulas/:id/batch/:batchId',
          lazy: async () => ({ Component: (await import('./features/batch/BatchRunPage')).BatchRunPage }),
        },
        {
          path: 'formulas/:id/serve',
          lazy: async () => ({ Component: (await import('./features/serve/ServePage')).ServePage }),
        },
        {
          path: 'formulas/:id/pass',
          lazy: async () => ({ Component: (await import('./features/serve/PassPage')).PassPage }),
        },
        {
          path: 'formulas/:id/share',
          lazy: async () => ({ Component: (await import('./features/share/SharePage')).SharePage }),
        },
        {
          path: 'import',
          lazy: async () => ({ Component: (await import('./features/share/ImportPage')).ImportPage }),
        },
        {
          path: 'plan',
          lazy: async () => ({ Component: (await import('./features/plan/PlanPage')).PlanPage }),
        },
        {
          path: 'plan/week',
          lazy: async () => ({ Component: (await import('./features/plan/WeekPage')).WeekPage }),
        },
        at('season', async () => (await import('./features/plan/SeasonPage')).SeasonPage),
        {
          path: 'tables',
          lazy: async () => ({ Component: (await import('./features/share/TablesPart')).TablesPart }),
        },
        {
          path: 'toolmakers',
          lazy: async () => ({
            Component: (await import('./features/share/ToolmakersPage')).ToolmakersPage,
          }),
        },
        {
          path: 'batches',
          lazy: async () => ({ Component: (await import('./features/batch/DayPage')).DayPage }),
        },
        {
          path: 'formulas/:id/versions',
          lazy: async () => ({ Component: (await import('./features/versions/VersionsPage')).VersionsPage }),
        },
        at('formulas/:id/look', async () => (await import('./features/glass/GlassPage')).GlassPage),
        {
          path: 'formulas/:id/log',
          lazy: async () => ({ Component: (await import('./features/log/LogPage')).LogPage }),
        },
        {
          path: 'log',
          lazy: async () => ({ Component: (await import('./features/log/KitchenLogPage')).KitchenLogPage }),
        },
        at('from-liking', async () => (await import('./features/fromLiking/FromLikingPage')).FromLikingPage),
        {
          path: 'from-label',
          lazy: async () => ({
            Component: (await import('./features/fromLabel/FromLabelPage')).FromLabelPage,
          }),
        },
        {
          path: 'practise',
          lazy: async () => ({ Component: (await import('./features/practise/PractisePage')).PractisePage }),
        },
        {
          path: 'practise/sure',
          lazy: async () => ({ Component: (await import('./features/practise/SurePage')).SurePage }),
        },
        {
          path: 'pour',
          lazy: async () => ({ Component: (await import('./features/pour/PourPage')).PourPage }),
        },
        {
          path: 'from-pantry',
          lazy: async () => ({
            Component: (await import('./features/fromPantry/FromPantryPage')).FromPantryPage,
          }),
        },
        {
          path: 'pantry',
          lazy: async () => ({ Component: (await import('./features/pantry/PantryPage')).PantryPage }),
        },
        {
          path: 'pantry/:id',
          lazy: async () => ({
            Component: (await import('./features/pantry/IngredientPage')).IngredientPage,
          }),
        },
        {
          path: 'side-by-side',
          lazy: async () => ({
            Component: (await import('./features/sideBySide/PanelsPage')).PanelsPage,
          }),
        },
        {
          path: 'side-by-side/:id',
          lazy: async () => ({ Component: (await import('./features/sideBySide/PanelPage')).PanelPage }),
        },
        {
          path: 'measures',
          lazy: async () => ({ Component: (await import('./features/measures/MeasuresPage')).MeasuresPage }),
        },
        {
          path: 'settings',
          lazy: async () => ({ Component: (await import('./features/settings/SettingsPage')).SettingsPage }),
        },
        { path: '*', element: <Nowhere /> },
      ],
      HydrateFallback: () => null,
    },
  ]);

function Nowhere() {
  return (
    <div className="mx-auto max-w-xl p-10">
      <h1 className="font-name mb-2 text-2xl font-bold">{frameWords.thereIsNothingAtThis}</h1>
      <Link to="/" className="font-semibold text-leaf underline">
        {frameWords.backToTheShelf}
      </Link>
    </div>
  );
}

function Broken() {
  const error = useRouteError();
  return (
    <div role="alert" className="mx-auto max-w-xl p-10">
      <h1 className="font-name mb-2 text-2xl font-bold">{frameWords.thisPageCouldNotBe}</h1>
      <p className="mb-4">{frameWords.whatWasTypedIsKept}</p>
      <p className="mb-4 text-sm text-quiet">{error instanceof Error ? error.message : ''}</p>
      <a href={window.location.href} className="font-semibold text-leaf underline">
        {frameWords.loadAgain}
      </a>
    </div>
  );
}
