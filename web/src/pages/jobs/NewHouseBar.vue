<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';
import type { JobSummary } from '@winculum/core';
import { api } from '../../api';
import FilePicker from '../../fields/FilePicker.vue';
import MenuButton from '../../fields/MenuButton.vue';
import NewJobDialog from './NewJobDialog.vue';
import { readSample, SAMPLES } from './samples';

/** Where new houses begin: by a name, with the details of the job, from a file, or from a sample. */
defineProps<{ summaries: ReadonlyMap<string, JobSummary> }>();
const emit = defineEmits<{
  add: [work: () => Promise<{ readonly id: string }>, stage: 'house' | 'boxes'];
  problem: [sentence: string];
}>();
const LARGEST_FILE = 10_000_000;
const EDITION_ITEMS = (['2014', '2017', '2020', '2023'] as const).map((value) => ({ value, title: `NEC ${value}` }));
const name = ref('');
const edition = ref('2023');
const isNew = ref(false);
const picker = useTemplateRef<InstanceType<typeof FilePicker>>('picker');

async function openFile(file: File): Promise<void> {
  if (file.size > LARGEST_FILE) {
    const size = (file.size / 1e6).toFixed(0);
    emit('problem', `${file.name} has ${size} MB; a house file has at most 10 MB. Choose the house file itself.`);
    return;
  }
  const text = await file.text();
  emit('add', () => api.importHouse(text), 'boxes');
}
</script>

<template>
  <v-form class="row new" @submit.prevent="emit('add', () => api.addHouse({ name, edition }), 'house')">
    <v-text-field v-model="name" class="grow" label="Name of the new house" required maxlength="80" />
    <v-select v-model="edition" class="edition" label="Edition" :items="EDITION_ITEMS" />
    <v-btn color="primary" variant="flat" type="submit">New house</v-btn>
    <v-btn @click="isNew = true">With details …</v-btn>
    <v-btn @click="picker?.open()">Open a house file</v-btn>
    <MenuButton
      label="Open a sample house"
      :entries="SAMPLES.map(({ word }, value) => ({ value, word }))"
      @choose="(n) => emit('add', async () => api.importHouse(await readSample(n)), 'house')"
    />
    <FilePicker ref="picker" label="House file" accept=".json,application/json" @choose="openFile($event[0]!)" />
  </v-form>
  <NewJobDialog
    v-if="isNew"
    :name="name"
    :summaries="summaries"
    @close="isNew = false"
    @create="emit('add', () => api.addHouse($event), 'house')"
  />
</template>

<style scoped>
.new .edition {
  flex: 0 0 132px;
}
</style>
