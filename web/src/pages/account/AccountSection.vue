<script setup lang="ts">
defineProps<{ title: string; hint?: string; message?: string; said?: string }>();
</script>

<template>
  <section class="part">
    <h2 class="small-caps">{{ title }}</h2>
    <p v-if="hint" class="muted">{{ hint }}</p>
    <slot />
    <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
    <p v-if="said" class="said" role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 10px;
  align-content: start;
  padding: 18px;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
}
.said {
  color: var(--reached-ink);
}
</style>
