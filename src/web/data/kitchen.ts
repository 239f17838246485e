/** The kitchen as every screen needs it: settings, vessels, catalogue; defaults until the server has answered. */
import { useMemo } from 'react';
import { DEFAULT_SETTINGS } from '#contract';
import { withMade } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { catalogueWith, contextFor, type Kitchen, type Pantry } from '#kitchen/reading';
import { useHere } from './here';
import { useOwnMeasures } from './ownMeasures';
import {
  useMadeQuery,
  useOwnIngredientsQuery,
  usePantryQuery,
  useSettingsQuery,
  useVesselsQuery,
} from './kitchenApi';

const EMPTY_PANTRY: Pantry = {};

export function useKitchen(): Kitchen {
  const kept = useSettingsQuery().data ?? DEFAULT_SETTINGS;
  const { decimalSign } = useHere();
  const settings = useMemo(
    () => (decimalSign === null ? kept : { ...kept, decimalSign }),
    [kept, decimalSign],
  );
  const vessels = useVesselsQuery().data ?? STARTING_VESSELS;
  const own = useOwnIngredientsQuery().data;
  const pantry = usePantryQuery().data ?? EMPTY_PANTRY;
  const versions = useMadeQuery().data;
  const plain = useMemo(() => catalogueWith(own, pantry), [own, pantry]);
  const measures = useOwnMeasures(plain);
  const catalogue = useMemo(
    () =>
      withMade(plain, versions ?? [], (formula, catalogue) =>
        contextFor(formula, { catalogue, settings: kept, own: measures }),
      ),
    [plain, versions, kept, measures],
  );
  return useMemo(
    () => ({ settings, readAmountsWith: kept.decimalSign, vessels, catalogue, pantry, own: measures }),
    [settings, kept.decimalSign, vessels, catalogue, pantry, measures],
  );
}
