<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue';
import {
  compareFeeds,
  count,
  feedFrom,
  freeFeed,
  keepFeed,
  keepFeeds,
  wireHouse,
  type FeedOption,
  type FeedPlan,
} from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { useLongWork } from '../../work/long-work';
import ProgressBar from '../../work/ProgressBar.vue';
import type { FeedJob } from './feed.worker';

/** Which box feeds which, by hand or by scheme, and what each scheme costs in wire. */
const store = useHouse();
const view = useView();
const units = computed(() => wireHouse(store.current).units.filter((one) => one.runs.length > 0));
const chosen = ref('');
watch(
  [units, () => view.only('circuit')],
  ([now, circuit]) => {
    const wanted = now.find((one) => one.unit.circuits.some((each) => each.id === circuit));
    if (wanted) chosen.value = wanted.unit.id;
    else if (!now.some((one) => one.unit.id === chosen.value))
      chosen.value = now.find((one) => one.unit.groups.length > 0)?.unit.id ?? now[0]?.unit.id ?? '';
  },
  { immediate: true },
);
const wiring = computed(() => units.value.find((one) => one.unit.id === chosen.value));
const options = computed(() => (wiring.value ? compareFeeds(store.current, wiring.value.unit) : []));
const names: Record<FeedOption['name'], string> = {
  'switch-first': 'Power to the switches first',
  'light-first': 'Power at the lights, switches hang on them',
  shortest: 'Shortest cable',
  'as drawn': 'As drawn by hand',
};
const kinds = (one: FeedOption) =>
  Object.entries(one.byKind)
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([kind, feet]) => `${Math.round(feet)} ft of ${kind}`)
    .join(', ');
const trouble = (one: FeedOption) =>
  [
    one.homeRuns > 1 ? count(one.homeRuns, 'home run') : '',
    one.bared.length ? `no longer behind a GFCI: ${one.bared.slice(0, 4).join(', ')}` : '',
    one.doubled ? `${count(one.doubled, 'run')} of two cables` : '',
    one.overfull.length ? `too full: ${one.overfull.slice(0, 4).join(', ')}${one.overfull.length > 4 ? ' …' : ''}` : '',
  ]
    .filter(Boolean)
    .join('; ');
const carried = (index: number) =>
  wiring
    .value!.runs[index]!.cables.map((cable) =>
      cable.conductors.flatMap((one) => (one.color === 'bare' ? [] : (one.signal?.words ?? 'spare'))).join(', '),
    )
    .join(' | ');
const startWorker = () => new Worker(new URL('./feed.worker.ts', import.meta.url), { type: 'module' });
const work = useLongWork<FeedJob, readonly FeedPlan[]>(startWorker, (message) => (store.problem = message));
/** What was found, and the house that it was found in: another house makes it stale. */
const found = ref<{ readonly house: unknown; readonly plans: readonly FeedPlan[] }>();
const plans = computed(() => (found.value?.house === store.house ? found.value?.plans : undefined));
const saving = computed(() => (plans.value ?? []).filter((one) => one.afterFt < one.beforeFt - 0.5));
const sum = (list: readonly FeedPlan[], feetOf: (one: FeedPlan) => number) =>
  Math.round(list.reduce((total, one) => total + feetOf(one), 0));
async function seekAll(): Promise<void> {
  const house = toRaw(store.current);
  const answer = await work.ask({ house });
  if (answer) found.value = { house, plans: answer };
}

