<script setup lang="ts">
import { computed } from 'vue';
import { formatLength, wallLoop, type House, type Room } from '@winculum/core';
import { toPath } from './plan-shapes';
import type { ToolState } from './tools/machine';
import { findSnapLines } from './tools/snap';

/** What the hand is doing, drawn over the sheet: outlines, live dimensions, handles of the selected room. */
const props = defineProps<{
  state: ToolState;
  house: House;
  scale: number;
  room?: Room;
  handles?: boolean;
  /** The level whose lines the hand is drawn to, where rooms are drawn. */
  level?: string;
}>();
const show = (lengthIn: number) => formatLength(lengthIn, props.house.standards.lengths);

const rectangle = computed(() =>
  props.state.kind === 'drawing-rectangle' || props.state.kind === 'lassoing' ? props.state : null,
);
const snapLines = computed(() => (props.level === undefined ? null : findSnapLines(props.house, props.level)));
/** Lines of other rooms on which the hand has come to lie, and whether the wall being drawn runs square. */
const hints = computed(() => {
  const { state } = props;
  if (state.kind !== 'drawing-rectangle' && state.kind !== 'drawing-polygon') return null;
  const { to } = state;
  const on = (lines: readonly number[], at: number) => lines.some((one) => Math.abs(one - at) < 0.01);
  const last = state.kind === 'drawing-polygon' ? state.points.at(-1)! : undefined;
  return {
    x: snapLines.value && on(snapLines.value.xs, to.x) ? to.x : undefined,
    y: snapLines.value && on(snapLines.value.ys, to.y) ? to.y : undefined,
    square: last !== undefined && (last.x === to.x) !== (last.y === to.y),
  };
});
const size = computed(() => 12 / props.scale);
const dimensions = computed(() => {
  const room = props.room;
  if (!room) return [];
  return wallLoop(room).walls.map((wall) => {
    // A short wall keeps its handle, but its number would run into the next one's.
    const isLegible = wall.lengthIn * props.scale > 52;
    const [mx, my] = [(wall.from.x + wall.to.x) / 2, (wall.from.y + wall.to.y) / 2];
    const [ix, iy] = [-(wall.to.y - wall.from.y) / wall.lengthIn, (wall.to.x - wall.from.x) / wall.lengthIn];
    const [x, y] = [mx + ix * size.value * 1.6, my + iy * size.value * 1.6];
    // Beside a wall that runs north and south the number is turned, so that it keeps out of the middle of a small room.
    const turn = Math.abs(iy) > Math.abs(ix) ? undefined : `rotate(-90 ${x} ${y})`;
    return { wall, mx, my, x, y, turn, isLegible };
  });
});
</script>

<template>
  <g>
    <template v-if="hints">
      <line v-if="hints.x !== undefined" :x1="hints.x" :x2="hints.x" y1="-12000" y2="12000" class="guide" />
      <line v-if="hints.y !== undefined" :y1="hints.y" :y2="hints.y" x1="-12000" x2="12000" class="guide" />
    </template>
    <rect
      v-if="rectangle"
      :x="Math.min(rectangle.from.x, rectangle.to.x)"
      :y="Math.min(rectangle.from.y, rectangle.to.y)"
      :width="Math.abs(rectangle.to.x - rectangle.from.x)"
      :height="Math.abs(rectangle.to.y - rectangle.from.y)"
      class="drawing"
      :class="{ lasso: state.kind === 'lassoing' }"
      :stroke-width="2 / scale"
    />
    <text
      v-if="state.kind === 'drawing-rectangle'"
      :x="(state.from.x + state.to.x) / 2"
      :y="(state.from.y + state.to.y) / 2"
      :font-size="size * 1.3"
      class="dimension"
      >{{ show(Math.abs(state.to.x - state.from.x)) }} × {{ show(Math.abs(state.to.y - state.from.y)) }}</text
    >
    <template v-if="state.kind === 'drawing-polygon'">
      <path :d="toPath([...state.points, state.to], false)" class="drawing" :stroke-width="2 / scale" />
      <circle v-for="(point, i) in state.points" :key="i" :cx="point.x" :cy="point.y" :r="5 / scale" class="corner" />
      <text :x="state.to.x" :y="state.to.y - size" :font-size="size * 1.2" class="dimension"
        >{{ show(Math.hypot(state.to.x - state.points.at(-1)!.x, state.to.y - state.points.at(-1)!.y))
        }}<tspan v-if="hints?.square"> square</tspan></text
      >
    </template>
    <template v-if="room">
      <text
        v-for="{ wall, x, y, turn } in dimensions.filter((one) => one.isLegible)"
        :key="`d-${wall.id}`"
        :x="x"
        :y="y"
        :transform="turn"
        :font-size="size"
        class="dimension"
        >{{ show(wall.lengthIn) }}</text
      >
      <template v-if="handles">
        <rect
          v-for="{ wall, mx, my } in dimensions"
          :key="`w-${wall.id}`"
          :x="mx - 7 / scale"
          :y="my - 7 / scale"
          :width="14 / scale"
          :height="14 / scale"
          class="grip"
          data-hit="wall"
          :data-id="wall.id"
          :data-room="room.id"
          ><title>Drag the {{ wall.name }} wall</title></rect
        >
        <circle
          v-for="corner in room.corners"
          :key="corner.id"
          :cx="corner.x"
          :cy="corner.y"
          :r="8 / scale"
          class="corner"
          data-hit="corner"
          :data-id="corner.id"
          :data-room="room.id"
          ><title>Drag the corner</title></circle
        >
      </template>
    </template>
  </g>
</template>

<style scoped>
.drawing {
  fill: var(--chalk-soft);
  fill-opacity: 0.5;
  stroke: var(--chalk);
}
.drawing.lasso {
  stroke-dasharray: 6 4;
  fill-opacity: 0.25;
}
.guide {
  stroke: var(--chalk);
  stroke-width: 1;
  stroke-dasharray: 3 5;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.dimension {
  font-family: var(--numbers);
  font-weight: 600;
  fill: var(--chalk);
  text-anchor: middle;
  dominant-baseline: central;
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 3px;
  pointer-events: none;
}
.corner {
  fill: var(--card);
  stroke: var(--chalk);
  stroke-width: 0.2em;
  vector-effect: non-scaling-stroke;
  cursor: grab;
  stroke-width: 2;
}
.grip {
  fill: var(--card);
  stroke: var(--chalk);
  vector-effect: non-scaling-stroke;
  stroke-width: 1.5;
  cursor: move;
}
</style>
