<script setup lang="ts">
import { addDevice, newDevice, setGangs, type Box, type DeviceKind } from '@winculum/core';
import CountField from '../fields/CountField.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';

/** What a box may hold besides what it holds: one more device, and how many gangs it has. */
const props = defineProps<{ box: Box }>();
const store = useHouse();
const KINDS: readonly { kind: DeviceKind; word: string }[] = [
  { kind: 'receptacle', word: 'Receptacle' },
  { kind: 'switch', word: 'Switch' },
  { kind: 'luminaire', word: 'Light' },
  { kind: 'fan', word: 'Fan' },
  { kind: 'alarm', word: 'Alarm' },
  { kind: 'connection', word: 'Hard-wired connection' },
  { kind: 'low-voltage', word: 'Low voltage' },
  { kind: 'blank', word: 'Blank' },
];
const add = (kind: DeviceKind) => store.apply(addDevice(store.current, props.box.id, newDevice(kind, newId('device'))));
</script>

<template>
  <div class="devices">
    <v-menu>
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener">Add a device</v-btn>
      </template>
      <v-list density="compact" aria-label="Device to add">
        <v-list-item v-for="one in KINDS" :key="one.kind" :title="one.word" @click="add(one.kind)" />
      </v-list>
    </v-menu>
    <CountField
      v-if="box.at.kind === 'wall' || box.at.kind === 'feature'"
      label="Gangs"
      class="gangs"
      :model-value="box.gangs"
      :min="1"
      :max="6"
      @update:model-value="store.apply(setGangs(store.current, box.id, $event))"
    />
  </div>
</template>

<style scoped>
.devices {
  display: flex;
  align-items: center;
  gap: 12px;
  padding-top: 8px;
}
.gangs {
  max-width: 150px;
}
</style>
