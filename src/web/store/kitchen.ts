/** The kitchen as every screen needs it: settings, vessels, catalogue; defaults until the server has answered. */
import { useMemo } from 'react';
import { DEFAULT_SETTINGS, type OwnIngredient, type Settings } from '#contract';
import type { Formula, ReadingContext } from '#core/formula';
import {
  catalogueOf,
  ingredientFromRow,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type Catalogue,
} from '#core/ingredient';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS, type Vessel } from '#core/vessel';
import { useOwnIngredientsQuery, useSettingsQuery, useVesselsQuery } from '../api/kitchenApi';

export interface Kitchen {
  readonly settings: Settings;
  readonly vessels: readonly Vessel[];
  readonly catalogue: Catalogue;
}

export function useKitchen(): Kitchen {
  const settings = useSettingsQuery().data ?? DEFAULT_SETTINGS;
  const vessels = useVesselsQuery().data ?? STARTING_VESSELS;
  const own = useOwnIngredientsQuery().data;
  const catalogue = useMemo(() => catalogueWith(own), [own]);
  return useMemo(() => ({ settings, vessels, catalogue }), [settings, vessels, catalogue]);
}

function catalogueWith(own: readonly OwnIngredient[] | undefined): Catalogue {
  if (!own?.length) return REFERENCE_CATALOGUE;
  return catalogueOf([...REFERENCE_INGREDIENTS, ...own.map(ingredientFromRow)]);
}

export function vesselOf(formula: Formula, vessels: readonly Vessel[]): Vessel {
  const fallback = vessels.find(({ id }) => id === DEFAULT_VESSEL_ID) ?? STARTING_VESSELS[0]!;
  return vessels.find(({ id }) => id === formula.vesselId) ?? fallback;
}

export function contextFor(formula: Formula, kitchen: Kitchen): ReadingContext {
  return {
    catalogue: kitchen.catalogue,
    decimalSign: kitchen.settings.decimalSign,
    measuring: {
      spoons: formula.spoons,
      partVolumeMl: formula.partVolumeMl,
      smallMeasures: kitchen.settings.smallMeasures,
    },
  };
}
