<script setup lang="ts">
import { computed } from 'vue';
import {
  changeEntity,
  feederTo,
  feedPanel,
  OUTDOOR_KINDS,
  SERVICE_RATINGS_A,
  servicePanel,
  type Panel,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LineField from '../../fields/LineField.vue';
import TickField from '../../fields/TickField.vue';
import NumberField from '../../fields/NumberField.vue';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** A panel as far as its supply goes; its spaces are under Panel. */
const props = defineProps<{ panel: Panel }>();
const store = useHouse();
const set = (changes: { readonly [K in keyof Panel]?: Panel[K] | undefined }) =>
  void store.apply(changeEntity(store.current, 'panels', props.panel.id, changes as Partial<Panel>));
const isFirst = computed(() => servicePanel(store.current)?.id === props.panel.id);
const isUnfed = computed(() => !isFirst.value && !feederTo(store.current, props.panel.id));
const isAlone = computed(() => isUnfed.value && !props.panel.onService);
const MAINS = [
  { value: 'breaker', word: 'a main breaker' },
  { value: 'lugs', word: 'lugs only', why: 'The breaker of its feeder alone protects it: 408.36.' },
] as const;
const ENCLOSURES = [
  { value: '', word: 'not said' },
  { value: 'indoor', word: 'indoors' },
  { value: 'weatherproof', word: 'the weather, type 3R' },
] as const;
const isOutdoors = computed(() => {
  const room = store.current.rooms[props.panel.room];
  return room !== undefined && OUTDOOR_KINDS.has(room.kind);
});
const NEUTRALS = [
  { value: '', word: 'as it has to be' },
  { value: 'bonded', word: 'bonded to the enclosure' },
  { value: 'apart', word: 'on a bar of its own, apart' },
] as const;
const ratings = [30, 40, 50, ...SERVICE_RATINGS_A.filter((one) => one > 50)];
</script>

<template>
  <div class="stack">
    <LineField label="Name of the panel" :model-value="panel.name" @update:model-value="set({ name: $event })" />
    <ChoiceField
      label="It has"
      :model-value="panel.main ?? 'breaker'"
      :answers="MAINS"
      @update:model-value="set({ main: $event === 'lugs' ? 'lugs' : undefined })"
    />
    <ChoiceField
      :label="panel.main === 'lugs' ? 'Rating of its lugs' : 'Its main breaker'"
      :model-value="panel.mainA"
      :answers="ratings.map((value) => ({ value, word: `${value} A` }))"
      @update:model-value="set({ mainA: $event })"
    />
    <NumberField
      label="Rating of its busbars"
      unit="A"
      :min="30"
      :max="600"
      whole
      optional
      hint="as its main"
      :model-value="panel.busA"
      @update:model-value="set({ busA: $event })"
      @clear="set({ busA: undefined })"
    />
    <NumberField
      label="It can interrupt"
      unit="A"
      :min="5000"
      :max="200000"
      whole
      optional
      hint="marked on it, mostly 10000"
      :model-value="panel.interruptingA"
      @update:model-value="set({ interruptingA: $event })"
      @clear="set({ interruptingA: undefined })"
    />
    <TickField
      label="series rated with what is ahead of it"
      :model-value="panel.seriesRated ?? false"
      @update:model-value="set({ seriesRated: $event || undefined })"
    />
    <ChoiceField
      v-if="isOutdoors"
      label="Its enclosure is made for"
      :model-value="panel.enclosure ?? ''"
      :answers="ENCLOSURES"
      @update:model-value="set({ enclosure: $event === '' ? undefined : $event })"
    />
    <NumberField
      label="Poles its label allows"
      :min="2"
      :max="84"
      whole
      optional
      hint="as many as spaces"
      :model-value="panel.mostPoles"
      @update:model-value="set({ mostPoles: $event })"
      @clear="set({ mostPoles: undefined })"
    />
    <ChoiceField
      label="Its neutral is"
      :model-value="panel.neutral ?? ''"
      :answers="NEUTRALS"
      @update:model-value="set({ neutral: $event === '' ? undefined : $event })"
    />
    <TickField
      label="it was there before and stays"
      :model-value="panel.existing ?? false"
      @update:model-value="set({ existing: $event || undefined })"
    />
    <TickField
      v-if="isUnfed"
      label="its main is a service disconnect too, beside the first panel's (230.71)"
      :model-value="panel.onService ?? false"
      @update:model-value="set({ onService: $event || undefined })"
    />
    <v-btn
      v-if="isAlone && store.canEdit"
      color="primary"
      variant="flat"
      @click="store.apply(feedPanel(store.current, panel.id, newId))"
      >Feed it from the service panel</v-btn
    >
  </div>
</template>
