/** "What changed" between two states of a formula, in a cook's words, one line a change. */
import {
  inOrder,
  type Addition,
  type AdditionId,
  type Formula,
  type Phase,
  contentDiff,
} from '#core/formula';

export type ChangeKind = 'added' | 'removed' | 'amount' | 'ingredient' | 'place' | 'words' | 'formula';

export interface ChangeLine {
  readonly kind: ChangeKind;
  /** What it is about: the addition's name, or a part of the formula. */
  readonly what: string;
  readonly from: string | null;
  readonly to: string | null;
}

export interface Naming {
  readonly ingredient: (addition: Addition) => string;
  readonly vessel: (id: string) => string;
  readonly style: (id: string) => string;
}

const PHASE_WORDS: Record<Phase, string> = { base: 'the base', oil: 'the oil', finish: 'the finish' };
const FORMULA_WORDS: Partial<Record<string, string>> = {
  name: 'Name',
  vesselId: 'Vessel',
  spoons: 'Spoons',
  partVolumeMl: 'One part',
  servingVolumeMl: 'A serving',
  countsOptional: 'Optional additions',
  styleId: 'Style aimed at',
  targetRatio: 'Ratio aimed at',
  tool: 'Mixed with',
  mixSeconds: 'Mixed for',
  stageNames: 'Places to stop',
};

/** Lines in the order of the newer state: amounts first told where they stand, then what went, then the frame. */
export function describeChange(before: Formula, after: Formula, naming: Naming): readonly ChangeLine[] {
  const diff = contentDiff(before, after);
  const old = new Map(before.additions.map((addition) => [addition.id, addition]));
  const lines: ChangeLine[] = [];
  const isNew = new Set(diff.added.map(({ id }) => id));
  const moved = reordered(before, after);
  for (const addition of inOrder(after.additions)) {
    const name = naming.ingredient(addition);
    if (isNew.has(addition.id)) {
      lines.push({ kind: 'added', what: name, from: null, to: said(addition) });
      continue;
    }
    const was = old.get(addition.id)!;
    lines.push(...changesOf(was, addition, name, naming, moved.has(addition.id)));
  }
  for (const addition of inOrder(diff.removed)) {
    lines.push({ kind: 'removed', what: naming.ingredient(addition), from: said(addition), to: null });
  }
  for (const { additionId, field, from, to } of diff.updated) {
    if (additionId !== null) continue;
    const show = (value: unknown): string => sayField(field, value, naming);
    lines.push({ kind: 'formula', what: FORMULA_WORDS[field] ?? field, from: show(from), to: show(to) });
  }
  return lines;
}

function changesOf(
  was: Addition,
  is: Addition,
  name: string,
  naming: Naming,
  moved: boolean,
): readonly ChangeLine[] {
  const lines: ChangeLine[] = [];
  const add = (kind: ChangeKind, what: string, from: string, to: string): void => {
    if (from !== to) lines.push({ kind, what, from, to });
  };
  const [wasName, isName] = [naming.ingredient(was), name];
  add('ingredient', name, wasName, isName);
  add('amount', name, was.amountText, is.amountText);
  if (was.phase !== is.phase) add('place', name, PHASE_WORDS[was.phase], PHASE_WORDS[is.phase]);
  else if (moved) lines.push({ kind: 'place', what: name, from: null, to: 'another place in the order' });
  add('words', `${name}, form`, was.form || 'none', is.form || 'none');
  add('words', `${name}, note`, was.note || 'none', is.note || 'none');
  add('words', name, was.optional ? 'optional' : 'always in', is.optional ? 'optional' : 'always in');
  add('words', name, was.locked ? 'locked' : 'not locked', is.locked ? 'locked' : 'not locked');
  return lines;
}

const said = (addition: Addition): string =>
  [addition.amountText, addition.form].filter(Boolean).join(', ') || 'no amount';

function sayField(field: string, value: unknown, naming: Naming): string {
  if (field === 'vesselId') return naming.vessel(String(value));
  if (value === null) return 'none';
  if (field === 'styleId') return naming.style(String(value));
  if (field === 'targetRatio') return `${Number(value).toFixed(1)} : 1`;
  if (field === 'mixSeconds') return `${Number(value)} s`;
  if (field === 'countsOptional') return value ? 'counted' : 'left out';
  if (typeof value === 'number') return `${value} ml`;
  return String(value);
}

/** Additions that stand elsewhere among those both states share: the fewest that explain the new order. */
function reordered(before: Formula, after: Formula): ReadonlySet<AdditionId> {
  const place = new Map(inOrder(before.additions).map(({ id }, index) => [id, index]));
  const shared = inOrder(after.additions).filter(({ id }) => place.has(id));
  const kept = longestRising(shared.map(({ id }) => place.get(id)!));
  return new Set(shared.filter((_, index) => !kept.has(index)).map(({ id }) => id));
}

/** Indexes of a longest rising subsequence. Lists are short; the square of their length is nothing. */
function longestRising(values: readonly number[]): ReadonlySet<number> {
  const length = values.map(() => 1);
  const previous = values.map(() => -1);
  let best = -1;
  values.forEach((value, i) => {
    for (let j = 0; j < i; j++) {
      if (values[j]! < value && length[j]! + 1 > length[i]!) {
        length[i] = length[j]! + 1;
        previous[i] = j;
      }
    }
    if (best < 0 || length[i]! > length[best]!) best = i;
  });
  const kept = new Set<number>();
  for (let i = best; i >= 0; i = previous[i]!) kept.add(i);
  return kept;
}

/** One line as a sentence. */
export function sayChange({ kind, what, from, to }: ChangeLine): string {
  switch (kind) {
    case 'added':
      return `${what} came in: ${to}.`;
    case 'removed':
      return `${what} went out: it was ${from}.`;
    case 'ingredient':
      return `${from} became ${to}.`;
    case 'place':
      return from === null ? `${what} moved to ${to}.` : `${what} moved from ${from} to ${to}.`;
    default:
      return `${what}: ${from} → ${to}.`;
  }
}

/**
 * The same formula with additions named by what they are, not by who typed them, so that two
 * formulas that grew apart can be told from each other line by line.
 */
export function namedByIngredient(formula: Formula): Formula {
  const seen = new Map<string, number>();
  return {
    ...formula,
    additions: inOrder(formula.additions).map((addition) => {
      const what = addition.ingredientId ?? addition.ingredientText;
      const count = (seen.get(what) ?? 0) + 1;
      seen.set(what, count);
      return { ...addition, id: `${what}#${count}` as AdditionId };
    }),
  };
}
