/** What is being planned, kept in the address: a reload or a link brings it back. */
import { useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import {
  LOADS_AS,
  ROUNDINGS,
  SCHOOLS,
  type BatchTarget,
  type LoadsAs,
  type RoundingKind,
  type School,
} from '#core/batch';
import { TOOLS, type Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { batchPlanWords } from '#words/screens/batchPlan';
import { typedNumber } from '../../form/typed';

export const TARGET_KINDS = ['volume', 'mass', 'portions', 'jars', 'on-hand'] as const;
export type TargetKind = (typeof TARGET_KINDS)[number];
export const TARGET_WORDS: Readonly<Record<TargetKind, string>> = {
  volume: batchPlanWords.inLitres,
  mass: batchPlanWords.inKilograms,
  portions: batchPlanWords.inPortions,
  jars: batchPlanWords.jarsOfASize,
  'on-hand': batchPlanWords.whatIsOnHand,
};

export interface BatchDraft {
  /** Null: whatever is best. */
  readonly version: number | null;
  /** Only as far as this stage of it; null: all of it. */
  readonly stage: number | null;
  readonly kind: TargetKind;
  /** As typed. */
  readonly amount: string;
  readonly sizeMl: string;
  readonly fillPercent: string;
  /** Empty: whatever runs out first. */
  readonly thing: string;
  readonly school: School;
  readonly rounding: RoundingKind;
  readonly tool: Tool | null;
  readonly vesselId: string;
  readonly loadsAs: LoadsAs;
  readonly storageId: string;
  readonly startC: string;
  /** What is poured on into which formula, as typed, litres: "herbs:2|creamy:1.5". */
  readonly split: string;
}

const KEYS = {
  version: 'v',
  stage: 'stage',
  kind: 'by',
  amount: 'amount',
  sizeMl: 'size',
  fillPercent: 'fill',
  thing: 'of',
  school: 'school',
  rounding: 'round',
  tool: 'tool',
  vesselId: 'in',
  loadsAs: 'loads',
  storageId: 'store',
  startC: 'start',
  split: 'split',
} as const satisfies Record<keyof BatchDraft, string>;

const oneOf = <T extends string>(all: readonly T[], text: string | null): T | null =>
  all.find((value) => value === text) ?? null;

export function draftFrom(search: URLSearchParams): BatchDraft {
  const text = (key: keyof BatchDraft, usual: string): string => search.get(KEYS[key]) ?? usual;
  const kind = oneOf(TARGET_KINDS, search.get(KEYS.kind)) ?? 'volume';
  const version = Number(search.get(KEYS.version));
  const stage = search.get(KEYS.stage);
  return {
    version: Number.isInteger(version) && version > 0 ? version : null,
    stage: stage !== null && /^\d{1,2}$/.test(stage) ? Number(stage) : null,
    kind,
    amount: text('amount', kind === 'portions' ? '60' : kind === 'jars' ? '12' : '10'),
    sizeMl: text('sizeMl', kind === 'jars' ? '250' : ''),
    fillPercent: text('fillPercent', '100'),
    thing: text('thing', ''),
    school: oneOf(SCHOOLS, search.get(KEYS.school)) ?? 'hold-back',
    rounding: oneOf(ROUNDINGS, search.get(KEYS.rounding)) ?? 'mixed',
    tool: oneOf(TOOLS, search.get(KEYS.tool)),
    vesselId: text('vesselId', ''),
    loadsAs: oneOf(LOADS_AS, search.get(KEYS.loadsAs)) ?? 'equal',
    storageId: text('storageId', ''),
    startC: text('startC', ''),
    split: text('split', ''),
  };
}

/** Formula by formula what was typed for it. */
export const splitOfDraft = ({ split }: Pick<BatchDraft, 'split'>): ReadonlyMap<string, string> =>
  new Map(
    split.split('|').flatMap((part): [string, string][] => {
      const at = part.indexOf(':');
      return at > 0 ? [[part.slice(0, at), part.slice(at + 1)]] : [];
    }),
  );

export const splitWith = (draft: Pick<BatchDraft, 'split'>, formulaId: string, text: string): string =>
  [...new Map([...splitOfDraft(draft), [formulaId, text.replaceAll('|', '')]])]
    .filter(([, typed]) => typed !== '')
    .map(([id, typed]) => `${id}:${typed}`)
    .join('|');

export type SetDraft = (patch: Partial<BatchDraft> | ((now: BatchDraft) => Partial<BatchDraft>)) => void;

export function useBatchDraft(): readonly [BatchDraft, SetDraft] {
  const [search, setSearch] = useSearchParams();
  // Two fields may be typed in before the address is drawn anew: the second goes on from the first.
  const latest = useRef(search);
  const onTheWay = useRef<readonly string[]>([]);
  useEffect(() => {
    const own = onTheWay.current.indexOf(search.toString());
    onTheWay.current = onTheWay.current.slice(own + 1);
    // An address from elsewhere, a link or Back, goes before what was typed.
    if (own < 0) {
      latest.current = search;
      onTheWay.current = [];
    }
  }, [search]);
  const set = useCallback<SetDraft>(
    (change) => {
      const patch = typeof change === 'function' ? change(draftFrom(latest.current)) : change;
      const next = new URLSearchParams(latest.current);
      for (const [key, value] of Object.entries(patch)) {
        const name = KEYS[key as keyof BatchDraft];
        if (value === null || value === '') next.delete(name);
        else next.set(name, String(value));
      }
      // Emptied is not the same as never typed.
      if (patch.amount === '') next.set(KEYS.amount, '');
      latest.current = next;
      onTheWay.current = [...onTheWay.current, next.toString()];
      setSearch(next, { replace: true });
    },
    [setSearch],
  );
  return [draftFrom(search), set];
}

/** What a kitchen can mean, not what physics allows. */
const JAR_LIMITS_ML = { from: 1, to: 20_000 };
const FILL_LIMITS_PERCENT = { from: 10, to: 100 };

export type DraftProblems = Readonly<Partial<Record<'amount' | 'sizeMl' | 'fillPercent' | 'startC', string>>>;

/** The target, or what is wrong with what was typed. */
export function targetOf(
  draft: BatchDraft,
  portionMl: number,
): { readonly target: BatchTarget | null; readonly problems: DraftProblems } {
  const amount = typedNumber(draft.amount).value;
  const typedSize = typedNumber(draft.sizeMl, JAR_LIMITS_ML);
  const size = typedSize.blank ? portionMl : typedSize.value;
  const fill = typedNumber(draft.fillPercent, FILL_LIMITS_PERCENT).value;
  const whole = draft.kind === 'portions' || draft.kind === 'jars';
  const problems: { -readonly [K in keyof DraftProblems]: DraftProblems[K] } = {};
  if (draft.kind !== 'on-hand') {
    if (amount === null || !(amount > 0)) problems.amount = batchPlanWords.aNumberAboveNothing;
    else if (whole && !Number.isInteger(amount)) problems.amount = batchPlanWords.aWholeNumber;
    else if (amount > 100_000) problems.amount = batchPlanWords.tooManyForOneKitchen;
  }
  if (whole && size === null)
    problems.sizeMl = batchPlanWords.fromLowToHighMl(JAR_LIMITS_ML.from, JAR_LIMITS_ML.to);
  if (draft.kind === 'jars' && fill === null)
    problems.fillPercent = batchPlanWords.fromLowToHighPercent(
      FILL_LIMITS_PERCENT.from,
      FILL_LIMITS_PERCENT.to,
    );
  if (Object.keys(problems).length > 0) return { target: null, problems };
  switch (draft.kind) {
    case 'volume':
      return { target: { kind: 'volume', volumeMl: amount! * 1000 }, problems };
    case 'mass':
      return { target: { kind: 'mass', massG: amount! * 1000 }, problems };
    case 'portions':
      return { target: { kind: 'portions', portions: amount!, portionMl: size! }, problems };
    case 'jars':
      return { target: { kind: 'jars', jars: amount!, jarMl: size!, fillShare: fill! / 100 }, problems };
    case 'on-hand':
      return {
        target: { kind: 'on-hand', ingredientId: (draft.thing || null) as IngredientId | null },
        problems,
      };
  }
}

/** As it stands in the record: "12 l", "24 jars of 250 ml". */
export function sayTarget(draft: BatchDraft, portionMl: number): string {
  switch (draft.kind) {
    case 'volume':
      return `${draft.amount} l`;
    case 'mass':
      return batchPlanWords.amountKg(draft.amount);
    case 'portions':
      return batchPlanWords.amountPortionsOfPartMl(draft.amount, draft.sizeMl || portionMl);
    case 'jars':
      return batchPlanWords.amountJarsOfSizemlMl(draft.amount, draft.sizeMl, draft.fillPercent);
    case 'on-hand':
      return draft.thing
        ? batchPlanWords.allTheReplaceallThereIs(draft.thing.replaceAll('_', ' '))
        : batchPlanWords.allThereIs;
  }
}
