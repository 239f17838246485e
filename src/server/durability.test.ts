import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { found } from './db/client';
import { dropFolder, tempFolder, openTables } from './testing/kitchen';

/** What the README says a power cut can cost rests on these; a new engine that changes them must change it. */
it('shows how durable the embedded engine is: it commits in order, and leaves flushing to the operating system', async () => {
  const folder = tempFolder();
  const { db, close } = await openTables(folder);
  const setting = async (name: string): Promise<unknown> =>
    Object.values((await found<object>(db, sql.raw(`SHOW ${name}`)))[0]!)[0];
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
