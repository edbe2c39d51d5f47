<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import FeatureForm from './FeatureForm.vue';
import LevelForm from './LevelForm.vue';
import OpeningForm from './OpeningForm.vue';
import RoomForm from './RoomForm.vue';
import UsualKinds from './UsualKinds.vue';
import { OPENINGS, useKinds, USUAL_FEATURES, USUAL_ROOMS } from './use-kinds';

const store = useHouse();
const view = useView();
const room = computed(() => store.current.rooms[view.only('room') ?? '']);
const opening = computed(() => store.current.openings[view.only('opening') ?? '']);
const feature = computed(() => store.current.features[view.only('feature') ?? '']);

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
  <OpeningForm v-else-if="opening" :opening="opening" />
  <FeatureForm v-else-if="feature" :feature="feature" />
  <LevelForm v-else />
</template>
