import { openDB, type IDBPDatabase } from 'idb';
import { newId } from '../new-id';
import { HOUSE_VERSION, readHouse, type JobSummary } from '@winculum/core';
import type { Stored } from './house-sync';

let opening: Promise<IDBPDatabase> | undefined;
/** The database once it is open: what is written then is asked for at once, and not after what the page has to do first. */
let opened: IDBPDatabase | undefined;
const open = async () =>
  (opened = await (opening ??= openDB('winculum', 3, {
    upgrade(db, from) {
      if (from < 1) db.createObjectStore('houses');
      // Photos that wait to be sent, by person, house and photo.
      if (from < 2) db.createObjectStore('photos');
      // What the cards of jobs say, by person and house.
      if (from < 3) db.createObjectStore('summaries');
    },
    // A newer program in another window needs the database in its own form: this one lets go, and opens it again when it writes.
    blocking: (_current, _blocked, event) => {
      (event.target as IDBDatabase).close();
      [opening, opened] = [undefined, undefined];
    },
  })));

/** One person's copies of one house on this device, of any window: two people on one device never see each other's. */
const copiesOf = (userId: string, houseId: string) =>
  IDBKeyRange.bound(`${userId}/${houseId}`, `${userId}/${houseId}/\uffff`);

/** Longer than a page that was left takes to let go of its lock. */
const CLAIM_MS = 1_000;
/** The windows whose copies are this page's, its own among them. */
const claimed = new Set<string>();

/**
 * Claims a window's copies for this page until the page is gone; false if the window is still open. A page that is just being
 * left may be waited for. Where the browser has no locks (it has them for 127.0.0.1 and https), the window is taken to be
 * closed.
 */
function claim(window: string, mayWait: boolean): Promise<boolean> {
  if (claimed.has(window) || !('locks' in navigator)) return Promise.resolve(true);
  return new Promise((answer) => {
    const options = mayWait ? { signal: AbortSignal.timeout(CLAIM_MS) } : { ifAvailable: true };
    const held = navigator.locks.request(`winculum-window-${window}`, options, (lock) => {
      if (lock) claimed.add(window);
      answer(lock !== null);
      return lock ? new Promise<never>(() => undefined) : Promise.resolve();
    });
    held.catch(() => answer(false));
  });
}

const WINDOW = 'winculum-window';
let own: Promise<string> | undefined;
/** This window's name: the same after a reload, another in a window that was made as a copy of this one. */
const thisWindow = () =>
  (own ??= (async () => {
    const before = sessionStorage.getItem(WINDOW);
    if (before && (await claim(before, true))) return before;
    const fresh = newId('window');
    await claim(fresh, false);
    sessionStorage.setItem(WINDOW, fresh);
    return fresh;
  })());

/** What one window keeps of one house. */
export interface Copy {
  readonly stored: Stored;
  /** Keeps the next state of it. */
  readonly write: (stored: Stored) => Promise<void>;
  readonly forget: () => Promise<void>;
}

/** What a device keeps of one house. */
interface Copies {
  /** What this window goes on with: edits that wait in it, or else in a closed one. */
  readonly mine: Stored | undefined;
  readonly write: Copy['write'];
  /** What other closed windows left with edits in them. */
  readonly left: readonly Copy[];
  /** The house as the server last gave it to any window, for want of the server. */
  readonly last: Stored | undefined;
}

const isWaiting = ({ stored }: { readonly stored: Stored }): boolean => stored.pending.length > 0;

/** A copy that an earlier version of the program left, as this one writes houses; its edits are understood as they are. */
function inPresentVersion(stored: Stored): Stored {
  if ((stored.house.version as number) === HOUSE_VERSION) return stored;
  const read = readHouse(stored.house);
  return read.ok ? { ...stored, house: read.value } : stored;
}

async function readCopies(userId: string, houseId: string): Promise<{ key: string; stored: Stored }[]> {
  const { store } = (await open()).transaction('houses');
  const [keys, values] = await Promise.all([
    store.getAllKeys(copiesOf(userId, houseId)) as Promise<string[]>,
    store.getAll(copiesOf(userId, houseId)) as Promise<Stored[]>,
  ]);
  return keys.map((key, i) => ({ key, stored: inPresentVersion(values[i]!) }));
}

/** Opens the copies of a house: those of closed windows are taken over, and forgotten unless edits wait in them. */
export async function openCopies(userId: string, houseId: string): Promise<Copies> {
  const window = await thisWindow();
  const place = `${userId}/${houseId}/${window}`;
  // The keys of old had no window in them: such a copy was left by one that is closed.
  const windowOf = (key: string) => key.slice(`${userId}/${houseId}/`.length);
  await Promise.all((await readCopies(userId, houseId)).map((one) => claim(windowOf(one.key), isWaiting(one))));
  // Read again, now that nobody else writes them: a window may have sent its edits just before it let go.
  const all = (await readCopies(userId, houseId)).toSorted(
    (a, b) => Number(b.key === place) - Number(a.key === place) || b.stored.version - a.stored.version,
  );
  const isFree = await Promise.all(all.map((one) => claim(windowOf(one.key), false)));
  const free = all.filter((_, i) => isFree[i]);
  const [mine, ...left] = free.filter(isWaiting);
  if (mine && mine.key !== place) await write(place, mine.stored);
  for (const one of free) if (one.key !== place && (one === mine || !isWaiting(one))) await forget(one.key);
  const newest = all.toSorted((a, b) => b.stored.version - a.stored.version)[0]?.stored;
  return {
    mine: mine?.stored,
    write: (stored) => write(place, stored),
    left: left.map(({ key, stored }) => ({ stored, write: (next) => write(key, next), forget: () => forget(key) })),
    last: newest && { ...newest, pending: [], sending: null },
  };
}

