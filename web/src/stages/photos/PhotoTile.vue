<script setup lang="ts">
import { onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue';
import type { Photo } from '@winculum/core';
import { usePhotos } from '../../stores/photos';
import { thumbnailOf } from '../../work/thumbnails';

/** One photo in small; it says where it is when this device cannot show it. */
const props = defineProps<{
  photo: Photo;
  /** It is wanted whether it is seen or not, as on paper. */
  isWanted?: boolean;
}>();
const emit = defineEmits<{ open: [] }>();
const photos = usePhotos();
const isLost = ref(false);
const small = ref('');
const tile = useTemplateRef<HTMLElement>('tile');

/** Made small when it comes near to being seen: hundreds of full pictures would not scroll. */
async function show(): Promise<void> {
  const url = photos.urlOf(props.photo.id);
  try {
    const made = await thumbnailOf(url);
    if (url === photos.urlOf(props.photo.id)) small.value = made;
  } catch {
    isLost.value = true;
  }
}
let watcher: IntersectionObserver | undefined;
onMounted(() => {
  watcher = new IntersectionObserver(
    (seen) => {
      if (!seen.some((one) => one.isIntersecting)) return;
      watcher?.disconnect();
      void show();
    },
    { rootMargin: '500px' },
  );
  if (tile.value) watcher.observe(tile.value);
});
onUnmounted(() => watcher?.disconnect());
watch(
  () => props.isWanted,
  (isWanted) => isWanted && void show(),
);
watch(
  () => props.photo.id,
  () => {
    [isLost.value, small.value] = [false, ''];
    void show();
  },
);
</script>

<template>
  <a
    ref="tile"
    class="tile"
    :href="photos.urlOf(photo.id)"
    :aria-label="`Photo of ${photo.date}, ${photo.phase.replace('-', ' ')}, by ${photo.by}${photo.note ? `: ${photo.note}` : ''}`"
    @click.prevent="emit('open')"
  >
    <img v-if="small && !isLost" :src="small" alt="" decoding="async" @error="isLost = true" />
    <span v-else-if="isLost" class="muted lost">not on this device</span>
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
