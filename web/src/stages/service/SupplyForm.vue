<script setup lang="ts">
import { computed } from 'vue';
import { CONDUCTOR_SIZES, edit, ELECTRODES, servicePanel, type Conductor, type Supply } from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import NumberField from '../../fields/NumberField.vue';
import { useHouse } from '../../stores/house';
import ConductorFields from './ConductorFields.vue';
import { ELECTRODE_WORDS } from './one-line-layout';

/** How power comes to the house, and what stands at the service. */
const store = useHouse();
const supply = computed(() => store.current.supply);
function set(changes: { readonly [K in keyof Supply]?: Supply[K] | undefined }): void {
  store.apply(
    edit(store.current, 'Change the service', (draft) => {
      for (const [field, value] of Object.entries(changes))
        if (value === undefined) delete (draft.supply as Record<string, unknown>)[field];
        else (draft.supply as Record<string, unknown>)[field] = value;
    }),
  );
}
const KINDS = [
  {
    value: 'utility',
    word: 'the utility',
    why: 'One service. Where a second one is allowed (230.2) it is not planned here.',
  },
  {
    value: 'cord',
    word: 'a power-supply cord',
    why: 'A house on wheels. On a foundation a cord is no wiring method: 400.12.',
  },
  { value: 'off-grid', word: 'sources of its own alone' },
] as const;
const VOLTS = [
  { value: '120/240', word: '120/240 V' },
  { value: '120/208', word: '120/208 V' },
  { value: '120', word: '120 V only' },
] as const;
const CORDS = [
  { value: 0, word: 'not said' },
  { value: 20, word: '20 A' },
  { value: 30, word: '30 A' },
  { value: 50, word: '50 A' },
] as const;
const SEEN = [
  { value: 'not-known', word: 'not said' },
  { value: 'yes', word: 'planned or there' },
  { value: 'no', word: 'none' },
] as const;
const PIPES = [
  { value: 'not-known', word: 'not said' },
  { value: 'yes', word: 'metal, bonded' },
  { value: 'no', word: 'metal, not bonded' },
  { value: 'none', word: 'no metal piping' },
] as const;
const PEAKS = [
  { value: 'year', word: 'a year, by the utility' },
  {
    value: 'thirty-days',
    word: 'thirty days, by a recorder',
    why: 'Averages of 15 minutes, in the season of the larger of heat and cooling. Not beside solar or a battery: 220.87 Exception.',
  },
] as const;
/** The panel that the service ends in was there before. */
const stands = computed(() => servicePanel(store.current)?.existing ?? false);
const NEUTRALS = [
  { value: '', word: 'as large as the others' },
  ...CONDUCTOR_SIZES.map((value) => ({
    value: value as string,
    word: value.includes('kcmil') ? value : `No. ${value}`,
  })),
];
const electrodes = ELECTRODES.map((value) => ({ value, title: ELECTRODE_WORDS[value] }));
const setConductor = (field: 'conductor' | 'electrodeConductor', conductor: Conductor | undefined) =>
  set({ [field]: conductor });
</script>

<template>
  <div class="stack">
    <ChoiceField
      label="Power comes from"
      :model-value="supply.kind"
      :answers="KINDS"
      @update:model-value="set({ kind: $event })"
    />
    <ChoiceField
      label="Volts"
      :model-value="supply.volts"
      :answers="VOLTS"
      @update:model-value="set({ volts: $event })"
    />
    <ChoiceField
      v-if="supply.kind === 'cord'"
      label="Rating of the cord"
      :model-value="supply.cordA ?? 0"
      :answers="CORDS"
      @update:model-value="set({ cordA: $event === 0 ? undefined : $event })"
    />
    <template v-if="supply.kind === 'utility'">
      <ConductorFields
        label="Service conductors"
        :model-value="supply.conductor"
        optional
        @update:model-value="setConductor('conductor', $event)"
      />
      <ChoiceField
        v-if="supply.conductor"
        label="Service neutral"
        :model-value="supply.neutral ?? ''"
        :answers="NEUTRALS"
        @update:model-value="set({ neutral: ($event || undefined) as Supply['neutral'] })"
      />
      <ChoiceField
        label="Emergency disconnect outdoors"
        :model-value="supply.emergencyDisconnect"
        :answers="SEEN"
        @update:model-value="set({ emergencyDisconnect: $event })"
      />
      <ChoiceField
        label="Surge protection"
        :model-value="supply.surge"
        :answers="SEEN"
        @update:model-value="set({ surge: $event })"
      />
      <NumberField
        label="Available fault current"
        unit="A"
        :min="100"
        :max="200000"
        whole
        optional
        hint="ask the utility"
        :model-value="supply.faultA"
        @update:model-value="set({ faultA: $event })"
        @clear="set({ faultA: undefined })"
      />
      <NumberField
        v-if="stands || supply.peak"
        label="Measured peak"
        unit="A"
        :min="1"
        :max="400"
        optional
        hint="heavier leg, 220.87"
        :model-value="supply.peak?.amps"
        @update:model-value="set({ peak: { amps: $event, over: supply.peak?.over ?? 'year' } })"
        @clear="set({ peak: undefined })"
      />
      <ChoiceField
        v-if="supply.peak"
        label="Measured over"
        :model-value="supply.peak.over"
        :answers="PEAKS"
        @update:model-value="set({ peak: { amps: supply.peak.amps, over: $event } })"
      />
    </template>
    <template v-if="supply.kind !== 'cord'">
      <v-select
        label="Grounding electrodes"
        multiple
        chips
        :model-value="supply.electrodes ?? []"
        :items="electrodes"
        :placeholder="supply.electrodes ? 'none' : 'not said'"
        persistent-placeholder
        :disabled="!store.canEdit"
        @update:model-value="set({ electrodes: $event })"
      />
      <ConductorFields
        label="Electrode conductor"
        :model-value="supply.electrodeConductor"
        optional
        @update:model-value="setConductor('electrodeConductor', $event)"
      />
    </template>
    <ChoiceField
      label="Water piping"
      :model-value="supply.waterBond"
      :answers="PIPES"
      @update:model-value="set({ waterBond: $event })"
    />
    <ChoiceField
      label="Gas piping"
      :model-value="supply.gasBond"
      :answers="PIPES"
      @update:model-value="set({ gasBond: $event })"
    />
    <ChoiceField
      v-if="supply.kind === 'utility'"
      label="Intersystem bonding termination"
      :model-value="supply.intersystemBond"
      :answers="SEEN"
      @update:model-value="set({ intersystemBond: $event })"
    />
  </div>
</template>
