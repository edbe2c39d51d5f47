<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  changeEntity,
  removeEntities,
  roomFor,
  sleeveEstimateFt,
  SLEEVE_CONTENTS,
  SLEEVE_KINDS,
  SLEEVE_NAMES,
  TRADE_SIZES,
  type Sleeve,
  type SleeveContent,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import CountField from '../../fields/CountField.vue';
import LineField from '../../fields/LineField.vue';
import NumberField from '../../fields/NumberField.vue';
import SearchField from '../../fields/SearchField.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';
import { CONTENT_NAMES, PLACE_WORDS } from './sleeve-words';

/** One sleeve: where it goes, what it is made of, what is in it and what would still go in. */
const props = defineProps<{ sleeve: Sleeve }>();
const store = useHouse();
const set = (changes: { readonly [K in keyof Sleeve]?: Sleeve[K] | undefined }) =>
  void store.apply(changeEntity(store.current, 'sleeves', props.sleeve.id, changes as Partial<Sleeve>));
const ENDS = [
  ['from', 'From'],
  ['to', 'To'],
] as const;
const rooms = computed(() => [
  { value: '', title: 'outside, or another place' },
  ...Object.values(store.current.rooms).map((one) => ({ value: one.id, title: one.name })),
]);
const kinds = SLEEVE_KINDS.map((value) => ({ value, word: SLEEVE_NAMES[value] }));
const trades = TRADE_SIZES.map((value) => ({ value, word: `${value} in` }));
const places = Object.entries(PLACE_WORDS).map(([value, word]) => ({ value: value as Sleeve['place'], word }));
const contents = SLEEVE_CONTENTS.map((value) => ({ value, title: CONTENT_NAMES[value] }));

/** The boxes of the room that an end lies in. */
const boxesOf = (end: 'from' | 'to') => [
  { value: '', title: 'in no box' },
  ...Object.values(store.current.boxes)
    .filter((one) => one.room === props.sleeve[end].room)
    .map((one) => ({ value: one.id, title: one.tag })),
];
const estimate = computed(() => {
  const feet = sleeveEstimateFt(store.current, props.sleeve);
  return feet === undefined ? 'not measured' : `about ${feet} ft`;
});
const what = ref<SleeveContent>('data');
const more = computed(() => roomFor(props.sleeve, what.value));
function put(): void {
  const has = props.sleeve.holds.find((one) => one.what === what.value);
  set({
    holds: has
      ? props.sleeve.holds.map((one) => (one === has ? { ...one, count: one.count + 1 } : one))
      : [...props.sleeve.holds, { what: what.value, count: 1 }],
  });
}
const recount = (kind: SleeveContent, count: number) =>
  set({
    holds: props.sleeve.holds.flatMap((one) => (one.what !== kind ? [one] : count > 0 ? [{ ...one, count }] : [])),
  });
const remove = () => store.apply(removeEntities(store.current, [{ collection: 'sleeves', id: props.sleeve.id }]));
</script>

<template>
  <div class="form">
    <div class="leaf-fields">
      <LineField label="Its name" :most="80" :model-value="sleeve.name" @update:model-value="set({ name: $event })" />
      <ChoiceField
        label="Kind"
        :model-value="sleeve.kind"
        :answers="kinds"
        @update:model-value="set({ kind: $event })"
      />
      <ChoiceField
        label="Trade size"
        :model-value="sleeve.trade"
        :answers="trades"
        @update:model-value="set({ trade: $event })"
      />
      <ChoiceField
        label="It lies"
        :model-value="sleeve.place"
        :answers="places"
        @update:model-value="set({ place: $event })"
      />
      <NumberField
        label="Length"
        unit="ft"
        :min="0"
        :max="2000"
        optional
        :hint="estimate"
        :model-value="sleeve.lengthFt"
        @update:model-value="set({ lengthFt: $event })"
        @clear="set({ lengthFt: undefined })"
      />
      <NumberField
        label="Bends in all"
        unit="°"
        whole
        :min="0"
        :max="1440"
        :model-value="sleeve.bendsDeg"
        @update:model-value="set({ bendsDeg: $event })"
      />
    </div>
    <div v-for="[end, word] in ENDS" :key="end" class="leaf-fields">
      <SearchField
        :label="word"
        :items="rooms"
        :model-value="sleeve[end].room ?? ''"
        @update:model-value="set({ [end]: { ...sleeve[end], room: $event || null, box: undefined } })"
      />
      <SearchField
        v-if="sleeve[end].room"
        :label="`${word}, in box`"
        :items="boxesOf(end)"
        :model-value="sleeve[end].box ?? ''"
        @update:model-value="set({ [end]: { ...sleeve[end], box: $event || undefined } })"
      />
      <LineField
        :label="`${word}, where there`"
        :most="120"
        :model-value="sleeve[end].note"
        @update:model-value="set({ [end]: { ...sleeve[end], note: $event } })"
      />
      <TickField
        label="this end is capped"
        :model-value="sleeve[end].capped"
        @update:model-value="set({ [end]: { ...sleeve[end], capped: $event } })"
      />
    </div>
    <TickField
      label="a pull string is in it"
      :model-value="sleeve.pullString"
      @update:model-value="set({ pullString: $event })"
    />
    <h4>What is in it</h4>
    <div v-for="one in sleeve.holds" :key="one.what" class="row">
      <span class="grow">{{ CONTENT_NAMES[one.what] }}</span>
      <CountField
        :label="`How many: ${CONTENT_NAMES[one.what]}`"
        :min="0"
        :max="60"
        :model-value="one.count"
        @update:model-value="recount(one.what, $event)"
      />
    </div>
    <div class="row">
      <SearchField v-model="what" class="grow" label="Pull in" :items="contents" />
      <v-btn @click="put">Put it in</v-btn>
    </div>
    <p class="muted" role="status">
      <template v-if="more === undefined"
        >How many more of these it takes is not known: its fill is in no table.</template
      >
      <template v-else>Room for {{ more === 60 ? '60 or more' : more }} more of these.</template>
    </p>
    <div class="row"><span class="grow" /><v-btn variant="text" @click="remove">Remove this sleeve</v-btn></div>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  padding: 8px 0;
}
h4 {
  font: 600 14px var(--words);
}
</style>
