/** What a change does to a dressing: its palate, score, volume, keeping, and what it newly brings. */
import { composition } from '#core/composition';
import { hold, holdRequest, ROOM_C, USUAL_HEIGHT_M, type Hold, type HoldRequest } from '#core/emulsion';
import { verdictOf, type Palate, type Style } from '#core/palate';
import { judgePortions, type JudgedPortion, type Judgement } from '#core/reckoning';
import type { Caution, CautionCode, Keeping } from '#core/safety';

export interface Effect {
  readonly palate: Palate;
  /** 0..100 in the style aimed at; null where none is. */
  readonly score: number | null;
  readonly massG: number;
  readonly mixedVolumeMl: number;
  readonly grownMl: number;
  readonly keeping: Keeping;
  readonly newCautions: readonly Caution[];
  readonly goneCautions: readonly CautionCode[];
  /** Allergens of the EU's 14 that were not in it. */
  readonly newAllergens: readonly string[];
  readonly goneAllergens: readonly string[];
  /** Null where there is nothing that could part. */
  readonly hold: Hold | null;
}

export function effectOf(before: State, portions: readonly JudgedPortion[], style: Style | null): Effect {
  const after = stateOf(portions, before.unread);
  const had = new Set(before.judgement.cautions.map(({ code }) => code));
  const has = new Set(after.judgement.cautions.map(({ code }) => code));
  const allergensOf = ({ judgement }: State): string[] =>
    judgement.allergens.eu14.map(({ allergen }) => allergen);
  const [was, is] = [allergensOf(before), allergensOf(after)];
  return {
    palate: after.judgement.palate,
    score: style ? verdictOf(after.judgement.palate, style).score : null,
    massG: after.massG,
    mixedVolumeMl: after.mixedVolumeMl,
    grownMl: after.mixedVolumeMl - before.mixedVolumeMl,
    keeping: after.judgement.keeping,
    newCautions: after.judgement.cautions.filter(({ code }) => !had.has(code)),
    goneCautions: [...had].filter((code) => !has.has(code)),
    newAllergens: is.filter((allergen) => !was.includes(allergen)),
    goneAllergens: was.filter((allergen) => !is.includes(allergen)),
    hold: after.hold,
  };
}

export interface State {
  readonly judgement: Judgement;
  readonly massG: number;
  readonly mixedVolumeMl: number;
  /** Lines that could not be read, as typed. */
  readonly unread: readonly string[];
  /** Thickness and hold, whisked by hand at room temperature: changes are compared on the same footing. */
  readonly hold: Hold | null;
}

export function stateOf(portions: readonly JudgedPortion[], unread: readonly string[] = []): State {
  const { massG, mixedVolumeMl } = composition(portions);
  return {
    judgement: judgePortions(portions, unread),
    massG,
    mixedVolumeMl,
    unread,
    hold: hold(asMixed(portions)),
  };
}

export const asMixed = (portions: readonly JudgedPortion[]): HoldRequest =>
  holdRequest(portions, {
    tool: 'whisk',
    seconds: 60,
    volumeMl: composition(portions).mixedVolumeMl,
    heightM: USUAL_HEIGHT_M,
    temperatureC: ROOM_C,
  });

/** pH is not linear in grams: a change that brings one of these is sent back. */
const PH_CAUTIONS: ReadonlySet<CautionCode> = new Set<CautionCode>(['high_ph', 'raw_egg_acid']);
export const lessAcidThanAllowed = ({ newCautions }: Effect): boolean =>
  newCautions.some(({ code }) => PH_CAUTIONS.has(code));
