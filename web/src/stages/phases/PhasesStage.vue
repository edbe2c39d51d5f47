<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import {
  boardOf,
  PHASES,
  phaseOf,
  validateHouse,
  type BoardRow,
  type Comment,
  type House,
  type Phase,
  type PhaseCell,
} from '@winculum/core';
import { api, ApiError } from '../../api';
import PaperPage from '../../frame/PaperPage.vue';
import TaskList from '../../frame/TaskList.vue';
import CommentThreads from '../../frame/CommentThreads.vue';
import { useFly } from '../../frame/fly';
import ActivityList from './ActivityList.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** How far every room is, phase by phase, what is in its way, and the punch list. Nothing of the board is typed. */
const store = useHouse();
const view = useView();
const PARTS = {
  board: 'Board',
  punch: 'Punch list',
  people: 'By person',
  comments: 'Comments',
  activity: 'Activity',
} as const;
const route = useRoute();
const isPart = (word: unknown): word is keyof typeof PARTS => typeof word === 'string' && Object.hasOwn(PARTS, word);
const part = ref<keyof typeof PARTS>(isPart(route.query['part']) ? route.query['part'] : 'board');
// A notice leads to its part, also from another one.
watch(
  () => route.query['part'],
  (next) => isPart(next) && (part.value = next),
);
const fly = useFly();
const router = useRouter();
/** To the sheet, where the thing that is spoken of is seen. */
function goTo(comment: Comment): void {
  void router.push(`/houses/${store.id}/${comment.circuit ? 'circuits' : comment.box ? 'boxes' : 'house'}`);
  fly(comment);
  view.side = 'comments';
}

const signed = shallowRef<{ house: House; number: number }>();
const unknown = ref('');
onMounted(async () => {
  try {
    const last = (await api.revisions(store.id)).find((one) => one.signatures.length > 0);
    if (!last) return;
    const read = validateHouse((await api.openRevision(store.id, last.number)).house);
    if (read.ok) signed.value = { house: read.value, number: last.number };
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    unknown.value = 'Without the server it is not known what is signed.';
  }
});

const board = computed(() => boardOf(store.current, signed.value));
const phase = computed(() => phaseOf(board.value));
const TITLES: Readonly<Record<Phase, string>> = {
  box: 'Box',
  walk: 'Walk',
  signed: 'Signed',
  bored: 'Bored',
  pulled: 'Pulled',
  'made-up': 'Made up',
  rough: 'Rough',
  insulation: 'Insulation',
  trim: 'Trim',
  test: 'Test',
  final: 'Final',
};
/** Where the work of a phase is done and ticked. */
const PLACES: Readonly<Record<Phase, string>> = {
  box: 'boxes',
  walk: 'walk',
  signed: 'walk',
  bored: 'routes',
  pulled: 'routes',
  'made-up': 'make-up',
  rough: 'inspection',
  insulation: 'photos',
  trim: 'trim-test',
  test: 'trim-test',
  final: 'inspection',
};
const WORDS = { done: 'done', begun: 'begun', ready: 'ready', blocked: 'waits', none: 'nothing to do' } as const;
const sign = ({ state, done, of }: PhaseCell) =>
  state === 'done'
    ? '✓'
    : state === 'none'
      ? ''
      : of > 1 && done > 0
        ? `${done}/${of}`
        : state === 'blocked'
          ? '▨'
          : '○';
const describe = (row: BoardRow, cell: PhaseCell) =>
  `${row.room.name}, ${TITLES[cell.phase]}: ${WORDS[cell.state]}${cell.of > 1 ? `, ${cell.done} of ${cell.of}` : ''}`;

const picked = ref<{ room: string; phase: Phase }>();
const chosen = computed(() => {
  const row = board.value.find((one) => one.room.id === picked.value?.room);
  const cell = row?.cells.find((one) => one.phase === picked.value?.phase);
  return row && cell ? { row, cell } : undefined;
});
/** The next thing in each room: what a phone shows in place of the board. */
const next = computed(() =>
  board.value.map((row) => ({
    row,
    cell: row.cells.find((one) => one.state !== 'done' && one.state !== 'none'),
  })),
);
const people = computed(() => {
  const all = new Map<string, string[]>();
  for (const task of Object.values(store.current.tasks)) {
    if (task.state !== 'open') continue;
    const name = task.for ?? `nobody yet (${task.trade})`;
    const where = task.room ? `, ${store.current.rooms[task.room]?.name ?? ''}` : '';
    const until = task.until ? `, until ${task.until}` : '';
    all.set(name, [...(all.get(name) ?? []), `${task.what}${where}${until}`]);
  }
  return [...all].toSorted(([a], [b]) => a.localeCompare(b));
});
const print = () => window.print();
</script>

