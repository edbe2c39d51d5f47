import type { SessionState, SignedIn } from '@winculum/contract';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api, ApiError, hoursOff } from '../api';

/** From so many hours on a day that is written down may be a wrong one. */
const CLOCK_OFF_HOURS = 3;
const REMEMBERED = 'winculum-last-session';

/**
 * Who is signed in. Without a connection, or after the session has ended, the last known person may go on working; the
 * server decides at the next sending.
 */
export const useSession = defineStore('session', () => {
  const signedIn = ref<SignedIn | null>(null);
  const isKnown = ref(false);
  /** The server knows the session no longer: what is done waits on this device. */
  const hasEnded = ref(false);
  /** Links are sent by e-mail; otherwise the person who runs the server hands them over. */
  const sendsMail = ref(false);

  /** The clock of this device is so many hours off; 0 where it is near enough for dates to be right. */
  const clockOff = ref(0);

  function remember(state: SessionState): SignedIn | null {
    clockOff.value = Math.abs(hoursOff()) >= CLOCK_OFF_HOURS ? Math.round(hoursOff()) : 0;
    sendsMail.value = state.sendsMail;
    signedIn.value = state.signedIn;
    isKnown.value = true;
    hasEnded.value = false;
    if (state.signedIn) localStorage.setItem(REMEMBERED, JSON.stringify(state.signedIn));
    return state.signedIn;
  }

  async function load(): Promise<void> {
    if (isKnown.value) return;
    try {
      remember(await api.session());
    } catch (error) {
      const last = localStorage.getItem(REMEMBERED);
      if (error instanceof ApiError && last) signedIn.value = JSON.parse(last) as SignedIn;
      isKnown.value = signedIn.value !== null;
    }
  }

  /** A fresh token and identity; a session that has ended takes nobody's work away. */
  async function refresh(): Promise<boolean> {
    const state = await api.session();
    if (state.signedIn) remember(state);
    else hasEnded.value = true;
    return state.signedIn !== null;
  }

  return {
    clockOff,
    signedIn,
    isKnown,
    hasEnded,
    sendsMail,
    load,
    refresh,
    remember,
    signOut: async () => {
      await api.signOut();
      localStorage.removeItem(REMEMBERED);
      signedIn.value = null;
    },
  };
});
