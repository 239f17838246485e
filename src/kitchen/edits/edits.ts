/** Every edit of a formula as a pure function: the next formula, or the same one where nothing changes. */
import { atWorkWords } from '#words/screens/atWork';
import {
  followsRatio,
  mixedVolumeMlPerG,
  ratioEdit,
  scaledAmountText,
  type RatioSide,
} from '#core/composition';
import {
  inOrder,
  lastStage,
  PHASES,
  rankAt,
  readLines,
  stagesOf,
  usualPhase,
  type Addition,
  type AdditionId,
  type Formula,
  type Phase,
  type ReadingContext,
} from '#core/formula';
import type { ReckonedAddition, Reckoning } from '#core/reckoning';
import { factorToFill, type FillFactor } from '#core/vessel';

export function patchAddition(formula: Formula, id: AdditionId, patch: Partial<Addition>): Formula {
  return {
    ...formula,
    additions: formula.additions.map((addition) =>
      addition.id === id ? { ...addition, ...patch } : addition,
    ),
  };
}

export const removeAddition = (formula: Formula, id: AdditionId): Formula => ({
  ...formula,
  additions: formula.additions.filter((addition) => addition.id !== id),
});

const ofPhase = (formula: Formula, phase: Phase, stage: number): readonly Addition[] =>
  inOrder(formula.additions).filter((addition) => addition.phase === phase && addition.stage === stage);

/** Adds what was typed at the end of its phase in the last stage, as many additions as it says. Unreadable words are kept as typed. */
export function addTyped(
  formula: Formula,
  text: string,
  context: ReadingContext,
  newId: () => AdditionId,
): Formula {
  const stage = lastStage(formula);
  return readLines(text, context).reduce((next, line) => {
    const phase = usualPhase(line, context.catalogue);
    const others = ofPhase(next, phase, stage);
    const addition: Addition = {
      id: newId(),
      amountText: line.amountText,
      ingredientId: line.ingredientId,
      ingredientText: line.ingredientText,
      form: line.form,
      note: '',
      phase,
      optional: false,
      locked: false,
      measuredBy: line.measuredBy,
      stage,
      rank: rankAt(others, others.length),
    };
    return { ...next, additions: [...next.additions, addition] };
  }, formula);
}

/** Where an addition goes in: a phase of a stage. */
export interface Place {
  readonly stage: number;
  readonly phase: Phase;
}

/** Puts an addition at an index of a phase; in its own stage, where no other is said. */
export function placeAddition(
  formula: Formula,
  id: AdditionId,
  { phase, stage = stageOf(formula, id) }: Pick<Place, 'phase'> & Partial<Place>,
  index: number,
): Formula {
  const others = ofPhase(formula, phase, stage).filter((addition) => addition.id !== id);
  return patchAddition(formula, id, { phase, stage, rank: rankAt(others, index) });
}

const stageOf = ({ additions }: Formula, id: AdditionId): number =>
  additions.find((addition) => addition.id === id)?.stage ?? 0;

/** All of them, in the order of the work. */
export const placesOf = (formula: Pick<Formula, 'stageNames'>): readonly Place[] =>
  stagesOf(formula).flatMap((_name, stage) => PHASES.map((phase): Place => ({ stage, phase })));

/** One place up or down; past the end of a phase it goes over into the next, and into the next stage. */
export function stepAddition(formula: Formula, id: AdditionId, direction: 'up' | 'down'): Formula {
  const addition = formula.additions.find((candidate) => candidate.id === id);
  if (!addition) return formula;
  const { phase, stage } = addition;
  const here = ofPhase(formula, phase, stage);
  const index = here.findIndex((candidate) => candidate.id === id);
  const by = direction === 'up' ? -1 : 1;
  const next = index + by;
  if (next >= 0 && next < here.length) return placeAddition(formula, id, addition, next);
  const places = placesOf(formula);
  const place = places[places.findIndex((one) => one.stage === stage && one.phase === phase) + by];
  if (!place) return formula;
  const end = direction === 'up' ? ofPhase(formula, place.phase, place.stage).length : 0;
  return placeAddition(formula, id, place, end);
}

