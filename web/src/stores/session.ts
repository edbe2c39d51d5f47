import type { SignedIn } from '@winculum/contract';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api, ApiError } from '../api';

const REMEMBERED = 'winculum-last-session';

/** Who is signed in. Without a connection the last known person may go on working; the server decides at the next sending. */
export const useSession = defineStore('session', () => {
  const signedIn = ref<SignedIn | null>(null);
  const isKnown = ref(false);

  function remember(next: SignedIn | null): void {
    signedIn.value = next;
    isKnown.value = true;
    if (next) localStorage.setItem(REMEMBERED, JSON.stringify(next));
    else localStorage.removeItem(REMEMBERED);
  }

  async function load(): Promise<void> {
    if (isKnown.value) return;
    try {
      remember((await api.session()).signedIn);
    } catch (error) {
      const last = localStorage.getItem(REMEMBERED);
      if (error instanceof ApiError && last) signedIn.value = JSON.parse(last) as SignedIn;
      isKnown.value = signedIn.value !== null;
    }
  }

  return {
    signedIn,
    isKnown,
    load,
    signIn: async (email: string, password: string) => remember((await api.signIn(email, password)).signedIn),
    createAccount: async (account: Parameters<typeof api.createAccount>[0]) =>
      remember((await api.createAccount(account)).signedIn),
    signOut: async () => {
      await api.signOut();
      remember(null);
    },
    /** A fresh token and identity, for instance after the server was away. */
    refresh: async () => remember((await api.session()).signedIn),
  };
});
