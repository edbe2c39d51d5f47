<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import {
  count,
  edit,
  removeEntities,
  saidBy,
  stateOf,
  testScript,
  walkSheets,
  type StepState,
  type TestResult,
  type TestStep,
} from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import { useSession } from '../../stores/session';

/** What is tried before the house is handed over, step by step in walking order, with what the tester showed. */
const store = useHouse();
const session = useSession();
const PARTS = { script: 'Test script', bring: 'What to bring' } as const;
const part = ref<keyof typeof PARTS>('script');
const only = ref('all');
const onlyOpen = ref(false);

const script = computed(() => testScript(store.current));
const state = (step: TestStep) => stateOf(step, store.current.results[step.id]);
const tally = computed(() => {
  const states = script.value.map(state);
  const of = (one: StepState) => states.filter((each) => each === one).length;
  return { right: of('right'), wrong: of('wrong'), again: of('again') };
});
const PANEL = 'At the panel';
const groups = computed(() => {
  const all: { name: string; id: string; steps: TestStep[] }[] = [];
  for (const step of script.value) {
    const atPanel = step.kind === 'panel' || step.kind === 'breaker';
    const [id, name] =
      atPanel || !step.room
        ? [step.kind, step.kind === 'breaker' ? 'Breaker by breaker' : PANEL]
        : [step.room.id, step.room.name];
    const last = all.at(-1);
    if (last?.id === id) last.steps.push(step);
    else all.push({ id, name, steps: [step] });
  }
  return all;
});
const shown = computed(() =>
  groups.value
    .filter((one) => only.value === 'all' || one.id === only.value)
    .map((one) => ({ ...one, steps: one.steps.filter((step) => !onlyOpen.value || state(step) !== 'right') }))
    .filter((one) => one.steps.length > 0),
);
const places = computed(() => [
  { value: 'all', title: 'everywhere' },
  ...groups.value.map(({ id, name }) => ({ value: id, title: name })),
]);

const READINGS: readonly {
  readonly value: TestResult['reading'];
  readonly word: string;
  readonly kinds?: readonly TestStep['kind'][];
}[] = [
  { value: 'open-ground', word: 'open ground', kinds: ['receptacle'] },
  { value: 'open-neutral', word: 'open neutral', kinds: ['receptacle'] },
  { value: 'open-hot', word: 'open hot', kinds: ['receptacle'] },
  { value: 'hot-neutral-reversed', word: 'hot and neutral reversed', kinds: ['receptacle'] },
  { value: 'hot-ground-reversed', word: 'hot and ground reversed', kinds: ['receptacle'] },
  { value: 'no-trip', word: 'does not trip', kinds: ['gfci', 'breaker'] },
  { value: 'trips-others', word: 'others die, or something lives', kinds: ['gfci', 'breaker'] },
  { value: 'wrong-lights', word: 'the wrong lights, or not every flip', kinds: ['switch'] },
  { value: 'dead', word: 'dead' },
  { value: 'other', word: 'something else' },
];
const wordOf = (reading: TestResult['reading']) => READINGS.find((one) => one.value === reading)?.word ?? 'right';
/** One menu for all rows: the step whose reading is asked, and the button it hangs on. */
const asking = shallowRef<{ step: TestStep; at: HTMLElement }>();

function record(step: TestStep, reading: TestResult['reading']): void {
  asking.value = undefined;
  const result: TestResult = {
    id: step.id,
    reading,
    said: saidBy(step),
    by: session.signedIn?.user.name ?? 'not said',
    date: new Date().toISOString().slice(0, 10),
    note: '',
  };
  store.apply(edit(store.current, `Test ${step.what}`.slice(0, 80), (draft) => void (draft.results[step.id] = result)));
}
/** The fault finder opens on the switch group that was tried, where it was one. */
const faultQuery = ({ group }: TestStep): Record<string, string> => (group ? { faults: group } : {});
const clear = (step: TestStep) =>
  void store.apply(removeEntities(store.current, [{ collection: 'results', id: step.id }]));
const MARKS = { open: '☐', right: '✓', wrong: '▨', again: '↻' } as const;

const bring = computed(() => walkSheets(store.current).devices);
/** Plates by their gangs: what is in a box decides its plate. */
const plates = computed(() => {
  const counts = new Map<number, number>();
  for (const box of Object.values(store.current.boxes))
    if (box.at.kind === 'wall' && box.state !== 'existing') counts.set(box.gangs, (counts.get(box.gangs) ?? 0) + 1);
  return [...counts].sort((a, b) => a[0] - b[0]);
});
const print = () => window.print();
</script>

