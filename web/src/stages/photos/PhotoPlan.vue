<script setup lang="ts">
import { computed, ref } from 'vue';
import { count, innerPoint, pointOnWall, wallLoop, type Photo, type Point } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import PlanSheet from '../../drawing/PlanSheet.vue';
import { roomAt } from '../../drawing/tools/place-new';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import PhotoTile from './PhotoTile.vue';

/** Where photos were taken, on the plan: pins at points and at the middle of walls; a new one is pinned where one points. */
const emit = defineEmits<{ take: [at: Photo['at']]; open: [photo: Photo] }>();
const store = useHouse();
const view = useView();
const isPointing = ref(false);
const none: ReadonlySet<string> = new Set();

interface Pin extends Point {
  readonly key: string;
  readonly where: string;
  readonly photos: readonly Photo[];
}
const rooms = computed(() => Object.values(store.current.rooms).filter((one) => one.level === view.level));
const pins = computed<readonly Pin[]>(() => {
  const byPlace = new Map<string, Pin & { photos: Photo[] }>();
  const pin = (key: string, where: string, { x, y }: Point, photo: Photo) => {
    const known = byPlace.get(key);
    if (known) known.photos.push(photo);
    else byPlace.set(key, { key, where, x, y, photos: [photo] });
  };
  for (const photo of Object.values(store.current.photos)) {
    const { at } = photo;
    const room = at.kind === 'house' ? undefined : store.current.rooms[at.room];
    if (!room || room.level !== view.level) continue;
    if (at.kind === 'point') pin(photo.id, room.name, at, photo);
    if (at.kind !== 'wall') continue;
    const wall = wallLoop(room).walls.find((one) => one.id === at.wall);
    if (wall)
      pin(`${room.id} ${wall.id}`, `${wall.name} wall of ${room.name}`, pointOnWall(wall, wall.lengthIn / 2, 8), photo);
  }
  return [...byPlace.values()];
});
const chosen = ref('');
const shown = computed(() => pins.value.find(({ key }) => key === chosen.value));

function point(event: { type: string; point: Point }): void {
  if (!isPointing.value || event.type !== 'down') return;
  const room = roomAt(store.current, view.level, event.point);
  if (!room) {
    store.problem = 'Point into a room: a photo is pinned to the room that it shows.';
    return;
  }
  isPointing.value = false;
  emit('take', { kind: 'point', room: room.id, x: Math.round(event.point.x), y: Math.round(event.point.y) });
}

const roomId = ref('');
const roomItems = computed(() => rooms.value.map((one) => ({ value: one.id, title: one.name })));
function atMiddle(): void {
  const room = store.current.rooms[roomId.value];
  if (!room) return;
  const { x, y } = innerPoint(room.corners);
  emit('take', { kind: 'point', room: room.id, x: Math.round(x), y: Math.round(y) });
}
</script>

<template>
  <section class="leaf" aria-label="Photos on the plan">
    <div v-if="store.canEdit" class="row tools">
      <v-btn :aria-pressed="isPointing" @click="isPointing = !isPointing">{{
        isPointing ? 'Point at the place' : 'Photograph at a point'
      }}</v-btn>
      <SearchField v-model="roomId" class="pick" label="or in the middle of" :items="roomItems" />
      <v-btn :disabled="!roomId" @click="atMiddle">Photograph there</v-btn>
      <span class="grow" />
      <span class="muted">{{ count(pins.length, 'place') }} with photos on this level</span>
    </div>
    <div class="plan">
      <PlanSheet
        :house="store.current"
        :level="view.level"
        :target="null"
        :pans="!isPointing"
        :selected="none"
        show-boxes
        :cursor="isPointing ? 'crosshair' : 'default'"
        @hand="point"
      >
        <template #over="{ scale }">
          <g
            v-for="one in pins"
            :key="one.key"
            class="pin"
            :class="{ chosen: one.key === chosen }"
            role="button"
            tabindex="0"
            :aria-label="`${count(one.photos.length, 'photo')}: ${one.where}`"
            :transform="`translate(${one.x} ${one.y}) scale(${1 / scale})`"
            @click="chosen = one.key"
            @keydown.enter="chosen = one.key"
          >
            <rect x="-12" y="-12" width="24" height="24" rx="3" />
            <text y="5">{{ one.photos.length }}</text>
          </g>
        </template>
      </PlanSheet>
    </div>
    <div v-if="shown" class="shown">
      <h3 class="small-caps">{{ shown.where }}</h3>
      <div class="thumbs">
        <PhotoTile v-for="photo in shown.photos" :key="photo.id" :photo="photo" @open="emit('open', photo)" />
      </div>
    </div>
    <p v-else class="muted">Choose a pin to see its photos.</p>
  </section>
</template>

<style scoped>
.tools {
  align-items: center;
  gap: 8px;
  flex-wrap: wrap;
}
.pick {
  max-width: 200px;
}
.plan {
  height: 56vh;
  min-height: 320px;
  display: grid;
  border: 1px solid var(--rule);
  margin: 10px 0;
}
.pin {
  cursor: pointer;
}
.pin rect {
  fill: var(--card);
  stroke: var(--chalk);
  stroke-width: 2;
}
.pin text {
  font: 700 14px var(--numbers, inherit);
  text-anchor: middle;
  fill: var(--chalk);
}
.pin.chosen rect {
  fill: var(--chalk);
}
.pin.chosen text {
  fill: var(--card);
}
.thumbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
