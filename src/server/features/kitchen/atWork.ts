import { sql } from 'drizzle-orm';
import { withMade } from '#core/reckoning';
import { catalogueWith, contextFor, ownMeasuresOf, type Kitchen } from '#kitchen/reading';
import { found, type Database } from '../../db/client';
import type { FormulaStore } from '../formulas/store';
import type { MeasureStore } from '../measures/store';
import type { KitchenStore } from './store';

export interface KitchenNow {
  readonly kitchen: Kitchen;
  /** Changes with it. */
  readonly mark: string;
}

/** The kitchen as screens read with it, of no cook in particular; put together again only when it changes. */
export class KitchenAtWork {
  private kept: KitchenNow | null = null;

  constructor(
    private readonly db: Database,
    private readonly stores: {
      readonly kitchen: KitchenStore;
      readonly formulas: FormulaStore;
      readonly measures: MeasureStore;
    },
  ) {}

  async now(): Promise<KitchenNow> {
    const [row] = await found<{ mark: string }>(
      this.db,
      sql`select concat_ws(' ',
            (select concat_ws(' ', count(*), sum(revision)) from shared_revisions),
            (select max(updated_at) from settings),
            (select concat_ws(' ', count(*), max(updated_at)) from ingredients),
            (select concat_ws(' ', count(*), max(updated_at)) from pantry),
            (select concat_ws(' ', count(*), max(created_at)) from measures),
            (select md5(string_agg(pins::text, ',' order by id)) from formulas where pins <> '[]')) as mark`,
    );
    const { mark } = row!;
    if (this.kept?.mark !== mark) this.kept = { mark, kitchen: await this.read() };
    return this.kept;
  }

  private async read(): Promise<Kitchen> {
    const { kitchen, formulas, measures } = this.stores;
    const [settings, vessels, ownRows, pantry, records, versions] = await Promise.all([
      kitchen.settings(),
      kitchen.vessels(),
      kitchen.ownIngredients(),
      kitchen.pantry(),
      measures.all(),
      formulas.made(),
    ]);
    const plain = catalogueWith(ownRows, pantry);
    const own = ownMeasuresOf(records, null, plain);
    const catalogue = withMade(plain, versions, (formula, known) =>
      contextFor(formula, { catalogue: known, settings, own }),
    );
    return { settings, vessels, catalogue, pantry, own };
  }
}
