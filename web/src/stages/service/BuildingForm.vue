<script setup lang="ts">
import { computed } from 'vue';
import { changeEntity, edit, ELECTRODES, removeEntities, type Building, type DwellingUnit } from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LineField from '../../fields/LineField.vue';
import { useHouse } from '../../stores/house';
import { ELECTRODE_WORDS } from './one-line-layout';

/** A building beside the house, or a dwelling unit: which rooms it has, and at a building what stands there. */
const props = defineProps<{ building?: Building; unit?: DwellingUnit }>();
const store = useHouse();
const one = computed(() => (props.building ?? props.unit)!);
const collection = computed(() => (props.building ? 'buildings' : 'units'));
const field = computed(() => (props.building ? 'building' : 'unit'));
const rooms = computed(() => Object.values(store.current.rooms));
const inIt = computed(() => rooms.value.filter((room) => room[field.value] === one.value.id).map((room) => room.id));
function setRooms(ids: readonly string[]): void {
  store.apply(
    edit(store.current, `Rooms of ${one.value.name}`, (draft) => {
      for (const room of Object.values(draft.rooms))
        if (ids.includes(room.id)) room[field.value] = one.value.id;
        else if (room[field.value] === one.value.id) delete room[field.value];
    }),
  );
}
const set = (changes: Partial<Building>) =>
  void store.apply(changeEntity(store.current, collection.value as 'buildings', one.value.id, changes));
const SEEN = [
  { value: 'not-known', word: 'not said' },
  { value: 'yes', word: 'it has one' },
  { value: 'no', word: 'none' },
] as const;
const remove = () =>
  void store.apply(removeEntities(store.current, [{ collection: collection.value, id: one.value.id }]));
</script>

<template>
  <div class="stack">
    <LineField label="Its name" :model-value="one.name" @update:model-value="set({ name: $event })" />
    <v-autocomplete
      label="Rooms in it"
      multiple
      chips
      :model-value="inIt"
      :items="rooms.map(({ id, name }) => ({ value: id, title: name }))"
      :disabled="!store.canEdit"
      @update:model-value="setRooms"
    />
    <template v-if="building">
      <ChoiceField
        label="Disconnect"
        :model-value="building.disconnect"
        :answers="SEEN"
        @update:model-value="set({ disconnect: $event })"
      />
      <v-select
        label="Grounding electrodes of its own"
        multiple
        chips
        :model-value="building.electrodes ?? []"
        :items="ELECTRODES.map((value) => ({ value, title: ELECTRODE_WORDS[value] }))"
        :placeholder="building.electrodes ? 'none' : 'not said'"
        persistent-placeholder
        :disabled="!store.canEdit"
        @update:model-value="set({ electrodes: $event })"
      />
    </template>
    <v-btn v-if="store.canEdit" @click="remove">Remove it</v-btn>
  </div>
</template>
