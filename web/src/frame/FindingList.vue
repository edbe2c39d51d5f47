<script setup lang="ts">
import { useRouter } from 'vue-router';
import type { Finding } from '@winculum/core';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import { useFly } from './fly';

/** Findings as a list; choosing one flies to its place and says why. */
defineProps<{ label: string; findings: readonly Finding[]; heading?: boolean }>();
const store = useHouse();
const view = useView();
const router = useRouter();
const fly = useFly();

function go(finding: Finding): void {
  void router.push(`/houses/${store.id}/${finding.stage}`);
  fly(finding.where, finding);
  view.side = 'why';
}

const MARKS = { violation: '▨', caution: '△', reminder: '·' } as const;
const mark = (finding: Finding) =>
  finding.kind === 'pass' ? '✓' : finding.kind === 'cannot-tell' ? '?' : MARKS[finding.severity];
const word = (finding: Finding) =>
  finding.kind === 'pass' ? 'met' : finding.kind === 'cannot-tell' ? 'needs an answer' : finding.severity;
</script>

<template>
  <v-list role="group" :aria-label="label" bg-color="transparent">
    <v-list-subheader v-if="heading" class="place">{{ label }}</v-list-subheader>
    <v-list-item
      v-for="finding in findings"
      :key="finding.key"
      role="button"
      class="item"
      :class="[finding.kind, finding.severity]"
      @click="go(finding)"
    >
      <template #prepend
        ><span class="mark" aria-hidden="true">{{ mark(finding) }}</span></template
      >
      <span class="visually-hidden">{{ word(finding) }}: </span>{{ finding.message }}
      <span class="muted num">{{ finding.section }}</span>
    </v-list-item>
  </v-list>
</template>

<style scoped>
.place {
  font-weight: 600;
  color: var(--ink);
  opacity: 1;
  padding-inline: 4px !important;
  min-height: 28px;
}
.item {
  font: 400 13.5px/1.35 var(--words);
  padding: 6px 4px !important;
  min-height: 40px;
}
.item :deep(.v-list-item__prepend) {
  width: 22px;
  align-self: start;
}
.mark {
  font-weight: 700;
  color: var(--muted);
}
.fail.violation .mark {
  color: var(--violation);
}
.fail.caution .mark,
.cannot-tell .mark {
  color: var(--caution);
}
.pass .mark {
  color: var(--reached-ink);
}
</style>
