<script setup lang="ts">
import { computed, ref } from 'vue';
import { indexOutlets, spacesOf, type Outlet } from '@winculum/core';
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
  const { circuits, panels } = store.house!;
  return indexOutlets(store.house!)
    .all.map((outlet) => {
      const circuit = outlet.device.circuit === null ? undefined : circuits[outlet.device.circuit];
      const where =
        circuit && circuit.space !== null
          ? `${panels[circuit.panel ?? '']?.name ?? 'Panel'} ${spacesOf(circuit).join('-')}`
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
    <input
      v-model="text"
      class="plain"
      type="search"
      placeholder="Which breaker …?"
      aria-label="Which breaker is this on?"
      @focus="isOpen = true"
      @input="isOpen = true"
      @keydown.enter="hits[0] && choose(hits[0].outlet)"
      @keydown.esc="isOpen = false"
    />
    <ul v-if="isOpen && text.trim()" class="hits">
      <li v-for="hit in hits" :key="hit.outlet.device.id">
        <button class="hit" @mousedown.prevent="choose(hit.outlet)">
          <b class="num">{{ hit.where }}</b><span>{{ hit.label }}</span>
        </button>
      </li>
      <li v-if="!hits.length" class="none muted">Nothing here has these words. Try a room, a tag or an appliance.</li>
    </ul>
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
  width: 340px;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  z-index: 20;
  padding: 4px;
  box-shadow: 0 6px 18px #22302f33;
}
.hit {
  display: grid;
  width: 100%;
  text-align: left;
  border: 0;
  background: none;
  color: var(--ink);
  padding: 6px 10px;
  font: 500 13px var(--words);
  border-radius: 4px;
  cursor: pointer;
}
.hit:hover {
  background: var(--paper);
}
.hit b {
  font-size: 16px;
  color: var(--chalk);
}
.none {
  padding: 10px;
}
@media (max-width: 820px) {
  .search {
    width: 110px;
  }
}
</style>
