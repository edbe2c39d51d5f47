<script setup lang="ts">
import { computed } from 'vue';
import { formatLength, innerPoint, roomSpan, type House, type Room } from '@winculum/core';

/** Names and sizes of the rooms of a level, where there is room for them. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  textSize: number;
  showBoxes: boolean;
  selected: ReadonlySet<string>;
}>();
/** A room narrower than this on the screen, in pixels, has no place for its name beside the dimensions that it shows when selected. */
const BESIDE_DIMENSIONS_PX = 150;
const showsDimensions = (room: Room) =>
  !props.showBoxes && props.selected.has(room.id) && roomSpan(room).widthIn * props.scale < BESIDE_DIMENSIONS_PX;

const fits = (room: Room, text: string) =>
  roomSpan(room).widthIn * props.scale > text.length * props.textSize * props.scale * 0.5 &&
  roomSpan(room).depthIn * props.scale > 30;
const sizeOf = (room: Room) => {
  const { widthIn, depthIn } = roomSpan(room);
  const { lengths } = props.house.standards;
  return `${formatLength(widthIn, lengths)} × ${formatLength(depthIn, lengths)}`;
};
const labels = computed(() =>
  Object.values(props.house.rooms)
    .filter((room) => room.level === props.level && fits(room, room.name) && !showsDimensions(room))
    .map((room) => {
      const middle = innerPoint(room.corners);
      // Where there is room for it the name stands above the middle, which is where luminaires hang.
      const lifted = props.showBoxes && roomSpan(room).depthIn * props.scale > 56;
      const size = sizeOf(room);
      return {
        room,
        x: middle.x,
        y: middle.y - (lifted ? props.textSize * 1.9 : 0),
        size: fits(room, size) && props.scale > (props.showBoxes ? 1.6 : 0.7) ? size : '',
      };
    }),
);
</script>

<template>
  <g class="label" pointer-events="none">
    <text v-for="{ room, x, y, size } in labels" :key="room.id" :x="x" :y="y" :font-size="textSize">
      <tspan class="name">{{ room.name }}</tspan>
      <tspan v-if="size" :x="x" :dy="textSize * 1.05" :font-size="textSize * 0.86" class="size">{{ size }}</tspan>
    </text>
  </g>
</template>

<style scoped>
.label text {
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 2px;
}
.name {
  font-family: var(--numbers);
  font-weight: 600;
  letter-spacing: 0.08em;
  text-transform: uppercase;
}
.size {
  font-family: var(--words);
  fill: var(--muted);
}
</style>
