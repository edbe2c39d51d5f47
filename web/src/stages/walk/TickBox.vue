<script setup lang="ts">
import { computed } from 'vue';
import type { Box } from '@winculum/core';

/** One tap marked, the next nailed, and round again: as large as a gloved thumb. */
const props = defineProps<{ box: Box; disabled: boolean }>();
/** What is made up or trimmed was nailed long ago. */
const isBeyond = computed(() => props.box.progress === 'made-up' || props.box.progress === 'trimmed');
const emit = defineEmits<{ tick: [] }>();
</script>

<template>
  <v-btn
    class="tick"
    variant="outlined"
    :class="box.progress"
    :disabled="disabled || isBeyond"
    :aria-label="`${box.tag}: ${box.progress ?? 'to do'}`"
    @click="emit('tick')"
  >
    {{ box.progress === 'nailed' || isBeyond ? '✓✓' : box.progress === 'marked' ? '✓' : '' }}
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
.tick.nailed,
.tick.made-up,
.tick.trimmed {
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
