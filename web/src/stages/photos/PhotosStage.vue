<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue';
import { count, evidenceOfHouse, PHASES, type Phase, type Photo, type RoomEvidence } from '@winculum/core';
import FilePicker from '../../fields/FilePicker.vue';
import SearchField from '../../fields/SearchField.vue';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import { usePhotos } from '../../stores/photos';
import { useKeys } from '../../surface/keys';
import ProgressBar from '../../work/ProgressBar.vue';
import { thumbnailOf } from '../../work/thumbnails';
import BehindWall from './BehindWall.vue';
import PhotoDialog from './PhotoDialog.vue';
import PhotoPlan from './PhotoPlan.vue';
import PhotoTile from './PhotoTile.vue';

/** Photos of open walls, pinned to the wall that they show, and what lies behind each. */
const store = useHouse();
const photos = usePhotos();
const PARTS = { walls: 'By wall', plan: 'On the plan', behind: 'Behind a wall' } as const;
const part = ref<keyof typeof PARTS>('walls');
const only = ref('all');
const phase = ref<Phase>('pulled');
const note = ref('');

const evidence = computed(() => evidenceOfHouse(store.current));
const shown = computed(() => evidence.value.filter((one) => only.value === 'all' || one.room.id === only.value));
/** Walls without a box are shown where somebody wants them. */
const everyWall = ref(false);
const wallsOf = ({ walls }: RoomEvidence) =>
  walls.filter((one) => everyWall.value || one.boxes + one.photos.length > 0);
const missing = computed(() => evidence.value.reduce((sum, one) => sum + one.missing.length, 0));
const loose = computed(() => Object.values(store.current.photos).filter(({ at }) => at.kind === 'house'));
/** Photos of a room that are pinned to a point of the plan, to no wall. */
const pointsOf = (room: string) =>
  Object.values(store.current.photos).filter(({ at }) => at.kind === 'point' && at.room === room);
const roomItems = computed(() => [
  { value: 'all', title: 'every room' },
  ...evidence.value.map(({ room }) => ({ value: room.id, title: room.name })),
]);
const phaseItems = PHASES.map((value) => ({ value, title: value.replace('-', ' ') }));

/** One hidden file input for every wall: where its photos are pinned. */
const picker = useTemplateRef<InstanceType<typeof FilePicker>>('picker');
let target: Photo['at'] = { kind: 'house' };
function take(at: Photo['at']): void {
  target = at;
  picker.value?.open();
}
async function taken(files: readonly File[]): Promise<void> {
  await photos.add(files, target, phase.value, note.value.trim());
  note.value = '';
}
const open = shallowRef<Photo>();
const behind = ref({ room: '', wall: '' });
function lookBehind(room: string, wall: string): void {
  behind.value = { room, wall };
  part.value = 'behind';
}

/** How many pictures are there of those that go on paper; undefined while nothing is to be printed. */
const ready = ref<number>();
const onPaper = computed(() => [
  ...shown.value.flatMap((one) => [...wallsOf(one).flatMap((wall) => wall.photos), ...pointsOf(one.room.id)]),
  ...loose.value,
]);
/** Pictures that nobody has scrolled to are made first: paper waits for none. */
let prints = 0;
async function print(): Promise<void> {
  if (ready.value !== undefined) return;
  const mine = ++prints;
  const isOff = () => mine !== prints || ready.value === undefined;
  ready.value = 0;
  const pictures = onPaper.value.map(async (photo) => {
    await thumbnailOf(photos.urlOf(photo.id)).catch(() => undefined);
    if (!isOff()) ready.value!++;
  });
  await Promise.all(pictures);
  await nextTick();
  const images = [...document.querySelectorAll<HTMLImageElement>('.photos-page .thumbs img')];
  await Promise.all(images.map((one) => one.decode().catch(() => undefined)));
  if (isOff()) return;
  // The bar is not for the paper.
  ready.value = undefined;
  await nextTick();
  window.print();
}
useKeys({
  print: (event) => {
    if (part.value !== 'walls') return;
    event.preventDefault();
    void print();
  },
});
</script>

