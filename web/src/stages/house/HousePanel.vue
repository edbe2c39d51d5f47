<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { count } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import FeatureForm from './FeatureForm.vue';
import LevelForm from './LevelForm.vue';
import OpeningForm from './OpeningForm.vue';
import OpenedRooms from './OpenedRooms.vue';
import RoomForm from './RoomForm.vue';
import UsualKinds from './UsualKinds.vue';
import { OPENINGS, useKinds, USUAL_FEATURES, USUAL_ROOMS } from './use-kinds';

const store = useHouse();
const view = useView();
const room = computed(() => store.current.rooms[view.only('room') ?? '']);
const opening = computed(() => store.current.openings[view.only('opening') ?? '']);
const feature = computed(() => store.current.features[view.only('feature') ?? '']);

/** The rooms in hand, where nothing else is. */
const rooms = computed(() => {
  const all = view.selection.flatMap(({ kind, id }) => (kind === 'room' ? (store.current.rooms[id] ?? []) : []));
  return all.length === view.selection.length ? all : [];
});

const kinds = storeToRefs(useKinds());
</script>

<template>
  <template v-if="store.canEdit">
    <UsualKinds
      v-if="view.tool === 'rectangle' || view.tool === 'polygon'"
      v-model="kinds.room.value"
      label="Usual rooms"
      :kinds="USUAL_ROOMS"
    />
    <UsualKinds v-else-if="view.tool === 'opening'" v-model="kinds.opening.value" label="Openings" :kinds="OPENINGS" />
    <UsualKinds
      v-else-if="view.tool === 'feature'"
      v-model="kinds.feature.value"
      label="Usual fixtures"
      :kinds="USUAL_FEATURES"
    />
  </template>
  <RoomForm v-if="room" :room="room" />
  <h2 v-else-if="rooms.length > 1" class="tag num">{{ count(rooms.length, 'room') }}</h2>
  <OpeningForm v-else-if="opening" :opening="opening" />
  <FeatureForm v-else-if="feature" :feature="feature" />
  <LevelForm v-else />
  <OpenedRooms v-if="store.canEdit && rooms.length && view.tool === 'select'" :rooms="rooms" />
</template>
