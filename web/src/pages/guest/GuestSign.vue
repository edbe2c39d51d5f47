<script setup lang="ts">
import { computed, ref } from 'vue';
import type { GuestView } from '@winculum/contract';
import { walkSheets, type House } from '@winculum/core';
import SignaturePad from '../../frame/SignaturePad.vue';

/** The boxes as they stand, and the line to sign them on. */
const props = defineProps<{
  house: House;
  view: GuestView;
  sign: (number: number, strokes: [number, number][][]) => Promise<boolean>;
}>();
const strokes = ref<[number, number][][]>([]);
const padKey = ref(0);
const sheets = computed(() => walkSheets(props.house));
const mine = computed(() =>
  props.view.revision?.signatures.find((one) => one.name === props.view.name && one.role === props.view.role),
);
async function send(): Promise<void> {
  if (await props.sign(props.view.revision!.number, strokes.value)) {
    strokes.value = [];
    padKey.value++;
  }
}
</script>

<template>
  <p v-if="!view.revision" class="muted">The crew has not frozen anything to be signed yet.</p>
  <section v-else class="leaf">
    <h2>
      Revision {{ view.revision.number }}, {{ view.revision.at.slice(0, 10) }}
      <span class="muted">{{ view.revision.note }}</span>
    </h2>
    <p v-if="mine" class="done">✓ You signed it on {{ mine.at.slice(0, 10) }}.</p>
    <template v-else>
      <p>
        With your signature you agree to where these boxes stand. A change after the cables are in costs many times what
        it costs now.
      </p>
      <SignaturePad :key="padKey" @change="strokes = $event" />
      <v-btn color="primary" variant="flat" :disabled="!strokes.length" @click="send">Sign as {{ view.name }}</v-btn>
    </template>
  </section>
  <section v-for="{ room, walls, ceiling, elsewhere } in sheets.rooms" :key="room.id" class="leaf">
    <h2>{{ room.name }}</h2>
    <ul>
      <li v-for="line in [...walls.flatMap((one) => one.lines), ...ceiling, ...elsewhere]" :key="line.tag">
        <b class="num">{{ line.tag }}</b> {{ line.what }}
        <span class="muted">{{ line.notes.join(', ') }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.leaf {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.done {
  color: var(--reached-ink);
  font-weight: 600;
}
</style>