<template>
  <PaperPage class="phases-page" label="Phases tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <span class="grow" />
      <span v-if="part === 'board' && board.length" class="progress" role="status"
        >now at <b>{{ TITLES[phase] }}</b></span
      >
      <v-btn color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <template v-if="part === 'board'">
      <p v-if="unknown" class="is-caution" role="status">{{ unknown }}</p>
      <p v-if="!board.length" class="none muted">
        No room has anything to do yet: draw rooms under House and place boxes.
      </p>
      <template v-else>
        <div class="leaf board">
          <table aria-label="Rooms and phases">
            <thead>
              <tr>
                <th scope="col">Room</th>
                <th v-for="one in PHASES" :key="one" scope="col">{{ TITLES[one] }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in board" :key="row.room.id">
                <th scope="row">{{ row.room.name }}</th>
                <td v-for="cell in row.cells" :key="cell.phase" :class="`is-${cell.state}`">
                  <v-btn
                    v-if="cell.state !== 'none'"
                    class="cell num printed"
                    variant="text"
                    :aria-label="describe(row, cell)"
                    :aria-pressed="picked?.room === row.room.id && picked.phase === cell.phase"
                    @click="picked = { room: row.room.id, phase: cell.phase }"
                    >{{ sign(cell) }}</v-btn
                  >
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <ul class="leaf next">
          <li v-for="{ row, cell } in next" :key="row.room.id">
            <b>{{ row.room.name }}:</b>{{ ' ' }}
            <template v-if="cell">
              {{ TITLES[cell.phase] }} <span class="num">{{ cell.of > 1 ? `${cell.done}/${cell.of}` : '' }}</span>
              <span v-if="cell.blocked[0]" class="muted"> {{ cell.blocked[0] }}</span>
            </template>
            <template v-else> all done</template>
          </li>
        </ul>
        <section v-if="chosen" class="leaf why" aria-live="polite">
          <h2>{{ chosen.row.room.name }}: {{ TITLES[chosen.cell.phase] }}, {{ WORDS[chosen.cell.state] }}</h2>
          <p v-if="chosen.cell.of > 1">
            <b class="num">{{ chosen.cell.done }}</b> of <b class="num">{{ chosen.cell.of }}</b>
          </p>
          <ul>
            <li v-for="one in chosen.cell.blocked" :key="one" class="is-caution">{{ one }}</li>
          </ul>
          <p v-if="chosen.cell.people.length">On it: {{ chosen.cell.people.join(', ') }}</p>
          <router-link :to="`/houses/${store.id}/${PLACES[chosen.cell.phase]}`">Go there</router-link>
        </section>
        <p v-else class="muted">Tap a field to see what it waits for.</p>
      </template>
    </template>
    <TaskList v-else-if="part === 'punch'" kind="punch" />
    <section v-else-if="part === 'comments'" class="leaf"><CommentThreads @go-to="goTo" /></section>
    <ActivityList v-else-if="part === 'activity'" />
    <template v-else>
      <p v-if="!people.length" class="none muted">Nobody has open work.</p>
      <section v-for="[name, list] in people" :key="name" class="leaf">
        <h2>{{ name }}</h2>
        <ul>
          <li v-for="(one, i) in list" :key="i">☐ {{ one }}</li>
        </ul>
      </section>
    </template>
  </PaperPage>
</template>

<style scoped>
.board {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 2px 8px 2px 0;
  white-space: nowrap;
}
thead th {
  font: 600 13px var(--numbers);
  color: var(--muted);
}
td {
  border: 1px solid var(--rule);
  text-align: center;
  width: 7.5%;
}
.cell {
  width: 100%;
  min-width: 44px !important;
  height: 36px;
  padding: 0 !important;
  border-radius: 0;
}
.is-done {
  background: color-mix(in srgb, var(--reached) 35%, var(--card));
}
.is-begun,
.is-ready {
  background: var(--chalk-soft);
}
.is-blocked .cell {
  color: var(--caution);
}
.next {
  display: none;
}
.next li {
  border-top: 1px solid var(--rule);
  padding: 8px 0;
}
.progress b {
  font-size: 22px;
}
@media (max-width: 700px) {
  .board {
    display: none;
  }
  .next {
    display: block;
  }
}
@page phases {
  size: letter landscape;
  margin: 0.5in;
}
@media print {
  .phases-page {
    page: phases;
  }
}
</style>
