<script setup lang="ts">
import { computed } from 'vue';
import { boundsOf, viewRoom, type House } from '@winculum/core';
import PlanGround from './PlanGround.vue';
import PlanLabels from './PlanLabels.vue';
import RoomBoxes from './RoomBoxes.vue';

/** The plan of a level to be looked at and printed: as wide as its place; nothing in it can be moved. */
const props = defineProps<{ house: House; level: string }>();
const NOTHING: ReadonlySet<string> = new Set();
/** What symbols and letters are sized for, pixels. */
const WIDTH_PX = 900;
const views = computed(() =>
  Object.values(props.house.rooms)
    .filter((room) => room.level === props.level)
    .map((room) => viewRoom(props.house, room.id)),
);
const bounds = computed(() => {
  const all = boundsOf(views.value.flatMap((one) => one.room.corners));
  const wall = props.house.levels[props.level]!.wallThicknessIn + 6;
  const [width, depth] = [all.maxX - all.minX + 2 * wall, all.maxY - all.minY + 2 * wall];
  return { x: all.minX - wall, y: all.minY - wall, width, depth };
});
const scale = computed(() => WIDTH_PX / Math.max(1, bounds.value.width));
</script>

<template>
  <svg
    v-if="views.length"
    class="plan-view"
    :viewBox="`${bounds.x} ${bounds.y} ${bounds.width} ${bounds.depth}`"
    role="img"
    :aria-label="`Plan of ${house.levels[level]!.name}`"
  >
    <PlanGround :house="house" :level="level" :scale="scale" :text-size="12 / scale" :selected="NOTHING" />
    <PlanLabels
      :house="house"
      :level="level"
      :scale="scale"
      :text-size="12 / scale"
      :show-boxes="true"
      :selected="NOTHING"
    />
    <RoomBoxes
      v-for="view in views"
      :key="view.room.id"
      :view="view"
      :scale="scale"
      :selected="NOTHING"
      :show-tags="true"
    />
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
