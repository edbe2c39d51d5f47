<script setup lang="ts" generic="T extends string">
import type { Named } from './use-kinds';

/** What is set down most often, one press each; the whole list stands in the field of the toolbar. */
defineProps<{ label: string; kinds: readonly Named<T>[]; modelValue: T }>();
defineEmits<{ 'update:modelValue': [kind: T] }>();
</script>

<template>
  <div class="usual" role="toolbar" :aria-label="label">
    <v-btn
      v-for="{ value, title } in kinds"
      :key="value"
      size="small"
      :aria-pressed="value === modelValue"
      @click="$emit('update:modelValue', value)"
      >{{ title }}</v-btn
    >
  </div>
</template>

<style scoped>
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding-bottom: 12px;
  margin-bottom: 12px;
  border-bottom: 1px solid var(--rule);
}
.usual .v-btn {
  min-width: 0;
  padding-inline: 8px;
}
</style>
