import type { Notice } from '@winculum/contract';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, ApiError } from '../api';

/** What the person is told of by others, and who these others are. Nothing is asked for again and again: events say when to look. */
export const useNotices = defineStore('notices', () => {
  const notices = shallowRef<readonly Notice[]>([]);
  /** The names of everybody in the firm. */
  const people = shallowRef<readonly string[]>([]);
  const isOffline = ref(false);
  const unread = computed(() => notices.value.filter((one) => one.seenAt === null).length);

  /** Looks for what is new; without the server what was known stays. */
  async function load(): Promise<void> {
    try {
      notices.value = await api.notices();
      isOffline.value = false;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      isOffline.value = true;
    }
  }

  async function loadPeople(): Promise<void> {
    if (people.value.length > 0) return;
    try {
      people.value = (await api.members()).map((one) => one.name);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
    }
  }

  /** Marks notices as read, all of them where none is named; here first, so that the count falls at once. */
  async function read(ids?: readonly string[]): Promise<void> {
    const isMeant = ({ id, seenAt }: Notice) => seenAt === null && (ids === undefined || ids.includes(id));
    if (!notices.value.some(isMeant)) return;
    const seenAt = new Date().toISOString();
    notices.value = notices.value.map((one) => (isMeant(one) ? { ...one, seenAt } : one));
    await api.readNotices(ids).catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
    });
  }

  /** Those about one thing: who has it before their eyes has read them. */
  const readAbout = (houseId: string, about: readonly string[]): Promise<void> =>
    read(notices.value.filter((one) => one.houseId === houseId && about.includes(one.about)).map((one) => one.id));

  return { notices, people, isOffline, unread, load, loadPeople, read, readAbout };
});
