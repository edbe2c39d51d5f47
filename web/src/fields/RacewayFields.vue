<script setup lang="ts">
import { RACEWAY_NAMES, RACEWAYS, TRADE_SIZES, type Feeder } from '@winculum/core';
import ChoiceField from './ChoiceField.vue';

/** The kind and the trade size of a raceway, of a feeder or of a circuit in the ground. */
type Raceway = NonNullable<Feeder['raceway']>;
defineProps<{ modelValue: Raceway }>();
const emit = defineEmits<{ 'update:modelValue': [value: Raceway] }>();
</script>

<template>
  <ChoiceField
    label="Raceway"
    :model-value="modelValue.kind"
    :answers="RACEWAYS.map((value) => ({ value, word: RACEWAY_NAMES[value] }))"
    @update:model-value="emit('update:modelValue', { ...modelValue, kind: $event })"
  />
  <ChoiceField
    label="Trade size"
    :model-value="modelValue.trade"
    :answers="TRADE_SIZES.map((value) => ({ value, word: `${value} in` }))"
    @update:model-value="emit('update:modelValue', { ...modelValue, trade: $event })"
  />
</template>
