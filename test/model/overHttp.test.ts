import fc from 'fast-check';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EMPTY_PLAN, type FormulaRecord, type SharedRecord } from '#contract';
import { changesBetween, PLAIN } from '#core/document';
import { diffOf } from '#core/formula';
import type { RunningKitchen } from '../../src/server/start';
import { Client, dropFolder, openKitchen, tempFolder } from '../../src/server/testing/kitchen';
import { heldFormula, heldShared } from '../../src/web/sync/ports';
import { keyOf, readKey, type Outcome } from '../../src/web/sync/shared';
import { commands } from './commands';
import { lostIn, SUBJECTS, type Subject } from './subjects';
import type { Kitchen } from './world';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;

beforeAll(async () => {
  kitchen = await openKitchen(folder);
  client = new Client(kitchen.address);
});
afterAll(async () => {
  await kitchen.stop();
  dropFolder(folder);
});

/** The world's kitchen, over HTTP and on the database. */
class KitchenOverHttp implements Kitchen {
  constructor(private readonly subject: Subject) {}

  private readonly path = (): string => {
    const { kind, id } = readKey(this.subject.key);
    return kind === 'formula' ? `formulas/${id}` : `shared/${kind}/${id}`;
  };
  private readonly heldOf = (body: unknown) =>
    readKey(this.subject.key).kind === 'formula'
      ? heldFormula(body as FormulaRecord)
      : heldShared(body as SharedRecord);

  held = async () => this.heldOf((await client.get(this.path())).body);

  take: Kitchen['take'] = async ({ key: idempotencyKey, changes }): Promise<Outcome> => {
    const body =
      readKey(this.subject.key).kind === 'formula'
        ? { idempotencyKey, baseRevision: 0, diff: diffOf(changes) }
        : { idempotencyKey, changes };
    const answer = await client.post(`${this.path()}/changes`, body);
    if (answer.status === 200) return { status: 'taken', held: this.heldOf(answer.body) };
    const { error } = answer.body as { error: { message: string; details?: { record: unknown } } };
    return answer.status === 409
      ? { status: 'clash', held: this.heldOf(error.details!.record) }
      : { status: 'refused', why: error.message };
  };
}

/** `npm run torture` plays a hundred of each. */
const RUNS = process.env.YGRANA_TORTURE ? 100 : 8;

it.each(SUBJECTS)(
  'a %s on several screens loses nothing over HTTP and the database either',
  { timeout: 900_000 },
  async (name, subject) => {
    let day = 0;
    await fc.assert(
      fc.asyncProperty(commands(40), async (played) => {
        day += 1;
        const id =
          name === 'formula' ? `model-${day}` : new Date(day * 86_400_000).toISOString().slice(0, 10);
        const one: Subject = { ...subject, key: keyOf(subject.kind, id) };
        if (name === 'formula') await client.post('formulas', { id, formula: one.doc });
        else {
          const changes = changesBetween(EMPTY_PLAN, one.doc, PLAIN);
          await client.post(`shared/plan/${id}/changes`, { idempotencyKey: `start-of-${id}`, changes });
        }
        expect(await lostIn(one, played, { kitchen: new KitchenOverHttp(one) })).toEqual([]);
      }),
      { numRuns: RUNS, endOnFailure: true },
    );
  },
);
