import { sql } from 'drizzle-orm';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openDatabase } from './db/client';
import { dropFolder, migrationsFolder, tempFolder } from './testing/kitchen';

/** What the README says a power cut can cost rests on these; a new engine that changes them must change it. */
it('shows how durable the embedded engine is: it commits in order, and leaves flushing to the operating system', async () => {
  const folder = tempFolder();
  const { db, close } = await openDatabase(join(folder, 'db'), migrationsFolder);
  const setting = async (name: string): Promise<unknown> =>
    Object.values((await db.execute(sql.raw(`SHOW ${name}`))).rows[0]!)[0];
  try {
    expect({
      fsync: await setting('fsync'),
      synchronous_commit: await setting('synchronous_commit'),
      full_page_writes: await setting('full_page_writes'),
    }).toEqual({ fsync: 'off', synchronous_commit: 'on', full_page_writes: 'on' });
  } finally {
    await close();
    dropFolder(folder);
  }
});
