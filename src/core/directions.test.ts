import { ESLint } from 'eslint';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '../..');
const eslint = new ESLint({ cwd: root });

async function complaints(code: string, file = 'src/core/vessel/shape.ts'): Promise<number> {
  const [result] = await eslint.lintText(code, { filePath: join(root, file) });
  return result!.errorCount;
}

/** The rules that keep the core free must themselves be able to fail. */
describe('what the core may not do', () => {
  it.each([
    ["import { useState } from 'react';\nexport const a = useState;"],
    ["import { readFileSync } from 'node:fs';\nexport const a = readFileSync;"],
    ["import { store } from '../../web/sync/store';\nexport const a = store;"],
    ["import { x } from '#core/numeric/root';\nexport const a = x;"],
    ['export const a = Date.now();'],
    ['export const a = new Date();'],
    ['export const a = Math.random();'],
    ['export const a = document.title;'],
    ["export const a = fetch('/');"],
  ])('%s', async (code) => {
    expect(await complaints(code)).toBeGreaterThan(0);
  });

  it('lets plain code pass', async () => {
    expect(await complaints("import { sum } from '#core/numeric';\nexport const a = sum([1, 2]);")).toBe(0);
  });
});
