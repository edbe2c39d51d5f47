<script setup lang="ts">
import { computed } from 'vue';
import {
  areaFt2,
  changeEntity,
  copyRoom,
  moveCorners,
  OUTDOOR_KINDS,
  removeEntities,
  ROOM_KINDS,
  roomSpan,
  boundsOf,
  type Room,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import LengthField from './LengthField.vue';
import NameEffect from './NameEffect.vue';
import WallForms from './WallForms.vue';

const props = defineProps<{ room: Room }>();
const store = useHouse();
const view = useView();
const span = computed(() => roomSpan(props.room));
const value = (event: Event) => (event.target as HTMLInputElement).value;
const checked = (event: Event) => (event.target as HTMLInputElement).checked;
const change = (changes: Partial<Room>) => store.apply(changeEntity(store.house!, 'rooms', props.room.id, changes));

/** Moves every corner on the far side, so that the room gets a typed width or depth. */
function resize(axis: 'x' | 'y', lengthIn: number): void {
  const box = boundsOf(props.room.corners);
  const [near, far] = axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY];
  const moved = props.room.corners.filter((corner) => Math.abs(corner[axis] - far) < 0.01);
  store.apply(
    moveCorners(
      store.house!,
      props.room.id,
      Object.fromEntries(moved.map((corner) => [corner.id, { x: corner.x, y: corner.y, [axis]: near + lengthIn }])),
    ),
  );
}

function copy(mirror: 'none' | 'left-right' | 'up-down'): void {
  const thickness = store.house!.levels[props.room.level]!.wallThicknessIn;
  const house = store.house!;
  // Beside it, or as far on as it takes to stand free of the others.
  for (let n = 1; n < 12; n++)
    for (const [dx, dy] of [
      [n * (span.value.widthIn + thickness), 0],
      [0, n * (span.value.depthIn + thickness)],
      [-n * (span.value.widthIn + thickness), 0],
    ] as const) {
      const result = copyRoom(house, props.room.id, { mirror, dx, dy }, newId);
      if (!result.ok && !(n === 11 && dx < 0)) continue;
      if (store.apply(result) && result.ok)
        show(Object.values(result.value.house.rooms).find((one) => !house.rooms[one.id])!);
      return;
    }
}

/** The copy is what will be named and dragged next; it may stand off the sheet. */
function show(copied: Room): void {
  view.target = { bounds: boundsOf([...props.room.corners, ...copied.corners]) };
  view.select([{ kind: 'room', id: copied.id }]);
}

function remove(): void {
  if (store.apply(removeEntities(store.house!, [{ collection: 'rooms', id: props.room.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">
      {{ room.name }} <span class="muted">{{ areaFt2(room.corners).toFixed(0) }} ft²</span>
    </h2>
    <label class="field"
      >Name
      <input
        class="plain"
        :value="room.name"
        maxlength="80"
        :readonly="!store.canEdit"
        @change="change({ name: value($event) })"
    /></label>
    <label class="field"
      >Kind
      <select
        class="plain"
        :value="room.kind"
        :disabled="!store.canEdit"
        @change="change({ kind: value($event) as Room['kind'] })"
      >
        <option v-for="kind in ROOM_KINDS" :key="kind" :value="kind">{{ kind.replaceAll('-', ' ') }}</option>
      </select></label
    >
    <label class="field"
      >Tag prefix
      <input
        class="plain num"
        :value="room.prefix"
        maxlength="4"
        :readonly="!store.canEdit"
        @change="change({ prefix: value($event).toUpperCase() })"
    /></label>
    <LengthField label="Width" :value="span.widthIn" @change="resize('x', $event)" />
    <LengthField label="Depth" :value="span.depthIn" @change="resize('y', $event)" />
    <label v-if="room.kind === 'garage'" class="field"
      >Vehicle bays
      <input
        class="plain num"
        type="number"
        min="1"
        max="8"
        :value="room.bays"
        @change="change({ bays: Number(value($event)) })"
    /></label>
    <label v-if="OUTDOOR_KINDS.has(room.kind)" class="field"
      >Side of house
      <select
        class="plain"
        :value="room.side ?? ''"
        @change="change({ side: (value($event) || undefined) as Room['side'] })"
      >
        <option value="">not said</option>
        <option>front</option>
        <option>back</option>
        <option>side</option>
      </select></label
    >
    <label v-else class="row"
      ><input
        type="checkbox"
        :checked="room.damp ?? false"
        :disabled="!store.canEdit"
        @change="change({ damp: checked($event) || undefined })"
      />
      damp or wet indoors</label
    >
    <WallForms :room="room" />
    <NameEffect :room="room" />
    <div v-if="store.canEdit" class="row">
      <button class="plain-button" @click="copy('none')">Copy</button>
      <button class="plain-button" @click="copy('left-right')">Mirror ↔</button>
      <button class="plain-button" @click="copy('up-down')">Mirror ↕</button>
      <button class="plain-button" @click="remove">Delete</button>
    </div>
    <p class="muted">Drag a corner or a wall's handle, or drag the selected room itself. Alt holds off snapping.</p>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
.title span {
  font-size: 17px;
}
</style>
