/**
 * Changes of what a kitchen shares. A change says from what to what; where something else stands by now it is
 * refused with what stands there, and whoever sent it carries their work over.
 */
import { and, eq } from 'drizzle-orm';
import {
  SHARED_SCHEMAS,
  SHARED_START,
  type SharedChanges,
  type SharedKind,
  type SharedRecord,
} from '#contract';
import { applyChanges, same } from '#core/document';
import { lockInside, type Database } from '../../db/client';
import { appliedShared, sharedRevisions } from '../../db/schema';
import { parse } from '../../http/apiError';
import { placeOf } from './documents';

export type SharedOutcome =
  | { readonly status: 'applied'; readonly record: SharedRecord }
  | { readonly status: 'conflict'; readonly record: SharedRecord }
  /** It cannot be taken out. */
  | { readonly status: 'stays' };

export class SharedStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  get(kind: SharedKind, id: string): Promise<SharedRecord> {
    return this.read(this.db, kind, id);
  }

  /** @throws ApiError invalid: what it would become is not allowed */
  change(kind: SharedKind, id: string, { idempotencyKey, changes }: SharedChanges): Promise<SharedOutcome> {
    return this.alone(kind, id, async (tx) => {
      const record = await this.read(tx, kind, id);
      const seen = await tx
        .select({ key: appliedShared.key })
        .from(appliedShared)
        .where(
          and(eq(appliedShared.key, idempotencyKey), eq(appliedShared.kind, kind), eq(appliedShared.id, id)),
        );
      if (seen.length > 0) return { status: 'applied', record };
      const result = applyChanges(record.doc, changes);
      if (result.status === 'conflict') return { status: 'conflict', record };
      const outcome = await this.write(tx, record, result.doc);
      if (outcome.status === 'applied') {
        await tx
          .insert(appliedShared)
          .values({ key: idempotencyKey, kind, id, createdAt: this.now().toISOString() });
      }
      return outcome;
    });
  }

  /**
   * Puts the whole in place, whatever stands there: for who has just read it, or sets up a kitchen.
   * @param revision the one that was seen; without it whatever stands there is replaced
   */
  replace(kind: SharedKind, id: string, doc: unknown, revision?: number): Promise<SharedOutcome> {
    return this.alone(kind, id, async (tx) => {
      const record = await this.read(tx, kind, id);
      if (revision !== undefined && record.revision !== revision) return { status: 'conflict', record };
      return this.write(tx, record, doc);
    });
  }

  private alone(
    kind: SharedKind,
    id: string,
    work: (tx: Database) => Promise<SharedOutcome>,
  ): Promise<SharedOutcome> {
    return this.db.transaction(async (tx) => {
      await lockInside(tx, `${kind} ${id}`);
      return work(tx);
    });
  }

  private async read(db: Database, kind: SharedKind, id: string): Promise<SharedRecord> {
    const place = placeOf(kind);
    const doc = ((await place.read(db, id)) ?? SHARED_START[kind]) as SharedRecord['doc'];
    const revision = await (place.revision ?? ((...at) => countedOf(kind, ...at)))(db, id);
    return { kind, id, revision, doc };
  }

  private async write(tx: Database, record: SharedRecord, next: unknown): Promise<SharedOutcome> {
    const { kind, id } = record;
    const doc = parse<unknown>(SHARED_SCHEMAS[kind].doc, next, kind) as SharedRecord['doc'];
    if (same(doc, record.doc)) return { status: 'applied', record };
    const place = placeOf(kind);
    if (doc === null && !place.remove) return { status: 'stays' };
    const revision = record.revision + 1;
    if (doc === null) await place.remove?.(tx, id);
    else await place.write(tx, id, doc, { updatedAt: this.now().toISOString(), revision });
    if (!place.revision) {
      await tx
        .insert(sharedRevisions)
        .values({ kind, id, revision })
        .onConflictDoUpdate({ target: [sharedRevisions.kind, sharedRevisions.id], set: { revision } });
    }
    return { status: 'applied', record: { kind, id, revision, doc } };
  }
}

async function countedOf(kind: SharedKind, db: Database, id: string): Promise<number> {
  const [row] = await db
    .select({ revision: sharedRevisions.revision })
    .from(sharedRevisions)
    .where(and(eq(sharedRevisions.kind, kind), eq(sharedRevisions.id, id)));
  return row?.revision ?? 0;
}
