<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ApiError } from '../api';
import { useSession } from '../stores/session';
import DoorPage from './DoorPage.vue';

const session = useSession();
const route = useRoute();
const router = useRouter();
const isNew = ref(false);
const isBusy = ref(false);
const asksForCode = ref(false);
const message = ref('');
const sent = ref('');
const account = ref({ firm: '', name: '', email: '', password: '', code: '', trust: false });

const form = ref<HTMLElement>();
// At once, and never later: the field's own autofocus waits until it is seen, and takes the cursor from a person who types already.
onMounted(() => form.value?.querySelector('input')?.focus());

async function goOn(): Promise<void> {
  const next = String(route.query['next'] ?? '');
  if (session.signedIn?.mustDo) await router.push('/account');
  else await router.push(next.startsWith('/') && !next.startsWith('//') ? next : '/houses');
}

async function createAccount(): Promise<void> {
  const { firm, name, email, password } = account.value;
  const state = await api.createAccount({ firm, name, email, password });
  if (state.signedIn) session.remember(state);
  else sent.value = `A letter is on its way to ${email}. Follow its link to open the account, within 24 hours.`;
}

async function signIn(): Promise<void> {
  const { email, password, trust, code } = account.value;
  session.remember(await api.signIn({ email, password, trust, code: asksForCode.value ? code : undefined }));
}

async function submit(): Promise<void> {
  isBusy.value = true;
  message.value = '';
  try {
    await (isNew.value ? createAccount() : signIn());
    if (session.signedIn && !sent.value) await goOn();
  } catch (error) {
    if (error instanceof ApiError && error.body?.code === 'second-factor') asksForCode.value = true;
    message.value = error instanceof ApiError ? error.message : String(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <DoorPage>
    <p class="lead">
      Lay out the branch circuits of a house: space the boxes, fill the circuits, choose the protection, print the
      panel.
    </p>
    <p v-if="sent" role="status">{{ sent }}</p>
    <v-form v-else ref="form" class="stack" @submit.prevent="submit">
      <template v-if="isNew">
        <v-text-field v-model="account.firm" label="Firm" autocomplete="organization" required />
        <v-text-field v-model="account.name" label="Your name" autocomplete="name" required />
      </template>
      <v-text-field v-model="account.email" label="E-mail" type="email" autocomplete="username" required />
      <v-text-field
        v-model="account.password"
        :label="isNew ? 'Password, 12 characters or more' : 'Password'"
        type="password"
        :autocomplete="isNew ? 'new-password' : 'current-password'"
        required
      />
      <v-text-field
        v-if="asksForCode && !isNew"
        v-model="account.code"
        label="Code of your authenticator, or a recovery code"
        autocomplete="one-time-code"
      />
      <v-checkbox
        v-if="!isNew"
        v-model="account.trust"
        density="compact"
        hide-details
        label="Stay signed in on this device, where the firm allows it"
      />
      <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
      <v-btn type="submit" color="primary" variant="flat" block :loading="isBusy">
        {{ isNew ? 'Open the account' : 'Sign in' }}
      </v-btn>
      <v-btn variant="text" block @click="isNew = !isNew">
        {{ isNew ? 'I have an account' : 'New here: open an account' }}
      </v-btn>
      <router-link v-if="!isNew" class="forgot" to="/forgot">Forgot the password</router-link>
    </v-form>
  </DoorPage>
</template>

<style scoped>
.lead {
  margin: 4px 0 20px;
  line-height: 1.45;
}
.forgot {
  text-align: center;
  color: var(--chalk);
}
</style>
