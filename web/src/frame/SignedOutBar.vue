<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, ApiError } from '../api';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';

const store = useHouse();
const session = useSession();
const router = useRouter();
const isOpen = ref(false);
const isBusy = ref(false);
const password = ref('');
const code = ref('');
const asksForCode = ref(false);
const message = ref('');
const waiting = computed(() => (store.syncState.kind === 'signed-out' ? store.syncState.waiting : 0));

async function submit(): Promise<void> {
  isBusy.value = true;
  message.value = '';
  const before = session.signedIn?.user;
  try {
    const state = await api.signIn({
      email: before?.email ?? '',
      password: password.value,
      code: asksForCode.value ? code.value : undefined,
    });
    session.remember(state);
    if (state.signedIn?.mustDo) return void (await router.push('/account'));
    isOpen.value = false;
    store.goOn();
  } catch (error) {
    if (error instanceof ApiError && error.body?.code === 'second-factor') asksForCode.value = true;
    message.value = error instanceof Error ? error.message : String(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <div class="signed-out" role="alert">
    <span>
      Your session has ended. Go on working: {{ waiting === 0 ? 'what you do' : `what waits (${waiting})` }} is kept on
      this device and sent once you sign in again.
    </span>
    <v-btn size="small" @click="isOpen = true">Sign in again</v-btn>
    <v-dialog v-model="isOpen" max-width="420">
      <v-card class="pa-5" title="Sign in again">
        <v-form class="stack" @submit.prevent="submit">
          <p class="muted">{{ session.signedIn?.user.email }}</p>
          <v-text-field
            v-model="password"
            label="Password"
            type="password"
            autocomplete="current-password"
            autofocus
            :error-messages="asksForCode ? '' : message"
          />
          <v-text-field
            v-if="asksForCode"
            v-model="code"
            label="Code of your authenticator"
            autocomplete="one-time-code"
            :error-messages="message"
          />
          <v-btn type="submit" color="primary" variant="flat" :loading="isBusy">Sign in</v-btn>
        </v-form>
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.signed-out {
  position: fixed;
  inset: 56px 0 auto;
  margin: 0 auto;
  width: min(760px, calc(100vw - 32px));
  z-index: 20;
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 14px;
  background: var(--card);
  border: 1px solid var(--caution);
  border-left-width: 6px;
  border-radius: 4px;
}
</style>