<template>
  <PaperPage class="photos-page" label="Photos tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <template v-if="part !== 'behind'">
        <SearchField v-if="part === 'walls'" v-model="only" class="pick" label="Where" :items="roomItems" />
        <SearchField
          v-if="store.canEdit"
          v-model="phase"
          class="pick"
          label="Phase of new photos"
          :items="phaseItems"
        />
        <v-text-field v-if="store.canEdit" v-model="note" class="pick" label="Note of the next" maxlength="400" />
      </template>
      <v-btn v-if="part === 'walls'" :aria-pressed="everyWall" @click="everyWall = !everyWall">Every wall</v-btn>
      <span class="grow" />
      <span class="progress" role="status"
        ><template v-if="photos.waiting">{{ count(photos.waiting, 'photo') }} to be sent · </template>
        <b class="num" :class="{ 'is-caution': missing > 0 }">{{ missing }}</b> walls without one</span
      >
      <v-btn v-if="part === 'walls'" color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <FilePicker ref="picker" label="Photo files" accept="image/*" multiple camera @choose="taken" />
    <ProgressBar
      v-if="ready !== undefined"
      title="Getting the pictures for the paper"
      :progress="{ share: ready / Math.max(1, onPaper.length), what: `${ready} of ${onPaper.length}` }"
      @cancel="ready = undefined"
    />
    <template v-if="part === 'walls'">
      <p v-if="!evidence.length" class="none muted">
        No wall carries a box yet. Once cables are in, photograph each wall with its boxes before it is closed.
      </p>
      <section v-for="one in shown" :key="one.room.id" class="leaf" :aria-label="one.room.name">
        <header class="row">
          <h2 class="grow">{{ one.room.name }}</h2>
          <span v-if="one.missing.length" class="is-caution"
            >{{ count(one.missing.length, 'wall') }} without a photo before closing</span
          >
          <span v-else class="all">✓ every wall with boxes</span>
        </header>
        <div class="walls">
          <div
            v-for="wall in wallsOf(one)"
            :key="wall.wall"
            class="wall"
            :class="{ missing: one.missing.includes(wall.wall) }"
          >
            <div class="row head">
              <b>{{ wall.name }}</b><span class="muted">{{ count(wall.boxes, 'box', 'boxes') }}</span>
            </div>
            <div class="thumbs">
              <PhotoTile
                v-for="photo in wall.photos"
                :key="photo.id"
                :photo="photo"
                :is-wanted="ready !== undefined"
                @open="open = photo"
              />
            </div>
            <div class="row">
              <v-btn
                v-if="store.canEdit"
                :aria-label="`Photograph the ${wall.name} wall of ${one.room.name}`"
                @click="take({ kind: 'wall', room: one.room.id, wall: wall.wall, alongIn: 0 })"
                >Photograph</v-btn
              >
              <v-btn
                variant="text"
                :aria-label="`Behind the ${wall.name} wall of ${one.room.name}`"
                @click="lookBehind(one.room.id, wall.wall)"
                >Behind it</v-btn
              >
            </div>
          </div>
        </div>
        <div v-if="pointsOf(one.room.id).length" class="thumbs">
          <PhotoTile
            v-for="photo in pointsOf(one.room.id)"
            :key="photo.id"
            :photo="photo"
            :is-wanted="ready !== undefined"
            @open="open = photo"
          />
        </div>
      </section>
      <section class="leaf" aria-label="Of the house">
        <header class="row">
          <h2 class="grow">Panel, outside, anything else</h2>
          <v-btn v-if="store.canEdit" @click="take({ kind: 'house' })">Add photos</v-btn>
        </header>
        <div class="thumbs">
          <PhotoTile
            v-for="photo in loose"
            :key="photo.id"
            :photo="photo"
            :is-wanted="ready !== undefined"
            @open="open = photo"
          />
        </div>
      </section>
    </template>
    <PhotoPlan v-else-if="part === 'plan'" @take="take" @open="open = $event" />
    <BehindWall v-else v-model="behind" @open="open = $event" />
    <PhotoDialog v-if="open" :photo="open" @close="open = undefined" />
  </PaperPage>
</template>

<style scoped>
.leaf {
  break-inside: avoid;
}
.all {
  color: var(--reached-ink);
}
.walls {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 10px;
  padding-top: 8px;
}
.wall {
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 8px 10px;
  display: grid;
  gap: 6px;
  align-content: space-between;
}
.wall.missing {
  border-left: 5px solid var(--caution);
}
.head {
  justify-content: space-between;
}
.thumbs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
