<script setup lang="ts">
import type { SessionInfo } from '@winculum/contract';
import { onMounted, shallowRef } from 'vue';
import { api } from '../../api';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const { message, said, isBusy, run } = useSection();
const sessions = shallowRef<readonly SessionInfo[]>([]);
const load = async (): Promise<void> => void (sessions.value = await api.sessions());
const end = (one: SessionInfo) =>
  run(async () => {
    await api.endSession(one.id);
    await load();
  });
const endOthers = () =>
  run(async () => {
    const { ended } = await api.endOtherSessions();
    await load();
    return ended === 1 ? 'One other session has ended.' : `${ended} other sessions have ended.`;
  });
const day = (text: string) => new Date(text).toLocaleString();
onMounted(() => run(load));
</script>

<template>
  <AccountSection
    title="Where you are signed in"
    hint="A session ends half an hour after its last use, and twelve hours after it began, unless the device is trusted."
    :message="message"
    :said="said"
  >
    <ul class="list">
      <li v-for="one in sessions" :key="one.id" class="row">
        <span class="grow">
          {{ one.device }}<b v-if="one.isThis">, this one</b><span v-if="one.isTrusted">, trusted</span><br />
          <span class="muted num">{{ one.address }}, last used {{ day(one.seenAt) }}</span>
        </span>
        <v-btn v-if="!one.isThis" size="small" :aria-label="`End the session of ${one.device}`" @click="end(one)"
          >End</v-btn
        >
      </li>
    </ul>
    <v-btn class="go" :loading="isBusy" :disabled="sessions.length < 2" @click="endOthers"
      >Sign out everywhere else</v-btn
    >
  </AccountSection>
</template>

<style scoped>
.list {
  display: grid;
  gap: 8px;
}
.go {
  justify-self: start;
  align-self: flex-start;
}
</style>
