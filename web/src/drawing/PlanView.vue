<script setup lang="ts">
import { computed } from 'vue';
import { boundsOf, type House } from '@winculum/core';
import PlanDrawing from './PlanDrawing.vue';

/** The plan of a level to be looked at and printed: as wide as its place; nothing in it can be moved. */
const props = defineProps<{ house: House; level: string }>();
/** What symbols and letters are sized for, pixels. */
const WIDTH_PX = 900;
const rooms = computed(() => Object.values(props.house.rooms).filter((room) => room.level === props.level));
const bounds = computed(() => {
  const all = boundsOf(rooms.value.flatMap((room) => room.corners));
  const wall = props.house.levels[props.level]!.wallThicknessIn + 6;
  const [width, depth] = [all.maxX - all.minX + 2 * wall, all.maxY - all.minY + 2 * wall];
  return { x: all.minX - wall, y: all.minY - wall, width, depth };
});
const scale = computed(() => WIDTH_PX / Math.max(1, bounds.value.width));
</script>

<template>
  <svg
    v-if="rooms.length"
    class="plan-view"
    :viewBox="`${bounds.x} ${bounds.y} ${bounds.width} ${bounds.depth}`"
    role="img"
    :aria-label="`Plan of ${house.levels[level]!.name}`"
  >
    <PlanDrawing :house="house" :level="level" :scale="scale" :text-size="12 / scale" />
  </svg>
</template>

<style scoped>
.plan-view {
  width: 100%;
  max-height: 8in;
  background: var(--room);
  border: 1px solid var(--rule);
}
</style>
