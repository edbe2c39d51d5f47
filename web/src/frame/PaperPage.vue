<script setup lang="ts">
/** A stop that is read as sheets: its tools above, the sheets below, and the sheets alone in print. */
defineProps<{
  /** What the tools are for, for those who cannot see them. */
  label: string;
  /** Which part is shown: another one is read from its top. */
  part?: string;
}>();
</script>

<template>
  <div class="page">
    <div class="tools" role="toolbar" :aria-label="label"><slot name="tools" /></div>
    <div :key="part" class="scroll" tabindex="0"><slot /></div>
  </div>
</template>

<style scoped>
.page {
  display: flex;
  flex-direction: column;
  min-height: 0;
  height: 100%;
}
.tools {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 12px 12px 8px;
  flex-wrap: wrap;
  border-bottom: 1px solid var(--rule);
}
.tools :slotted(.v-btn),
.tools :slotted(.pick) {
  min-height: 44px;
}
.tools :slotted(.pick) {
  width: auto;
  min-width: 160px;
  max-width: 240px;
}
.tools :slotted(.progress b) {
  font-size: 22px;
}
.scroll {
  overflow: auto;
  padding: 14px;
  display: grid;
  /* A sheet is never wider than the page: what is wider in it scrolls by itself. */
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.scroll :slotted(.none) {
  padding: 12vh 10%;
  text-align: center;
  font-size: 17px;
}
@media print {
  .tools {
    display: none;
  }
  .page,
  .scroll {
    display: block;
    height: auto;
    overflow: visible;
    padding: 0;
  }
}
</style>