/** The order after a drag: ids and headings in one list, as they lie on the screen. */
export function dropAddition(
  formula: Formula,
  id: AdditionId,
  order: readonly (AdditionId | Place)[],
): Formula {
  let place: Place = { stage: 0, phase: 'base' };
  let index = 0;
  for (const entry of order) {
    if (entry === id) return placeAddition(formula, id, place, index);
    if (typeof entry === 'object') {
      place = entry;
      index = 0;
    } else index += 1;
  }
  return formula;
}

type Movable = ReckonedAddition & { readonly reading: { readonly status: 'read' } };

/** Additions whose amounts can be multiplied: in the jar, read, and more than nothing. */
const inJar = (reckoning: Reckoning): readonly Movable[] =>
  reckoning.additions.filter(
    (reckoned): reckoned is Movable =>
      reckoned.counted && reckoned.reading.status === 'read' && reckoned.reading.massG.nominal > 0,
  );

/** Multiplies the amounts of some additions, in the words they were typed in. Locked ones stay. */
function multiply(
  formula: Formula,
  movable: readonly Movable[],
  factor: number,
  context: ReadingContext,
): Formula {
  const wording = { spoons: formula.spoons, decimalSign: context.decimalSign };
  return movable.reduce((next, { addition, reading }) => {
    if (addition.locked) return next;
    const amountText = scaledAmountText(
      addition.amountText,
      reading.massG.nominal,
      reading.ingredient,
      factor,
      wording,
    );
    return patchAddition(next, addition.id, { amountText });
  }, formula);
}

export type RatioOutcome = Formula | { readonly blocked: string };

/** Sets the ratio by rewriting the amounts of the side that follows, or says what stands in the way. */
export function setRatio(
  formula: Formula,
  reckoning: Reckoning,
  wanted: number,
  follows: RatioSide,
  context: ReadingContext,
): RatioOutcome {
  const movable = inJar(reckoning);
  const portions = movable.map(({ addition, reading }) => ({ ...reading, locked: addition.locked }));
  const edit = ratioEdit(portions, wanted, follows);
  if (edit.status === 'impossible') return { blocked: atWorkWords.thereIsNoMissingIn(edit.missing) };
  if (edit.status === 'locked') {
    return {
      blocked: atWorkWords.theSideIsLockedAt(edit.side),
    };
  }
  const followers = movable.filter(({ reading }) => followsRatio(reading.ingredient, follows));
  return multiply(formula, followers, edit.factor, context);
}

/** The factor that makes the jar hold a volume, with locked amounts as they are. */
export function fillFactor(reckoning: Reckoning, wantedMl: number): FillFactor {
  const volume = (locked: boolean): number =>
    inJar(reckoning)
      .filter(({ addition }) => addition.locked === locked)
      .reduce((ml, { reading }) => ml + reading.massG.nominal * mixedVolumeMlPerG(reading.ingredient), 0);
  return factorToFill(volume(false), volume(true), wantedMl);
}

export const scaleAll = (
  formula: Formula,
  reckoning: Reckoning,
  factor: number,
  context: ReadingContext,
): Formula => multiply(formula, inJar(reckoning), factor, context);

/** One patch for several additions at once: one step of undo. */
export const patchAll = (
  formula: Formula,
  ids: ReadonlySet<AdditionId>,
  patch: Partial<Addition>,
): Formula => ({
  ...formula,
  additions: formula.additions.map((addition) =>
    ids.has(addition.id) ? { ...addition, ...patch } : addition,
  ),
});

export const removeAll = (formula: Formula, ids: ReadonlySet<AdditionId>): Formula => ({
  ...formula,
  additions: formula.additions.filter((addition) => !ids.has(addition.id)),
});

export const moveAll = (formula: Formula, ids: ReadonlySet<AdditionId>, phase: Phase): Formula =>
  inOrder(formula.additions)
    .filter(({ id }) => ids.has(id))
    .reduce((next, { id }) => placeAddition(next, id, { phase }, next.additions.length), formula);
