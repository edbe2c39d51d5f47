<script setup lang="ts">
import type { AccountState } from '@winculum/contract';
import { toDataURL } from 'qrcode';
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../../api';
import { useSession } from '../../stores/session';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const session = useSession();
const { message, said, isBusy, run } = useSection();
const state = shallowRef<AccountState>();
const secret = ref('');
const picture = ref('');
const code = ref('');
const codes = shallowRef<readonly string[]>([]);
const inFours = (text: string) => text.replace(/(.{4})(?=.)/g, '$1 ');

const load = async (): Promise<void> => void (state.value = await api.account());
const begin = () =>
  run(async () => {
    const made = await api.newSecondFactor();
    [secret.value, code.value] = [made.secret, ''];
    picture.value = await toDataURL(made.uri, { margin: 2, width: 180 });
  });
const turnOn = () =>
  run(async () => {
    const done = await api.turnOnSecondFactor(code.value);
    [codes.value, secret.value] = [done.codes, ''];
    session.remember(done.session);
    await load();
    return 'The second factor is on. Every other session has ended.';
  });
const turnOff = () =>
  run(async () => {
    await api.turnOffSecondFactor();
    codes.value = [];
    await load();
    return 'The second factor is off.';
  });
onMounted(() => run(load));
</script>

<template>
  <AccountSection
    title="Second factor"
    hint="Six digits of an authenticator program, besides the password."
    :message="message"
    :said="said"
  >
    <template v-if="codes.length">
      <p>
        <b>Recovery codes.</b> Each stands in once when the authenticator is lost. Write them down now: they are not
        shown again.
      </p>
      <ul class="codes num">
        <li v-for="one in codes" :key="one">{{ inFours(one) }}</li>
      </ul>
    </template>
    <template v-else-if="secret">
      <p>Scan this with the authenticator, or type the letters below, then type the six digits that it shows.</p>
      <div class="scan">
        <img :src="picture" alt="Code for the authenticator" width="180" height="180" />
        <p class="num">{{ inFours(secret) }}</p>
      </div>
      <v-form class="row" @submit.prevent="turnOn">
        <v-text-field v-model="code" label="Six digits" autocomplete="one-time-code" inputmode="numeric" />
        <v-btn type="submit" color="primary" variant="flat" :loading="isBusy">Turn it on</v-btn>
      </v-form>
    </template>
    <div v-else-if="state?.hasSecondFactor" class="row">
      <span class="grow">It is on; {{ state.recoveryCodesLeft }} recovery codes are left.</span>
      <v-btn :loading="isBusy" @click="turnOff">Turn it off</v-btn>
    </div>
    <v-btn v-else class="go" :loading="isBusy" @click="begin">Set up a second factor</v-btn>
  </AccountSection>
</template>

<style scoped>
.codes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 16px;
  font-size: 17px;
}
.scan {
  display: flex;
  gap: 16px;
  align-items: center;
  font-size: 17px;
}
.go {
  justify-self: start;
  align-self: flex-start;
}
</style>
