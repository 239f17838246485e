/** The paper of a batch by its id: what the kitchen holds, in words, set as PDF. */
import { formatDay } from '#words/numbers';
import type { BatchRecord } from '#contract';
import { labelSizeOf } from '#core/paper';
import { measuringWith, type Catalogue } from '#core/ingredient';
import { withMade } from '#core/reckoning';
import { pullOfBatches } from '#kitchen/batch';
import { labelOf, pullSheetOf, sheetOf } from '#kitchen/paper';
import { catalogueWith, type Pantry } from '#kitchen/reading';
import type { Reader } from '#words/numbers';
import type { Tongue } from '#words/tongue';
import { labelWords } from '#words/screens/label';
import type { BatchStore } from '../features/batches/store';
import type { FormulaStore } from '../features/formulas/store';
import type { KitchenStore } from '../features/kitchen/store';
import { printLabels } from './label';
import { inTongue } from './inTongue';
import { printSheet } from './sheet';

export interface PaperStores {
  readonly kitchen: KitchenStore;
  readonly formulas: FormulaStore;
  readonly batches: BatchStore;
}
export interface LabelAsk {
  readonly size: string;
  readonly copies: number;
  readonly skip: number;
  readonly tongue: Tongue;
}

export class BatchPaper {
  constructor(
    private readonly stores: PaperStores,
    private readonly now: () => Date,
  ) {}

  async sheet(batch: BatchRecord, reader: Reader): Promise<Buffer> {
    const [{ catalogue }, settings, vessels] = await Promise.all([
      this.things(),
      this.stores.kitchen.settings(),
      this.stores.kitchen.vessels(),
    ]);
    return printSheet(sheetOf({ batch, catalogue, settings, vessels, reader }), this.now());
  }

  async labels(
    batch: BatchRecord,
    { size, copies, skip, tongue }: LabelAsk,
    reader: Reader,
  ): Promise<Buffer> {
    const settings = await this.stores.kitchen.settings();
    return inTongue(tongue, () => {
      const words = labelOf({ batch, settings, reader });
      return printLabels(words, labelSizeOf(size)!, copies, skip, this.now());
    });
  }

  async pullList(batch: BatchRecord, reader: Reader): Promise<Buffer> {
    const title = labelWords.pullListPartBatchNumber(batch.formulaName ?? labelWords.dressing, batch.number);
    // What is poured on is weighed out in one go with it.
    const endings = (await this.stores.batches.endingsOf(batch.id)).filter(
      ({ state }) => state !== 'called-off',
    );
    return this.pull([batch, ...endings], title, formatDay(batch.day, reader));
  }

  /** Of all batches of a day that are still to be made. */
  async pullListOfDay(day: string, batches: readonly BatchRecord[], reader: Reader): Promise<Buffer> {
    const numbers = batches.map(({ number }) => number).join(', ');
    return this.pull(batches, labelWords.pullListDay(formatDay(day, reader)), numbers);
  }

  private async pull(batches: readonly BatchRecord[], title: string, subtitle: string): Promise<Buffer> {
    const [things, settings] = await Promise.all([this.things(), this.stores.kitchen.settings()]);
    return printSheet(pullSheetOf(pullOfBatches(batches, things), title, subtitle, settings), this.now());
  }

  private async things(): Promise<{ readonly catalogue: Catalogue; readonly pantry: Pantry }> {
    const { kitchen, formulas } = this.stores;
    const [own, pantry, versions, settings] = await Promise.all([
      kitchen.ownIngredients(),
      kitchen.pantry(),
      formulas.made(),
      kitchen.settings(),
    ]);
    const catalogue = withMade(catalogueWith(own, pantry), versions, ({ spoons }, known) => ({
      catalogue: known,
      measuring: measuringWith(spoons),
      decimalSign: settings.decimalSign,
    }));
    return { catalogue, pantry };
  }
}