/** The least wire for the circuit in view is sought by itself, once the house has come to rest. */
const REST_MS = 500;
const quiet = useLongWork<FeedJob, readonly FeedPlan[]>(startWorker, (message) => (store.problem = message));
const least = ref<{ readonly house: unknown; readonly plan: FeedPlan }>();
let rest: ReturnType<typeof setTimeout> | undefined;
watch(
  [() => store.house, chosen],
  ([house, unit]) => {
    clearTimeout(rest);
    quiet.cancel();
    least.value = undefined;
    if (!house || !store.canEdit || (wiring.value?.runs.length ?? 0) < 3) return;
    rest = setTimeout(async () => {
      const [plan] = (await quiet.ask({ house: toRaw(house), unit })) ?? [];
      if (plan) least.value = { house, plan };
    }, REST_MS);
  },
  { immediate: true },
);
onScopeDispose(() => clearTimeout(rest));
const leastPlan = computed(() => (least.value?.house === store.house ? least.value?.plan : undefined));
/** What it saves against the best of the other rows that has no trouble, conductor-feet. */
const saves = computed(() => {
  const clean = options.value.filter((one) => !trouble(one)).map((one) => one.conductorFt);
  return leastPlan.value ? Math.min(...clean) - leastPlan.value.afterFt : 0;
});
/** What is taken of one circuit leaves what was found for the others as good as it was. */
function take(list: readonly FeedPlan[]): void {
  if (!store.apply(keepFeeds(store.current, list))) return;
  const plans = (found.value?.plans ?? []).filter((one) => !list.includes(one));
  found.value = plans.length > 0 ? { house: store.house, plans } : undefined;
}
const unitItems = computed(() =>
  units.value.map((one) => ({ value: one.unit.id, title: one.unit.circuits.map((c) => c.name).join(' and ') })),
);

/** One menu for all rows: the box whose feed is asked for, and the button it hangs on. */
const asked = shallowRef<{ box: string; at: HTMLElement }>();
const askFrom = (box: string, event: Event) => void (asked.value = { box, at: event.currentTarget as HTMLElement });
function takeFrom(from: string | null): void {
  const box = asked.value?.box;
  asked.value = undefined;
  if (box !== undefined && wiring.value) store.apply(feedFrom(store.current, wiring.value, box, from));
}
</script>

