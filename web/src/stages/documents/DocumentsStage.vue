<script setup lang="ts">
import { ref } from 'vue';
import { strToU8, zip, type Zippable } from 'fflate';
import { writeHouseFile, writeScheduleCsv, scheduleOf } from '@winculum/core';
import PaperPage from '../../frame/PaperPage.vue';
import { downloadBytes } from '../../frame/download';
import { useHouse } from '../../stores/house';
import { usePhotos } from '../../stores/photos';
import GuestLinks from './GuestLinks.vue';
import HandoverPaper from './HandoverPaper.vue';
import PanelDoor from './PanelDoor.vue';

/** What the next owner gets: the house as built on paper and as one file, the code for the panel's door, and links. */
const store = useHouse();
const photos = usePhotos();
const PARTS = { handover: 'Handover', door: 'Panel door', links: 'Links' } as const;
const part = ref<keyof typeof PARTS>('handover');
const busy = ref('');

const slug = (name: string) => name.replace(/[^\w-]+/g, '-').toLowerCase();
/** The house file, the schedules and every photo that can be had, in one archive. */
async function saveAll(): Promise<void> {
  const files: Zippable = { 'house.json': strToU8(writeHouseFile(store.current)) };
  for (const panel of Object.values(store.current.panels))
    files[`schedule-${slug(panel.name)}.csv`] = strToU8(writeScheduleCsv(scheduleOf(store.current, panel.id)));
  const all = Object.values(store.current.photos);
  const missing: string[] = [];
  for (const [i, photo] of all.entries()) {
    busy.value = `Photo ${i + 1} of ${all.length}`;
    const answer = await fetch(photos.urlOf(photo.id)).catch(() => undefined);
    if (!answer?.ok) {
      missing.push(photo.id);
      continue;
    }
    // A photo is compressed already.
    files[`photos/${photo.date}-${photo.phase}-${photo.id}.jpg`] = [
      new Uint8Array(await answer.arrayBuffer()),
      { level: 0 },
    ];
  }
  busy.value = '';
  if (missing.length > 0)
    store.problem = `${missing.length} of ${all.length} photos are not with the server yet and were left out.`;
  zip(files, (error, bytes) => {
    if (error) store.problem = `The file could not be written: ${error.message}`;
    else downloadBytes(`${slug(store.current.name)}-as-built.zip`, 'application/zip', bytes);
  });
}
const print = () => window.print();
</script>

<template>
  <PaperPage class="documents-page" label="Documents tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <span class="grow" />
      <span v-if="busy" class="muted" role="status">{{ busy }}</span>
      <v-btn v-if="part === 'handover'" :disabled="!!busy" @click="saveAll">Save all as one file</v-btn>
      <v-btn v-if="part !== 'links'" color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <HandoverPaper v-if="part === 'handover'" />
    <PanelDoor v-else-if="part === 'door'" />
    <GuestLinks v-else />
  </PaperPage>
</template>

<style scoped>
@page handover {
  size: letter portrait;
  margin: 0.6in;
}
@media print {
  .documents-page {
    page: handover;
  }
}
</style>
