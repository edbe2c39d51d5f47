<script setup lang="ts">
import { computed } from 'vue';
import { create } from 'qrcode';

/** A text as a QR code (ISO/IEC 18004), drawn as one path, black on white in every theme so that any phone reads it. */
const props = defineProps<{ text: string; label: string }>();
/** White around it that readers ask for, in modules: ISO/IEC 18004, 4. */
const QUIET = 4;
const code = computed(() => {
  const { modules } = create(props.text, { errorCorrectionLevel: 'M' });
  let d = '';
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) d += `M${x + QUIET} ${y + QUIET}h1v1h-1z`;
  return { d, size: modules.size + 2 * QUIET };
});
</script>

<template>
  <svg
    class="qr"
    :viewBox="`0 0 ${code.size} ${code.size}`"
    role="img"
    :aria-label="label"
    shape-rendering="crispEdges"
  >
    <rect :width="code.size" :height="code.size" fill="#fff" />
    <path :d="code.d" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  width: 2.2in;
  height: 2.2in;
}
</style>
