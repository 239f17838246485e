/** A dish typed like a formula, one thing a line: the same reader, with what was done to each. */
import { readLines, type AdditionReading, type ReadingContext } from '#core/formula';
import type { DishThing } from './dish';
import { preparationOf } from './preparation';

export interface DishLine {
  /** From 1. */
  readonly line: number;
  readonly text: string;
  /** Null: it could not be read, and nothing of it counts. */
  readonly thing: DishThing | null;
  readonly reading: AdditionReading;
}

export const MOST_DISH_LINES = 60;

/** Blank lines and lines that begin with # are passed over; what comes after the most lines, too. */
export function readDish(text: string, context: ReadingContext): readonly DishLine[] {
  return text
    .split(/\r?\n/)
    .map((raw, index) => ({ line: index + 1, text: raw.trim() }))
    .filter((entry) => entry.text !== '' && !entry.text.startsWith('#'))
    .slice(0, MOST_DISH_LINES)
    .flatMap((entry) =>
      readLines(entry.text, context).map(({ reading }): DishLine => {
        if (reading.status === 'unread') return { ...entry, thing: null, reading };
        const { ingredient, massG } = reading;
        const preparation = preparationOf(entry.text);
        return { ...entry, thing: { ingredient, massG: massG.nominal, preparation }, reading };
      }),
    );
}
