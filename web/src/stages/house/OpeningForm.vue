<script setup lang="ts">
import { computed } from 'vue';
import { changeEntity, findWall, formatLength, removeEntities, wallLoop, type Opening } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import LengthField from './LengthField.vue';

const props = defineProps<{ opening: Opening }>();
const store = useHouse();
const view = useView();
const wall = computed(() => findWall(wallLoop(store.house!.rooms[props.opening.room]!), props.opening.wall)!);
const fromRight = computed(() => wall.value.lengthIn - props.opening.alongIn - props.opening.widthIn);
const names: Record<Opening['kind'], string> = {
  door: 'Door',
  cased: 'Cased opening',
  slider: 'Sliding door',
  window: 'Window',
  'fixed-glass': 'Fixed glass',
  vehicle: 'Vehicle door',
  pocket: 'Pocket door',
  barn: 'Barn door',
};
const value = (event: Event) => (event.target as HTMLSelectElement).value;
const change = (changes: object) =>
  store.apply(changeEntity(store.house!, 'openings', props.opening.id, changes as Partial<Opening>));

function remove(): void {
  if (store.apply(removeEntities(store.house!, [{ collection: 'openings', id: props.opening.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">{{ names[opening.kind] }}</h2>
    <p class="muted">
      {{ wall.name }} wall of {{ store.house!.rooms[opening.room]!.name }},
      {{ formatLength(wall.lengthIn, store.house!.standards.lengths) }} long
    </p>
    <LengthField label="From left" :value="opening.alongIn" @change="change({ alongIn: $event })" />
    <LengthField
      label="From right"
      :value="Math.max(0, fromRight)"
      @change="change({ alongIn: Math.max(0, wall.lengthIn - opening.widthIn - $event) })"
    />
    <LengthField label="Width" :value="opening.widthIn" @change="change({ widthIn: $event })" />
    <LengthField label="Head" :value="opening.headIn" @change="change({ headIn: $event })" />
    <LengthField
      v-if="opening.kind === 'window'"
      label="Sill"
      :value="opening.sillIn"
      @change="change({ sillIn: $event })"
    />
    <template v-if="opening.kind === 'door'">
      <label class="field"
        >Hinges
        <select class="plain" :value="opening.hinge" @change="change({ hinge: value($event) })">
          <option value="left">left, seen from inside</option>
          <option value="right">right, seen from inside</option>
        </select></label
      >
      <label class="field"
        >Swing
        <select class="plain" :value="opening.swing" @change="change({ swing: value($event) })">
          <option value="in">into {{ store.house!.rooms[opening.room]!.name }}</option>
          <option value="out">out of it</option>
        </select></label
      >
      <label class="field"
        >Leaves
        <select class="plain" :value="opening.leaves" @change="change({ leaves: Number(value($event)) })">
          <option :value="1">one</option>
          <option :value="2">two</option>
        </select></label
      >
    </template>
    <label v-if="opening.kind === 'slider'" class="field"
      >Moving panel
      <select class="plain" :value="opening.moving" @change="change({ moving: value($event) })">
        <option value="left">left, seen from inside</option>
        <option value="right">right, seen from inside</option>
      </select></label
    >
    <button v-if="store.canEdit" class="plain-button" @click="remove">Delete</button>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
</style>
