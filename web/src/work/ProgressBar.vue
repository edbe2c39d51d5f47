<script setup lang="ts">
import type { Progress } from './long-work';

/** How far long work has come, and the way to stop it; the title tells one piece of work from another beside it. */
defineProps<{ progress: Progress; title: string }>();
const emit = defineEmits<{ cancel: [] }>();
</script>

<template>
  <div class="working" role="status">
    <b>{{ title }}</b>
    <v-progress-linear
      class="share"
      :model-value="progress.share * 100"
      color="primary"
      height="8"
      :aria-label="title"
    />
    <span class="muted grow">{{ progress.what }}</span>
    <v-btn :aria-label="`Cancel: ${title}`" @click="emit('cancel')">Cancel</v-btn>
  </div>
</template>

<style scoped>
.working {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 12px;
  background: var(--chalk-soft);
  border-bottom: 1px solid var(--chalk);
}
.share {
  flex: 0 0 160px;
}
</style>
