import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const script = join(import.meta.dirname, '../../scripts/reckon.mjs');
const reckon = (input: string, ...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [script, ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
};

const KEYS = [
  ...['additions', 'unread', 'massG', 'mixedVolumeMl', 'oilToAcidVolumeRatio', 'oilToAcidMassRatio'],
  ...['oilMassFraction', 'fatMassFraction', 'oilVolumeFraction', 'waterMassFraction'],
  ...['saltEquivalentMassFraction', 'sugarMassFraction', 'ranges'],
  ...['titratableAcidityMeqPer100G', 'tastedAcidityAsAceticMassFraction', 'ph', 'waterActivity'],
  ...['sucroseEquivalentMassFraction', 'sugarToAcidRatio', 'energyKcalPer100G'],
  ...['allergens', 'cautions', 'keepingDays'],
];

describe('reckon', () => {
  it('prints one object with the agreed keys', () => {
    const { status, stdout } = reckon(
      '90 ml extra-virgin olive oil\n30 ml vin_redwine6\na pinch of salt\n',
      '--json',
    );
    const result = JSON.parse(stdout) as Record<string, unknown>;
    expect(status).toBe(0);
    for (const key of KEYS) expect(result).toHaveProperty(key);
    // 90 ml × 0.913 g/ml to 30 ml × 1.010 g/ml, table densities.
    expect(result.oilToAcidMassRatio).toBeCloseTo(2.712, 3);
    expect(result.additions).toMatchObject([
      { ingredientId: 'olive_ev', massG: { nominal: 82.17 } },
      { ingredientId: 'vin_redwine6' },
      { text: 'a pinch of salt', ingredientId: 'salt_table', massG: { low: 0.244 } },
    ]);
  });

  it('keeps what it cannot read, prints the rest, and exits 1', () => {
    const { status, stdout } = reckon('90 ml olive oil\nsome moonlight\n', '--json');
    const result = JSON.parse(stdout) as { unread: unknown[]; massG: number };
    expect(status).toBe(1);
    expect(result.unread).toMatchObject([{ line: 2, text: 'some moonlight' }]);
    expect(result.massG).toBeCloseTo(82.17, 2);
  });

  it('measures in the spoons it is told to, and refuses those it does not know', () => {
    const tablespoon = (spoons: string): number =>
      (JSON.parse(reckon('1 tbsp water', '--json', '--spoons', spoons).stdout) as { massG: number }).massG;
    expect(tablespoon('au') / tablespoon('metric')).toBeCloseTo(20 / 15, 9);
    const wrong = reckon('', '--spoons', 'roman');
    expect([wrong.status, wrong.stderr.includes('us|metric|imperial|au')]).toEqual([2, true]);
    expect(reckon('', 'no-such-file.txt').status).toBe(2);
  });

  it('judges against a style, and says cautions and keeping', () => {
    const { stdout } = reckon(
      '90 ml olive oil\n30 ml white vinegar\n4 g salt\n1 yolk\n',
      '--json',
      '--style',
      'classic_3_1',
    );
    const result = JSON.parse(stdout) as Record<string, unknown>;
    const verdict = result.verdict as { style: string; reasons: unknown[] };
    expect(verdict.style).toBe('classic_3_1');
    expect(verdict.reasons[0]).toMatchObject({ measure: 'salt', direction: 'high' });
    expect(result.keepingDays).toMatchObject({ days: 2, reason: 'raw_egg' });
    expect(result.cautions).toContainEqual(expect.objectContaining({ code: 'raw_egg', limit: null }));
    expect(result.ph).toMatchObject({
      status: expect.any(String) as string,
      reasons: expect.any(Array) as string[],
    });
    expect(reckon('', '--style', 'nobody').status).toBe(2);
  });

  it('prints a table for people', () => {
    const { stdout } = reckon('90 ml olive oil\n30 ml cider vinegar');
    expect(stdout).toMatch(/oil to acid by volume\s+3\.00 : 1/);
  });
});
