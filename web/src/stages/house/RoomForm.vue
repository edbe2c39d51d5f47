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
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import LineField from '../../fields/LineField.vue';
import NumberField from '../../fields/NumberField.vue';
import TickField from '../../fields/TickField.vue';
import RoomHeat from './RoomHeat.vue';
import RoomFinish from './RoomFinish.vue';
import NameEffect from './NameEffect.vue';
import WallForms from './WallForms.vue';

const props = defineProps<{ room: Room }>();
const store = useHouse();
const view = useView();
const span = computed(() => roomSpan(props.room));
const KINDS = ROOM_KINDS.map((kind) => ({ value: kind, word: kind.replaceAll('-', ' ') }));
const SIDES = [
  { value: '', word: 'not said' },
  { value: 'front', word: 'front' },
  { value: 'back', word: 'back' },
  { value: 'side', word: 'side' },
] as const;
const FINISHABLE = [
  { value: '', word: 'not said' },
  { value: 'yes', word: 'yes', why: 'It counts to the floor area of the load calculation: 220.12.' },
  { value: 'no', word: 'no', why: 'Unfinished space that cannot be adapted does not count.' },
] as const;
const GRADES = [
  { value: '', word: 'as its level' },
  { value: 'below', word: 'below grade', why: 'The room is part of a basement, whatever its level is.' },
  { value: 'above', word: 'at or above grade', why: 'As in a walk-out: the room is no part of a basement.' },
] as const;
const change = (changes: Partial<Room>) => store.apply(changeEntity(store.current, 'rooms', props.room.id, changes));

/** Moves every corner on the far side, so that the room gets a typed width or depth. */
function resize(axis: 'x' | 'y', lengthIn: number): void {
  const box = boundsOf(props.room.corners);
  const [near, far] = axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY];
  const moved = props.room.corners.filter((corner) => Math.abs(corner[axis] - far) < 0.01);
  store.apply(
    moveCorners(
      store.current,
      props.room.id,
      Object.fromEntries(moved.map((corner) => [corner.id, { x: corner.x, y: corner.y, [axis]: near + lengthIn }])),
    ),
  );
}

function copy(mirror: 'none' | 'left-right' | 'up-down'): void {
  const thickness = store.current.levels[props.room.level]!.wallThicknessIn;
  const house = store.current;
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
  if (store.apply(removeEntities(store.current, [{ collection: 'rooms', id: props.room.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">
      {{ room.name }} <span class="muted">{{ areaFt2(room.corners).toFixed(0) }} ft²</span>
    </h2>
    <LineField label="Name" :model-value="room.name" @update:model-value="change({ name: $event })" />
    <ChoiceField
      label="Kind"
      many
      :model-value="room.kind"
      :answers="KINDS"
      @update:model-value="change({ kind: $event })"
    />
    <LineField
      label="Tag prefix"
      :most="4"
      :model-value="room.prefix"
      @update:model-value="change({ prefix: $event.toUpperCase() })"
    />
    <div class="pair">
      <LengthField label="Width" :model-value="span.widthIn" @update:model-value="resize('x', $event)" />
      <LengthField label="Depth" :model-value="span.depthIn" @update:model-value="resize('y', $event)" />
    </div>
    <NumberField
      v-if="room.kind === 'garage'"
      label="Vehicle bays"
      whole
      :min="1"
      :max="8"
      hint="from its doors"
      :model-value="room.bays"
      @update:model-value="change({ bays: $event })"
    />
    <TickField
      :label="OUTDOOR_KINDS.has(room.kind) ? 'stays as it is' : 'stays as it is: walls and ceiling closed'"
      :model-value="room.closed ?? false"
      @update:model-value="change({ closed: $event || undefined })"
    />
    <ChoiceField
      v-if="OUTDOOR_KINDS.has(room.kind)"
      label="Side of house"
      :model-value="room.side ?? ''"
      :answers="SIDES"
      @update:model-value="change({ side: $event || undefined })"
    />
    <template v-else>
      <TickField
        label="damp or wet indoors"
        :model-value="room.damp ?? false"
        @update:model-value="change({ damp: $event || undefined })"
      />
      <ChoiceField
        v-if="room.kind === 'basement-unfinished' || room.kind === 'attic'"
        label="Could be finished one day"
        :model-value="room.finishable === undefined ? '' : room.finishable ? 'yes' : 'no'"
        :answers="FINISHABLE"
        @update:model-value="change({ finishable: $event === '' ? undefined : $event === 'yes' })"
      />
      <ChoiceField
        label="Grade"
        :model-value="room.grade ?? ''"
        :answers="GRADES"
        @update:model-value="change({ grade: $event || undefined })"
      />
    </template>
    <RoomHeat v-if="!OUTDOOR_KINDS.has(room.kind)" :room="room" />
    <RoomFinish :room="room" />
    <WallForms :room="room" />
    <NameEffect :room="room" />
    <div v-if="store.canEdit" class="row">
      <v-btn @click="copy('none')">Copy</v-btn>
      <v-btn @click="copy('left-right')">Mirror ↔</v-btn>
      <v-btn @click="copy('up-down')">Mirror ↕</v-btn>
      <v-btn @click="remove">Delete</v-btn>
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
