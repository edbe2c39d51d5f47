<script setup lang="ts">
import { computed } from 'vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import FeatureForm from './FeatureForm.vue';
import LevelForm from './LevelForm.vue';
import OpeningForm from './OpeningForm.vue';
import RoomForm from './RoomForm.vue';

const store = useHouse();
const view = useView();
const room = computed(() => store.current.rooms[view.only('room') ?? '']);
const opening = computed(() => store.current.openings[view.only('opening') ?? '']);
const feature = computed(() => store.current.features[view.only('feature') ?? '']);
</script>

<template>
  <RoomForm v-if="room" :room="room" />
  <OpeningForm v-else-if="opening" :opening="opening" />
  <FeatureForm v-else-if="feature" :feature="feature" />
  <LevelForm v-else />
</template>
