<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ApiError } from '../api';
import { useSession } from '../stores/session';

const session = useSession();
const route = useRoute();
const router = useRouter();
const isNew = ref(false);
const isBusy = ref(false);
const message = ref('');
const account = ref({ firm: '', name: '', email: '', password: '' });

const form = ref<HTMLFormElement>();
// At once, and never later: the field's own autofocus waits until it is seen, and takes the cursor from whoever types already.
onMounted(() => form.value?.querySelector('input')?.focus());

async function submit(): Promise<void> {
  isBusy.value = true;
  message.value = '';
  try {
    if (isNew.value) await session.createAccount({ ...account.value });
    else await session.signIn(account.value.email, account.value.password);
    const next = String(route.query['next'] ?? '');
    await router.push(next.startsWith('/') && !next.startsWith('//') ? next : '/houses');
  } catch (error) {
    message.value = error instanceof ApiError ? error.message : String(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <main class="door">
    <section class="sheet">
      <p class="brand num">WINCULUM</p>
      <p class="lead">
        Lay out the branch circuits of a house: space the boxes, fill the circuits, choose the protection, print the
        panel.
      </p>
      <form ref="form" class="stack" @submit.prevent="submit">
        <template v-if="isNew">
          <v-text-field v-model="account.firm" label="Firm" autocomplete="organization" required />
          <v-text-field v-model="account.name" label="Your name" autocomplete="name" required />
        </template>
        <v-text-field v-model="account.email" label="E-mail" type="email" autocomplete="username" required />
        <v-text-field
          v-model="account.password"
          :label="isNew ? 'Password, 10 characters or more' : 'Password'"
          type="password"
          :autocomplete="isNew ? 'new-password' : 'current-password'"
          required
        />
        <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
        <button class="plain-button main wide" type="submit" :disabled="isBusy">
          {{ isNew ? 'Open the account' : 'Sign in' }}
        </button>
        <button class="plain-button wide" type="button" @click="isNew = !isNew">
          {{ isNew ? 'I have an account' : 'New here: open an account' }}
        </button>
      </form>
    </section>
    <p class="caution muted">
      A plan is not permission. The adopted code, the authority having jurisdiction and a licensed electrician decide.
    </p>
  </main>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  place-content: center;
  gap: 18px;
  padding: 24px;
}
.sheet {
  width: min(400px, calc(100vw - 48px));
  background: var(--card);
  border: 1px solid var(--rule);
  border-top: 6px solid var(--chalk);
  border-radius: 6px;
  padding: 28px;
}
.brand {
  font-size: 30px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
.lead {
  margin: 4px 0 20px;
  line-height: 1.45;
}
.caution {
  width: min(400px, calc(100vw - 48px));
  font-size: 12.5px;
  text-align: center;
}
</style>
