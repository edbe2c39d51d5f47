<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import MenuButton from '../fields/MenuButton.vue';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import { STOPS, TITLES, type Stop } from '../stops';

/** On a phone one thing at a time: the stage, and of it the sheet, the wall strip or the side region. */
const props = defineProps<{ stop: Stop }>();
const store = useHouse();
const view = useView();
const router = useRouter();

const stages = STOPS.map((value) => ({ value, word: TITLES[value] }));
const parts = computed(() =>
  (['sheet', 'strip', 'panel'] as const).filter(
    (part) => part !== 'strip' || props.stop === 'boxes' || props.stop === 'routes',
  ),
);
/** What the side region would show: the one box in hand by its tag. */
const picked = computed(() => {
  const id = view.only('box');
  return (id && store.current.boxes[id]?.tag) ?? '';
});
const WORDS = { sheet: 'Sheet', strip: 'Wall strip', panel: 'Panel' } as const;
</script>

<template>
  <nav class="phone-bar" aria-label="What is shown">
    <MenuButton
      label="Stage"
      :shown="TITLES[stop]"
      :entries="stages"
      @choose="router.push(`/houses/${store.id}/${$event}`)"
    />
    <span class="grow" />
    <v-btn
      v-for="part in parts"
      :key="part"
      class="part"
      :aria-pressed="view.shows === part"
      :aria-label="part === 'panel' ? 'Panel: what is selected, and why' : WORDS[part]"
      @click="view.shows = part"
      >{{ part === 'panel' && picked ? picked : WORDS[part] }}</v-btn
    >
  </nav>
</template>

<style scoped>
.phone-bar {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 8px;
  background: var(--rail);
  border-top: 1px solid var(--rule);
}
.phone-bar :deep(.v-btn) {
  min-height: 44px;
  padding: 0 12px;
}
</style>
