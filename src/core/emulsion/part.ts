/**
 * What an ingredient is to an emulsion: mass fractions of what dissolves, of oil that still has to be
 * broken up, of oil that is in drops already, and what it brings to hold them. Where a row says nothing
 * of it, its class does, as an estimate.
 */
import type { EmulsifierKind, EmulsionValues, Ingredient, StructureValues } from '#core/ingredient';
import { structureOf } from './structure';
import { wiltsOf } from './wilting';

/** Mass fractions, 0..1. Mucilage is part of the fibre and takes no volume of its own. */
export interface EmulsionPart {
  readonly water: number;
  readonly sugar: number;
  readonly salt: number;
  readonly acetic: number;
  /** Citric and the other fruit acids. */
  readonly citric: number;
  readonly protein: number;
  /** Of yolk and mayonnaise: thickens as particles do. Counted apart from `protein`. */
  readonly hydratedProtein: number;
  readonly ethanol: number;
  readonly fibre: number;
  readonly gum: number;
  readonly mucilage: number;
  readonly mineral: number;
  /** Lipoprotein of yolk: no drops, it belongs to the water side. */
  readonly lipidBound: number;
  /** Fat that stays where it is: cheese, fish, seeds. */
  readonly boundFat: number;
  readonly freeOil: number;
  readonly emulsifiedOil: number;
  /** Drops of the emulsified oil, m. */
  readonly emulsifiedDropM: number;
  readonly swollenMlPerG: number;
  /** Water it gives off where it lies in pieces, at most, 0..1 of its weight. */
  readonly wilts: number;
  /** Its body; null: none of its own. */
  readonly structure: StructureValues | null;
  readonly emulsifier: EmulsifierKind;
  readonly adsorbableMassFraction: number;
  /** Which oil the free oil is; its id in the oil table. */
  readonly oilId: string | null;
}

export const EMPTY_PART: EmulsionPart = {
  water: 0,
  sugar: 0,
  salt: 0,
  acetic: 0,
  citric: 0,
  protein: 0,
  hydratedProtein: 0,
  ethanol: 0,
  fibre: 0,
  gum: 0,
  mucilage: 0,
  mineral: 0,
  lipidBound: 0,
  boundFat: 0,
  freeOil: 0,
  emulsifiedOil: 0,
  emulsifiedDropM: 0,
  swollenMlPerG: 0,
  wilts: 0,
  structure: null,
  emulsifier: 'none',
  adsorbableMassFraction: 0,
  oilId: null,
};

export interface PartAmount {
  readonly part: EmulsionPart;
  readonly massG: number;
}

/** Of an ingredient that is bought or grown, not made here. */
export function partOf(ingredient: Ingredient): EmulsionPart {
  const { composition: c, category } = ingredient;
  const values = ingredient.emulsion ?? (ingredient.byHand ? unknownBinder(ingredient) : byClass(ingredient));
  const yolk = values.kind === 'yolk';
  const gum = category === 'thickener' && ingredient.bodyIndex > 1000;
  const sugar = c.sucrose + c.glucose + c.fructose + c.lactose + c.polyol;
  const citric = c.citric + c.lactic + c.malic + c.tartaric;
  const fibre = Math.max(0, c.otherCarbohydrate - c.polyol);
  if (gum) return { ...EMPTY_PART, gum: 1 };
  const listed = c.water + c.fat + c.protein + sugar + citric + c.acetic + c.salt + fibre + c.ethanol;
  return {
    ...EMPTY_PART,
    water: c.water,
    sugar,
    salt: c.salt,
    acetic: c.acetic,
    citric,
    ethanol: c.ethanol,
    protein: yolk ? 0 : c.protein,
    hydratedProtein: yolk ? c.protein : 0,
    fibre,
    mucilage: values.mucilageMassFraction,
    mineral: Math.max(0, 1 - listed),
    lipidBound: values.oilState === 'bound' && ingredient.emulsion ? c.fat : 0,
    boundFat: values.oilState === 'none' || (values.oilState === 'bound' && !ingredient.emulsion) ? c.fat : 0,
    freeOil: values.oilState === 'free' ? c.fat : 0,
    emulsifiedOil: values.oilState === 'emulsified' ? c.fat : 0,
    emulsifiedDropM: values.dropUm * 1e-6,
    swollenMlPerG: values.swollenMlPerG,
    wilts: wiltsOf(ingredient),
    structure: structureOf(ingredient),
    emulsifier: values.kind,
    adsorbableMassFraction: values.adsorbableMassFraction,
    oilId: values.oilState === 'free' ? ingredient.id : null,
  };
}

const NOTHING: EmulsionValues = {
  kind: 'none',
  adsorbableMassFraction: 0,
  swollenMlPerG: 0,
  mucilageMassFraction: 0,
  oilState: 'bound',
  dropUm: 0,
};

/** What was entered by hand may hold drops or not: that it does not counts as the worse. */
const unknownBinder = (ingredient: Ingredient): EmulsionValues => ({
  ...byClass(ingredient),
  kind: 'none',
  adsorbableMassFraction: 0,
});

/** Rows of their own are few; the rest by what it is. Tag: estimate throughout. */
function byClass({ category, composition: { water, fat, protein } }: Ingredient): EmulsionValues {
  const wet = water > 0.3;
  switch (category) {
    case 'oil':
      return { ...NOTHING, oilState: 'free' };
    case 'creamy':
      return wet
        ? {
            ...NOTHING,
            kind: 'milk',
            adsorbableMassFraction: 0.006,
            swollenMlPerG: 0.15,
            oilState: 'emulsified',
            dropUm: 3,
          }
        : { ...NOTHING, kind: 'weak', adsorbableMassFraction: 0.01, swollenMlPerG: 0.45, oilState: 'free' };
    case 'aromatic':
    case 'herb':
    case 'veg':
    case 'fruit':
      return wet ? { ...NOTHING, kind: 'weak', adsorbableMassFraction: 0.001, swollenMlPerG: 0.25 } : NOTHING;
    case 'emulsifier':
      return { ...NOTHING, kind: 'weak', adsorbableMassFraction: Math.min(0.03, protein * 0.2) };
    case 'savoury':
      // Pastes in oil give it off; cheese and fish keep theirs.
      return fat > 0.25 && water < 0.4 && protein < 0.12
        ? { ...NOTHING, kind: 'weak', adsorbableMassFraction: 0.002, swollenMlPerG: 0.3, oilState: 'free' }
        : {
            ...NOTHING,
            kind: 'weak',
            adsorbableMassFraction: protein > 0.1 && wet ? 0.002 : 0,
            swollenMlPerG: wet && protein > 0.05 ? 0.1 : 0,
          };
    default:
      return NOTHING;
  }
}
