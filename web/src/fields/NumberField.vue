<script setup lang="ts">
import { ref, watch } from 'vue';
import { parseNumber } from '@winculum/core';
import { useHouse } from '../stores/house';

/** A number with its unit, or nothing said where that is allowed. What cannot be read or lies outside is told, and nothing is stored. */
const props = defineProps<{
  label: string;
  modelValue: number | undefined;
  min: number;
  max: number;
  unit?: string;
  whole?: boolean;
  optional?: boolean;
  /** What stands there while nothing is said. */
  hint?: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: number]; clear: [] }>();
const store = useHouse();
const shown = () => (props.modelValue === undefined ? '' : String(props.modelValue));
const text = ref(shown());
const problem = ref('');
const reset = () => {
  text.value = shown();
  problem.value = '';
};
watch(() => props.modelValue, reset);

function take(): void {
  if (text.value.trim() === shown()) return reset();
  const value = text.value.trim() === '' ? undefined : (parseNumber(text.value) ?? NaN);
  if (value === undefined && !props.optional) problem.value = `${props.label}: type a number.`;
  else if (value !== undefined && !Number.isFinite(value))
    problem.value = `"${text.value}" is not a number. Type it as 1500, 1,500 or 1.5.`;
  else if (value !== undefined && props.whole && !Number.isInteger(value)) problem.value = 'Type a whole number.';
  else if (value !== undefined && (value < props.min || value > props.max))
    problem.value = `From ${props.min} to ${props.max}${props.unit ? ` ${props.unit}` : ''}.`;
  else {
    problem.value = '';
    if (value === undefined) emit('clear');
    else emit('update:modelValue', value);
  }
}
</script>

<template>
  <v-text-field
    v-model="text"
    class="num"
    inputmode="decimal"
    :label="label"
    :placeholder="hint ?? ''"
    :persistent-placeholder="hint !== undefined"
    :suffix="unit ?? ''"
    :error-messages="problem"
    :disabled="disabled || !store.canEdit"
    @blur="take"
    @keydown.enter.prevent="take"
    @keydown.esc.stop="reset"
  />
</template>
