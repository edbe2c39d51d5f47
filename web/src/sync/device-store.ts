import { openDB, type IDBPDatabase } from 'idb';
import type { Stored } from './house-sync';

let opening: Promise<IDBPDatabase> | undefined;
/** The database once it is open: what is written then is asked for at once, and not after what the page has to do first. */
let opened: IDBPDatabase | undefined;
const open = async () =>
  (opened = await (opening ??= openDB('winculum', 1, {
    upgrade(db) {
      db.createObjectStore('houses');
    },
  })));

/** A key for one person's copy of one house: two people on one device never see each other's queue. */
const keyOf = (userId: string, houseId: string) => `${userId}/${houseId}`;

export async function readStored(userId: string, houseId: string): Promise<Stored | undefined> {
  return (await (await open()).get('houses', keyOf(userId, houseId))) as Stored | undefined;
}

/**
 * Keeps it, even where the page is reloaded or closed before it has heard so. The commit is asked for together with the
 * writing: left to itself the browser commits only after the page has heard of the writing, and a page that is busy drawing
 * when it is left never does; the edit was lost then.
 */
export async function writeStored(userId: string, houseId: string, stored: Stored): Promise<void> {
  const writing = (opened ?? (await open())).transaction('houses', 'readwrite');
  const put = writing.store.put(stored, keyOf(userId, houseId));
  writing.commit();
  await Promise.all([put, writing.done]);
}

export async function forgetStored(userId: string, houseId: string): Promise<void> {
  await (await open()).delete('houses', keyOf(userId, houseId));
}
