import { openDB, type IDBPDatabase } from 'idb';
import type { Stored } from './house-sync';

let opened: Promise<IDBPDatabase> | undefined;
const open = () =>
  (opened ??= openDB('winculum', 1, {
    upgrade(db) {
      db.createObjectStore('houses');
    },
  }));

/** A key for one person's copy of one house: two people on one device never see each other's queue. */
const keyOf = (userId: string, houseId: string) => `${userId}/${houseId}`;

export async function readStored(userId: string, houseId: string): Promise<Stored | undefined> {
  return (await (await open()).get('houses', keyOf(userId, houseId))) as Stored | undefined;
}

export async function writeStored(userId: string, houseId: string, stored: Stored): Promise<void> {
  await (await open()).put('houses', stored, keyOf(userId, houseId));
}

export async function forgetStored(userId: string, houseId: string): Promise<void> {
  await (await open()).delete('houses', keyOf(userId, houseId));
}
