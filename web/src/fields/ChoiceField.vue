<script setup lang="ts" generic="T extends string | number">
import { computed } from 'vue';
import SearchField from './SearchField.vue';
import { useHouse } from '../stores/house';

/** One of a few answers, or of many that can be searched, with the reason for the one that is chosen below it. */
const props = defineProps<{
  label: string;
  modelValue: T;
  answers: readonly { readonly value: T; readonly word: string; readonly why?: string }[];
  /** Too many to read through: what is typed narrows them. */
  many?: boolean;
  disabled?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: T] }>();
const store = useHouse();
const why = computed(() => props.answers.find((one) => one.value === props.modelValue)?.why ?? '');
</script>

<template>
  <SearchField
    v-if="many"
    :model-value="modelValue"
    :label="label"
    :items="answers.map((one) => ({ value: one.value, title: one.word }))"
    :hint="why"
    :disabled="disabled || !store.canEdit"
    @update:model-value="$emit('update:modelValue', $event)"
  />
  <v-select
    v-else
    :model-value="modelValue"
    :label="label"
    :items="[...answers]"
    item-title="word"
    item-value="value"
    :hint="why"
    persistent-hint
    :disabled="disabled || !store.canEdit"
    @update:model-value="$emit('update:modelValue', $event as T)"
  />
</template>
