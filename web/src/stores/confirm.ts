import { defineStore } from 'pinia';
import { ref } from 'vue';
import { ApiError } from '../api';

/** Asks for the password once more where the server wants it, and does the work again after it. */
export const useConfirm = defineStore('confirm', () => {
  const isAsking = ref(false);
  let answer: (isConfirmed: boolean) => void = () => undefined;

  const ask = (): Promise<boolean> =>
    new Promise((resolve) => {
      answer = (isConfirmed) => {
        isAsking.value = false;
        resolve(isConfirmed);
      };
      isAsking.value = true;
    });

  /** The work's result; undefined where the person would not show their password. */
  async function confirmed<T>(work: () => Promise<T>): Promise<T | undefined> {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof ApiError) || error.body?.code !== 'confirm') throw error;
      return (await ask()) ? work() : undefined;
    }
  }

  return { isAsking, confirmed, settle: (isConfirmed: boolean) => answer(isConfirmed) };
});
