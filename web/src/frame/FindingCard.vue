<script setup lang="ts">
import { applyRemedy, type Finding } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';

const props = defineProps<{ finding: Finding; isMain?: boolean }>();
const store = useHouse();
const view = useView();

const word = (finding: Finding) =>
  finding.kind === 'pass' ? 'met' : finding.kind === 'cannot-tell' ? 'cannot tell' : finding.severity;

function mend(index: number): void {
  if (store.apply(applyRemedy(store.house!, props.finding.remedies[index]!, newId)) && view.finding === props.finding)
    view.finding = null;
}
</script>

<template>
  <article class="finding" :class="[finding.kind, finding.severity]">
    <p class="small-caps kind">{{ word(finding) }}</p>
    <h2>{{ finding.message }}</h2>
    <dl>
      <template v-if="finding.measured"
        ><dt>measured</dt>
        <dd>{{ finding.measured }}</dd></template
      >
      <template v-if="finding.required"
        ><dt>required</dt>
        <dd>{{ finding.required }}</dd></template
      >
      <dt>section</dt>
      <dd>{{ /^\d/.test(finding.section) ? `NEC ${finding.edition} ${finding.section}` : finding.section }}</dd>
      <dt>basis</dt>
      <dd>
        {{ finding.basis.source }}, {{ finding.basis.confidence
        }}<template v-if="finding.basis.confidence !== 'high'">: check with the authority</template>
      </dd>
      <template v-if="finding.amendment"
        ><dt>amended</dt>
        <dd>{{ finding.amendment.authority }}, {{ finding.amendment.date }}</dd></template
      >
    </dl>
    <p class="why">{{ finding.why }}</p>
    <template v-if="store.canEdit">
      <button
        v-for="(remedy, i) in finding.remedies"
        :key="remedy.label"
        class="plain-button wide"
        :class="{ main: i === 0 }"
        @click="mend(i)"
      >
        {{ remedy.label }}
      </button>
    </template>
  </article>
</template>

<style scoped>
.finding {
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 14px;
}
.kind {
  color: var(--muted);
}
.fail.violation .kind {
  color: var(--violation);
}
.fail.violation .kind::before {
  content: '▨ ';
}
.fail.caution .kind,
.cannot-tell .kind {
  color: var(--caution);
}
.pass .kind {
  color: var(--reached-ink);
}
h2 {
  font-size: 15.5px;
  font-weight: 600;
  line-height: 1.32;
}
dl {
  display: grid;
  grid-template-columns: 72px 1fr;
  gap: 4px 8px;
  font-size: 13px;
}
dt {
  color: var(--muted);
}
dd {
  font-weight: 600;
}
.why {
  font-size: 13.5px;
  line-height: 1.42;
}
</style>