/**
 * Keeps it, even where the page is reloaded or closed before it has heard so. The commit is asked for together with the
 * writing: left to itself the browser commits only after the page has heard of the writing, and a page that is busy drawing
 * when it is left never does; the edit was lost then.
 */
async function write(key: string, stored: Stored): Promise<void> {
  const writing = (opened ?? (await open())).transaction('houses', 'readwrite');
  const put = writing.store.put(stored, key);
  writing.commit();
  await Promise.all([put, writing.done]);
}

const forget = async (key: string): Promise<void> => (await open()).delete('houses', key);

/** Forgets every copy of a house that is no more. */
export async function forgetCopies(userId: string, houseId: string): Promise<void> {
  await (await open()).delete('houses', copiesOf(userId, houseId));
  await (await open()).delete('photos', copiesOf(userId, houseId));
  await (await open()).delete('summaries', `${userId}/${houseId}`);
  await forgetSeenPhotos(`/api/houses/${houseId}/`);
}

/** What the service worker keeps photos in (web/service-worker); it knows no person, so what is forgotten is taken from there as well. */
const SEEN_PHOTOS = 'photos';
async function forgetSeenPhotos(ofHouse: string): Promise<void> {
  // A page that is not served safely has no such place.
  if (!('caches' in window) || !(await caches.has(SEEN_PHOTOS))) return;
  const seen = await caches.open(SEEN_PHOTOS);
  for (const request of await seen.keys())
    if (new URL(request.url).pathname.startsWith(ofHouse)) await seen.delete(request);
}

/** What waits to be sent of one photo. */
interface WaitingPhoto {
  readonly id: string;
  readonly blob: Blob;
}
const photoKey = (userId: string, houseId: string, id: string) => `${userId}/${houseId}/${id}`;

export const keepPhoto = async (userId: string, houseId: string, { id, blob }: WaitingPhoto): Promise<unknown> =>
  (await open()).put('photos', blob, photoKey(userId, houseId, id));

export const forgetPhoto = async (userId: string, houseId: string, id: string): Promise<void> =>
  (await open()).delete('photos', photoKey(userId, houseId, id));

/** The photos of a house that this device has not sent yet. */
export async function waitingPhotos(userId: string, houseId: string): Promise<readonly WaitingPhoto[]> {
  const { store } = (await open()).transaction('photos');
  const [keys, blobs] = await Promise.all([
    store.getAllKeys(copiesOf(userId, houseId)) as Promise<string[]>,
    store.getAll(copiesOf(userId, houseId)) as Promise<Blob[]>,
  ]);
  return keys.map((key, i) => ({ id: key.slice(`${userId}/${houseId}/`.length), blob: blobs[i]! }));
}

/** What a card said of a house, and of which version it was read. */
interface KeptSummary {
  readonly version: number;
  readonly summary: JobSummary;
}
export const keptSummary = async (userId: string, houseId: string): Promise<KeptSummary | undefined> =>
  (await (await open()).get('summaries', `${userId}/${houseId}`)) as KeptSummary | undefined;
export const keepSummary = async (userId: string, houseId: string, kept: KeptSummary): Promise<unknown> =>
  (await open()).put('summaries', kept, `${userId}/${houseId}`);

/** Houses of a person that this device can open without the server, as they were last. */
export async function housesOnDevice(
  userId: string,
): Promise<readonly { readonly id: string; readonly name: string; readonly version: number }[]> {
  const { store } = (await open()).transaction('houses');
  const [keys, all] = await Promise.all([
    store.getAllKeys(copiesOfAll(userId)) as Promise<string[]>,
    store.getAll(copiesOfAll(userId)) as Promise<Stored[]>,
  ]);
  const found = new Map<string, { id: string; name: string; version: number }>();
  for (const [i, { house, version }] of all.entries()) {
    const id = keys[i]!.split('/')[1]!;
    if (version >= (found.get(id)?.version ?? 0)) found.set(id, { id, name: house.name, version });
  }
  return [...found.values()];
}

const copiesOfAll = (userId: string) => IDBKeyRange.bound(`${userId}/`, `${userId}/\uffff`);

/** How many edits of a person wait on this device, in however many houses. */
export async function countWaiting(userId: string): Promise<number> {
  const all = (await (await open()).getAll('houses', copiesOfAll(userId))) as Stored[];
  const photos = await (await open()).count('photos', copiesOfAll(userId));
  return all.reduce((sum, one) => sum + one.pending.length, photos);
}

/** Forgets every house of a person on this device, and what waits in it. */
export async function forgetAllCopies(userId: string): Promise<void> {
  await (await open()).delete('houses', copiesOfAll(userId));
  await (await open()).delete('photos', copiesOfAll(userId));
  await (await open()).delete('summaries', copiesOfAll(userId));
  await forgetSeenPhotos('/');
}
