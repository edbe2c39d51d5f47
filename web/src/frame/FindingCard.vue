<script setup lang="ts">
import { ref } from 'vue';
import { acceptFinding, applyRemedy, type Finding } from '@winculum/core';
import { newId } from '../new-id';
import { useSession } from '../stores/session';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import { today } from '../today';

const props = defineProps<{ finding: Finding; isMain?: boolean }>();
const store = useHouse();
const view = useView();

const word = (finding: Finding) =>
  finding.kind === 'pass' ? 'met' : finding.kind === 'cannot-tell' ? 'cannot tell' : finding.severity;

function mend(index: number): void {
  if (store.apply(applyRemedy(store.current, props.finding.remedies[index]!, newId)) && view.finding === props.finding)
    view.finding = null;
}

const session = useSession();
const isAccepting = ref(false);
const decision = ref({ by: '', note: '' });
const message = ref('');

function startAccepting(): void {
  decision.value = { by: session.signedIn?.user.name ?? '', note: '' };
  message.value = '';
  isAccepting.value = true;
}

/** Takes the finding on as it stands, with who and why; it is open again as soon as it says something else. */
function accept(): void {
  const [by, note] = [decision.value.by.trim(), decision.value.note.trim()];
  if (by === '') message.value = 'Decided by: name who takes it on.';
  else if (note === '') message.value = 'Reason: say why it may stay, for those who ask later.';
  else {
    const date = today();
    const done = acceptFinding(store.current, props.finding, { id: newId('decision'), by, date, note });
    if (store.apply(done)) {
      isAccepting.value = false;
      if (view.finding === props.finding) view.finding = null;
    } else message.value = store.takeProblem();
  }
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
        <dd>{{ finding.amendment.by }}, {{ finding.amendment.date }}</dd></template
      >
    </dl>
    <p class="why">{{ finding.why }}</p>
    <template v-if="store.canEdit">
      <v-btn
        v-for="(remedy, i) in finding.remedies"
        :key="remedy.label"
        block
        class="wraps"
        :color="i === 0 ? 'primary' : undefined"
        :variant="i === 0 ? 'flat' : 'outlined'"
        @click="mend(i)"
      >
        {{ remedy.label }}
      </v-btn>
      <v-btn v-if="finding.kind !== 'pass' && !isAccepting" block variant="text" @click="startAccepting">
        Accept as it stands …
      </v-btn>
      <v-form v-if="isAccepting" class="stack" aria-label="Accept the finding" @submit.prevent="accept">
        <p class="muted">
          A code violation is not made lawful by this: only the authority having jurisdiction can. It is listed apart
          and printed, and opens again when its facts change.
        </p>
        <v-text-field v-model="decision.by" label="Decided by" maxlength="80" />
        <v-textarea v-model="decision.note" label="Reason" maxlength="500" rows="2" auto-grow />
        <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
        <div class="row">
          <v-btn type="submit" color="primary" variant="flat">Accept</v-btn>
          <v-btn @click="isAccepting = false">Cancel</v-btn>
        </div>
      </v-form>
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
