import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, type VersionRecord } from '#contract';
import { emptyFormula, type AdditionId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { trialPortions } from '#core/trial';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { jarJudged } from './jarJudged';
import type { Kitchen } from './kitchen';

const kitchen: Kitchen = {
  settings: DEFAULT_SETTINGS,
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  pantry: {},
  own: { measures: [], cookId: null } as unknown as Kitchen['own'],
};
let ids = 0;
const version = (...lines: string[]): VersionRecord => ({
  number: 1,
  parent: null,
  note: '',
  createdAt: '2026-11-26T09:00:00.000Z',
  by: { cookId: null, deviceId: 'test' },
  formula: lines.reduce(
    (formula, line) =>
      addTyped(
        formula,
        line,
        { catalogue: REFERENCE_CATALOGUE, measuring: measuringWith('metric'), decimalSign: 'point' },
        () => `id-${++ids}` as AdditionId,
      ),
    emptyFormula('House', DEFAULT_VESSEL_ID, 'metric'),
  ),
});
const jarOf = (...amounts: (readonly [id: string, form: string, massG: number])[]) => ({
  version: 1,
  events: [],
  making: null,
  lines: amounts.map(([id, form, massG]) => ({ ingredientId: id as IngredientId, form, massG })),
});
const judged = (jar: ReturnType<typeof jarOf>, of: VersionRecord | null) =>
  jarJudged(jar, trialPortions(jar.lines, jar.events, kitchen.catalogue), of, kitchen);
const VINAIGRETTE = jarOf(['vin_white5', '', 30], ['olive_ev', '', 60]);

describe('a jar as it stands', () => {
  it('says of itself what its formula says: unread lines and what goes in to taste may be in it', () => {
    const plain = judged(VINAIGRETTE, version('30 g white vinegar', '60 g olive oil'));
    expect(plain.keeping).toMatchObject({ days: 14, cold: false });
    const open = judged(VINAIGRETTE, version('30 g white vinegar', '60 g olive oil', '60 g almond spread'));
    expect(open.allergens.missing).toEqual(['60 g almond spread']);
    expect(open.keeping).toMatchObject({ days: 3, cold: true });
    const tasted = judged(VINAIGRETTE, version('30 g white vinegar', '60 g olive oil', 'honey to taste'));
    expect(tasted.cautions.map(({ code }) => code)).toContain('infants_honey');
  });

  it('knows pieces and home-made things by what its version says of them', () => {
    const jar = jarOf(['vin_white5', '', 30], ['olive_ev', '', 60], ['basil', 'whole', 5]);
    const whole = judged(jar, version('30 g white vinegar', '60 g olive oil', '5 g basil, whole'));
    expect(whole.phBound.upper).toBeGreaterThan(6);
    const sauce = version('60 g home-made mayonnaise', '30 g yoghurt');
    const { form } = sauce.formula.additions[0]!;
    const egg = judged(jarOf(['mayo_full', form, 60], ['yoghurt_whole', '', 30]), sauce);
    expect(egg.cautions.map(({ code }) => code)).toContain('raw_egg');
  });

  it('counts what the pantry no longer knows, and a version that cannot be looked up, as not read', () => {
    const gone = judged(jarOf(['vin_white5', '', 30], ['own_gone', '', 5]), version('30 g white vinegar'));
    expect(gone.allergens.missing).toEqual(['own_gone']);
    expect(judged(VINAIGRETTE, null).keeping.days).toBe(3);
  });

  it('does not count what comes after the stage it was stopped at, and does once it goes on', () => {
    const whole = version('30 ml white wine vinegar', '60 ml olive oil', '2 tbsp moonlight');
    const staged: VersionRecord = {
      ...whole,
      formula: {
        ...whole.formula,
        stageNames: 'Base\n+ moonlight',
        additions: whole.formula.additions.map((addition) =>
          addition.ingredientId === null ? { ...addition, stage: 1 } : addition,
        ),
      },
    };
    const making = {
      scaleFactor: 1,
      plannedVolumeMl: 90,
      tool: 'shake' as const,
      seconds: 20,
      roomC: null,
      bottles: {},
      steps: [],
    };
    const missing = (jar: Parameters<typeof jarJudged>[0]) =>
      jarJudged(jar, trialPortions(jar.lines, jar.events, kitchen.catalogue), staged, kitchen).allergens
        .missing;
    const stopped = { ...VINAIGRETTE, making: { ...making, stage: 0 } };
    expect(missing(stopped)).toEqual([]);
    expect(missing({ ...VINAIGRETTE, making })).toEqual(['2 tbsp moonlight']);
    const event = {
      kind: 'planned' as const,
      reason: 'next-stage' as const,
      targets: [],
      steps: [],
      before: null,
      note: '',
      stage: 1,
    };
    const at = '2026-01-05T10:00:00.000Z';
    const by = { cookId: null, deviceId: '' };
    expect(missing({ ...stopped, events: [{ id: 'e1', event, at, by }] })).toEqual(['2 tbsp moonlight']);
  });
});
