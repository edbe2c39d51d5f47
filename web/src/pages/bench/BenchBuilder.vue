<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addBox,
  addCable,
  addPart,
  CABLE_KINDS,
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
  'single-pole': 'single-pole switch',
  'three-way': 'three-way switch',
  'four-way': 'four-way switch',
  lamp: 'lamp',
  receptacle: 'receptacle',
  fan: 'fan',
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
const pickLetter = (id: string, event: Event) => {
  const letter = (event.target as HTMLSelectElement).value;
  emit('change', setLetter(props.board, id, letter === '' ? undefined : (letter as 'a')));
};
</script>

<template>
  <section class="builder" aria-label="Set up the board">
    <form class="row" @submit.prevent="putBox">
      <label class="field"
        >New box<input v-model="name" class="plain" maxlength="24" placeholder="hall switch"
      /></label>
      <button class="plain-button">Set it down</button>
    </form>
    <form class="row" @submit.prevent="take(addPart(board, into, part))">
      <label class="field"
        >Part
        <select v-model="part" class="plain" aria-label="Part">
          <option v-for="one in PART_KINDS" :key="one" :value="one">{{ words[one] }}</option>
        </select></label
      >
      <label class="field"
        >in
        <select v-model.number="into" class="plain" aria-label="Box of the part">
          <option v-for="(box, i) in board.boxes" :key="i" :value="i">{{ box }}</option>
        </select></label
      >
      <button class="plain-button">Put it in</button>
    </form>
    <form class="row" @submit.prevent="take(addCable(board, from, to, kind))">
      <label class="field"
        >Cable
        <select v-model="kind" class="plain" aria-label="Cable">
          <option v-for="one in CABLE_KINDS" :key="one" :value="one">{{ one }} with ground</option>
        </select></label
      >
      <label class="field"
        >from
        <select v-model.number="from" class="plain" aria-label="Cable from">
          <option v-for="(box, i) in board.boxes" :key="i" :value="i">{{ box }}</option>
        </select></label
      >
      <label class="field"
        >to
        <select v-model.number="to" class="plain" aria-label="Cable to">
          <option v-for="(box, i) in board.boxes" :key="i" :value="i">{{ box }}</option>
        </select></label
      >
      <button class="plain-button">Pull it</button>
    </form>
    <div v-for="(row, i) in rows" :key="i" class="held">
      <b>{{ row.box }}</b>
      <span v-for="one in row.parts" :key="one.id" class="chip">
        {{ words[one.kind] }}
        <select
          v-if="one.kind !== 'feed'"
          class="plain letter"
          :aria-label="`Letter of the ${words[one.kind]} in ${row.box}`"
          :value="letterOf(one) ?? ''"
          @change="pickLetter(one.id, $event)"
        >
          <option v-if="one.kind === 'receptacle'" value="">live</option>
          <option v-for="letter in ['a', 'b', 'c']" :key="letter">{{ letter }}</option>
        </select>
        <button
          class="plain-button"
          :aria-label="`Take the ${words[one.kind]} out of ${row.box}`"
          @click="emit('change', takeAway(board, one.id))"
        >
          ✕
        </button>
      </span>
      <span v-for="one in row.cables" :key="one.id" class="chip">
        {{ one.kind }} to {{ board.boxes[one.to] }}
        <button
          class="plain-button"
          :aria-label="`Take the ${one.kind} to ${board.boxes[one.to]} away`"
          @click="emit('change', takeAway(board, one.id))"
        >
          ✕
        </button>
      </span>
      <button class="plain-button" :aria-label="`Take ${row.box} away`" @click="emit('change', takeBoxAway(board, i))">
        Take the box away
      </button>
    </div>
    <button class="plain-button again" @click="emit('change', NEW_BOARD)">Begin again</button>
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
.row .plain-button,
.held .plain-button {
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
