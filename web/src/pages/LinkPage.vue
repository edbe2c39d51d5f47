<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api } from '../api';
import { usePageTitle } from '../page-title';
import { useSession } from '../stores/session';
import DoorPage from './DoorPage.vue';

/** Where the links of letters lead: to open an account, to choose a new password, to join a firm; and where one asks for them. */
const props = defineProps<{ kind: 'forgot' | 'verify' | 'reset' | 'join'; token?: string }>();
const session = useSession();
const router = useRouter();
const email = ref('');
const password = ref('');
const invited = ref('');
const message = ref('');
const done = ref('');
const isBusy = ref(false);

const TITLES = {
  forgot: 'Forgot the password',
  verify: 'Open the account',
  reset: 'Choose a new password',
  join: 'Join a firm',
} as const;
usePageTitle(() => TITLES[props.kind]);
const BUTTONS = { forgot: 'Send a link', verify: 'Open the account', reset: 'Set the password', join: 'Join' } as const;

async function run(work: () => Promise<void>): Promise<void> {
  isBusy.value = true;
  message.value = '';
  try {
    await work();
  } catch (error) {
    message.value = error instanceof Error ? error.message : String(error);
  } finally {
    isBusy.value = false;
  }
}

const works: Record<typeof props.kind, () => Promise<void>> = {
  forgot: async () => {
    await api.askForReset(email.value);
    done.value = session.sendsMail
      ? 'If this address has an account, a letter with a link is on its way.'
      : 'If this address has an account, a link lies in the outbox of the person who runs this server (./start --outbox).';
  },
  verify: async () => {
    session.remember(await api.verify(props.token ?? ''));
    await router.push('/houses');
  },
  reset: async () => {
    await api.resetPassword(props.token ?? '', password.value);
    done.value = 'The password is set, and every session has ended. Sign in with it.';
  },
  join: async () => {
    session.remember(await api.join(props.token ?? '', password.value));
    await router.push(session.signedIn?.mustDo ? '/account' : '/houses');
  },
};

onMounted(async () => {
  if (props.kind !== 'join') return;
  await run(async () => {
    const { firm, name, email: to } = await api.invitation(props.token ?? '');
    invited.value = `${name}, you are invited to ${firm}. You will sign in as ${to}.`;
  });
});
</script>

<template>
  <DoorPage>
    <h1 class="title">{{ TITLES[kind] }}</h1>
    <p v-if="invited">{{ invited }}</p>
    <p v-if="done" role="status">{{ done }}</p>
    <v-form v-else class="stack" @submit.prevent="run(works[kind])">
      <v-text-field v-if="kind === 'forgot'" v-model="email" label="E-mail" type="email" autocomplete="username" />
      <v-text-field
        v-if="kind === 'reset' || kind === 'join'"
        v-model="password"
        label="Password, 12 characters or more"
        type="password"
        autocomplete="new-password"
      />
      <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
      <v-btn type="submit" color="primary" variant="flat" block :loading="isBusy">{{ BUTTONS[kind] }}</v-btn>
    </v-form>
    <router-link class="back" to="/sign-in">To the sign-in</router-link>
  </DoorPage>
</template>

<style scoped>
.title {
  font-size: 20px;
  margin-bottom: 10px;
}
.back {
  display: block;
  margin-top: 16px;
  color: var(--chalk);
}
</style>
