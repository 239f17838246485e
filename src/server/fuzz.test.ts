import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { RunningKitchen } from './start';
import { anyRequest } from './testing/fuzz';
import { openKitchen, tempFolder, closeDown } from './testing/kitchen';

/** `npm run torture` asks ten thousand. */
const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? (process.env.YGRANA_TORTURE ? 10_000 : 500));
const SEED = Number(process.env.FUZZ_SEED ?? Date.now() % 1_000_000);

const folder = tempFolder();
let kitchen: RunningKitchen;
beforeAll(async () => {
  kitchen = await openKitchen(folder, { demo: true });
});
afterAll(() => closeDown(kitchen, folder));

it(`${REQUESTS} requests out of the description are answered, none of them by a fault of the kitchen (seed ${SEED})`, async () => {
  const statuses = new Map<number, number>();
  const faults: string[] = [];
  for (const { method, path, body } of fc.sample(anyRequest, { numRuns: REQUESTS, seed: SEED })) {
    const response = await fetch(`${kitchen.address}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', origin: kitchen.address },
      ...(body === undefined ? {} : { body }),
    });
    const text = await response.text();
    statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
    if (response.status >= 500) faults.push(`${response.status} ${method} ${path} ${body ?? ''} → ${text}`);
  }
  expect(faults).toEqual([]);
  // It got through to the routes: some were taken, some refused.
  expect(statuses.get(200)).toBeGreaterThan(REQUESTS / 50);
  expect(statuses.get(400)).toBeGreaterThan(REQUESTS / 20);
  // And the kitchen is as it was for who looks at it.
  for (const path of ['formulas', 'plans', 'batches', 'pantry', 'log', 'log/news', 'log/said'])
    expect([path, (await fetch(`${kitchen.address}/api/${path}`)).status]).toEqual([path, 200]);
}, 900_000);
