/**
 * What a dressing meets on the plate: how much of it a thing takes, how much clings, how much it drinks and
 * how fast, what water it gives. By kind of surface, not by thing; a thing says which it has. Values per
 * 100 g as eaten. Tag: common practice where a cook could name the amount, else estimate.
 */
import type { Category, Ingredient, SurfaceKind, Tag } from '#core/ingredient';
import type { DishKind, Dressed } from '#core/service';

export interface SurfaceValues {
  /** The dish that it makes when it is most of it; null: it is only ever a part. */
  readonly kind: DishKind | null;
  /** What it is dressed with, ml per 100 g. */
  readonly mlPer100G: Readonly<Record<Dressed, number>>;
  /**
   * What clings of a dressing that pours like cream, ml per 100 g: a little more than what it is normally dressed
   * with, for that is what a cook calls normal.
   */
  readonly clingMl: number;
  /** What it drinks in the end, ml per 100 g, and after how long half of that, min. */
  readonly drinkMl: number;
  readonly drinkHalfMin: number;
  /** Water that salt and acid draw out once it is cut, ml per 100 g, and after how long half of it, min. */
  readonly drawnMl: number;
  readonly drawnHalfMin: number;
  /** Water left on it by washing, ml per 100 g. */
  readonly wetMl: number;
  /** Dressed, it is limp after so long, min; null: it stands. */
  readonly limpMin: number | null;
  /** So much of its own salt, sugar and acid is tasted as if it were the dressing's: pieces are bitten now and then. */
  readonly biteShare: number;
  /** What it wants of salt to taste of itself, g per g: more is the dressing's gain, less its task. */
  readonly plainSalt: number;
  readonly tag: Tag;
}

type Three = readonly [number, number, number];
const surface = (
  kind: DishKind | null,
  [lightly, normally, well]: Three,
  clingMl: number,
  [drinkMl, drinkHalfMin]: readonly [number, number],
  [drawnMl, drawnHalfMin]: readonly [number, number],
  {
    wetMl = 0,
    limpMin = null,
    biteShare = 0.6,
    plainSalt = 0.0005,
    tag = 'estimate',
  }: Partial<SurfaceValues> = {},
): SurfaceValues => ({
  kind,
  mlPer100G: { lightly, normally, well },
  clingMl,
  drinkMl,
  drinkHalfMin,
  drawnMl,
  drawnHalfMin,
  wetMl,
  limpMin,
  biteShare,
  plainSalt,
  tag,
});
const practice = 'common practice' as const;

export const SURFACES: Readonly<Record<SurfaceKind, SurfaceValues>> = {
  tender: surface('tender-leaves', [12, 20, 30], 24, [0, 30], [6, 20], {
    wetMl: 14,
    limpMin: 8,
    biteShare: 1,
    tag: practice,
  }),
  sturdy: surface('sturdy-leaves', [18, 28, 40], 32, [0, 30], [4, 30], {
    wetMl: 10,
    limpMin: 60,
    biteShare: 1,
    tag: practice,
  }),
  shredded: surface('slaw', [25, 40, 60], 44, [4, 60], [10, 30], { biteShare: 0.9, tag: practice }),
  crisp: surface('raw-vegetables', [12, 20, 30], 22, [1, 60], [4, 40], { wetMl: 3 }),
  watery: surface('raw-vegetables', [10, 16, 25], 18, [0, 30], [14, 25], { wetMl: 3 }),
  cooked: surface('cooked', [15, 25, 40], 24, [6, 25], [2, 60], { plainSalt: 0.0025, tag: practice }),
  pulse: surface('cooked', [15, 25, 40], 26, [8, 40], [0, 30], { plainSalt: 0.0025 }),
  grain: surface('cooked', [15, 25, 40], 26, [12, 20], [0, 30], { plainSalt: 0.002 }),
  pasta: surface('cooked', [20, 32, 48], 24, [14, 25], [0, 30], { plainSalt: 0.004, tag: practice }),
  potato: surface('warm-potato', [20, 35, 50], 24, [16, 15], [0, 30], { plainSalt: 0.004, tag: practice }),
  soft: surface(null, [4, 7, 12], 8, [1, 60], [2, 60], { plainSalt: 0.006 }),
  piece: surface('fish-or-meat', [10, 16, 25], 18, [1.5, 60], [1, 60], { plainSalt: 0.004 }),
  bread: surface(null, [20, 30, 45], 34, [40, 8], [0, 30], { plainSalt: 0.012, biteShare: 0.7 }),
  fruit: surface(null, [6, 10, 16], 12, [0, 60], [6, 30]),
  dry: surface(null, [0, 0, 4], 3, [4, 60], [0, 30]),
  // What is chopped into the dish as a seasoning: no surface to speak of, and all of it is tasted.
  fine: surface(null, [0, 0, 0], 0, [0, 60], [0, 60], { biteShare: 1 }),
};

/** Where a row does not say. */
const BY_CATEGORY: Readonly<Record<Category, SurfaceKind>> = {
  oil: 'fine',
  vinegar: 'fine',
  citrus: 'fine',
  salt: 'fine',
  sweet: 'fine',
  emulsifier: 'fine',
  thickener: 'fine',
  spice: 'fine',
  water: 'fine',
  aromatic: 'fine',
  creamy: 'soft',
  savoury: 'piece',
  fruit: 'fruit',
  herb: 'tender',
  veg: 'crisp',
};

export const surfaceKindOf = ({
  surface: own,
  category,
}: Pick<Ingredient, 'surface' | 'category'>): SurfaceKind => own ?? BY_CATEGORY[category];
export const surfaceOf = (ingredient: Pick<Ingredient, 'surface' | 'category'>): SurfaceValues =>
  SURFACES[surfaceKindOf(ingredient)];
