<script setup lang="ts">
/** A whole number between limits. */
const props = defineProps<{
  label: string;
  modelValue: number;
  min: number;
  max: number;
  hint?: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: number] }>();
const take = (value: number | null) => {
  if (value !== null && Number.isInteger(value) && value >= props.min && value <= props.max)
    emit('update:modelValue', value);
};
</script>

<template>
  <v-number-input
    :model-value="modelValue"
    :label="label"
    :min="min"
    :max="max"
    :hint="hint ?? ''"
    :persistent-hint="hint !== undefined"
    hide-details="auto"
    variant="outlined"
    density="compact"
    control-variant="split"
    :disabled="disabled ?? false"
    @update:model-value="take"
  />
</template>
