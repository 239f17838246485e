/**
 * A built database takes the place of what is on a PostgreSQL server: its rows are laid beside first, then all
 * tables are held while the kitchen's own are saved and exchanged, in one transaction.
 */
import { sql } from 'drizzle-orm';
import type { Database } from '../db/client';
import { renewKitchenId } from '../http/kitchenId';
import { atOneMoment, countOn, emptyTables, lockTables, present, RowLoader, rowsOf } from './rows';
import { columnsOf } from './rows';
import { writeBackup } from './write';
import type { BackupHeader, TableName } from './format';

const beside = (table: TableName): string => `restoring_${table}`;

/** @param aside what is there now is saved there, with this as its first line */
export async function exchangeOnServer(
  db: Database,
  built: Database,
  aside: { readonly file: string; readonly header: BackupHeader },
): Promise<void> {
  const tables = await present(db);
  await dropBeside(db, tables);
  try {
    await db.transaction(async (tx) => {
      for (const table of tables)
        await tx.execute(
          sql`create unlogged table ${sql.identifier(beside(table))} (like ${sql.identifier(table)})`,
        );
      const loader = new RowLoader(tx, beside);
      await atOneMoment(built, async (rows) => {
        for await (const row of rows) await loader.add(row);
        await loader.end();
      });
    });
    await db.transaction(async (tx) => {
      await lockTables(tx);
      await writeBackup(aside.file, aside.header, rowsOf(tx));
      await emptyTables(tx);
      for (const table of tables) {
        const names = sql.join(
          (await columnsOf(tx, table)).map((name) => sql.identifier(name)),
          sql`, `,
        );
        await tx.execute(
          sql`insert into ${sql.identifier(table)} (${names}) select ${names} from ${sql.identifier(beside(table))}`,
        );
      }
      await countOn(tx);
    });
    await renewKitchenId(db);
  } finally {
    await dropBeside(db, tables);
  }
}

async function dropBeside(db: Database, tables: readonly TableName[]): Promise<void> {
  for (const table of tables) await db.execute(sql`drop table if exists ${sql.identifier(beside(table))}`);
}
