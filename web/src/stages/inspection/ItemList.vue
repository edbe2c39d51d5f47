<script setup lang="ts">
import type { InspectionItem } from '@winculum/core';

/** The lines that an inspector goes by, as they stand; what stands beside each is the caller's. */
defineProps<{ items: readonly InspectionItem[] }>();
const MARKS: Record<InspectionItem['state'], readonly [mark: string, word: string]> = {
  met: ['✓', 'met'],
  fails: ['▨', 'violation'],
  open: ['?', 'cannot tell'],
  caution: ['△', 'caution'],
  look: ['○', 'to be seen on site'],
  todo: ['☐', 'not done yet'],
};
</script>

<template>
  <ul class="items">
    <li v-for="item in items" :key="item.id" class="leaf-line" :class="item.state">
      <span class="mark" aria-hidden="true">{{ MARKS[item.state][0] }}</span>
      <span class="grow">
        {{ item.asks }}
        <span class="muted num small">{{ item.section }}</span><br /><span class="said num"
          ><span class="visually-hidden">{{ MARKS[item.state][1] }}: </span>{{ item.measured }}</span
        >
      </span>
      <slot :item="item" />
    </li>
  </ul>
</template>

<style scoped>
.items {
  list-style: none;
  margin: 0;
  padding: 0;
}
.mark {
  width: 22px;
  font-size: 17px;
}
.said {
  color: var(--muted);
  font-size: 13px;
}
.met .mark {
  color: var(--reached-ink);
}
.fails .mark,
.fails .said {
  color: var(--violation);
}
.open .mark,
.todo .mark,
.caution .mark {
  color: var(--caution);
}
</style>
