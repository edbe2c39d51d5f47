<script setup lang="ts">
import { computed, ref } from 'vue';
import { indexOutlets, spaceWord, type Outlet } from '@winculum/core';
import { useHouse } from '../stores/house';
import { useFly } from './fly';

const MOST = 8;
const store = useHouse();
const fly = useFly();
const text = ref('');
const isOpen = ref(false);

const describe = (outlet: Outlet) =>
  `${outlet.load?.name ?? outlet.device.kind} ${outlet.box.tag}, ${outlet.room.name}`;

/** "Which breaker is this on?": every word must stand in the outlet's name, tag, room or circuit. */
const hits = computed(() => {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const { circuits, panels } = store.current;
  return indexOutlets(store.current)
    .all.map((outlet) => {
      const circuit = outlet.device.circuit === null ? undefined : circuits[outlet.device.circuit];
      const where =
        circuit && circuit.space !== null
          ? `${panels[circuit.panel ?? '']?.name ?? 'Panel'} ${spaceWord(circuit)}`
          : 'no breaker yet';
      return {
        outlet,
        label: describe(outlet),
        where: circuit ? `${where}: ${circuit.name}` : 'on no circuit',
        haystack: `${describe(outlet)} ${circuit?.name ?? ''}`.toLowerCase(),
      };
    })
    .filter((one) => words.every((word) => one.haystack.includes(word)))
    .slice(0, MOST);
});

function choose(outlet: Outlet): void {
  fly({ room: outlet.room.id, box: outlet.box.id, circuit: outlet.device.circuit ?? undefined });
  isOpen.value = false;
}
</script>

<template>
  <div class="search" @focusout="isOpen = false">
    <v-text-field
      v-model="text"
      type="search"
      single-line
      placeholder="Which breaker …?"
      aria-label="Which breaker is this on?"
      @focus="isOpen = true"
      @update:model-value="isOpen = true"
      @keydown.enter="hits[0] && choose(hits[0].outlet)"
      @keydown.esc="isOpen = false"
    />
    <v-list v-if="isOpen && text.trim()" class="hits" density="compact" role="group" aria-label="What was found">
      <v-list-item
        v-for="hit in hits"
        :key="hit.outlet.device.id"
        role="button"
        :title="hit.where"
        :subtitle="hit.label"
        @mousedown.prevent="choose(hit.outlet)"
      />
      <v-list-item v-if="!hits.length" class="muted"
        >Nothing here has these words. Try a room, a tag or an appliance.</v-list-item
      >
    </v-list>
  </div>
</template>

<style scoped>
.search {
  position: relative;
  width: 160px;
}
.hits {
  position: absolute;
  right: 0;
  top: 42px;
  width: min(340px, 92vw);
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  z-index: 20;
  padding: 4px;
  box-shadow: 0 6px 18px #22302f33;
}
@media (max-width: 820px) {
  .search {
    width: 110px;
  }
}
</style>
