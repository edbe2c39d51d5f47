<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  coveAlong,
  doorsOf,
  formatLength,
  placeBoxes,
  roomBehind,
  sconcesAt,
  underCabinets,
  viewRoom,
  wallLoop,
  type Room,
  type WallLight,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** Lights on the walls of a room: sconces at its doors, strips under hanging cabinets and in coves. */
const props = defineProps<{ room: Room }>();
const emit = defineEmits<{ placed: [] }>();
const store = useHouse();
const view = computed(() => viewRoom(store.current, props.room.id));
const doors = computed(() =>
  doorsOf(view.value).map((seen) => ({
    seen,
    name: `the door to ${roomBehind(store.current, props.room.id, seen)?.name ?? 'the outside'}`,
    lights: sconcesAt(view.value, seen),
  })),
);
const strips = computed(() => underCabinets(view.value));
const walls = computed(() => wallLoop(props.room).walls.filter((one) => one.boundary === 'solid'));
const wall = ref('');
const show = (lengthIn: number) => formatLength(lengthIn, store.current.standards.lengths);

function place(lights: readonly WallLight[], label: string): void {
  const boxes = lights.map(({ at, device }) => ({
    id: newId('box'),
    room: props.room.id,
    origin: 'request' as const,
    at,
    devices: [device(newId('device'))],
  }));
  if (store.apply(placeBoxes(store.current, boxes, label))) emit('placed');
}

function cove(): void {
  const light = coveAlong(view.value, wall.value);
  if (light) place([light], `Cove in ${props.room.name}`);
  else store.problem = 'Cove: openings take the whole of that wall up to the cove. Choose another wall.';
}
const coves = computed(() =>
  walls.value.map((one) => ({ value: one.id, title: `${one.name}, ${show(one.lengthIn)}` })),
);
</script>

<template>
  <div class="walls stack">
    <p class="small-caps">On the walls</p>
    <template v-for="one in doors" :key="one.seen.opening.id">
      <v-btn v-if="one.lights.length" :disabled="!store.canEdit" @click="place(one.lights, `Sconces at ${one.name}`)">
        {{ one.lights.length === 1 ? 'A sconce' : 'Two sconces' }} at {{ one.name }}
      </v-btn>
    </template>
    <v-btn
      v-if="strips.length"
      :disabled="!store.canEdit"
      @click="place(strips, `Strips under the cabinets of ${room.name}`)"
    >
      {{ strips.length === 1 ? 'A strip' : `${strips.length} strips` }} under the cabinets
    </v-btn>
    <div class="row">
      <v-select v-model="wall" class="grow" label="Cove along" :items="coves" />
      <v-btn :disabled="!store.canEdit || !wall" @click="cove">Place the cove</v-btn>
    </div>
  </div>
</template>

<style scoped>
.walls {
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 8px 10px;
}
</style>
