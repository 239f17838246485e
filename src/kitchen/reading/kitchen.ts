/** A kitchen at work: its settings, vessels, catalogue and stock, and how a formula's lines are read with them. */
import { EMPTY_PANTRY_ENTRY, type OwnIngredient, type PantryEntry, type Settings } from '#contract';
import type { PackPrice } from '#core/composition';
import { withTest } from '#core/emulsion';
import type { Formula, ReadingContext } from '#core/formula';
import {
  catalogueOf,
  ownIngredientFromRow,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  withBottle,
  type Catalogue,
  type IngredientId,
  type OwnMeasures,
} from '#core/ingredient';
import type { DecimalSign } from '#core/quantity';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS, type Vessel } from '#core/vessel';

export interface Kitchen {
  readonly settings: Settings;
  /** How amounts that are kept are read, where a device writes its numbers otherwise than the kitchen. */
  readonly readAmountsWith?: DecimalSign;
  readonly vessels: readonly Vessel[];
  /** With the values of the bottles in use, and versions that may go into other formulas. */
  readonly catalogue: Catalogue;
  readonly pantry: Pantry;
  readonly own: OwnMeasures;
}

export type Pantry = Readonly<Record<string, PantryEntry>>;

/** The reference, the kitchen's own rows, and the values of the bottles in use. */
export function catalogueWith(own: readonly OwnIngredient[] | undefined, pantry: Pantry): Catalogue {
  const known = own?.length
    ? catalogueOf([...REFERENCE_INGREDIENTS, ...own.map(ownIngredientFromRow)])
    : REFERENCE_CATALOGUE;
  const bottled = Object.entries(pantry).flatMap(([id, { bottle }]) => {
    const ingredient = known.get(id as IngredientId);
    const differs = bottle.acidityGPer100Ml !== null || bottle.ph !== null || bottle.thickness;
    return ingredient && differs ? [withTest(withBottle(ingredient, bottle), bottle.thickness)] : [];
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

export function vesselOf(formula: Pick<Formula, 'vesselId'>, vessels: readonly Vessel[]): Vessel {
  const fallback = vessels.find(({ id }) => id === DEFAULT_VESSEL_ID) ?? STARTING_VESSELS[0]!;
  return vessels.find(({ id }) => id === formula.vesselId) ?? fallback;
}

export function contextFor(
  formula: Formula,
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own' | 'readAmountsWith'>,
): ReadingContext {
  return {
    catalogue: kitchen.catalogue,
    decimalSign: kitchen.readAmountsWith ?? kitchen.settings.decimalSign,
    measuring: {
      spoons: formula.spoons,
      partVolumeMl: formula.partVolumeMl,
      smallMeasures: kitchen.settings.smallMeasures,
      own: kitchen.own,
    },
  };
}