<template>
  <section v-if="wiring" class="feed" aria-label="Feed order">
    <SearchField v-model="chosen" class="pick" label="Circuit" :items="unitItems" />
    <table class="schemes">
      <thead>
        <tr>
          <th>Scheme</th>
          <th>Cable</th>
          <th>Conductor-feet</th>
          <th>Trouble</th>
          <th><span class="visually-hidden">use it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in options" :key="one.name">
          <td>
            {{ names[one.name]
            }}<b v-if="one.name === (wiring.tree.stored ? 'as drawn' : wiring.tree.scheme)">, as it stands</b>
          </td>
          <td>{{ kinds(one) }}</td>
          <td class="num big">{{ Math.round(one.conductorFt) }}</td>
          <td :class="{ 'is-caution': trouble(one) }">{{ trouble(one) || 'none' }}</td>
          <td>
            <v-btn
              v-if="one.name === 'as drawn'"
              :disabled="!store.canEdit"
              @click="store.apply(freeFeed(store.current, wiring.unit))"
            >
              Leave it to the tool
            </v-btn>
            <v-btn v-else :disabled="!store.canEdit" @click="store.apply(keepFeed(store.current, one))">
              Take this
            </v-btn>
          </td>
        </tr>
        <tr v-if="quiet.progress.value || leastPlan" class="least">
          <td>Least wire that the tool finds</td>
          <template v-if="quiet.progress.value">
            <td colspan="3" role="status">
              looking, {{ Math.round(quiet.progress.value.share * 100) }} % {{ quiet.progress.value.what }}
            </td>
            <td><v-btn @click="quiet.cancel()">Stop looking</v-btn></td>
          </template>
          <template v-else>
            <td>{{ saves > 0.5 ? `${Math.round(saves)} less than the best above` : 'nothing less than above' }}</td>
            <td class="num big">{{ Math.round(leastPlan!.afterFt) }}</td>
            <td>none</td>
            <td>
              <v-btn color="primary" variant="flat" v-if="saves > 0.5" @click="take([leastPlan!])">Take this</v-btn>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <ProgressBar
      v-if="work.progress.value"
      :progress="work.progress.value"
      title="Looking for less wire"
      @cancel="work.cancel()"
    />
    <div v-else class="seek">
      <v-btn :disabled="!store.canEdit" @click="seekAll()">Find less wire in all circuits</v-btn>
      <span class="muted">Hangs one branch after another elsewhere, as long as that saves conductor.</span>
    </div>
    <div v-if="plans" class="found" role="status">
      <p v-if="!saving.length">Already the shortest found.</p>
      <template v-else>
        <p>
          <b class="num big">{{ sum(saving, (one) => one.afterFt) }}</b> conductor-feet instead of
          <b class="num">{{ sum(saving, (one) => one.beforeFt) }}</b>, in {{ count(saving.length, 'circuit') }}. No box
          gets too full by it.
          <v-btn color="primary" variant="flat" :disabled="!store.canEdit" @click="take(saving)">Take all of it</v-btn>
          <v-btn @click="found = undefined">Discard</v-btn>
        </p>
        <p v-for="one in saving.length > 1 ? saving : []" :key="one.unit" class="plan">
          <v-btn :disabled="!store.canEdit" @click="take([one])">Take</v-btn>
          <b class="num">{{ Math.round(one.afterFt) }}</b> instead of {{ Math.round(one.beforeFt) }} · {{ one.name }}
        </p>
      </template>
    </div>
    <p class="muted">
      {{
        wiring.tree.stored
          ? 'Drawn by hand: it stays as it is.'
          : `By the tool: ${names[wiring.tree.scheme ?? 'switch-first'].toLowerCase()}. It follows the boxes until you change it.`
      }}
      Lengths are estimates until the route is known.
    </p>
    <table class="runs">
      <thead>
        <tr>
          <th>Box</th>
          <th>takes its power from</th>
          <th>Cable</th>
          <th>Feet</th>
          <th>Conductors</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(run, i) in wiring.runs" :key="run.id">
          <td class="num tag">
            <v-btn
              class="tag-button num"
              size="small"
              variant="text"
              @click="view.select([{ kind: 'box', id: run.to.id }])"
              >{{ run.to.tag }}</v-btn
            >
          </td>
          <td>
            <v-btn
              size="small"
              :aria-label="`${run.to.tag} takes its power from`"
              :disabled="!store.canEdit"
              @click="askFrom(run.to.id, $event)"
            >
              {{ run.from?.tag ?? 'the panel' }} ▾
            </v-btn>
          </td>
          <td class="num">{{ run.cables.map((one) => `${run.awg}-${one.kind.slice(1)}`).join(' + ') }}</td>
          <td class="num">{{ Math.round(run.lengthIn / 12) }}</td>
          <td>{{ carried(i) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="one in wiring.problems" :key="one.message" class="is-caution">{{ one.message }}</p>
    <v-menu
      v-if="asked"
      :model-value="true"
      :target="asked.at"
      :open-on-click="false"
      @update:model-value="asked = undefined"
    >
      <v-list role="menu" aria-label="Takes its power from" density="compact" max-height="360">
        <v-list-item role="menuitem" @click="takeFrom(null)">the panel</v-list-item>
        <v-list-item
          v-for="node in wiring.tree.nodes.filter((one) => one.box.id !== asked?.box)"
          :key="node.box.id"
          role="menuitem"
          @click="takeFrom(node.box.id)"
          >{{ node.box.tag }}</v-list-item
        >
      </v-list>
    </v-menu>
  </section>
</template>

<style scoped>
.seek,
.plan {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.found {
  background: var(--chalk-soft);
  border-left: 4px solid var(--chalk);
  padding: 8px 12px;
  display: grid;
  gap: 6px;
}
.feed {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.pick {
  max-width: 340px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font: 600 12px var(--numbers);
  letter-spacing: 0.06em;
  text-transform: uppercase;
  color: var(--muted);
  padding: 2px 8px 2px 0;
}
td {
  border-top: 1px solid var(--rule);
  padding: 3px 8px 3px 0;
}
.schemes button {
  white-space: nowrap;
}
.big {
  font-size: 20px;
  font-weight: 700;
}
.runs td.num {
  font-size: 16px;
}
.runs select {
  min-width: 110px;
}
.tag-button {
  border: 0;
  background: none;
  font: inherit;
  font-weight: 700;
  color: var(--chalk);
  min-height: 32px;
  cursor: pointer;
}
</style>
