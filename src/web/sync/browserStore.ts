/** What this browser keeps (IndexedDB): work on shared things, what happened at the counter, pictures not judged yet. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Marks } from '#core/glass';
import type { Waiting } from './outboxSlice';
import type { WorkKey } from './shared';
import type { KeptWork } from './workSlice';

/** One that was taken in, and neither kept nor left out yet. */
export interface WaitingPicture {
  /** The kept picture's too, so that one sent twice is kept once. */
  readonly id: string;
  readonly kitchen: string;
  readonly jarId: string;
  /** Scaled down, freed of place and device. */
  readonly jpeg: Blob;
  readonly takenAt: string;
  /** Null: nobody drew them yet. */
  readonly marks: Marks | null;
}

interface Schema extends DBSchema {
  work: {
    key: [kitchen: string, key: WorkKey, tab: string];
    value: KeptWork;
    indexes: { key: [kitchen: string, key: WorkKey]; kitchen: string };
  };
  waiting: { key: string; value: Waiting; indexes: { kitchen: string } };
  pictures: { key: string; value: WaitingPicture; indexes: { kitchen: string } };
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;

export const database = (): Promise<IDBPDatabase<Schema>> =>
  (opening ??= openDB<Schema>('ygrana', 2, {
    upgrade(db, before) {
      if (before < 1) {
        const work = db.createObjectStore('work', { keyPath: ['kitchen', 'key', 'tab'] });
        work.createIndex('key', ['kitchen', 'key']);
        work.createIndex('kitchen', 'kitchen');
        db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('kitchen', 'kitchen');
      }
      db.createObjectStore('pictures', { keyPath: 'id' }).createIndex('kitchen', 'kitchen');
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
