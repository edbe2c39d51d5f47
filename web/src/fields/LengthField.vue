<script setup lang="ts">
import { ref, watch } from 'vue';
import { formatLength, parseLength } from '@winculum/core';
import { useHouse } from '../stores/house';

/**
 * A length as people type it, in feet and inches or metric, or nothing said where that is allowed. Escape brings back what stood there;
 * nothing is stored until it can be read.
 */
const props = defineProps<{
  label: string;
  modelValue: number | undefined;
  hint?: string;
  optional?: boolean;
  disabled?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [lengthIn: number]; clear: [] }>();
const store = useHouse();
const shown = () =>
  props.modelValue === undefined ? '' : formatLength(props.modelValue, store.current.standards.lengths);
const text = ref(shown());
const problem = ref('');
const reset = () => {
  text.value = shown();
  problem.value = '';
};
watch(() => [props.modelValue, store.house?.standards.lengths], reset);

function take(): void {
  if (text.value === shown()) return reset();
  if (props.optional && text.value.trim() === '') return emit('clear');
  const read = parseLength(text.value, props.label);
  if (!read.ok) problem.value = read.problems[0]!.message;
  else {
    problem.value = '';
    emit('update:modelValue', read.value);
  }
}
</script>

<template>
  <v-text-field
    v-model="text"
    :label="label"
    :hint="hint ?? ''"
    :placeholder="modelValue === undefined ? 'not said' : ''"
    :persistent-placeholder="modelValue === undefined"
    :disabled="disabled || !store.canEdit"
    :error-messages="problem"
    class="num"
    @blur="take"
    @keydown.enter.prevent="take"
    @keydown.esc.stop="reset"
  />
</template>
