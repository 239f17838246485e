/**
 * A jar that is filled before anything is written: what went in, weighed or read off the glass, with or without a
 * name. Plain data, so that a device can keep it.
 */
import { composition, mixedVolumeMlPerG } from '#core/composition';
import type { FormulaId, VesselId } from '#core/formula';
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import type { Pour, PourKind } from '#core/pour';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { Reading } from '#core/trial';

export interface PouredThing {
  readonly id: string;
  /** Began and was over, ms; the same where nobody timed it. */
  readonly fromMs: number;
  readonly atMs: number;
  /** Weighed or counted, g; null: the level in the glass was read. */
  readonly massG: number | null;
  /** What it raised the level by, ml; null: it was weighed. */
  readonly raisedMl: number | null;
  readonly kind: PourKind;
  /** Null: nobody said yet what it was. */
  readonly ingredientId: IngredientId | null;
  readonly form: string;
  /** The amount as it was typed; empty where an instrument said it. */
  readonly said: string;
  readonly reading: Reading;
}

export interface FreePour {
  /** What they will be once it is done. */
  readonly formulaId: FormulaId;
  readonly jarId: string;
  readonly vesselId: VesselId;
  readonly things: readonly PouredThing[];
  /** What the cook did to them, newest last: each as it was before, null where it was not there. */
  readonly past: readonly { readonly id: string; readonly before: PouredThing | null }[];
  /** Said not to be in the jar: the scale's course does not bring them back. */
  readonly out: readonly Seen[];
  /** What the scale rested at when it was last looked at, g. */
  readonly restedAtG: number | null;
}

/** Told again by when it was: what the scale's course says of it may change while it lasts. */
type Seen = Pick<PouredThing, 'id' | 'fromMs' | 'atMs'>;

const MOST_PAST = 50;
/** What nobody named is taken to be as heavy as water, g/ml; tag: estimate. */
const UNNAMED_G_PER_ML = 1;

export function emptyPour(vesselId: VesselId, newId: () => string): FreePour {
  return {
    formulaId: newId() as FormulaId,
    jarId: newId(),
    vesselId,
    things: [],
    past: [],
    out: [],
    restedAtG: null,
  };
}

const inTime = (things: readonly PouredThing[]): readonly PouredThing[] =>
  [...things].sort((a, b) => a.atMs - b.atMs);

function set(pour: FreePour, id: string, thing: PouredThing | null): FreePour {
  const others = pour.things.filter((one) => one.id !== id);
  const out = pour.out.filter((one) => one.id !== id);
  if (thing) return { ...pour, things: inTime([...others, thing]), out };
  const gone = pour.things.find((one) => one.id === id);
  return { ...pour, things: others, out: gone ? [...out, gone] : out };
}

function done(pour: FreePour, id: string, thing: PouredThing | null): FreePour {
  const before = pour.things.find((one) => one.id === id) ?? null;
  return { ...set(pour, id, thing), past: [...pour.past, { id, before }].slice(-MOST_PAST) };
}

/** Something went in that no scale saw. */
export const withThing = (pour: FreePour, thing: PouredThing): FreePour => done(pour, thing.id, thing);

export function named(pour: FreePour, id: string, ingredientId: IngredientId | null, form = ''): FreePour {
  const thing = pour.things.find((one) => one.id === id);
  return thing ? done(pour, id, { ...thing, ingredientId, form }) : pour;
}

/** It is not in the jar: a spoon that lay on it, the jar itself. */
export const takenOut = (pour: FreePour, id: string): FreePour =>
  pour.things.some((one) => one.id === id) ? done(pour, id, null) : pour;

/** The cook's last deed, taken back. What the scale said of its weight since stays. */
export function undone(pour: FreePour): FreePour {
  const last = pour.past.at(-1);
  if (!last) return pour;
  const now = pour.things.find(({ id }) => id === last.id);
  const before =
    last.before && now
      ? { ...now, ingredientId: last.before.ingredientId, form: last.before.form }
      : last.before;
  return { ...set(pour, last.id, before), past: pour.past.slice(0, -1) };
}

/** What it was called, g: a level that was read becomes a weight by what it turned out to be. */
export function massOf(thing: PouredThing, catalogue: Catalogue): number {
  if (thing.massG !== null) return thing.massG;
  const ingredient = thing.ingredientId && catalogue.get(thing.ingredientId);
  return (thing.raisedMl ?? 0) * (ingredient ? 1 / mixedVolumeMlPerG(ingredient) : UNNAMED_G_PER_ML);
}

export const unnamedIn = ({ things }: Pick<FreePour, 'things'>): readonly PouredThing[] =>
  things.filter(({ ingredientId }) => ingredientId === null);

/** One line of what lies in it: everything of one thing together, in the order it first went in. */
export interface PouredLine {
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly massG: number;
  readonly things: readonly PouredThing[];
}

