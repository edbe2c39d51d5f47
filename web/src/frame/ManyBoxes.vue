<script setup lang="ts">
import { computed } from 'vue';
import {
  assignToCircuit,
  boxTypes,
  BOX_STATES,
  changeBoxes,
  changeDevices,
  commonOf,
  count,
  devicesIn,
  ownHeightIn,
  setHeights,
  SWITCH_STYLES,
  SWITCH_WORDS,
  type Box,
  type Edited,
  type Result,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import LineField from '../fields/LineField.vue';
import { useHouse } from '../stores/house';

/** What several boxes have in common, and the same change of all of them. */
const props = defineProps<{ boxes: readonly Box[] }>();
const store = useHouse();
const ids = computed(() => props.boxes.map((one) => one.id));
const heights = computed(() =>
  props.boxes.flatMap((one) => {
    const heightIn = ownHeightIn(one);
    return heightIn === undefined ? [] : [heightIn];
  }),
);
const receptacles = computed(() => devicesIn(props.boxes, 'receptacle').filter((one) => one.volts === 120));
const switches = computed(() => devicesIn(props.boxes, 'switch'));
const devices = computed(() => props.boxes.flatMap((one) => Object.values(one.devices)));
const apply = (result: Result<Edited>) => void store.apply(result);

type Answer = { readonly value: string; readonly word: string };
/** Where they differ, that is said, and is no answer to choose. */
const VARIOUS = { value: 'various', word: 'various' } as const;
const withVarious = (answers: readonly Answer[], values: readonly string[]) =>
  commonOf(values) === undefined ? [VARIOUS, ...answers] : answers;
const shown = (values: readonly string[]) => commonOf(values) ?? VARIOUS.value;

const types = computed(() => props.boxes.map((one) => one.type ?? ''));
const typeAnswers = computed(() => {
  const gangs = Math.max(...props.boxes.map((one) => one.gangs));
  const all = boxTypes(store.current).filter((one) => one.gangs >= gangs || one.shape !== 'device');
  return withVarious(
    [{ value: '', word: 'what suits each' }, ...all.map((one) => ({ value: one.id, word: one.name }))],
    types.value,
  );
});
const states = computed(() => props.boxes.map((one) => one.state ?? ''));
const STATES: readonly Answer[] = [
  { value: '', word: 'new and settled' },
  ...BOX_STATES.map((value) => ({ value, word: value.replaceAll('-', ' ') })),
];
const isOldState = (state: string): boolean => state === 'existing' || state === 'moved';
/** Only what was there before can lack a ground. */
const setState = (value: string) =>
  setBoxes(value, { state: value || undefined, ...(isOldState(value) ? {} : { noGround: undefined }) });
const grounds = computed(() => props.boxes.map((one) => `${one.noGround ?? false}`));
const circuits = computed(() => devices.value.map((one) => one.circuit ?? ''));
const circuitAnswers = computed(() =>
  withVarious(
    [
      { value: '', word: 'no circuit' },
      ...Object.values(store.current.circuits).map((one) => ({ value: one.id, word: one.name })),
    ],
    circuits.value,
  ),
);
const RATINGS: readonly Answer[] = [15, 20].map((one) => ({ value: `${one}`, word: `${one} A` }));
const YES_NO: readonly Answer[] = [
  { value: 'true', word: 'yes' },
  { value: 'false', word: 'no' },
];
const flags = [
  ['gfci', 'GFCI receptacles'],
  ['tr', 'Tamper-resistant'],
  ['wr', 'Weather-resistant'],
] as const;
const STYLES: readonly Answer[] = SWITCH_STYLES.map((value) => ({ value, word: SWITCH_WORDS[value] }));

const setBoxes = (value: string, changes: Readonly<Record<string, unknown>>) => {
  if (value !== VARIOUS.value) apply(changeBoxes(store.current, ids.value, changes, `Change ${boxWord.value}`));
};
const setDevices = (
  value: string,
  list: readonly { readonly id: string }[],
  changes: Readonly<Record<string, unknown>>,
) => {
  if (value === VARIOUS.value) return;
  const own = list.map((one) => one.id);
  apply(changeDevices(store.current, own, changes, `Change ${count(own.length, 'device')}`));
};
/** A plain receptacle feeds nothing through. */
const setFlag = (flag: (typeof flags)[number][0], value: string) =>
  setDevices(value, receptacles.value, {
    [flag]: value === 'true',
    ...(flag === 'gfci' && value === 'false' ? { feedsThrough: undefined } : {}),
  });
const boxWord = computed(() => count(props.boxes.length, 'box', 'boxes'));
function setCircuit(value: string): void {
  if (value === VARIOUS.value) return;
  const all = devices.value.filter((one) => one.kind !== 'blank' && one.kind !== 'low-voltage').map((one) => one.id);
  apply(assignToCircuit(store.current, all, value || null));
}
const notes = computed(() => commonOf(props.boxes.map((one) => one.note ?? '')));
</script>

<template>
  <section class="stack many" aria-label="All of them">
    <h3 class="small-caps">All of them</h3>
    <LengthField
      v-if="heights.length"
      label="Height to the center"
      :model-value="commonOf(heights)"
      :hint="commonOf(heights) === undefined ? 'various' : ''"
      @update:model-value="apply(setHeights(store.current, ids, $event))"
    />
    <ChoiceField
      label="Kind of box"
      many
      :model-value="shown(types)"
      :answers="typeAnswers"
      @update:model-value="setBoxes($event, { type: $event || undefined })"
    />
    <ChoiceField
      label="State"
      :model-value="shown(states)"
      :answers="withVarious(STATES, states)"
      @update:model-value="setState"
    />
    <ChoiceField
      v-if="states.every(isOldState)"
      label="No ground in the old wiring"
      :model-value="shown(grounds)"
      :answers="withVarious(YES_NO, grounds)"
      @update:model-value="setBoxes($event, { noGround: $event === 'true' || undefined })"
    />
    <ChoiceField
      label="Circuit"
      many
      :model-value="shown(circuits)"
      :answers="circuitAnswers"
      @update:model-value="setCircuit"
    />
    <LineField
      label="Note"
      :hint="notes === undefined ? 'various' : 'what they wait for'"
      :most="400"
      :model-value="notes ?? ''"
      @update:model-value="setBoxes('', { note: $event.trim() || undefined })"
    />
    <template v-if="receptacles.length">
      <h3 class="small-caps">{{ count(receptacles.length, 'receptacle') }}</h3>
      <ChoiceField
        label="Rating"
        :model-value="shown(receptacles.map((one) => `${one.ratingA}`))"
        :answers="
          withVarious(
            RATINGS,
            receptacles.map((one) => `${one.ratingA}`),
          )
        "
        @update:model-value="setDevices($event, receptacles, { ratingA: Number($event) })"
      />
      <ChoiceField
        v-for="[flag, label] in flags"
        :key="flag"
        :label="label"
        :model-value="shown(receptacles.map((one) => `${one[flag]}`))"
        :answers="
          withVarious(
            YES_NO,
            receptacles.map((one) => `${one[flag]}`),
          )
        "
        @update:model-value="setFlag(flag, $event)"
      />
    </template>
    <template v-if="switches.length">
      <h3 class="small-caps">{{ count(switches.length, 'switch', 'switches') }}</h3>
      <ChoiceField
        label="Style"
        :model-value="shown(switches.map((one) => one.style))"
        :answers="
          withVarious(
            STYLES,
            switches.map((one) => one.style),
          )
        "
        @update:model-value="setDevices($event, switches, { style: $event })"
      />
    </template>
  </section>
</template>

<style scoped>
.many {
  border-top: 1px solid var(--rule);
  padding-top: 10px;
}
</style>
