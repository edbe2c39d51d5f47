<script setup lang="ts">
import { CONDUCTOR_SIZES, type Conductor } from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';

/** Size and metal of conductors, or nothing said where that is allowed. */
const props = defineProps<{
  label: string;
  modelValue: Conductor | undefined;
  optional?: boolean;
  disabled?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [conductor: Conductor | undefined] }>();
const sizes = [
  ...(props.optional ? [{ value: '', word: 'not said' }] : []),
  ...CONDUCTOR_SIZES.map((value) => ({
    value: value as string,
    word: value.includes('kcmil') ? value : `No. ${value}`,
  })),
];
const METALS = [
  { value: 'copper', word: 'copper' },
  { value: 'aluminum', word: 'aluminum' },
] as const;
const setSize = (size: string) =>
  emit(
    'update:modelValue',
    size === '' ? undefined : { size: size as Conductor['size'], metal: props.modelValue?.metal ?? 'copper' },
  );
</script>

<template>
  <div class="pair">
    <ChoiceField
      :label="label"
      :model-value="modelValue?.size ?? ''"
      :answers="sizes"
      :disabled="disabled ?? false"
      @update:model-value="setSize"
    />
    <ChoiceField
      :label="`Metal of the ${label.toLowerCase()}`"
      :model-value="modelValue?.metal ?? 'copper'"
      :answers="METALS"
      :disabled="disabled || !modelValue"
      @update:model-value="modelValue && emit('update:modelValue', { ...modelValue, metal: $event })"
    />
  </div>
</template>
