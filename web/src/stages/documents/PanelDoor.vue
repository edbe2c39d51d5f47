<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ApiError } from '../../api';
import PanelDirectory from '../../frame/PanelDirectory.vue';
import QrCode from '../../frame/QrCode.vue';
import { useHouse } from '../../stores/house';

/** A sheet for the inside of the panel's door: the directory, and a code that opens it on any phone. */
const store = useHouse();
const link = ref('');
const problem = ref('');
const busy = ref(false);
/** Days that the code holds: the server keeps a link for ten years at most. */
const DAYS = 3650;
async function make(): Promise<void> {
  busy.value = true;
  problem.value = '';
  try {
    const made = await api.inviteGuest(store.id, { role: 'panel', name: 'Panel door', days: DAYS });
    link.value = made.link ?? '';
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    problem.value = error.status === 0 ? 'A code needs the server, which cannot be reached.' : error.message;
  } finally {
    busy.value = false;
  }
}
const isPrivate = computed(() => /\/\/(127\.|localhost|\[::1\])/.test(link.value));
</script>

<template>
  <section class="leaf door">
    <div v-if="link" class="code">
      <QrCode :text="link" label="Code that opens the panel's page" />
      <p class="muted small link">{{ link }}</p>
      <p v-if="isPrivate" class="is-caution">
        This address works on this machine alone. Start the server under its public address before you print it.
      </p>
    </div>
    <div v-else>
      <p>
        A code for the panel’s door opens a page that anybody may read: the directory, and what goes dead with each
        breaker. No names, no photos, nothing can be changed by it. Take it back any time under Links.
      </p>
      <v-btn v-if="store.canEdit" color="primary" variant="flat" :disabled="busy" @click="make">Make the code</v-btn>
      <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
    </div>
  </section>
  <PanelDirectory :house="store.current" printed />
</template>

<style scoped>
.door .v-btn {
  margin-top: 8px;
}
.code {
  display: grid;
  justify-items: center;
  gap: 6px;
}
.link {
  overflow-wrap: anywhere;
}
</style>