export function linesOf({ things }: Pick<FreePour, 'things'>, catalogue: Catalogue): readonly PouredLine[] {
  const lines = new Map<string, PouredLine>();
  for (const thing of things) {
    const ingredient = thing.ingredientId && catalogue.get(thing.ingredientId);
    if (!ingredient) continue;
    const key = `${ingredient.id} ${thing.form}`;
    const line = lines.get(key) ?? { ingredient, form: thing.form, massG: 0, things: [] };
    lines.set(key, {
      ...line,
      massG: line.massG + massOf(thing, catalogue),
      things: [...line.things, thing],
    });
  }
  return [...lines.values()].filter(({ massG }) => massG > 0);
}

export const portionsIn = (pour: Pick<FreePour, 'things'>, catalogue: Catalogue): readonly JudgedPortion[] =>
  linesOf(pour, catalogue).map(({ ingredient, form, massG }) => ({
    ingredient,
    form,
    massG: exactly(massG),
  }));

/** Everything that is in it, named or not, ml. */
export function volumeOf(pour: Pick<FreePour, 'things'>, catalogue: Catalogue): number {
  const unnamed = unnamedIn(pour).reduce(
    (sum, thing) => sum + (thing.raisedMl ?? massOf(thing, catalogue) / UNNAMED_G_PER_ML),
    0,
  );
  return composition(portionsIn(pour, catalogue)).mixedVolumeMl + unnamed;
}

/**
 * What the scale's course says now, in place of what it said a moment ago: an amount still grows while it is poured, one
 * becomes two or two become one, and what was a hand that leaned on the jar goes again. Each is known by when it was: a
 * name that was given stays with it, and what was said not to be in the jar stays out.
 */
export function withWatched(
  pour: FreePour,
  course: { readonly id: string; readonly startedAtMs: number },
  pours: readonly Pour[],
  reading: Reading,
): FreePour {
  const isOfCourse = ({ id }: Seen): boolean => id.startsWith(`${course.id}-`);
  const old = pour.things.filter(isOfCourse);
  const out = pour.out.filter(isOfCourse);
  const taken = new Set<string>();
  const seen = pours.flatMap(({ fromS, toS, massG, kind }): PouredThing[] => {
    const fromMs = course.startedAtMs + fromS * 1000;
    const atMs = course.startedAtMs + toS * 1000;
    const alike = <T extends Seen>(all: readonly T[]): readonly T[] =>
      all
        .filter((one) => !taken.has(one.id) && overlapMs(one, { fromMs, atMs }) > 0)
        .sort((x, y) => overlapMs(y, { fromMs, atMs }) - overlapMs(x, { fromMs, atMs }));
    const [gone] = alike(out);
    const same = alike(old);
    const [before] = same;
    if (gone && (!before || overlapMs(gone, { fromMs, atMs }) >= overlapMs(before, { fromMs, atMs }))) {
      taken.add(gone.id);
      return [];
    }
    // Two that became one keep the name that either had.
    const named = same.find(({ ingredientId }) => ingredientId !== null);
    const id = before?.id ?? `${course.id}-${Math.round(fromS * 1000)}`;
    taken.add(id);
    return [
      {
        id,
        fromMs,
        atMs,
        massG,
        raisedMl: null,
        kind,
        ingredientId: named?.ingredientId ?? null,
        form: named?.form ?? '',
        said: '',
        reading,
      },
    ];
  });
  const isSame =
    old.length === seen.length &&
    old.every((thing, i) => {
      const now = seen[i]!;
      return thing.id === now.id && thing.massG === now.massG && thing.kind === now.kind;
    });
  if (isSame) return pour;
  return { ...pour, things: inTime([...pour.things.filter((thing) => !isOfCourse(thing)), ...seen]) };
}

/** How long both were under way; a moment for what took none. */
const overlapMs = (a: Pick<Seen, 'fromMs' | 'atMs'>, b: Pick<Seen, 'fromMs' | 'atMs'>): number =>
  Math.min(a.atMs, b.atMs) - Math.max(a.fromMs, b.fromMs) + MOMENT_MS;
/** Edges of a pour move by so much from one look to the next; tag: estimate. */
const MOMENT_MS = 400;

/** Where the scale rests now; a flicker is no news. */
export const rested = (pour: FreePour, restsAtG: number, stepG: number): FreePour =>
  pour.restedAtG !== null && Math.abs(pour.restedAtG - restsAtG) < 2 * stepG
    ? pour
    : { ...pour, restedAtG: restsAtG };

/** The scale rests higher than when it was last looked at: something went in meanwhile, and nobody saw it. */
export function withWhileAway(
  pour: FreePour,
  restsAtG: number,
  stepG: number,
  thing: Pick<PouredThing, 'id' | 'fromMs' | 'atMs' | 'reading'>,
): FreePour {
  const massG = pour.restedAtG === null ? 0 : restsAtG - pour.restedAtG;
  const isPour = massG > Math.max(2 * stepG, 1) && massG < MOST_AWAY_G;
  const now = rested(pour, restsAtG, stepG);
  if (!isPour) return now;
  const unseen = { massG, raisedMl: null, kind: 'stream', ingredientId: null, form: '', said: '' } as const;
  return { ...now, things: inTime([...pour.things, { ...thing, ...unseen }]) };
}
/** More than that is another jar on the scale; tag: estimate. */
const MOST_AWAY_G = 150;
