<script setup lang="ts">
import { ref, watch } from 'vue';
import { useHouse } from '../stores/house';

/** A line of text. It is taken when one leaves it or presses Enter; Escape brings back what stood there. */
const props = defineProps<{ label: string; modelValue: string; hint?: string; most?: number; disabled?: boolean }>();
const emit = defineEmits<{ 'update:modelValue': [text: string] }>();
const store = useHouse();
const text = ref(props.modelValue);
const reset = () => void (text.value = props.modelValue);
watch(() => props.modelValue, reset);
const take = () => {
  if (text.value !== props.modelValue) emit('update:modelValue', text.value);
};
</script>

<template>
  <v-text-field
    v-model="text"
    :label="label"
    :placeholder="hint ?? ''"
    :persistent-placeholder="!!hint"
    :maxlength="most ?? 80"
    :disabled="disabled || !store.canEdit"
    @blur="take"
    @keydown.enter.prevent="take"
    @keydown.esc.stop="reset"
  />
</template>
