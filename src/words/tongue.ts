/**
 * In which language is spoken. English is written where it is said; another language lies beside it and is asked first,
 * word by word and sentence by sentence: what it does not have is said in English. One reader at a time: a page has one,
 * and what is composed for paper is composed at one go.
 */
import type { PhReading } from '#core/acidity';
import type { Asked, Degree, Dose, Finding, Gesture } from '#core/balance';
import type { Hold, MakingTip, PourPlan, RescueStep, Thickness } from '#core/emulsion';
import type { Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import type { PalateKey, VerdictReason } from '#core/palate';
import type { CautionRecord, Keeping, SafetyRecord } from '#core/safety';
import type { Problem } from '#core/quantity';
import type { DoStep, StepNote, Tasting } from '#core/trial';

export const TONGUES = ['en', 'de'] as const;
export type Tongue = (typeof TONGUES)[number];

/** Rooms of words that another language may have. */
export type Room =
  | 'make'
  | 'makeWeigh'
  | 'taste'
  | 'parts'
  | 'frame'
  | 'batchRun'
  | 'label'
  | 'paper'
  | 'tools'
  | 'rows'
  | 'bites'
  | 'on'
  | 'ways'
  | 'sights'
  | 'complaints'
  | 'asides'
  | 'cautions'
  | 'limits'
  | 'binders'
  | 'thickness'
  | 'measures'
  | 'near'
  | 'plans'
  | 'phReasons'
  | 'drawing'
  | 'sync'
  | 'instruments'
  | 'practise'
  | 'practiseAmounts'
  | 'practiseKinds'
  | 'practiseFaults'
  | 'practiseSenses'
  | 'practiseWhen'
  | 'practiseRescues'
  | 'practiseSure'
  | 'practiseSafe';

interface StepNames {
  readonly nameOf: (id: IngredientId) => string;
  readonly amount: (massG: number, id: IngredientId) => string;
}

/** Sentences whose grammar differs: made whole by the language itself. */
export interface Sentences {
  readonly tasting: (tasting: Tasting) => string;
  readonly stepNote: (note: StepNote, words: StepNames) => string;
  readonly deed: (step: DoStep, tool: Tool, words: StepNames) => string;
  readonly off: (reason: Pick<VerdictReason, 'measure' | 'direction'>, degree: Degree) => string;
  /** Null: as in English. */
  readonly finding: (
    finding: Finding,
    fitted: boolean,
    caution: (caution: CautionRecord) => string,
  ) => { readonly before: string; readonly style: string | null; readonly after: string };
  readonly why: (offs: readonly string[]) => string;
  readonly complaints: (said: readonly Asked[]) => string;
  readonly gesture: (gesture: Pick<Gesture, 'unit' | 'count'>) => string;
  readonly dose: (dose: Dose, amount: string, gesture: string) => string;
  readonly enough: (name: string, most: string | null) => string;
  readonly listed: (words: readonly string[]) => string;
  readonly impossible: (
    why:
      | { readonly kind: 'room'; readonly ml: number; readonly doses: string; readonly aQuarter: boolean }
      | { readonly kind: 'in-the-way'; readonly measures: readonly PalateKey[] }
      | { readonly kind: 'nothing' },
    aside: { readonly share: number; readonly by: string } | null,
  ) => string;
  readonly duration: (seconds: number) => string;
  /** When it is best: from and to, min, of so many days that it keeps. */
  readonly best: (fromMin: number, toMin: number, keepsDays: number) => string;
  readonly hold: (hold: Hold) => string;
  readonly thick: (thickness: Thickness) => string;
  readonly holdMove: (before: Hold | null, after: Hold) => string;
  readonly pour: (plan: PourPlan, tool: Tool) => string;
  readonly tip: (tip: MakingTip) => string;
  readonly rescue: (step: RescueStep, names: StepNames) => string;
  readonly shortCaution: (caution: Pick<CautionRecord, 'code' | 'ingredients'>) => string | null;
  readonly storage: (cold: boolean) => string;
  readonly keeping: (keeping: Keeping, why: string) => string;
  readonly allergens: (allergens: SafetyRecord['allergens']) => readonly string[];
  readonly contains: (list: string, isComplete: boolean) => string;
  readonly ph: (ph: PhReading, reasons: readonly string[]) => string;
  readonly standing: (base: number | null, changed: boolean) => string;
  readonly simulated: (instrument: string) => string;
  /** Why a typed line was not read. */
  readonly problem: (problem: Problem) => string;
  /** A name in the middle of a sentence. */
  readonly inSentence: (name: string) => string;
  readonly ingredient: (name: string) => string;
  /** What else it is called there, by its English name. */
  readonly alsoCalled: (name: string) => readonly string[];
  /** "1½ tsp" by the spoons of the language. */
  readonly measured: (text: string) => string;
  readonly vessel: (name: string) => string;
}

export interface OtherTongue {
  readonly tongue: Exclude<Tongue, 'en'>;
  readonly rooms: Readonly<Partial<Record<Room, object>>>;
  readonly sentences: Sentences;
}

let other: OtherTongue | null = null;

/** Null: English. */
export function speak(language: OtherTongue | null): void {
  other = language;
}
export const tongueNow = (): Tongue => other?.tongue ?? 'en';
/** The sentences of the other language, if one is spoken. */
export const sentencesNow = (): Sentences | null => other?.sentences ?? null;

/** For as long as something is composed, at one go. */
export function speaking<T>(language: OtherTongue | null, compose: () => T): T {
  const before = other;
  other = language;
  try {
    return compose();
  } finally {
    other = before;
  }
}

/** Words of a room, each as the language that is spoken has it. */
export function spoken<T extends object>(room: Room, english: T): T {
  return new Proxy(english, {
    get(words, key, receiver): unknown {
      const theirs = other?.rooms[room] as Readonly<Record<PropertyKey, unknown>> | undefined;
      return theirs?.[key] ?? Reflect.get(words, key, receiver);
    },
  });
}

/** A thing of the pantry by the name it has in the language that is spoken. */
export const sayIngredient = (name: string): string => other?.sentences.ingredient(name) ?? name;
export const alsoCalled = (name: string): readonly string[] => other?.sentences.alsoCalled(name) ?? [];
export const sayVessel = (name: string): string => other?.sentences.vessel(name) ?? name;
/** What spoons and cups measure: "1½ tsp". */
export const sayMeasured = (text: string): string => other?.sentences.measured(text) ?? text;
