import { asc, eq, sql } from 'drizzle-orm';
import { PICTURE_LIMITS, type NewPicture, type PictureRecord, type PicturesAnswer } from '#contract';
import type { Database } from '../../db/client';
import { pictures, trials } from '../../db/schema';
import type { CleanJpeg } from './jpeg';

export type KeptPicture =
  | { readonly status: 'kept'; readonly picture: PictureRecord; readonly formulaId: string }
  | { readonly status: 'no-trial' | 'id-taken' | 'full' };

const iso = (value: string): string => new Date(value).toISOString();

/** Pictures of jars, in the kitchen's own database: they go where it goes, into its backup too. */
export class PictureStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  async ofTrial(trialId: string): Promise<PicturesAnswer> {
    const { jpeg: _jpeg, ...columns } = FIELDS;
    const rows = await this.db
      .select(columns)
      .from(pictures)
      .where(eq(pictures.trialId, trialId))
      .orderBy(asc(pictures.takenAt), asc(pictures.place));
    const used = await this.usedBytes();
    return { pictures: rows.map(recordOf), usedBytes: used, mostBytes: PICTURE_LIMITS.kitchenBytes };
  }

  /** Null: it is not known, or was taken away. */
  async bytesOf(id: string): Promise<Buffer | null> {
    const [row] = await this.db.select({ jpeg: pictures.jpeg }).from(pictures).where(eq(pictures.id, id));
    return row ? Buffer.from(row.jpeg, 'base64') : null;
  }

  /** Sent again with the same id it is the same picture. */
  async keep(
    trialId: string,
    { id, takenAt, seconds, seen, by }: NewPicture,
    file: CleanJpeg,
  ): Promise<KeptPicture> {
    const [trial] = await this.db
      .select({ formulaId: trials.formulaId })
      .from(trials)
      .where(eq(trials.id, trialId));
    if (!trial) return { status: 'no-trial' };
    const known = await this.find(id);
    if (known)
      return known.trialId === trialId
        ? { status: 'kept', picture: known, formulaId: trial.formulaId }
        : { status: 'id-taken' };
    if ((await this.usedBytes()) + file.bytes.length > PICTURE_LIMITS.kitchenBytes) return { status: 'full' };
    await this.db
      .insert(pictures)
      .values({
        ...{ id, trialId, takenAt, seconds, seen, by },
        ...{ widthPx: file.widthPx, heightPx: file.heightPx, bytes: file.bytes.length },
        jpeg: file.bytes.toString('base64'),
        createdAt: this.now().toISOString(),
      })
      .onConflictDoNothing();
    return { status: 'kept', picture: (await this.find(id))!, formulaId: trial.formulaId };
  }

  /** @returns whose jar it was; null: there was none */
  async remove(id: string): Promise<string | null> {
    const [gone] = await this.db
      .delete(pictures)
      .where(eq(pictures.id, id))
      .returning({ trialId: pictures.trialId });
    if (!gone) return null;
    const [trial] = await this.db
      .select({ formulaId: trials.formulaId })
      .from(trials)
      .where(eq(trials.id, gone.trialId));
    return trial?.formulaId ?? null;
  }

  private async find(id: string): Promise<PictureRecord | null> {
    const { jpeg: _jpeg, ...columns } = FIELDS;
    const [row] = await this.db.select(columns).from(pictures).where(eq(pictures.id, id));
    return row ? recordOf(row) : null;
  }

  private async usedBytes(): Promise<number> {
    const [row] = await this.db.select({ used: sql<string | null>`sum(${pictures.bytes})` }).from(pictures);
    return Number(row?.used ?? 0);
  }
}

const FIELDS = {
  id: pictures.id,
  trialId: pictures.trialId,
  takenAt: pictures.takenAt,
  seconds: pictures.seconds,
  seen: pictures.seen,
  by: pictures.by,
  widthPx: pictures.widthPx,
  heightPx: pictures.heightPx,
  createdAt: pictures.createdAt,
  jpeg: pictures.jpeg,
};
type Row = Omit<typeof pictures.$inferSelect, 'jpeg' | 'place' | 'bytes'>;
const recordOf = ({ createdAt, takenAt, ...row }: Row): PictureRecord => ({
  ...row,
  takenAt: iso(takenAt),
  at: iso(createdAt),
});
