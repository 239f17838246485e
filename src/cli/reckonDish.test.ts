import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { reckon } from './testing';

describe('reckon, on a dish', () => {
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-dish-'));
  afterAll(() => {
    rmSync(folder, { recursive: true, force: true });
  });
  const dishOf = (lines: string, ...args: string[]) => {
    const file = join(folder, 'dish.txt');
    writeFileSync(file, lines);
    const dressing = '90 ml olive oil\n30 ml cider vinegar\n2 g salt\n';
    const { status, stdout, stderr } = reckon(dressing, '--json', '--dish', file, ...args);
    return { status, stderr, dish: status === 2 ? null : (JSON.parse(stdout) as { dish: Dish }).dish };
  };
  interface Dish {
    readonly dressingMl: { readonly nominal: number; readonly low: number; readonly high: number };
    readonly forkful: { readonly saltMassFraction: number } | null;
    readonly allergens: readonly string[];
    readonly cautions: readonly string[];
    readonly drawnWaterG: number;
    readonly reasons: readonly {
      readonly code: string;
      readonly message: string;
      readonly ingredientId?: string;
    }[];
    readonly unread: readonly { readonly line: number }[];
  }
  it('says how much dressing it takes, what a forkful holds and what to do about it', () => {
    const { status, dish } = dishOf('240 g tender leaves, spun dry\n');
    expect([status, dish!.dressingMl]).toEqual([0, { nominal: 48, low: 38.4, high: 60 }]);
    const feta = dishOf('240 g tender leaves, spun dry\n80 g feta\nmoon dust\n').dish!;
    expect(feta.forkful!.saltMassFraction).toBeGreaterThan(dish!.forkful!.saltMassFraction);
    expect(feta.reasons[0]).toMatchObject({ code: 'brings', measure: 'salt', ingredientId: 'feta' });
    expect(feta.unread).toMatchObject([{ line: 3 }]);
    const [early, late] = ['0', '120'].map((minutes) => dishOf('300 g cucumber', '--minutes', minutes).dish!);
    expect(late!.drawnWaterG).toBeGreaterThan(early!.drawnWaterG);
    // Allergens and cautions of dressing and dish together.
    expect([feta.allergens, dish!.allergens]).toEqual([['milk', 'sulphites'], ['sulphites']]);
    expect(feta.cautions).toContain('allergen_unknown');
    expect(dishOf('', '--dressed', 'well').dish).toMatchObject({ dressingMl: { nominal: 0 }, forkful: null });
  });
  it('refuses what is no way to dress and no time', () => {
    expect(dishOf('1 lettuce', '--dressed', 'soaked')).toMatchObject({ status: 2 });
    expect(dishOf('1 lettuce', '--minutes', 'soon').stderr).toContain('--minutes is 0 to 2880');
  });
});
