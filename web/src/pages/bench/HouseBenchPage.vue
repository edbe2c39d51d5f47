<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { boardOfGroup, groupLetters } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import { usePageTitle } from '../../page-title';
import { useHouse } from '../../stores/house';
import BenchPage from './BenchPage.vue';
import type { HouseGroup } from './use-bench';

/** The bench with a switch group of a house on it. */
const props = defineProps<{ id: string; group: string }>();
const store = useHouse();
const router = useRouter();
const isOpen = ref(false);
const failure = ref('');

onMounted(async () => {
  try {
    await store.open(props.id);
    isOpen.value = true;
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error);
  }
});
onUnmounted(() => store.close());
usePageTitle(() => store.house && `${store.house.name}: the bench`);

const items = computed(() => {
  if (!isOpen.value) return [];
  const letters = groupLetters(store.current.switchGroups);
  return Object.values(store.current.switchGroups).map((one) => ({
    value: one.id,
    title: `${letters.get(one.id)} ${one.name}`,
  }));
});
const title = computed(() => items.value.find((one) => one.value === props.group)?.title ?? '');
const made = computed(() => (isOpen.value ? boardOfGroup(store.current, props.group) : undefined));
const refused = computed(() => (made.value?.ok === false ? made.value.problems[0]!.message : ''));
const ofHouse = computed((): HouseGroup | undefined =>
  made.value?.ok ? { key: `${props.id}/${props.group}`, ...made.value.value } : undefined,
);
const back = computed(() => ({ to: `/houses/${props.id}/switching`, words: 'Back to the house' }));
</script>

<template>
  <BenchPage v-if="isOpen" :of-house="ofHouse" :title="title" :back="back">
    <section aria-label="Groups of the house">
      <SearchField
        :label="`Groups of ${store.current.name}`"
        :model-value="group"
        :items="items"
        @update:model-value="router.replace(`/houses/${id}/bench/${$event}`)"
      />
      <p v-if="refused" class="is-caution" role="alert">{{ refused }}</p>
    </section>
  </BenchPage>
  <main v-else class="pa-6">
    <p v-if="failure" class="is-violation" role="alert">{{ failure }}</p>
    <p v-else role="status">Opening the house…</p>
  </main>
</template>
