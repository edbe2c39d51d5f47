import { addEntity, removeEntities, type Phase, type Photo } from '@winculum/core';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api, ApiError } from '../api';
import { newId } from '../new-id';
import { forgetPhoto, keepPhoto, waitingPhotos } from '../sync/device-store';
import { shrinkPhoto } from '../sync/shrink-photo';
import { today } from '../today';
import { useHouse } from './house';
import { useSession } from './session';

/** Tells of one photo on a device that keeps nothing, or where sending fails. */
const sentence = (error: unknown) => (error instanceof Error ? error.message : String(error));
/** How long until photos that could not be sent are tried again. */
const TRY_AGAIN_MS = 30_000;

/** The photos of the open house: those that wait on this device are seen at once, and sent when the server can be reached. */
export const usePhotos = defineStore('photos', () => {
  const store = useHouse();
  const session = useSession();
  /** Waiting pictures by photo, as addresses for an image. */
  const waiting = shallowRef<ReadonlyMap<string, string>>(new Map());
  const blobs = new Map<string, Blob>();
  let isSending = false;
  const userId = () => session.signedIn?.user.id ?? '';

  function setWaiting(change: (next: Map<string, string>) => void): void {
    const next = new Map(waiting.value);
    change(next);
    waiting.value = next;
  }
  function put(id: string, blob: Blob): void {
    blobs.set(id, blob);
    setWaiting((next) => next.set(id, URL.createObjectURL(blob)));
  }

  watch(
    () => store.id,
    async (houseId) => {
      for (const url of waiting.value.values()) URL.revokeObjectURL(url);
      blobs.clear();
      waiting.value = new Map();
      if (!houseId) return;
      const kept = await waitingPhotos(userId(), houseId).catch(() => []);
      if (store.id !== houseId) return;
      for (const one of kept) put(one.id, one.blob);
      void send();
    },
    { immediate: true },
  );
  window.addEventListener('online', () => void send());

  /** Sends what waits, one after the other. What the server refuses stays, and is said. */
  async function send(): Promise<void> {
    if (isSending || !store.id) return;
    isSending = true;
    const houseId = store.id;
    try {
      for (const [id, blob] of [...blobs]) {
        if (store.id !== houseId) return;
        await api.putPhoto(houseId, id, blob);
        // The picture stays in sight until the page is left: the server's is the same.
        blobs.delete(id);
        await forgetPhoto(userId(), houseId, id).catch(() => undefined);
      }
      setWaiting((next) => [...next.keys()].forEach((id) => blobs.has(id) || next.delete(id)));
    } catch (error) {
      if (error instanceof ApiError && error.status !== 0 && error.status < 500 && error.status !== 401)
        store.problem = `A photo could not be sent: ${sentence(error)}`;
      setTimeout(() => void send(), TRY_AGAIN_MS);
    } finally {
      isSending = false;
    }
  }

  /** Makes photos small, keeps them on the device, pins them, and sends them. */
  async function add(files: readonly File[], at: Photo['at'], phase: Phase, note: string): Promise<void> {
    const houseId = store.id;
    for (const file of files) {
      try {
        const { blob, widthPx, heightPx } = await shrinkPhoto(file);
        if (store.id !== houseId) return;
        const id = newId('photo');
        await keepPhoto(userId(), houseId, { id, blob }).catch(() => {
          store.problem = 'This device keeps no photos: stay here until it is sent.';
        });
        const by = session.signedIn?.user.name ?? 'the crew';
        const photo: Photo = { id, at, phase, note, by, date: today(), widthPx, heightPx };
        if (store.apply(addEntity(store.current, 'photos', photo))) put(id, blob);
        else await forgetPhoto(userId(), houseId, id).catch(() => undefined);
      } catch (error) {
        store.problem = sentence(error);
      }
    }
    void send();
  }

  /** Takes a photo away from the house. Its picture stays with the server as long as the house does, so that undo brings it back. */
  async function remove(id: string): Promise<void> {
    if (!store.apply(removeEntities(store.current, [{ collection: 'photos', id }]))) return;
    blobs.delete(id);
    setWaiting((next) => next.delete(id));
    await forgetPhoto(userId(), store.id, id).catch(() => undefined);
  }

  return {
    /** How many wait to be sent. */
    waiting: computed(() => waiting.value.size),
    add,
    remove,
    send,
    isWaiting: (id: string) => waiting.value.has(id),
    urlOf: (id: string) => waiting.value.get(id) ?? `/api/houses/${store.id}/photos/${id}`,
  };
});
