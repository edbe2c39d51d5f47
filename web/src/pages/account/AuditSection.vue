<script setup lang="ts">
import type { AuditEntry } from '@winculum/contract';
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../../api';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const PAGE = 100;
const { message, isBusy, run } = useSection();
const entries = shallowRef<readonly AuditEntry[]>([]);
const hasMore = ref(false);
const more = () =>
  run(async () => {
    const page = await api.audit(entries.value.at(-1)?.id);
    entries.value = [...entries.value, ...page];
    hasMore.value = page.length === PAGE;
  });
onMounted(more);
</script>

<template>
  <AccountSection
    title="Audit log"
    hint="Sign-ins, roles, deletions, restores and sign-offs; kept for two years."
    :message="message"
  >
    <v-table density="compact" class="log">
      <thead>
        <tr>
          <th>When</th>
          <th>Who</th>
          <th>What</th>
          <th>From</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in entries" :key="entry.id">
          <td class="num">{{ new Date(entry.at).toLocaleString() }}</td>
          <td>{{ entry.who }}</td>
          <td>
            {{ entry.event }} <span class="muted">{{ entry.detail }}</span>
          </td>
          <td class="num">{{ entry.address }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn v-if="hasMore" class="go" :loading="isBusy" @click="more">Earlier entries</v-btn>
  </AccountSection>
</template>

<style scoped>
.log {
  background: none;
}
.go {
  justify-self: start;
  align-self: flex-start;
}
</style>
