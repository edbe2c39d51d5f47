<script setup lang="ts" generic="T extends string">
/** What is set down most often, one press each; the whole list stands in the field of the toolbar. */
defineProps<{ label: string; kinds: readonly T[]; modelValue: T }>();
defineEmits<{ 'update:modelValue': [kind: T] }>();
</script>

<template>
  <div class="usual" role="toolbar" :aria-label="label">
    <v-btn
      v-for="kind in kinds"
      :key="kind"
      size="small"
      :aria-pressed="kind === modelValue"
      @click="$emit('update:modelValue', kind)"
      >{{ kind.replaceAll('-', ' ') }}</v-btn
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
