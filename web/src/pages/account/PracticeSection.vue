<script setup lang="ts">
import type { PracticeFigures, PracticeRecord } from '@winculum/contract';
import { count } from '@winculum/core';
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../../api';
import { useSession } from '../../stores/session';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

/** What people have done on the bench, and what a master has signed of it. */
const session = useSession();
const isOwner = session.signedIn?.role === 'owner';
const { message, said, isBusy, run } = useSection();
const records = shallowRef<readonly PracticeRecord[]>([]);
/** The record that is being signed, as it was shown. */
const chosen = shallowRef<PracticeRecord>();
const note = ref('');

const load = async () => void (records.value = await api.practice());
const wordsOf = ({ proved, found, missed }: PracticeFigures) =>
  `${count(proved, 'board')} proved; mistakes: ${found} found, ${missed} missed`;
function choose(one: PracticeRecord): void {
  message.value = '';
  note.value = '';
  chosen.value = one;
}
const sign = ({ id, name, figures }: PracticeRecord) =>
  run(async () => {
    try {
      await api.signPractice(id, figures, note.value);
    } finally {
      await load();
    }
    chosen.value = undefined;
    return `The record of ${name} is signed.`;
  });
onMounted(() => run(load));
</script>

<template>
  <AccountSection
    title="Practice"
    :hint="
      isOwner
        ? 'What each has done on the bench. Sign when you have seen them trace it; nobody signs their own.'
        : 'What you have done on the bench. An owner of the firm signs it.'
    "
    :message="chosen ? '' : message"
    :said="said"
  >
    <ul class="list">
      <li v-for="one in records" :key="one.id" class="row">
        <span class="grow">
          {{ one.name }}<br />
          <span class="muted">{{ wordsOf(one.figures) }}</span>
          <template v-if="one.weak.length"
            ><br /><span class="is-caution">Missed more often than found: {{ one.weak.join(', ') }}</span></template
          >
          <template v-for="mark in one.signatures.slice(0, 3)" :key="mark.at"
            ><br /><span class="muted"
              >Signed by {{ mark.who }}, {{ new Date(mark.at).toLocaleDateString() }}: {{ wordsOf(mark)
              }}{{ mark.note ? `. ${mark.note}` : '' }}</span
            ></template
          >
        </span>
        <v-btn
          v-if="isOwner && one.id !== session.signedIn?.user.id"
          size="small"
          :aria-label="`Sign the record of ${one.name}`"
          @click="choose(one)"
          >Sign</v-btn
        >
      </li>
    </ul>
    <v-dialog :model-value="chosen !== undefined" max-width="440" @update:model-value="chosen = undefined">
      <v-card v-if="chosen" class="pa-5" :title="`Sign for ${chosen.name}`">
        <div class="stack">
          <p>{{ wordsOf(chosen.figures) }}.</p>
          <v-text-field v-model="note" label="What you saw them do" maxlength="400" />
          <v-btn color="primary" variant="flat" :loading="isBusy" @click="sign(chosen)">Sign</v-btn>
          <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
        </div>
      </v-card>
    </v-dialog>
  </AccountSection>
</template>

<style scoped>
.list {
  display: grid;
  gap: 10px;
}
</style>
