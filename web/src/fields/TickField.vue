<script setup lang="ts">
import { useHouse } from '../stores/house';

/** Yes or no. */
defineProps<{ label: string; modelValue: boolean; disabled?: boolean }>();
defineEmits<{ 'update:modelValue': [value: boolean] }>();
const store = useHouse();
</script>

<template>
  <v-checkbox
    density="compact"
    hide-details
    :label="label"
    :model-value="modelValue"
    :disabled="disabled || !store.canEdit"
    @update:model-value="$emit('update:modelValue', $event ?? false)"
  />
</template>
