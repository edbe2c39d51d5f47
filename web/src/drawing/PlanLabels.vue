<script setup lang="ts">
import { computed } from 'vue';
import { roomSpan, viewRoom, type House, type Room } from '@winculum/core';
import RoomLabel from './RoomLabel.vue';

/** Names and sizes of the rooms of a level whose boxes are not drawn. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  textSize: number;
  selected: ReadonlySet<string>;
}>();
/** A room narrower than this on the screen, in pixels, has no place for its name beside the dimensions that it shows when selected. */
const BESIDE_DIMENSIONS_PX = 150;
const showsDimensions = (room: Room) =>
  props.selected.has(room.id) && roomSpan(room).widthIn * props.scale < BESIDE_DIMENSIONS_PX;
const views = computed(() =>
  Object.values(props.house.rooms)
    .filter((room) => room.level === props.level && !showsDimensions(room))
    .map((room) => viewRoom(props.house, room.id)),
);
</script>

<template>
  <g>
    <RoomLabel
      v-for="view in views"
      :key="view.room.id"
      :view="view"
      :scale="scale"
      :text-size="textSize"
      :show-boxes="false"
      :lengths="house.standards.lengths"
    />
  </g>
</template>
