/** The kitchen as every screen needs it: settings, vessels, catalogue; defaults until the server has answered. */
import { useMemo } from 'react';
import { DEFAULT_SETTINGS } from '#contract';
import { withMade } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { catalogueWith, contextFor, type Kitchen, type Pantry } from '#kitchen/reading';
import { useOwnMeasures } from './ownMeasures';
import {
  useMadeQuery,
  useOwnIngredientsQuery,
  usePantryQuery,
  useSettingsQuery,
  useVesselsQuery,
} from '../api/kitchenApi';

const EMPTY_PANTRY: Pantry = {};

export function useKitchen(): Kitchen {
  const settings = useSettingsQuery().data ?? DEFAULT_SETTINGS;
  const vessels = useVesselsQuery().data ?? STARTING_VESSELS;
  const own = useOwnIngredientsQuery().data;
  const pantry = usePantryQuery().data ?? EMPTY_PANTRY;
  const versions = useMadeQuery().data;
  const plain = useMemo(() => catalogueWith(own, pantry), [own, pantry]);
  const measures = useOwnMeasures(plain);
  const catalogue = useMemo(
    () =>
      withMade(plain, versions ?? [], (formula, catalogue) =>
        contextFor(formula, { catalogue, settings, own: measures }),
      ),
    [plain, versions, settings, measures],
  );
  return useMemo(
    () => ({ settings, vessels, catalogue, pantry, own: measures }),
    [settings, vessels, catalogue, pantry, measures],
  );
}
