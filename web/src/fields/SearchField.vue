<script setup lang="ts" generic="T extends string | number">
import { VAutocomplete } from 'vuetify/components/VAutocomplete';

/** One of many, found by typing a part of its name. What stood there is selected, so that typing replaces it. */
defineProps<{
  label?: string;
  modelValue: T;
  items: readonly { readonly value: T; readonly title: string }[];
  hint?: string;
  disabled?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();

function selectText({ target }: Event): void {
  if (target instanceof HTMLInputElement) target.select();
}
</script>

<template>
  <VAutocomplete
    v-bind="label === undefined ? { singleLine: true } : { label }"
    :model-value="modelValue"
    :items="[...items]"
    :hint="hint ?? ''"
    :persistent-hint="hint !== undefined"
    :disabled="disabled ?? false"
    @focusin="selectText"
    @click="selectText"
    @update:model-value="(next: T | null) => next !== null && $emit('update:modelValue', next)"
  />
</template>
