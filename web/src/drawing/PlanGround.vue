<script setup lang="ts">
import { computed } from 'vue';
import { OUTDOOR_KINDS, wallLoop, type House } from '@winculum/core';
import { drawFeature, drawOpening, toPath } from './plan-shapes';

/** Rooms, walls, openings and features of a level: what lies still while boxes are moved. */
const props = defineProps<{
  house: House;
  level: string;
  selected: ReadonlySet<string>;
}>();

const rooms = computed(() => Object.values(props.house.rooms).filter((room) => room.level === props.level));
const roomIds = computed(() => new Set(rooms.value.map((room) => room.id)));
const thickness = computed(() => props.house.levels[props.level]?.wallThicknessIn ?? 4.5);
const openings = computed(() =>
  Object.values(props.house.openings)
    .filter((one) => roomIds.value.has(one.room))
    .flatMap((one) => drawOpening(props.house, one, thickness.value) ?? []),
);
const features = computed(() =>
  Object.values(props.house.features)
    .filter((one) => roomIds.value.has(one.room))
    .map((one) => ({ feature: one, path: drawFeature(props.house.rooms[one.room]!, one) })),
);
/** A plan is cut so high above the floor: what hangs over the cut is dashed, *common practice* of drawings. */
const OVERHEAD_IN = 48;
const wallsOf = (isSolid: boolean) =>
  rooms.value
    .flatMap((room) => wallLoop(room).walls.filter((wall) => (wall.boundary === 'solid') === isSolid))
    .map((wall) => toPath([wall.from, wall.to], false))
    .join('');
const solidWalls = computed(() => wallsOf(true));
const railings = computed(() => wallsOf(false));
</script>

<template>
  <g>
    <path :d="solidWalls" class="walls" :stroke-width="thickness * 2" />
    <path
      v-for="room in rooms"
      :key="room.id"
      :d="toPath(room.corners)"
      class="room"
      :class="{ outdoors: OUTDOOR_KINDS.has(room.kind), stays: room.closed, selected: selected.has(room.id) }"
      data-hit="room"
      :data-id="room.id"
    />
    <path :d="railings" class="railing" />
    <g
      v-for="shape in openings"
      :key="shape.opening.id"
      class="opening"
      :class="{ selected: selected.has(shape.opening.id) }"
      data-hit="opening"
      :data-id="shape.opening.id"
    >
      <path :d="shape.gap" class="gap" />
      <path v-if="shape.glass" :d="shape.glass" class="glass" />
      <path :d="shape.lines" class="lines" />
    </g>
    <g
      v-for="{ feature, path } in features"
      :key="feature.id"
      class="feature"
      :class="[feature.kind, { overhead: (feature.bottomIn ?? 0) >= OVERHEAD_IN, selected: selected.has(feature.id) }]"
      data-hit="feature"
      :data-id="feature.id"
    >
      <path :d="path" />
    </g>
  </g>
</template>

<style scoped>
.walls {
  stroke: var(--wall);
  stroke-linecap: square;
  fill: none;
}
.room {
  fill: var(--room);
}
.room.outdoors {
  fill: var(--outdoors);
}
.room.stays {
  fill: color-mix(in srgb, var(--room), var(--wall) 9%);
}
.room.selected {
  fill: var(--chalk-soft);
}
.railing {
  stroke: var(--wall);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
  fill: none;
}
.gap {
  fill: var(--room);
}
.glass {
  fill: var(--glass);
}
.lines {
  stroke: var(--wall);
  stroke-width: 1;
  fill: none;
}
.opening.selected .gap {
  fill: var(--chalk-soft);
}
.opening.selected .lines {
  stroke: var(--chalk);
  stroke-width: 2;
}
.feature path {
  fill: var(--feature);
  stroke: var(--muted);
  stroke-width: 0.8;
}
.feature.counter path {
  fill: var(--feature);
}
.feature.furniture path {
  fill: none;
  stroke-dasharray: 4 3;
  stroke: var(--rule);
}
.feature.overhead path {
  fill: none;
  stroke-dasharray: 4 3;
}
.feature.selected path {
  stroke: var(--chalk);
  stroke-width: 2;
  fill: var(--chalk-soft);
}
</style>
