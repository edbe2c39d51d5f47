<script setup lang="ts">
import { computed } from 'vue';
import { findWall, pointOnWall, wallLoop, type BoxingPlan, type House } from '@winculum/core';

/** Where the chosen boxes of a proposal would stand on the plan. */
const props = defineProps<{
  plan: BoxingPlan;
  house: House;
  level: string;
  scale: number;
  chosen: ReadonlySet<string>;
}>();

const marks = computed(() =>
  props.plan.boxes.flatMap(({ box }) => {
    const room = props.house.rooms[box.room];
    if (room?.level !== props.level || !props.chosen.has(box.id)) return [];
    const { at } = box;
    const wall = at.kind === 'wall' ? findWall(wallLoop(room), at.wall) : undefined;
    const point = at.kind === 'wall' ? wall && pointOnWall(wall, at.alongIn, 8 / props.scale) : at;
    return point ? [{ id: box.id, x: point.x, y: point.y, letter: box.devices[0]!.kind[0]!.toUpperCase() }] : [];
  }),
);
</script>

<template>
  <g pointer-events="none">
    <g v-for="one in marks" :key="one.id" :transform="`translate(${one.x} ${one.y}) scale(${1 / scale})`">
      <circle r="8" class="ghost" />
      <text y="4" class="letter num">{{ one.letter }}</text>
    </g>
  </g>
</template>

<style scoped>
.ghost {
  fill: var(--card);
  stroke: var(--chalk);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}
.letter {
  font-size: 11px;
  text-anchor: middle;
  fill: var(--chalk);
}
</style>
