<script setup lang="ts">
import { changeEntity, type Photo } from '@winculum/core';
import LineField from '../../fields/LineField.vue';
import { useHouse } from '../../stores/house';
import { usePhotos } from '../../stores/photos';

/** A photo as large as the screen, with its note. */
const props = defineProps<{ photo: Photo }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const photos = usePhotos();
const say = (note: string) => store.apply(changeEntity(store.current, 'photos', props.photo.id, { note }));
async function remove(): Promise<void> {
  await photos.remove(props.photo.id);
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="1100" aria-label="Photo" @update:model-value="emit('close')">
    <v-card class="photo">
      <img :src="photos.urlOf(photo.id)" :alt="photo.note || 'Photo without a note'" />
      <div class="row">
        <span class="grow"
          >{{ photo.date }}, {{ photo.phase.replace('-', ' ') }}, <span class="muted">{{ photo.by }}</span></span
        >
        <v-btn v-if="store.canEdit" variant="text" @click="remove">Remove this photo</v-btn>
        <v-btn @click="emit('close')">Close</v-btn>
      </div>
      <LineField
        label="Note"
        :most="400"
        :model-value="store.current.photos[photo.id]?.note ?? ''"
        @update:model-value="say"
      />
    </v-card>
  </v-dialog>
</template>

<style scoped>
.photo {
  padding: 12px;
  display: grid;
  gap: 10px;
}
img {
  max-width: 100%;
  max-height: 68vh;
  justify-self: center;
}
</style>
