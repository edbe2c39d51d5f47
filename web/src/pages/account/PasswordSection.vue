<script setup lang="ts">
import { ref } from 'vue';
import { api } from '../../api';
import { useSession } from '../../stores/session';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const session = useSession();
const { message, said, isBusy, run } = useSection();
const old = ref('');
const password = ref('');

const change = () =>
  run(async () => {
    session.remember(await api.changePassword(old.value, password.value));
    [old.value, password.value] = ['', ''];
    return 'The password is changed, and every other session has ended.';
  });
</script>

<template>
  <AccountSection
    title="Password"
    hint="12 to 128 characters. A few words that do not belong together are good."
    :message="message"
    :said="said"
  >
    <v-form class="stack" @submit.prevent="change">
      <v-text-field v-model="old" label="Password until now" type="password" autocomplete="current-password" />
      <v-text-field v-model="password" label="New password" type="password" autocomplete="new-password" />
      <v-btn class="go" type="submit" :loading="isBusy" :disabled="!old || !password">Change the password</v-btn>
    </v-form>
  </AccountSection>
</template>

<style scoped>
.go {
  justify-self: start;
  align-self: flex-start;
}
</style>
