/**
 * Which kitchen answers. Two may take turns at one address, and one may be put back to an earlier day: what a
 * browser has kept for the one must not reach the other. A restore makes another kitchen of it.
 */
import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { RequestHandler } from 'express';
import { KITCHEN_HEADER } from '#contract';
import { answersWords } from '#words/screens/answers';
import type { Database } from '../db/client';
import { secrets } from '../db/schema';
import { ApiError } from './apiError';

export const KITCHEN_SECRET = 'kitchen';

/** Made once, by whoever asks first. */
async function readKitchenId(db: Database): Promise<string> {
  await db.insert(secrets).values({ name: KITCHEN_SECRET, value: randomUUID() }).onConflictDoNothing();
  const [row] = await db.select().from(secrets).where(eq(secrets.name, KITCHEN_SECRET));
  return row!.value;
}

export const renewKitchenId = (db: Database): Promise<unknown> => {
  const value = randomUUID();
  return db
    .insert(secrets)
    .values({ name: KITCHEN_SECRET, value })
    .onConflictDoUpdate({ target: secrets.name, set: { value } });
};

export class KitchenId {
  private known: Promise<string> | null = null;

  constructor(private readonly db: Database) {}

  get(): Promise<string> {
    this.known ??= readKitchenId(this.db).catch((error: unknown) => {
      this.known = null;
      throw error;
    });
    return this.known;
  }

  /** It may have been restored, here or by another process. */
  forget(): void {
    this.known = null;
  }
}

/** Says it with every answer, and takes nothing that was meant for another. */
export const sayKitchen =
  (id: KitchenId): RequestHandler =>
  async (request, response, next) => {
    const here = await id.get();
    response.set(KITCHEN_HEADER, here);
    const meant: string | undefined = request.get(KITCHEN_HEADER);
    if (meant !== undefined && meant !== here)
      throw new ApiError('other-kitchen', answersWords.thisWasMeantForAnother);
    next();
  };
