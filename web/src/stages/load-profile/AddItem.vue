<script setup lang="ts">
import { ref } from 'vue';
import { indexOutlets, itemOf, LOAD_KINDS, LOAD_LIBRARY, type DayItem, type LoadKind } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** Something else that is plugged in, for some minutes. */
const emit = defineEmits<{ add: [item: DayItem] }>();
const store = useHouse();
const kinds = LOAD_KINDS.map((value) => ({ value, title: LOAD_LIBRARY[value].name }));
const draft = ref<{ kind: LoadKind; tag: string; from: string; minutes: number }>({
  kind: 'portable-heater',
  tag: '',
  from: '6:45',
  minutes: 15,
});
function add(): void {
  const outlet = indexOutlets(store.current).all.find(
    (one) => one.box.tag === draft.value.tag.trim().toUpperCase() && one.device.kind === 'receptacle',
  );
  const time = /^(\d{1,2}):(\d{2})$/.exec(draft.value.from.trim());
  if (!outlet) store.problem = `Plugged in at: there is no receptacle with the tag "${draft.value.tag}".`;
  else if (!time || Number(time[1]) > 23 || Number(time[2]) > 59)
    store.problem = 'From: type a time of day, such as 6:45.';
  else if (!(draft.value.minutes > 0)) store.problem = 'Minutes: must be greater than zero.';
  else {
    const from = Number(time[1]) * 60 + Number(time[2]);
    const item = itemOf(draft.value.kind, outlet, from, draft.value.minutes, newId('item'));
    emit('add', item);
  }
}
</script>

<template>
  <v-form class="stack add" @submit.prevent="add">
    <b>Something else</b>
    <SearchField v-model="draft.kind" label="What else" :items="kinds" />
    <v-text-field v-model="draft.tag" class="num" label="Plugged in at" placeholder="B1-2" />
    <span class="row"
      ><v-text-field v-model="draft.from" class="num" label="From" /><v-text-field
        v-model.number="draft.minutes"
        class="num"
        type="number"
        min="1"
        label="Minutes"
        suffix="min"
    /></span>
    <v-btn type="submit">Add it</v-btn>
  </v-form>
</template>

<style scoped>
.add {
  margin-top: 10px;
  font-size: 14px;
}
.add .row {
  flex-wrap: nowrap;
}
</style>
