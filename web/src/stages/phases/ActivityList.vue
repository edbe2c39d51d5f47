<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { AppliedBatch } from '@winculum/contract';
import { api, ApiError } from '../../api';
import { useHouse } from '../../stores/house';

/** What was done in this house, by whom and when, the last first. */
const store = useHouse();
const batches = shallowRef<readonly AppliedBatch[]>([]);
const problem = ref('');
const isLoading = ref(true);
/** Batches that are looked back at. */
const LOOK_BACK = 200;

async function load(): Promise<void> {
  problem.value = '';
  isLoading.value = true;
  try {
    const version = (await api.houses()).find((one) => one.id === store.id)?.version ?? 0;
    // What is older than the oldest kept is told from the oldest on.
    let after = Math.max(0, version - LOOK_BACK);
    const all: AppliedBatch[] = [];
    for (;;) {
      const page = await api.history(store.id, after).catch((error: unknown) => {
        if (error instanceof ApiError && error.status === 410 && after > 0) return undefined;
        throw error;
      });
      if (page === undefined) {
        after = 0;
        continue;
      }
      all.push(...page);
      if (page.length === 0 || all.at(-1)!.version >= version) break;
      after = all.at(-1)!.version;
    }
    batches.value = all.toReversed();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    problem.value = error.status === 0 ? 'Who did what is kept by the server, which cannot be reached.' : error.message;
  } finally {
    isLoading.value = false;
  }
}
onMounted(load);

const days = computed(() => {
  const all = new Map<string, { at: string; author: string; what: string }[]>();
  for (const { at, author, edits } of batches.value) {
    const day = new Date(at).toLocaleDateString([], { dateStyle: 'full' });
    const time = new Date(at).toLocaleTimeString([], { timeStyle: 'short' });
    const what = [...new Set(edits.map((one) => one.label))].join(', ');
    const list = all.get(day) ?? [];
    const last = list.at(-1);
    // The same thing done many times on end is one line.
    if (last?.author === author && last.what === what) last.at = time;
    else list.push({ at: time, author, what });
    all.set(day, list);
  }
  return [...all];
});
</script>

<template>
  <p v-if="problem" class="is-caution" role="status">{{ problem }}</p>
  <p v-else-if="!isLoading && !days.length" class="none muted">Nothing has been changed yet.</p>
  <section v-for="[day, list] in days" :key="day" class="leaf">
    <h2>{{ day }}</h2>
    <p v-for="(one, i) in list" :key="i" class="line">
      <span class="num time">{{ one.at }}</span> <b>{{ one.author }}</b> {{ one.what }}
    </p>
  </section>
</template>

<style scoped>
.line {
  border-top: 1px solid var(--rule);
  padding: 4px 0;
}
.time {
  display: inline-block;
  min-width: 76px;
  color: var(--muted);
}
</style>
