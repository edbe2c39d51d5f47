<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';

/** One of a few answers, with the reason for the one that is chosen below it. */
const props = defineProps<{
  label: string;
  modelValue: T;
  answers: readonly { readonly value: T; readonly word: string; readonly why?: string }[];
  disabled?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
const why = computed(() => props.answers.find((one) => one.value === props.modelValue)?.why ?? '');
</script>

<template>
  <v-select
    :model-value="modelValue"
    :label="label"
    :items="[...answers]"
    item-title="word"
    item-value="value"
    :hint="why"
    persistent-hint
    :disabled="disabled ?? false"
    @update:model-value="$emit('update:modelValue', $event as T)"
  />
</template>
