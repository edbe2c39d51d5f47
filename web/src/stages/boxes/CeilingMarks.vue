<script setup lang="ts">
import { computed } from 'vue';
import type { CeilingShown } from './ceiling-shown';

const props = defineProps<{ grid: CeilingShown; scale: number }>();

/** Bands of the heat map: each has a letter-free hatch of its own density, so that print and color-blind eyes can tell. */
const bands = computed(() => {
  const map = props.grid.map;
  if (!map || map.mostFc === 0) return [];
  const levels = [0.25, 0.5, 0.75, 1.01];
  return map.cells.map((cell) => ({
    ...cell,
    band: levels.findIndex((one) => cell.fc / map.mostFc <= one),
  }));
});
</script>

<template>
  <g pointer-events="none">
    <rect
      v-for="cell in bands"
      :key="`${cell.x} ${cell.y}`"
      :x="cell.x - grid.map!.stepIn / 2"
      :y="cell.y - grid.map!.stepIn / 2"
      :width="grid.map!.stepIn"
      :height="grid.map!.stepIn"
      class="cell"
      :style="{ fillOpacity: 0.1 + cell.band * 0.17 }"
    />
    <g
      v-for="(at, i) in grid.grid.places"
      :key="i"
      :transform="`translate(${at.x} ${at.y}) scale(${1 / scale})`"
      :class="{ hits: grid.conflicts.has(i) }"
    >
      <circle r="7" class="mark" />
      <path d="M-10 0H10M0-10V10" class="mark" />
      <text v-if="grid.conflicts.has(i)" x="10" y="-7" class="num joist">joist</text>
    </g>
  </g>
</template>

<style scoped>
.cell {
  fill: var(--tape);
}
.mark {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 2;
}
.hits .mark {
  stroke: var(--violation);
  stroke-dasharray: 3 2;
}
.joist {
  font-size: 12px;
  fill: var(--violation);
}
</style>
