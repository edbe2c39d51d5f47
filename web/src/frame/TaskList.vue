<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addEntity,
  PHASES,
  proposedTasks,
  removeEntities,
  settleTask,
  TRADES,
  writeTasks,
  type Phase,
  type ProposedTask,
  type Task,
  type Trade,
} from '@winculum/core';
import SearchField from '../fields/SearchField.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import { usePerson } from './person';

/** Things that somebody has to do, open ones first: of other trades, or the punch list. */
const props = defineProps<{
  kind: 'other-trade' | 'punch';
  /** One room alone; the whole house where nothing is said. */
  room?: string | undefined;
}>();
const store = useHouse();
const person = usePerson();

const isOfThis = (task: Task) => (props.kind === 'punch' ? task.kind !== 'other-trade' : task.kind === 'other-trade');
const tasks = computed(() =>
  Object.values(store.current.tasks)
    .filter((one) => isOfThis(one) && (!props.room || one.room === props.room))
    .toSorted(
      (a, b) =>
        Number(a.state !== 'open') - Number(b.state !== 'open') || PHASES.indexOf(a.due) - PHASES.indexOf(b.due),
    ),
);
const proposals = computed(() =>
  props.kind === 'punch' ? [] : proposedTasks(store.current).filter((one) => !props.room || one.room === props.room),
);
const roomName = (id: string | undefined) => (id ? (store.current.rooms[id]?.name ?? '') : 'the house');
const phaseItems = PHASES.map((value) => ({ value, title: value.replace('-', ' ') }));
const tradeItems = TRADES.map((value) => ({ value, title: value }));
const roomItems = computed(() => [
  { value: '', title: 'the house' },
  ...Object.values(store.current.rooms).map((one) => ({ value: one.id, title: one.name })),
]);

const take = (items: readonly ProposedTask[]) => store.apply(writeTasks(store.current, items, person.me(), newId));
const settle = (task: Task, state: Task['state']) => {
  const { by, date } = person.me();
  store.apply(settleTask(store.current, task.id, state, { name: by, date }));
};
const remove = (task: Task) => store.apply(removeEntities(store.current, [{ collection: 'tasks', id: task.id }]));

const what = ref('');
const where = ref('');
const due = ref<Phase>(props.kind === 'punch' ? 'final' : 'pulled');
const trade = ref<Trade>(props.kind === 'punch' ? 'electrician' : 'builder');
const who = ref('');
function add(): void {
  const at = props.room ?? where.value;
  const task: Task = {
    id: newId('task'),
    kind: props.kind,
    what: what.value,
    trade: trade.value,
    due: due.value,
    state: 'open',
    note: '',
    ...person.me(),
    ...(at ? { room: at } : {}),
    ...(who.value.trim() ? { for: who.value.trim() } : {}),
  };
  if (store.apply(addEntity(store.current, 'tasks', task))) what.value = '';
}
const STATES = { open: '☐', done: '✓', 'not-needed': '–' } as const;
</script>

<template>
  <v-form v-if="store.canEdit" class="leaf leaf-fields" :aria-label="'Add to the list'" @submit.prevent="add">
    <v-text-field v-model="what" class="what" label="What is to be done" maxlength="400" />
    <SearchField v-if="!props.room" v-model="where" label="Where" :items="roomItems" />
    <SearchField v-model="trade" label="Trade" :items="tradeItems" />
    <SearchField v-model="due" label="Before this is done" :items="phaseItems" />
    <v-text-field v-model="who" label="Who" maxlength="80" />
    <v-btn type="submit" color="primary" variant="flat" :disabled="!what.trim()">Add</v-btn>
  </v-form>
  <section v-if="proposals.length" class="leaf" aria-label="Not given to anybody yet">
    <header class="row">
      <h2 class="grow">{{ proposals.length }} between the trades, given to nobody yet</h2>
      <v-btn v-if="store.canEdit" @click="take(proposals)">Write all down</v-btn>
    </header>
    <article v-for="one in proposals" :key="`${one.what} ${one.room}`" class="leaf-line task">
      <span class="grow"
        >{{ one.what }} <span class="muted">{{ roomName(one.room) }}</span></span
      >
      <span class="trade small-caps">{{ one.trade }}</span>
      <span class="muted due">before {{ one.due.replace('-', ' ') }}</span>
      <v-btn v-if="store.canEdit" :aria-label="`Write down: ${one.what}, ${roomName(one.room)}`" @click="take([one])"
        >Write down</v-btn
      >
    </article>
  </section>
  <section v-if="tasks.length" class="leaf" aria-label="List">
    <article v-for="task in tasks" :key="task.id" class="leaf-line task" :class="task.state">
      <span class="mark num" aria-hidden="true">{{ STATES[task.state] }}</span>
      <span class="grow">
        <b>{{ task.what }}</b> <span class="muted">{{ roomName(task.room) }}</span>
        <span v-if="task.kind === 'correction'" class="is-violation"> correction</span>
        <br /><span class="muted small"
          >{{ task.by }}, {{ task.date }}<template v-if="task.for"> · for {{ task.for }}</template
          ><template v-if="task.until"> until {{ task.until }}</template
          ><template v-if="task.settledBy">
            · {{ task.state === 'done' ? 'done' : 'not needed' }}: {{ task.settledBy }}, {{ task.settledOn }}</template
          ></span
        >
      </span>
      <span class="trade small-caps">{{ task.trade }}</span>
      <span class="muted due">before {{ task.due.replace('-', ' ') }}</span>
      <template v-if="store.canEdit">
        <template v-if="task.state === 'open'">
          <v-btn :aria-label="`Done: ${task.what}`" @click="settle(task, 'done')">Done</v-btn>
          <v-btn variant="text" :aria-label="`Not needed: ${task.what}`" @click="settle(task, 'not-needed')"
            >Not needed</v-btn
          >
        </template>
        <template v-else>
          <v-btn variant="text" :aria-label="`Open again: ${task.what}`" @click="settle(task, 'open')"
            >Open again</v-btn
          >
          <v-btn variant="text" :aria-label="`Remove: ${task.what}`" @click="remove(task)">Remove</v-btn>
        </template>
      </template>
    </article>
  </section>
  <p v-else-if="!proposals.length" class="none muted">Nothing is on this list.</p>
</template>

<style scoped>
.what {
  grid-column: span 2;
}
.done .mark {
  color: var(--reached-ink);
}
.trade {
  width: 92px;
}
.due {
  width: 120px;
}
@media (max-width: 700px) {
  .task {
    flex-wrap: wrap;
  }
  .what {
    grid-column: auto;
  }
  .task .grow {
    flex-basis: 80%;
  }
}
</style>
