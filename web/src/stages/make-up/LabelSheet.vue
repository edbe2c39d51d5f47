<script setup lang="ts">
import { computed } from 'vue';
import { allLabels, wireHouse } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** The label of every cable at each of its ends, to print, cut and stick on the jacket. */
const props = defineProps<{ room: string }>();
const store = useHouse();
const labels = computed(() => {
  const house = store.current;
  const tags = new Map(Object.values(house.boxes).map((box) => [box.tag, box.room]));
  return allLabels(house, wireHouse(house).units)
    .filter((one) => props.room === 'all' || tags.get(one.at) === props.room)
    .sort((a, b) => a.at.localeCompare(b.at, 'en', { numeric: true }));
});
</script>

<template>
  <section class="sheet" aria-label="Cable labels">
    <p class="head muted">{{ labels.length }} labels, one for each end of each cable. Cut along the dashes.</p>
    <div v-for="one in labels" :key="one.id" class="label">
      <b class="num at">{{ one.at }}</b>
      <b class="num heading">{{ one.heading }}</b>
      <span>{{ one.detail }}</span>
    </div>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  background: var(--card);
  border: 1px solid var(--rule);
  padding: 12px;
}
.head {
  grid-column: 1 / -1;
  margin-bottom: 8px;
}
.label {
  border: 1px dashed var(--muted);
  padding: 6px 10px;
  display: grid;
  grid-template-columns: auto 1fr;
  column-gap: 10px;
  align-items: baseline;
  break-inside: avoid;
  min-height: 56px;
}
.at {
  font-size: 20px;
}
.heading {
  font-size: 17px;
  color: var(--chalk);
}
.label span {
  grid-column: 1 / -1;
  font-size: 13px;
}
@media print {
  .sheet {
    grid-template-columns: repeat(4, 1fr);
    border: 0;
    padding: 0;
  }
}
</style>
