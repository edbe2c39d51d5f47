<script setup lang="ts">
import type { Box } from '@winculum/core';

/** One tap marked, the next nailed, and round again: as large as a gloved thumb. */
defineProps<{ box: Box; disabled: boolean }>();
const emit = defineEmits<{ tick: [] }>();
</script>

<template>
  <v-btn
    class="tick"
    variant="outlined"
    :class="box.progress"
    :disabled="disabled"
    :aria-label="`${box.tag}: ${box.progress ?? 'to do'}`"
    @click="emit('tick')"
  >
    {{ box.progress === 'nailed' ? '✓✓' : box.progress === 'marked' ? '✓' : '' }}
  </v-btn>
</template>

<style scoped>
.tick {
  width: 44px;
  height: 44px;
  border: 2px solid var(--rule);
  border-radius: 6px;
  background: none;
  font-size: 18px;
  color: var(--ink);
  cursor: pointer;
}
.tick.marked {
  border-color: var(--chalk);
  background: var(--chalk-soft);
}
.tick.nailed {
  border-color: var(--reached-ink);
  background: var(--reached);
}
@media print {
  .tick {
    width: 16px;
    height: 16px;
    border: 1px solid #000;
    border-radius: 0;
  }
}
</style>
