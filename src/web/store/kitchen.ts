/** The kitchen as every screen needs it: settings, vessels, catalogue; defaults until the server has answered. */
import { useMemo } from 'react';
import {
  DEFAULT_SETTINGS,
  EMPTY_PANTRY_ENTRY,
  type OwnIngredient,
  type PantryEntry,
  type Settings,
} from '#contract';
import type { Formula, ReadingContext } from '#core/formula';
import {
  catalogueOf,
  ownIngredientFromRow,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  withBottle,
  type OwnMeasures,
  type Catalogue,
  type IngredientId,
} from '#core/ingredient';
import type { PackPrice } from '#core/composition';
import { useOwnMeasures } from './ownMeasures';
import { withMade } from '#core/reckoning';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS, type Vessel } from '#core/vessel';
import {
  useMadeQuery,
  useOwnIngredientsQuery,
  usePantryQuery,
  useSettingsQuery,
  useVesselsQuery,
} from '../api/kitchenApi';

export interface Kitchen {
  readonly settings: Settings;
  readonly vessels: readonly Vessel[];
  /** With the values of the bottles in use, and versions that may go into other formulas. */
  readonly catalogue: Catalogue;
  readonly pantry: Pantry;
  readonly own: OwnMeasures;
}

export type Pantry = Readonly<Record<string, PantryEntry>>;
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

function catalogueWith(own: readonly OwnIngredient[] | undefined, pantry: Pantry): Catalogue {
  const known = own?.length
    ? catalogueOf([...REFERENCE_INGREDIENTS, ...own.map(ownIngredientFromRow)])
    : REFERENCE_CATALOGUE;
  const bottled = Object.entries(pantry).flatMap(([id, { bottle }]) => {
    const ingredient = known.get(id as IngredientId);
    const differs = bottle.acidityGPer100Ml !== null || bottle.ph !== null;
    return ingredient && differs ? [withBottle(ingredient, bottle)] : [];
  });
  return bottled.length ? catalogueOf([...known.values(), ...bottled]) : known;
}

export const entryOf = (pantry: Pantry, id: string): PantryEntry => pantry[id] ?? EMPTY_PANTRY_ENTRY;

export function packPriceOf(pantry: Pantry): (id: IngredientId) => PackPrice | null {
  return (id) => {
    const { price, packMassG } = entryOf(pantry, id);
    return price !== null && packMassG !== null ? { price, packMassG } : null;
  };
}

export function vesselOf(formula: Formula, vessels: readonly Vessel[]): Vessel {
  const fallback = vessels.find(({ id }) => id === DEFAULT_VESSEL_ID) ?? STARTING_VESSELS[0]!;
  return vessels.find(({ id }) => id === formula.vesselId) ?? fallback;
}

export function contextFor(
  formula: Formula,
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own'>,
): ReadingContext {
  return {
    catalogue: kitchen.catalogue,
    decimalSign: kitchen.settings.decimalSign,
    measuring: {
      spoons: formula.spoons,
      partVolumeMl: formula.partVolumeMl,
      smallMeasures: kitchen.settings.smallMeasures,
      own: kitchen.own,
    },
  };
}
