<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref, shallowRef, toRaw, watch } from 'vue';
import { count, isUnseenUnit, positionsLooked, positionsOf, wireHouse, type Sight } from '@winculum/core';
import { useHouse } from '../../stores/house';
import ProgressBar from '../../work/ProgressBar.vue';
import { useLongWork } from '../../work/long-work';
import type { FaultAnswer, FaultJob } from './fault.worker';

/** Tick what the lamps do in each position of the switches; what single mistake shows exactly that comes out. */
const props = defineProps<{
  /** The group to begin with, where a test showed that it misbehaves. */
  group?: string;
}>();
const store = useHouse();
const chains = computed(() =>
  wireHouse(store.current).units.flatMap((one) => one.plan.chains.filter(({ group }) => group.controls.length > 0)),
);
const chosen = ref('');
watch(
  chains,
  (now) => {
    if (!now.some((one) => one.group.group.id === chosen.value))
      chosen.value =
        (now.find((one) => one.group.group.id === props.group) ?? now.find((one) => one.order.length > 1) ?? now[0])
          ?.group.group.id ?? '';
  },
  { immediate: true },
);
const chain = computed(() => chains.value.find((one) => one.group.group.id === chosen.value));
const isSupposed = computed(() =>
  wireHouse(store.current).units.some((one) => isUnseenUnit(one) && one.plan.chains.some((its) => its === chain.value)),
);
const positions = computed(() => positionsOf(chain.value?.order.length ?? 0));
/** Of many switches only the positions that tell most are listed: all down, one up, two up. */
const rows = computed(() =>
  positionsLooked(chain.value?.order.length ?? 0).map((p) => ({ p, position: positions.value[p]! })),
);
const seen = ref<(Sight | undefined)[][]>([]);
const answer = shallowRef<FaultAnswer>();
watch(
  [chain],
  () => {
    seen.value = positions.value.map(() => (chain.value?.group.controls ?? []).map(() => undefined));
    answer.value = undefined;
  },
  { immediate: true, flush: 'sync' },
);
const ROUND: readonly (Sight | undefined)[] = [undefined, 'lit', 'dark', 'dim', 'trips'];
const words: Record<Sight, string> = { lit: 'lit', dark: 'dark', dim: 'dim', trips: 'breaker trips' };
function cycle(p: number, i: number): void {
  const at = ROUND.indexOf(seen.value[p]![i]);
  seen.value[p]![i] = ROUND[(at + 1) % ROUND.length];
  seen.value = [...seen.value];
}
const work = useLongWork<FaultJob, FaultAnswer | undefined>(
  () => new Worker(new URL('./fault.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
async function find(): Promise<void> {
  answer.value = await work.ask({
    house: toRaw(store.current),
    group: chosen.value,
    seen: seen.value.map((one) => [...one]),
  });
}
const looked = computed(() => seen.value.flat().filter(Boolean).length);
const upDown = (one: number) => (one === 1 ? 'up' : 'down');
const at = (list: readonly number[]) =>
  chain.value!.order.map((one, i) => `${one.box.tag} ${upDown(list[i] ?? 0)}`).join(', ');
const groups = computed(() =>
  chains.value.map((one) => ({
    value: one.group.group.id,
    title: `${one.group.letter} · ${one.group.group.name}, ${count(one.order.length, 'place')}`,
  })),
);
</script>

<template>
  <section v-if="chain" class="finder" aria-label="Fault finder">
    <div class="left">
      <SearchField v-model="chosen" label="Group that misbehaves" :items="groups" />
      <p v-if="isSupposed" class="is-caution">
        Its wiring was there before: which cable goes where is supposed, and what is found below holds only as far as
        that is right.
      </p>
      <p class="muted">
        Put the switches so, look at the lamp, and tap what you see. Leave what you have not tried. Which way is “up” is
        as the first look finds it: begin with all handles down.
      </p>
      <div class="table">
        <table>
          <thead>
            <tr>
              <th v-for="one in chain.order" :key="one.device.id">{{ one.box.tag }}</th>
              <th v-for="one in chain.group.controls" :key="one.device.id">lamp {{ one.box.tag }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ p, position } in rows" :key="p">
              <td v-for="(one, i) in position" :key="i" class="num handle" :class="upDown(one)">{{ upDown(one) }}</td>
              <td v-for="(_, i) in chain.group.controls" :key="i">
                <v-btn
                  class="sight"
                  size="small"
                  variant="outlined"
                  :class="seen[p]?.[i] ?? 'unseen'"
                  :aria-label="`${at(position)}: lamp ${chain.group.controls[i]!.box.tag} is ${seen[p]?.[i] ? words[seen[p]![i]!] : 'not looked at'}`"
                  @click="cycle(p, i)"
                >
                  {{ seen[p]?.[i] ? words[seen[p]![i]!] : '–' }}
                </v-btn>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <v-btn color="primary" variant="flat" :disabled="looked === 0" @click="find">Find the fault</v-btn>
      <p class="is-caution">
        Turn the breaker off and test before you open a box. Only a person trained for it tests live.
      </p>
    </div>
    <div class="amount" aria-live="polite">
      <ProgressBar
        v-if="work.progress.value"
        :progress="work.progress.value"
        title="Trying every fault"
        @cancel="work.cancel"
      />
      <p v-else-if="!answer" class="none">
        Tap what you see on the left, then find the fault. Every single mistake on this very circuit is tried.
      </p>
      <template v-else>
        <p v-if="answer.sound" class="good">
          <b>What you saw is what a sound circuit does.</b> Try the other positions.
        </p>
        <h2>
          <span class="num">{{ answer.suspects.length }}</span>
          {{ answer.suspects.length === 1 ? 'mistake shows exactly this' : 'mistakes show exactly this' }}
        </h2>
        <p v-if="!answer.suspects.length">No single mistake does. Look again, or there are two at once.</p>
        <p v-if="answer.next" class="next">
          <b>Next look:</b> {{ at(answer.next.positions) }}. {{ answer.next.says.join('; ') }}.
        </p>
        <p v-if="answer.test" class="next">
          <b>Quickest test:</b> volts to neutral at {{ answer.test.label }}, {{ at(answer.test.positions) }}.
          <span v-for="one in answer.test.readings" :key="one.volts" class="reading"
            ><b class="num">about {{ one.volts }} V</b> {{ one.suspects.slice(0, 3).join('; ')
            }}{{ one.suspects.length > 3 ? ` and ${one.suspects.length - 3} more` : '' }}</span
          >
        </p>
        <ol>
          <li v-for="one in answer.suspects.slice(0, 30)" :key="one.words">
            <b>{{ one.words }}</b> <span class="small-caps">found {{ one.found }}</span
            ><br /><span class="muted">{{ one.remedy }}</span>
          </li>
        </ol>
      </template>
    </div>
  </section>
  <p v-else class="none">No switch group is wired yet. Join switches and lights under Switching.</p>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  align-items: start;
  gap: 18px;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 14px 16px;
}
.left {
  display: grid;
  gap: 10px;
  align-content: start;
}
.table {
  overflow-x: auto;
}
.left > .v-btn {
  justify-self: start;
}
table {
  border-collapse: collapse;
}
th {
  font: 600 13px var(--numbers);
  color: var(--muted);
  text-align: left;
  padding: 2px 10px 2px 0;
}
td {
  border-top: 1px solid var(--rule);
  padding: 2px 10px 2px 0;
}
.handle {
  font-size: 17px;
}
.handle.up {
  font-weight: 700;
}
.handle.down {
  color: var(--muted);
}
.sight {
  min-height: 44px;
  min-width: 76px;
  border: 1.5px solid var(--rule);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 600 15px var(--words);
  cursor: pointer;
}
.sight.lit {
  background: var(--tape);
  color: #22302f;
}
.sight.dark {
  background: #22302f;
  color: #fffcf5;
}
.sight.dim {
  background: repeating-linear-gradient(45deg, var(--tape) 0 4px, #22302f22 4px 8px);
}
.sight.trips {
  border-color: var(--violation);
  color: var(--violation);
}
.right h2 {
  font-size: 18px;
}
.right h2 .num {
  font-size: 28px;
}
.next {
  background: var(--chalk-soft);
  padding: 8px 12px;
  border-radius: 4px;
  margin: 6px 0;
}
.reading {
  display: block;
}
.good {
  color: var(--reached-ink);
}
.none {
  padding: 8vh 8%;
  text-align: center;
  font-size: 16px;
}
ol {
  padding-left: 22px;
  display: grid;
  gap: 6px;
}
@media (max-width: 1100px) {
  .finder {
    grid-template-columns: 1fr;
  }
}
</style>
