<script setup lang="ts">
import { ref, watch } from 'vue';

/** The tape line: type as you would call out to a helper, Enter places it. What could not be done stays typed. */
const props = defineProps<{
  run: (text: string) => string | null;
  placeholder: string;
  hint: string;
  action: string;
  preview?: (text: string) => string;
}>();
const emit = defineEmits<{ typing: [text: string] }>();
const text = ref('');
watch(text, (now) => emit('typing', now));
const problem = ref('');
const input = ref<{ focus: () => void; blur: () => void }>();

function nail(): void {
  if (text.value.trim() === '') return;
  problem.value = props.run(text.value) ?? '';
  if (problem.value === '') text.value = '';
}
/** Places another line than the one that was typed: what was asked is answered. */
function say(line: string): void {
  text.value = line;
  nail();
}
defineExpose({ focus: () => input.value?.focus(), say });
</script>

<template>
  <v-form class="tape" :class="{ refused: problem }" @submit.prevent="nail">
    <span class="arrow" aria-hidden="true">▸</span>
    <v-text-field
      ref="input"
      v-model="text"
      class="num line"
      variant="plain"
      single-line
      hide-details
      :placeholder="placeholder"
      aria-label="Tape line"
      autocomplete="off"
      spellcheck="false"
      @update:model-value="problem = ''"
      @keydown.esc="((text = ''), (problem = ''), input?.blur())"
    />
    <span class="hint" :class="{ 'is-violation': problem }" :role="problem ? 'alert' : undefined">{{
      problem || (text && preview ? preview(text) : hint)
    }}</span>
    <v-btn type="submit" class="action" variant="text" size="small">{{ action }}</v-btn>
  </v-form>
</template>

<style scoped>
.tape {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 8px 12px 10px;
  min-height: 46px;
  padding: 0 14px;
  background: var(--card);
  border: 1.5px solid var(--chalk);
  border-radius: 6px;
}
.tape.refused {
  border-color: var(--violation);
}
.arrow {
  color: var(--chalk);
}
.line {
  flex: 0 1 42%;
  min-width: 150px;
}
.line :deep(input) {
  font-size: 19px;
  padding: 4px 0;
  min-height: 40px;
}
.hint {
  flex: 1;
  font-size: 13px;
  color: var(--muted);
  border-left: 2px solid var(--rule);
  padding-left: 12px;
}
.action {
  color: var(--chalk);
  font-weight: 600;
}
/* On a phone the line needs the width; its refusals still stand below it. */
@media (max-width: 600px) {
  .tape {
    flex-wrap: wrap;
    gap: 0 8px;
  }
  .line {
    flex: 1 1 60%;
  }
  .hint:not(.is-violation) {
    display: none;
  }
}
</style>
