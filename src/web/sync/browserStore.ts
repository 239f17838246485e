/** What this browser keeps (IndexedDB): work on shared things, and what happened at the counter. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Waiting } from './outboxSlice';
import type { WorkKey } from './shared';
import type { KeptWork } from './workSlice';

interface Schema extends DBSchema {
  work: {
    key: [kitchen: string, key: WorkKey, tab: string];
    value: KeptWork;
    indexes: { key: [kitchen: string, key: WorkKey]; kitchen: string };
  };
  waiting: { key: string; value: Waiting; indexes: { kitchen: string } };
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;

export const database = (): Promise<IDBPDatabase<Schema>> =>
  (opening ??= openDB<Schema>('ygrana', 1, {
    upgrade(db) {
      const work = db.createObjectStore('work', { keyPath: ['kitchen', 'key', 'tab'] });
      work.createIndex('key', ['kitchen', 'key']);
      work.createIndex('kitchen', 'kitchen');
      db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('kitchen', 'kitchen');
    },
    terminated: gaveUp,
  }).then((db) => {
    // Deleted by hand, or by a browser short of room: what is written next makes it anew.
    db.addEventListener('versionchange', () => {
      db.close();
      gaveUp();
    });
    return db;
  }));

/** Private window, full disk, a store that was deleted: the next try opens it anew. */
export function gaveUp(): void {
  opening = null;
}
