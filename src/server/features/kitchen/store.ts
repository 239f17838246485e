import { eq } from 'drizzle-orm';
import { DEFAULT_SETTINGS, type Cook, type OwnIngredient, type PantryEntry, type Settings } from '#contract';
import { STARTING_VESSELS, type Vessel } from '#core/vessel';
import type { Database } from '../../db/client';
import type { Style } from '#core/palate';
import { cooks, ingredients, pantry, settings, styles, vessels } from '../../db/schema';

const KITCHEN = 'kitchen';

/** Settings, vessels and the kitchen's own ingredients. */
export class KitchenStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  async settings(): Promise<Settings> {
    const [row] = await this.db.select().from(settings).where(eq(settings.id, KITCHEN));
    // Fields that came with a later release start at their default.
    return { ...DEFAULT_SETTINGS, ...row?.content };
  }

  async vessels(): Promise<Vessel[]> {
    const rows = await this.db.select().from(vessels).orderBy(vessels.position, vessels.id);
    return rows.map((row) => row.content);
  }

  /** Vessels a new release brings are added; those the kitchen has stay as they are. */
  async addStartingVessels(): Promise<void> {
    await this.db
      .insert(vessels)
      .values(STARTING_VESSELS.map((content, position) => ({ id: content.id, content, position })))
      .onConflictDoNothing();
  }

  async styles(): Promise<Style[]> {
    const rows = await this.db.select().from(styles).orderBy(styles.id);
    return rows.map((row) => row.content);
  }

  async cooks(): Promise<Cook[]> {
    const rows = await this.db.select().from(cooks).orderBy(cooks.createdAt, cooks.id);
    return rows.map((row) => row.content);
  }

  async pantry(): Promise<Record<string, PantryEntry>> {
    const rows = await this.db.select().from(pantry);
    return Object.fromEntries(rows.map((row) => [row.ingredientId, row.content]));
  }

  async ownIngredients(): Promise<OwnIngredient[]> {
    const rows = await this.db.select().from(ingredients).orderBy(ingredients.id);
    return rows.map((row) => row.row);
  }
}
