<script setup lang="ts">
import { ref } from 'vue';

/** A hidden input for files, opened by whatever button asks: Vuetify has none that stays out of sight. */
defineProps<{
  label: string;
  /** What the device offers to choose: types or endings. */
  accept: string;
  multiple?: boolean;
  /** On a phone or tablet the camera opens at once. */
  camera?: boolean;
}>();
const emit = defineEmits<{ choose: [files: readonly File[]] }>();
const input = ref<HTMLInputElement>();
function take(): void {
  const files = [...(input.value?.files ?? [])];
  // The same file can be chosen a second time.
  input.value!.value = '';
  if (files.length > 0) emit('choose', files);
}
defineExpose({ open: () => input.value?.click() });
</script>

<template>
  <input
    ref="input"
    class="visually-hidden"
    type="file"
    tabindex="-1"
    :aria-label="label"
    :accept="accept"
    :multiple="multiple"
    :capture="camera ? 'environment' : undefined"
    @change="take"
  />
</template>
