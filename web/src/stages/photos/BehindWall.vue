<script setup lang="ts">
import { computed, ref } from 'vue';
import { describeBox, evidenceOf, holesOf, keptRoutes, laidCables, viewRoom, type Photo } from '@winculum/core';
import RouteStrip from '../../drawing/RouteStrip.vue';
import { inkOf } from '../../drawing/circuit-colors';
import SearchField from '../../fields/SearchField.vue';
import { useHouse } from '../../stores/house';
import PhotoTile from './PhotoTile.vue';

/** What is behind this drywall: the cables in its bays as they were routed, its boxes, and the photos that show it open. */
const where = defineModel<{ room: string; wall: string }>({ required: true });
const emit = defineEmits<{ open: [photo: Photo] }>();
const store = useHouse();
const picked = ref('');

const rooms = computed(() => Object.values(store.current.rooms).map(({ id, name }) => ({ value: id, title: name })));
const room = computed(() => store.current.rooms[where.value.room] ?? Object.values(store.current.rooms)[0]);
const evidence = computed(() => (room.value ? evidenceOf(store.current, room.value) : undefined));
const walls = computed(() => (evidence.value?.walls ?? []).map(({ wall, name }) => ({ value: wall, title: name })));
const wall = computed(() => walls.value.find((one) => one.value === where.value.wall) ?? walls.value[0]);
const laid = computed(() => laidCables(store.current, keptRoutes(store.current).sound.values()));
const holes = computed(() => holesOf(store.current, laid.value));
const circuits = computed(() => Object.values(store.current.circuits));
const photos = computed(() => evidence.value?.walls.find((one) => one.wall === wall.value?.value)?.photos ?? []);
const boxes = computed(() =>
  room.value
    ? viewRoom(store.current, room.value.id)
        .boxes.filter((box) => box.at.kind === 'wall' && box.at.wall === wall.value?.value)
        .toSorted((a, b) => (a.at.kind === 'wall' && b.at.kind === 'wall' ? a.at.alongIn - b.at.alongIn : 0))
    : [],
);
</script>

<template>
  <p v-if="!room || !wall" class="none muted">Draw a room under House first.</p>
  <template v-else>
    <div class="row pickers">
      <SearchField
        :model-value="room.id"
        label="Room"
        :items="rooms"
        @update:model-value="where = { room: $event, wall: '' }"
      />
      <SearchField
        :model-value="wall.value"
        label="Wall"
        :items="walls"
        @update:model-value="where = { room: room.id, wall: $event }"
      />
    </div>
    <RouteStrip
      :house="store.current"
      :room-id="room.id"
      :laid="laid"
      :holes="holes"
      :ink-of="(cable) => inkOf(cable.circuit, circuits)"
      :picked="picked"
      @pick="picked = $event"
    />
    <p v-if="!laid.length" class="is-caution">
      No routes are found: where the cables lie is not known. Do not cut or drill by this page.
    </p>
    <section class="leaf">
      <h2>{{ room.name }}, {{ wall.title }}</h2>
      <ul>
        <li v-for="box in boxes" :key="box.id">
          <b class="num">{{ box.tag }}</b> {{ describeBox(box) }}
        </li>
      </ul>
      <p v-if="!photos.length" class="is-caution">No photo shows this wall open.</p>
      <div class="thumbs">
        <PhotoTile v-for="photo in photos" :key="photo.id" :photo="photo" @open="emit('open', photo)" />
      </div>
      <p class="muted small">
        Drawn as planned; cables are not always where they were planned. Find them with an instrument, and switch off
        and test before you cut.
      </p>
    </section>
  </template>
</template>

<style scoped>
.pickers > * {
  max-width: 260px;
  flex: 1;
}
.leaf {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 10px 14px;
  display: grid;
  gap: 6px;
}
.thumbs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
