<script setup lang="ts">
import { computed } from 'vue';
import { sleeveLines, type House } from '@winculum/core';

/** Sleeves and conduits on the plan: two lines beside each other, a dot at a capped end and a ring at an open one. */
const props = defineProps<{ house: House; level: string; scale: number; textSize: number }>();
const lines = computed(() => sleeveLines(props.house, props.level));
</script>

<template>
  <g class="sleeves" aria-label="Sleeves">
    <g v-for="line in lines" :key="line.sleeve.id">
      <path :d="`M${line.from.x} ${line.from.y}L${line.to.x} ${line.to.y}`" class="tube" :stroke-width="6 / scale" />
      <path :d="`M${line.from.x} ${line.from.y}L${line.to.x} ${line.to.y}`" class="hollow" :stroke-width="3 / scale" />
      <circle
        v-for="(end, i) in line.ends"
        :key="i"
        :cx="end.at.x"
        :cy="end.at.y"
        :r="5 / scale"
        :stroke-width="1.5 / scale"
        :class="{ capped: end.capped }"
      />
      <text
        :x="(line.from.x + line.to.x) / 2 + 6 / scale"
        :y="(line.from.y + line.to.y) / 2"
        :font-size="textSize * 0.8"
        :stroke-width="textSize * 0.25"
      >
        {{ line.words }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.tube {
  fill: none;
  stroke: var(--ink);
}
.hollow {
  fill: none;
  stroke: var(--paper);
}
circle {
  fill: var(--paper);
  stroke: var(--ink);
}
circle.capped {
  fill: var(--ink);
}
text {
  fill: var(--ink);
  stroke: var(--paper);
  paint-order: stroke;
  font-family: var(--words);
}
</style>
