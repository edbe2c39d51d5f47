<script setup lang="ts">
import { computed } from 'vue';
import { boundsOf, OUTDOOR_KINDS, wallLoop, type House, type Point } from '@winculum/core';
import { drawFeature, drawOpening, toPath } from './plan-shapes';

/** Rooms, walls, openings and features of a level: what lies still while boxes are moved. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  textSize: number;
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
    .map((one) => {
      const path = drawFeature(props.house.rooms[one.room]!, one);
      const label = one.name || one.kind.replaceAll('-', ' ');
      return { feature: one, path, label, ...labelPlace(path, label.length * props.textSize * LABEL_SHARE * 0.5) };
    }),
);
/** A plan is cut so high above the floor: what hangs over the cut is dashed, *common practice* of drawings. */
const OVERHEAD_IN = 48;
/** Size of a feature's label beside that of a room. */
const LABEL_SHARE = 0.72;
const wallsOf = (isSolid: boolean) =>
  rooms.value
    .flatMap((room) => wallLoop(room).walls.filter((wall) => (wall.boundary === 'solid') === isSolid))
    .map((wall) => toPath([wall.from, wall.to], false))
    .join('');
const solidWalls = computed(() => wallsOf(true));
const railings = computed(() => wallsOf(false));

/** Where a label so many inches long stands in a feature: along its longer side; undefined where it is longer than that. */
function labelPlace(path: string, labelIn: number): { at: Point; turn: 0 | -90 | undefined } {
  const points = [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((match) => ({
    x: Number(match[1]),
    y: Number(match[2]),
  }));
  const { minX, maxX, minY, maxY } = boundsOf(points);
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  const at = { x: mean(points.map((one) => one.x)), y: mean(points.map((one) => one.y)) };
  const turn = labelIn <= maxX - minX ? 0 : labelIn <= maxY - minY ? -90 : undefined;
  return { at, turn };
}
</script>

<template>
  <g>
    <path :d="solidWalls" class="walls" :stroke-width="thickness * 2" />
    <path
      v-for="room in rooms"
      :key="room.id"
      :d="toPath(room.corners)"
      class="room"
      :class="{ outdoors: OUTDOOR_KINDS.has(room.kind), selected: selected.has(room.id) }"
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
      v-for="{ feature, path, label, at, turn } in features"
      :key="feature.id"
      class="feature"
      :class="[feature.kind, { overhead: (feature.bottomIn ?? 0) >= OVERHEAD_IN, selected: selected.has(feature.id) }]"
      data-hit="feature"
      :data-id="feature.id"
    >
      <path :d="path" />
      <text
        v-if="scale > 1 && turn !== undefined && feature.kind !== 'counter'"
        :transform="`translate(${at.x} ${at.y}) rotate(${turn})`"
        :font-size="textSize * LABEL_SHARE"
      >
        {{ label }}
      </text>
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
.feature text {
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--muted);
  font-family: var(--words);
  pointer-events: none;
}
</style>
