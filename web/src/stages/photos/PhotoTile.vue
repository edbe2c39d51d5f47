<script setup lang="ts">
import { ref } from 'vue';
import type { Photo } from '@winculum/core';
import { usePhotos } from '../../stores/photos';

/** One photo in small; it says where it is when this device cannot show it. */
defineProps<{ photo: Photo }>();
const emit = defineEmits<{ open: [] }>();
const photos = usePhotos();
const isLost = ref(false);
</script>

<template>
  <a
    class="tile"
    :href="photos.urlOf(photo.id)"
    :aria-label="`Photo of ${photo.date}, ${photo.phase.replace('-', ' ')}, by ${photo.by}${photo.note ? `: ${photo.note}` : ''}`"
    @click.prevent="emit('open')"
  >
    <img v-if="!isLost" :src="photos.urlOf(photo.id)" alt="" loading="lazy" decoding="async" @error="isLost = true" />
    <span v-else class="muted lost">not on this device</span>
    <span v-if="photos.isWaiting(photo.id)" class="waits" title="waits to be sent">↑</span>
  </a>
</template>

<style scoped>
.tile {
  display: grid;
  place-content: center;
  width: 96px;
  height: 72px;
  border: 1px solid var(--rule);
  overflow: hidden;
  position: relative;
}
img {
  width: 94px;
  height: 70px;
  object-fit: cover;
  display: block;
}
.lost {
  font-size: 11px;
  white-space: normal;
}
.waits {
  position: absolute;
  right: 2px;
  top: 2px;
  background: var(--tape);
  color: #22302f;
  border-radius: 8px;
  padding: 0 5px;
}
</style>
