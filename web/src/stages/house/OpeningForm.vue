<script setup lang="ts">
import { computed } from 'vue';
import { changeEntity, findWall, formatLength, removeEntities, wallLoop, type Opening } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';

const props = defineProps<{ opening: Opening }>();
const store = useHouse();
const view = useView();
const wall = computed(() => findWall(wallLoop(store.current.rooms[props.opening.room]!), props.opening.wall)!);
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
const SIDES = [
  { value: 'left', word: 'left, seen from inside' },
  { value: 'right', word: 'right, seen from inside' },
] as const;
const change = (changes: object) =>
  store.apply(changeEntity(store.current, 'openings', props.opening.id, changes as Partial<Opening>));

function remove(): void {
  if (store.apply(removeEntities(store.current, [{ collection: 'openings', id: props.opening.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">{{ names[opening.kind] }}</h2>
    <p class="muted">
      {{ wall.name }} wall of {{ store.current.rooms[opening.room]!.name }},
      {{ formatLength(wall.lengthIn, store.current.standards.lengths) }} long
    </p>
    <LengthField label="From left" :model-value="opening.alongIn" @update:model-value="change({ alongIn: $event })" />
    <LengthField
      label="From right"
      :model-value="Math.max(0, fromRight)"
      @update:model-value="change({ alongIn: Math.max(0, wall.lengthIn - opening.widthIn - $event) })"
    />
    <LengthField label="Width" :model-value="opening.widthIn" @update:model-value="change({ widthIn: $event })" />
    <LengthField label="Head" :model-value="opening.headIn" @update:model-value="change({ headIn: $event })" />
    <LengthField
      label="Header over it, as built"
      optional
      :model-value="opening.headerIn"
      @update:model-value="change({ headerIn: $event })"
      @clear="change({ headerIn: undefined })"
    />
    <LengthField
      v-if="opening.kind === 'window'"
      label="Sill"
      :model-value="opening.sillIn"
      @update:model-value="change({ sillIn: $event })"
    />
    <template v-if="opening.kind === 'door'">
      <ChoiceField
        label="Hinges"
        :model-value="opening.hinge"
        :answers="SIDES"
        @update:model-value="change({ hinge: $event })"
      />
      <ChoiceField
        label="Swing"
        :model-value="opening.swing"
        :answers="[
          { value: 'in', word: `into ${store.current.rooms[opening.room]!.name}` },
          { value: 'out', word: 'out of it' },
        ]"
        @update:model-value="change({ swing: $event })"
      />
      <ChoiceField
        label="Leaves"
        :model-value="opening.leaves"
        :answers="[
          { value: 1, word: 'one' },
          { value: 2, word: 'two' },
        ]"
        @update:model-value="change({ leaves: $event })"
      />
    </template>
    <ChoiceField
      v-if="opening.kind === 'slider'"
      label="Moving panel"
      :model-value="opening.moving"
      :answers="SIDES"
      @update:model-value="change({ moving: $event })"
    />
    <ChoiceField
      v-if="opening.kind === 'pocket' || opening.kind === 'barn'"
      label="Slides to the"
      :model-value="opening.opens"
      :answers="SIDES"
      @update:model-value="change({ opens: $event })"
    />
    <v-btn v-if="store.canEdit" @click="remove">Delete</v-btn>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
</style>
