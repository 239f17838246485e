/** A batch's paper from the command line: by the running server where there is one, else from the folder itself. */
import { renameSync, writeFileSync } from 'node:fs';
import { LABEL_SIZES } from '#core/paper';
import { labelWords } from '#words/screens/label';
import { BackupError } from '../backup/format';
import { atKitchen, bytesOf, type CommandOptions } from '../backup/atKitchen';
import { BatchStore } from '../features/batches/store';
import { FormulaStore } from '../features/formulas/store';
import { KitchenStore } from '../features/kitchen/store';
import { TrialStore } from '../features/trials/store';
import { BatchPaper } from './batchPaper';

export const PAPERS = ['sheet', 'labels', 'pull-list'] as const;
export type PaperKind = (typeof PAPERS)[number];
export const isPaper = (word: string): word is PaperKind => PAPERS.some((kind) => kind === word);

/** @returns what was done, as a sentence @throws BackupError with what is wrong */
export async function printToFile(
  kind: PaperKind,
  batchId: string,
  file: string,
  options: CommandOptions,
): Promise<string> {
  const size = LABEL_SIZES[0]!.id;
  const query = kind === 'labels' ? `?size=${size}` : '';
  const bytes = await atKitchen(
    options,
    async (ask) => {
      const path = `/api/print/batches/${encodeURIComponent(batchId)}/${kind}${query}`;
      return bytesOf((await ask('GET', path)).body);
    },
    async (db) => {
      const batches = new BatchStore(db, options.now, new TrialStore(db, options.now));
      const batch = await batches.get(batchId);
      if (!batch) throw new BackupError(labelWords.thereIsNoBatchBatchid(batchId));
      const stores = {
        batches,
        kitchen: new KitchenStore(db, options.now),
        formulas: new FormulaStore(db, options.now),
      };
      const paper = new BatchPaper(stores, options.now);
      if (kind === 'sheet') return paper.sheet(batch, {});
      if (kind === 'pull-list') return paper.pullList(batch, {});
      return paper.labels(batch, { size, copies: batch.plan.storage?.count ?? 1, skip: 0, tongue: 'en' }, {});
    },
  );
  writeFileSync(`${file}.part`, bytes);
  renameSync(`${file}.part`, file);
  return labelWords.kindOfBatchBatchidIs(kind, batchId, file, Math.ceil(bytes.length / 1024));
}
