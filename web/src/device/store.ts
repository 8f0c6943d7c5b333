import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Fact, FarmRecord, Problem, Seen } from '../api/client';

/** What somebody wrote down that the server has not taken yet. */
export interface Waiting {
  /** Its place in the queue. */
  n: number;
  commandId: string;
  planId: string;
  farmName: string;
  /** Id of the person who wrote it: under nobody else's name it is sent. */
  who: number;
  device: string;
  records: Seen[];
  /** When it was written, ms. */
  at: number;
  /** Why the server did not take it, or null. */
  problem: Problem | null;
}

/** What waits, as the records that the server will make of it, under the same ids. */
export function asRecords(e: Waiting): FarmRecord[] {
  const at = new Date(e.at).toISOString();
  return e.records.map((r, i) => ({
    id: e.records.length === 1 ? e.commandId : `${e.commandId}.${i}`,
    on: r.on,
    fact: r.fact as Fact,
    written: { who: '', at, device: e.device },
  }));
}

interface Stored extends DBSchema {
  queue: { key: number; value: Omit<Waiting, 'n'> & { n?: number } };
  kept: { key: string; value: { at: number; value: unknown } };
  /** Pictures whose records wait, by the hash of their bytes. */
  photos: { key: string; value: ArrayBuffer };
}

let opened: Promise<IDBPDatabase<Stored> | null> | null = null;

/** The device's own store; null where the browser gives none. */
export function store(): Promise<IDBPDatabase<Stored> | null> {
  opened ??=
    typeof indexedDB === 'undefined'
      ? Promise.resolve(null)
      : openDB<Stored>('wise-larder', 2, {
          upgrade(db, from) {
            if (from < 1) {
              db.createObjectStore('queue', { keyPath: 'n', autoIncrement: true });
              db.createObjectStore('kept');
            }
            db.createObjectStore('photos');
          },
          // a newer page must not wait for one that is left open
          blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
        }).catch(() => null);
  return opened;
}
