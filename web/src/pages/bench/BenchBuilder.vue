<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addBox,
  addCable,
  addPart,
  CABLE_KINDS,
  isFeed,
  letterOf,
  NEW_BOARD,
  PART_KINDS,
  setLetter,
  takeAway,
  takeBoxAway,
  type Board,
  type BoardPart,
  type Result,
} from '@winculum/core';

/** Sets boxes, parts and cables on a board of one's own. */
const props = defineProps<{ board: Board }>();
const emit = defineEmits<{ change: [board: Board]; refuse: [why: string] }>();
const name = ref('');
const [part, into] = [ref<BoardPart['kind']>('three-way'), ref(0)];
const [kind, from, to] = [ref<(typeof CABLE_KINDS)[number]>('/3'), ref(0), ref(1)];
const words: Record<BoardPart['kind'], string> = {
  feed: 'feed',
  'feed-240': 'feed of two hots, 240 V',
  'single-pole': 'single-pole switch',
  'three-way': 'three-way switch',
  'four-way': 'four-way switch',
  'two-pole': 'two-pole switch',
  electronic: 'electronic control, with neutral',
  'two-wire': 'electronic control, no neutral',
  'add-on': 'add-on switch',
  lamp: 'lamp',
  receptacle: 'receptacle',
  fan: 'fan',
  heater: 'heater, 240 V',
};
function take(result: Result<Board>): boolean {
  if (result.ok) emit('change', result.value);
  else emit('refuse', result.problems[0]!.message);
  return result.ok;
}
function putBox(): void {
  if (take(addBox(props.board, name.value))) name.value = '';
}
const rows = computed(() =>
  props.board.boxes.map((box, i) => ({
    box,
    parts: props.board.parts.filter((one) => one.box === i),
    cables: props.board.cables.filter((one) => one.from === i),
  })),
);
const LETTERS = ['a', 'b', 'c'] as const;
const pickLetter = (id: string, letter: string) =>
  emit('change', setLetter(props.board, id, letter === '' ? undefined : (letter as (typeof LETTERS)[number])));
const lettersFor = (kind: BoardPart['kind']) => [
  ...(kind === 'receptacle' ? [{ value: '' as const, title: 'live' }] : []),
  ...LETTERS.map((value) => ({ value, title: value })),
];
const parts = PART_KINDS.map((value) => ({ value, title: words[value] }));
const cables = CABLE_KINDS.map((value) => ({ value, title: `${value} with ground` }));
const boxes = computed(() => props.board.boxes.map((title, value) => ({ value, title })));
</script>

<template>
  <section class="builder" aria-label="Set up the board">
    <v-form class="row" @submit.prevent="putBox">
      <v-text-field v-model="name" class="grow" label="New box" maxlength="24" placeholder="hall switch" />
      <v-btn type="submit">Set it down</v-btn>
    </v-form>
    <v-form class="row" @submit.prevent="take(addPart(board, into, part))">
      <v-autocomplete v-model="part" label="Part" :items="parts" class="grow" />
      <v-select v-model="into" label="Box of the part" :items="boxes" class="grow" />
      <v-btn type="submit">Put it in</v-btn>
    </v-form>
    <v-form class="row" @submit.prevent="take(addCable(board, from, to, kind))">
      <v-select v-model="kind" label="Cable" :items="cables" class="grow" />
      <v-select v-model="from" label="Cable from" :items="boxes" class="grow" />
      <v-select v-model="to" label="Cable to" :items="boxes" class="grow" />
      <v-btn type="submit">Pull it</v-btn>
    </v-form>
    <div v-for="(row, i) in rows" :key="i" class="held">
      <b>{{ row.box }}</b>
      <span v-for="one in row.parts" :key="one.id" class="chip">
        {{ words[one.kind] }}
        <v-select
          v-if="!isFeed(one)"
          class="letter"
          single-line
          :aria-label="`Letter of the ${words[one.kind]} in ${row.box}`"
          :model-value="letterOf(one) ?? ''"
          :items="lettersFor(one.kind)"
          @update:model-value="pickLetter(one.id, $event)"
        />
        <v-btn
          :aria-label="`Take the ${words[one.kind]} out of ${row.box}`"
          @click="emit('change', takeAway(board, one.id))"
        >
          ✕
        </v-btn>
      </span>
      <span v-for="one in row.cables" :key="one.id" class="chip">
        {{ one.kind }} to {{ board.boxes[one.to] }}
        <v-btn
          :aria-label="`Take the ${one.kind} to ${board.boxes[one.to]} away`"
          @click="emit('change', takeAway(board, one.id))"
        >
          ✕
        </v-btn>
      </span>
      <v-btn :aria-label="`Take ${row.box} away`" @click="emit('change', takeBoxAway(board, i))">
        Take the box away
      </v-btn>
    </div>
    <v-btn class="again" @click="emit('change', NEW_BOARD)">Begin again</v-btn>
  </section>
</template>

<style scoped>
.builder {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.row,
.held {
  display: flex;
  gap: 8px;
  align-items: end;
  flex-wrap: wrap;
}
.held {
  align-items: center;
  border-top: 1px solid var(--rule);
  padding-top: 6px;
}
.row .plain,
.row .v-btn,
.held .v-btn {
  min-height: 44px;
}
.field {
  min-width: 150px;
}
.chip {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 2px 4px 2px 10px;
  background: var(--card);
}
.letter {
  width: auto;
  min-height: 36px;
}
.again {
  justify-self: start;
}
</style>
