<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { EDITIONS, JOB_KINDS, type Edition, type Job, type JobKind, type JobSummary } from '@winculum/core';

/** A new job with what is known of it. An authority that the firm has worked under before proposes its edition. */
const props = defineProps<{ name: string; summaries: ReadonlyMap<string, JobSummary> }>();
const emit = defineEmits<{
  close: [];
  create: [house: { name: string; edition: Edition; job: Partial<Omit<Job, 'edition'>> }];
}>();

const WORDS: Readonly<Record<JobKind, { readonly title: string; readonly begins: string }>> = {
  'new-house': { title: 'New house', begins: 'begins with a main level' },
  addition: { title: 'Addition', begins: 'begins with a main level; mark what stands already as existing' },
  'basement-finish': { title: 'Finished basement', begins: 'begins with a main level and a basement below grade' },
  kitchen: { title: 'Kitchen', begins: 'begins with a main level; mark what stands already as existing' },
  'dwelling-over-garage': {
    title: 'Dwelling over a garage',
    begins: 'begins with a garage level and a dwelling above',
  },
  'small-house': { title: 'Small house', begins: 'begins with one low level under its roof' },
};
const kinds = JOB_KINDS.map((value) => ({ value, title: WORDS[value].title }));
const editions = EDITIONS.map((value) => ({ value, title: `NEC ${value}` }));
const name = ref(props.name);
const kind = ref<JobKind>('new-house');
const authority = ref<string | null>('');
const edition = ref<Edition>('2023');
const permitDate = ref('');
const client = ref('');
const address = ref('');

/** Authorities of earlier jobs, with the edition that the newest permit under each was on. */
const known = computed(() => {
  const found = new Map<string, { edition: Edition; date: string }>();
  for (const { job } of props.summaries.values()) {
    if (!job.authority) continue;
    const date = job.permitDate ?? '';
    if (date >= (found.get(job.authority)?.date ?? '')) found.set(job.authority, { edition: job.edition, date });
  }
  return found;
});
const proposed = computed(() => known.value.get((authority.value ?? '').trim())?.edition);
watch(proposed, (next) => {
  if (next) edition.value = next;
});
function create(): void {
  const job: Partial<Omit<Job, 'edition'>> = {
    kind: kind.value,
    authority: (authority.value ?? '').trim(),
    permitDate: permitDate.value || null,
    ...(client.value.trim() ? { client: client.value.trim() } : {}),
    ...(address.value.trim() ? { address: address.value.trim() } : {}),
  };
  emit('create', { name: name.value.trim(), edition: edition.value, job });
}
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="New job" @update:model-value="emit('close')">
    <v-card class="pa-5" title="New job">
      <v-form class="form" @submit.prevent="create">
        <v-text-field v-model="name" label="Name of the job" maxlength="80" autofocus />
        <v-select v-model="kind" label="What it is" :items="kinds" :hint="WORDS[kind].begins" persistent-hint />
        <v-combobox
          v-model="authority"
          label="Authority having jurisdiction"
          :items="[...known.keys()]"
          maxlength="120"
        />
        <div class="pair">
          <v-select
            v-model="edition"
            label="Edition"
            :items="editions"
            :hint="proposed ? 'as on the last permit there' : 'ask the authority which one binds'"
            persistent-hint
          />
          <v-text-field v-model="permitDate" type="date" label="Permit of" />
        </div>
        <v-text-field v-model="client" label="Client" maxlength="120" />
        <v-text-field v-model="address" label="Address" maxlength="200" />
        <div class="row">
          <v-btn type="submit" color="primary" variant="flat" :disabled="!name.trim()">Begin</v-btn>
          <v-btn @click="emit('close')">Cancel</v-btn>
        </div>
      </v-form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
</style>