<template>
  <PaperPage class="script-page" label="Trim and test tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <template v-if="part === 'script'">
        <SearchField v-model="only" class="pick" label="Where" :items="places" />
        <v-btn :aria-pressed="onlyOpen" @click="onlyOpen = !onlyOpen">Only what is open</v-btn>
      </template>
      <span class="grow" />
      <span v-if="part === 'script'" class="progress" role="status"
        ><b class="num">{{ tally.right }}</b> of <b class="num">{{ script.length }}</b> right<template
          v-if="tally.wrong"
        >
          · <b class="num is-violation">{{ tally.wrong }}</b> wrong</template
        ><template v-if="tally.again">
          · <b class="num">{{ tally.again }}</b> to be done again</template
        ></span
      >
      <v-btn color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <template v-if="part === 'script'">
      <p class="muted small">
        Live work is for qualified people with tested meters and eye protection; make dead, lock and prove dead before a
        box is opened. A three-lamp tester cannot tell a neutral used as a ground, nor a bootleg one.
      </p>
      <p v-if="!script.length" class="none">Nothing to try yet: place boxes and put them on circuits.</p>
      <section v-for="(group, g) in shown" :key="`${group.id} ${g}`" class="room">
        <h2>{{ group.name }}</h2>
        <article v-for="step in group.steps" :key="step.id" class="step" :class="state(step)" :aria-label="step.what">
          <span class="mark num" aria-hidden="true">{{ MARKS[state(step)] }}</span>
          <div class="grow">
            <b>{{ step.what }}</b> <span class="muted num">{{ step.section }}</span>
            <p>{{ step.act }}</p>
            <p class="expect">{{ step.expect }}</p>
            <p v-if="store.current.results[step.id]" class="small">
              <span :class="{ 'is-violation': state(step) === 'wrong' }"
                >{{ wordOf(store.current.results[step.id]!.reading)
                }}{{ state(step) === 'again' ? ', before this changed: do it again' : '' }}</span
              >, {{ store.current.results[step.id]!.by }}, {{ store.current.results[step.id]!.date }}
              <router-link
                v-if="state(step) === 'wrong'"
                :to="{ path: `/houses/${store.id}/make-up`, query: faultQuery(step) }"
                >Find the fault under Make-up</router-link
              >
            </p>
          </div>
          <div v-if="store.canEdit" class="do">
            <v-btn
              :aria-label="`Right: ${step.what}`"
              :aria-pressed="state(step) === 'right'"
              @click="record(step, 'right')"
              >Right</v-btn
            >
            <v-btn
              :aria-label="`Wrong: ${step.what}`"
              @click="asking = { step, at: $event.currentTarget as HTMLElement }"
              >Wrong …</v-btn
            >
            <v-btn
              v-if="store.current.results[step.id]"
              variant="text"
              :aria-label="`Clear: ${step.what}`"
              @click="clear(step)"
              >Clear</v-btn
            >
          </div>
        </article>
      </section>
    </template>
    <section v-else class="room">
      <h2>Devices</h2>
      <ul class="counts">
        <li v-for="one in bring" :key="one.what">
          <b class="num">{{ one.n }}</b> {{ one.what }}
        </li>
      </ul>
      <h2>Plates by gangs</h2>
      <ul class="counts">
        <li v-for="[gangs, n] in plates" :key="gangs">
          <b class="num">{{ n }}</b> of {{ count(gangs, 'gang') }}
        </li>
      </ul>
      <p class="muted small">
        As drawn, existing boxes left out. Bring spares, and a few jumbo plates for the cut that went wide.
      </p>
    </section>
    <v-menu
      v-if="asking"
      :model-value="true"
      :target="asking.at"
      :open-on-click="false"
      @update:model-value="asking = undefined"
    >
      <v-list role="menu" aria-label="What was seen" density="compact">
        <v-list-item
          v-for="one in READINGS.filter((each) => !each.kinds || each.kinds.includes(asking!.step.kind))"
          :key="one.value"
          role="menuitem"
          @click="record(asking.step, one.value)"
          >{{ one.word }}</v-list-item
        >
      </v-list>
    </v-menu>
  </PaperPage>
</template>

<style scoped>
.room {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 10px 14px;
}
.room h2 {
  font-size: 17px;
}
.step {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  border-top: 1px solid var(--rule);
  padding: 8px 0;
  line-height: 1.4;
}
.mark {
  width: 24px;
  font-size: 20px;
}
.right .mark {
  color: var(--reached-ink);
}
.wrong .mark {
  color: var(--violation);
}
.again .mark {
  color: var(--caution);
}
.expect {
  font-weight: 600;
}
.do {
  display: flex;
  gap: 6px;
}
.do .v-btn {
  min-height: 44px;
}
.small {
  font-size: 12.5px;
}
.counts {
  columns: 3 220px;
  padding: 4px 0 10px;
}
@media (max-width: 700px) {
  .step {
    flex-wrap: wrap;
  }
  .do {
    width: 100%;
    padding-left: 36px;
  }
}
@page script {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .script-page {
    page: script;
  }
  .do {
    display: none;
  }
  .step {
    break-inside: avoid;
  }
  .room {
    border: 0;
    padding: 4px 0;
  }
}
</style>
