<script setup lang="ts">
import { computed } from 'vue';
import { viewRoom, type Box, type House } from '@winculum/core';
import PlanGround from './PlanGround.vue';
import RoomBoxes from './RoomBoxes.vue';

/** A level as it lies still, inside somebody's svg: on paper, in a document, for a guest. */
const props = defineProps<{
  house: House;
  level: string;
  /** Pixels that an inch takes, for which symbols are sized; and how large letters are, inches. */
  scale: number;
  textSize: number;
  /** What is written at a box in place of its tag. */
  markOf?: ((box: Box) => string) | undefined;
}>();
const NOTHING: ReadonlySet<string> = new Set();
const views = computed(() =>
  Object.values(props.house.rooms)
    .filter((room) => room.level === props.level)
    .map((room) => viewRoom(props.house, room.id)),
);
</script>

<template>
  <PlanGround :house="house" :level="level" :selected="NOTHING" />
  <!-- What lies under symbols and words. -->
  <slot />
  <RoomBoxes
    v-for="view in views"
    :key="view.room.id"
    :view="view"
    :scale="scale"
    :text-size="textSize"
    :lengths="house.standards.lengths"
    :selected="NOTHING"
    :show-tags="!markOf"
    :mark-of="markOf"
  />
</template>
