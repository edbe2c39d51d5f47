<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import {
  BOX_PROGRESS,
  changeEntity,
  count,
  lampColors,
  plateOf,
  trimSheets,
  TRIM_WAITS,
  type Box,
} from '@winculum/core';
import { useHouse } from '../../stores/house';

/** What goes into every box, room by room: ticked when it is in, or held with the reason. */
const props = defineProps<{ only: string; onlyOpen: boolean }>();
const store = useHouse();
const sheets = computed(() =>
  trimSheets(store.current)
    .filter((one) => props.only === 'all' || one.room.id === props.only)
    .map((one) => ({ ...one, boxes: one.boxes.filter(({ box }) => !props.onlyOpen || box.progress !== 'trimmed') }))
    .filter((one) => one.boxes.length > 0),
);
const colors = computed(() => lampColors(store.current));
const isIn = (box: Box) => box.progress === 'trimmed';
function tick(box: Box): void {
  const before = BOX_PROGRESS[BOX_PROGRESS.indexOf('trimmed') - 1]!;
  store.apply(
    changeEntity(store.current, 'boxes', box.id, {
      progress: isIn(box) ? before : 'trimmed',
      ...(isIn(box) ? {} : { trimWaits: undefined }),
    }),
  );
}
const asking = shallowRef<{ box: Box; at: HTMLElement }>();
function hold(why: (typeof TRIM_WAITS)[number] | undefined): void {
  const box = asking.value!.box;
  asking.value = undefined;
  store.apply(changeEntity(store.current, 'boxes', box.id, { trimWaits: why }));
}
const words = (why: string) => why.replaceAll('-', ' ');
</script>

<template>
  <p v-if="!sheets.length" class="none muted">Nothing is left to trim here.</p>
  <p v-if="sheets.length && colors.some((one) => one.kelvin)" class="muted">
    Lamps:
    <template v-for="(one, i) in colors" :key="one.kelvin ?? 0"
      >{{ i ? ', ' : '' }}<b class="num">{{ one.count }}</b>
      {{ one.kelvin ? `at ${one.kelvin} K` : 'of a color nobody has said' }}</template
    >
  </p>
  <section v-for="sheet in sheets" :key="sheet.room.id" class="leaf">
    <h2>{{ sheet.room.name }}</h2>
    <article
      v-for="{ box, what, aligned } in sheet.boxes"
      :key="box.id"
      class="leaf-line step"
      :class="{ right: isIn(box) }"
    >
      <span class="mark num" aria-hidden="true">{{ isIn(box) ? '✓' : box.trimWaits ? '▨' : '☐' }}</span>
      <div class="grow">
        <b class="num">{{ box.tag }}</b> {{ what }}
        <span class="muted small">{{ plateOf(box) }}{{ aligned ? ` · ${aligned}` : '' }}</span>
        <p v-if="box.trimWaits && !isIn(box)" class="is-caution">Waits for {{ words(box.trimWaits) }}</p>
      </div>
      <div v-if="store.canEdit" class="do">
        <v-btn :aria-label="`In: ${box.tag}`" :aria-pressed="isIn(box)" @click="tick(box)">In</v-btn>
        <v-btn
          :aria-label="`Hold: ${box.tag}`"
          :disabled="isIn(box)"
          @click="asking = { box, at: $event.currentTarget as HTMLElement }"
          >Hold …</v-btn
        >
      </div>
    </article>
    <p class="muted small">
      {{ count(sheet.boxes.length, 'box', 'boxes')
      }}<template v-if="sheet.lamps"
        >, {{ count(sheet.lamps, 'light') }} <b v-if="sheet.room.lampK" class="num">at {{ sheet.room.lampK }} K</b
        ><template v-else>, of which nobody has said the color</template></template
      >
    </p>
  </section>
  <v-menu
    v-if="asking"
    :model-value="true"
    :target="asking.at"
    :open-on-click="false"
    @update:model-value="asking = undefined"
  >
    <v-list role="menu" aria-label="What it waits for" density="compact">
      <v-list-item v-for="one in TRIM_WAITS" :key="one" role="menuitem" @click="hold(one)">{{
        words(one)
      }}</v-list-item>
      <v-list-item v-if="asking.box.trimWaits" role="menuitem" @click="hold(undefined)">waits no longer</v-list-item>
    </v-list>
  </v-menu>
</template>

<style scoped src="./script.css"></style>
