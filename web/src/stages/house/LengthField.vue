<script setup lang="ts">
import { formatLength, parseLength } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** A typed length: takes what people type, shows what a tape reads; what is refused stays with its reason. */
const props = defineProps<{ label: string; value: number | undefined }>();
const emit = defineEmits<{ change: [lengthIn: number] }>();
const store = useHouse();

function read(event: Event): void {
  const input = event.target as HTMLInputElement;
  const parsed = parseLength(input.value, props.label);
  if (parsed.ok) emit('change', parsed.value);
  else store.problem = `${props.label}: ${parsed.problems[0]!.message}`;
}
</script>

<template>
  <label class="field"
    >{{ label }}
    <input
      class="plain num"
      :value="value === undefined ? '' : formatLength(value, store.house!.standards.lengths)"
      :placeholder="value === undefined ? 'not said' : undefined"
      :readonly="!store.canEdit"
      @change="read"
  /></label>
</template>
