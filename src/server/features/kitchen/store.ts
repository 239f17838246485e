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

  async saveSettings(content: Settings): Promise<Settings> {
    const row = { id: KITCHEN, content, updatedAt: this.now().toISOString() };
    await this.db.insert(settings).values(row).onConflictDoUpdate({ target: settings.id, set: row });
    return content;
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

  /** Adds a vessel of the kitchen's own, or changes one. */
  async saveVessel(content: Vessel): Promise<Vessel> {
    const position = (await this.vessels()).length;
    await this.db
      .insert(vessels)
      .values({ id: content.id, content, position })
      .onConflictDoUpdate({ target: vessels.id, set: { content } });
    return content;
  }

  async styles(): Promise<Style[]> {
    const rows = await this.db.select().from(styles).orderBy(styles.id);
    return rows.map((row) => row.content);
  }

  async saveStyle(content: Style): Promise<Style> {
    const values = { id: content.id, content, updatedAt: this.now().toISOString() };
    await this.db.insert(styles).values(values).onConflictDoUpdate({ target: styles.id, set: values });
    return content;
  }

  /** A built-in style goes back to its own windows; one of the kitchen's own is gone. */
  async dropStyle(id: string): Promise<void> {
    await this.db.delete(styles).where(eq(styles.id, id));
  }

  async cooks(): Promise<Cook[]> {
    const rows = await this.db.select().from(cooks).orderBy(cooks.createdAt, cooks.id);
    return rows.map((row) => row.content);
  }

  async saveCook(content: Cook): Promise<Cook> {
    await this.db
      .insert(cooks)
      .values({ id: content.id, content, createdAt: this.now().toISOString() })
      .onConflictDoUpdate({ target: cooks.id, set: { content } });
    return content;
  }

  async pantry(): Promise<Record<string, PantryEntry>> {
    const rows = await this.db.select().from(pantry);
    return Object.fromEntries(rows.map((row) => [row.ingredientId, row.content]));
  }

  async savePantry(ingredientId: string, content: PantryEntry): Promise<PantryEntry> {
    const values = { ingredientId, content, updatedAt: this.now().toISOString() };
    await this.db
      .insert(pantry)
      .values(values)
      .onConflictDoUpdate({ target: pantry.ingredientId, set: values });
    return content;
  }

  async ownIngredients(): Promise<OwnIngredient[]> {
    const rows = await this.db.select().from(ingredients).orderBy(ingredients.id);
    return rows.map((row) => row.row);
  }

  async saveIngredient(row: OwnIngredient): Promise<OwnIngredient> {
    const values = { id: row.id, row, updatedAt: this.now().toISOString() };
    await this.db
      .insert(ingredients)
      .values(values)
      .onConflictDoUpdate({ target: ingredients.id, set: values });
    return row;
  }
}
