<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue';
import {
  boardNetlist,
  checkBoard,
  Conduction,
  EXERCISES,
  lettersOf,
  pinsOf,
  solve,
  whyNot,
  type Board,
  type BoardVerdict,
} from '@winculum/core';
import { pinWords } from './bench-layout';
import BenchBoard from './BenchBoard.vue';
import BenchBuilder from './BenchBuilder.vue';
import TruthTable from './TruthTable.vue';
import { OWN, useBench, type HouseGroup } from './use-bench';
import { usePlanted } from './use-planted';

/**
 * A bench to learn switching on: wire it, flip it, measure it; the prover that checks houses checks it too. A switch group of a
 * house may lie on it.
 */
const props = defineProps<{
  ofHouse?: HouseGroup | undefined;
  /** What the group is called, and where the way back leads. */
  title?: string;
  back?: { readonly to: string; readonly words: string };
}>();
const bench = useBench(toRef(props, 'ofHouse'));
const { kept, isSaved, chosen, exercise, ofHouse: group, board, setBoard, setWires, markDone, tallies } = bench;
const { planted, isShown, isOver, plant, giveUp, mended, leave } = usePlanted(bench);
watch(
  () => props.ofHouse?.key,
  (key) => (chosen.value = key ?? EXERCISES[0]!.id),
  { immediate: true },
);
const task = computed(() => {
  if (group.value) return `${props.title}: wire it as it is to work, from the feed in ${board.value.boxes[0]}.`;
  return (
    exercise.value?.task ??
    'Set down boxes, put parts into them, pull cables between them, then wire it. Switches and lamps of one letter belong together.'
  );
});
const missed = computed(() => Object.entries(tallies.value));
const net = computed(() => boardNetlist(board.value));
const switches = computed(() => net.value.switches);
const up = ref<Record<string, number>>({});
const held = ref<string | null>(null);
const probes = ref<string[]>([]);
const mode = ref<'wire' | 'meter'>('wire');
const says = ref('');
const verdict = ref<BoardVerdict | null>(null);
const showHint = ref(false);
watch(chosen, () => {
  leave();
  [held.value, probes.value, says.value, verdict.value, showHint.value, up.value] = [null, [], '', null, false, {}];
});
/** What was proved counts until something is wired or set otherwise; that an exercise is done changes nothing of it. */
const asWired = computed(() => JSON.stringify(board.value));
watch(asWired, () => {
  const pins = new Set(pinsOf(board.value).map((one) => one.pin));
  verdict.value = null;
  if (held.value !== null && !pins.has(held.value)) held.value = null;
  probes.value = probes.value.filter((one) => pins.has(one));
});

function rebuild(next: Board): void {
  says.value = '';
  setBoard(next);
}
function join(from: string, to: string): void {
  says.value = whyNot(board.value, from, to) ?? '';
  if (!says.value) setWires([...board.value.wires, [from, to]]);
  held.value = null;
}
function touch(pin: string): void {
  says.value = '';
  if (mode.value === 'meter')
    probes.value = probes.value.includes(pin)
      ? probes.value.filter((one) => one !== pin)
      : [...probes.value.slice(-1), pin];
  else if (held.value === null) held.value = pin;
  else if (held.value === pin) held.value = null;
  else join(held.value, pin);
}
const drop = (index: number) => setWires(board.value.wires.filter((_, i) => i !== index));
function check(): void {
  verdict.value = checkBoard(board.value);
  if (!verdict.value.solved) return;
  mended();
  markDone();
}
function spoil(): void {
  says.value = plant();
  up.value = {};
}

const positions = computed(() => new Map(switches.value.map((one) => [one.id, up.value[one.id] ?? 0])));
const now = computed(() => new Conduction(net.value).with(positions.value));
const hasFeed = computed(() => net.value.sources.length > 0);
/** The points of the feed: its hot, and what comes back, or its second hot. */
const lugs = computed(() => net.value.sources.map((one) => one.point));
const hots = computed(() => net.value.sources.filter((one) => one.kind === 'hot').map((one) => one.point));
const shorted = computed(() => hasFeed.value && now.value.same(lugs.value[0]!, lugs.value[1]!));
const isHot = (pin: string) => hasFeed.value && !shorted.value && hots.value.some((lug) => now.value.same(pin, lug));
const lit = computed(
  () => new Set(net.value.loads.filter((load) => !shorted.value && now.value.runs(load)).map((load) => load.id)),
);
const volts = computed(() => {
  if (probes.value.length < 2 || shorted.value) return undefined;
  const { volts: at } = solve(net.value, positions.value);
  return Math.abs(at(probes.value[0]!) - at(probes.value[1]!));
});
const jointWords = (wire: readonly [string, string]) => {
  const pins = pinsOf(board.value);
  return wire
    .map((pin) =>
      pinWords(
        board.value,
        pins.find((one) => one.pin === pin)!,
      ),
    )
    .join(' – ');
};
</script>

<template>
  <main class="bench">
    <header>
      <v-btn :to="back?.to ?? '/houses'">{{ back?.words ?? 'Houses' }}</v-btn>
      <h1>The bench</h1>
      <p class="muted">
        A drawing to learn on. Real wires kill: work on a dead circuit, tested dead, and only where you may.
      </p>
    </header>
    <div class="body">
      <div class="left">
        <slot />
        <nav aria-label="Exercises">
          <v-btn
            v-if="ofHouse"
            block
            variant="text"
            class="exercise leads"
            :aria-pressed="chosen === ofHouse.key"
            @click="chosen = ofHouse.key"
          >
            <b class="num">{{ kept.done.includes(ofHouse.key) ? '✓' : '·' }}</b> {{ title }}
          </v-btn>
          <v-btn
            v-for="one in EXERCISES"
            :key="one.id"
            block
            variant="text"
            class="exercise leads"
            :aria-pressed="one.id === chosen"
            @click="chosen = one.id"
          >
            <b class="num">{{ kept.done.includes(one.id) ? '✓' : '·' }}</b> {{ one.title }}
          </v-btn>
          <v-btn block variant="text" class="exercise leads" :aria-pressed="chosen === OWN" @click="chosen = OWN">
            <b class="num">+</b> A board of your own
          </v-btn>
          <p class="muted">
            {{ kept.done.filter((id) => EXERCISES.some((one) => one.id === id)).length }} of
            {{ EXERCISES.length }} solved; {{ isSaved ? 'kept with your account' : 'kept on this device so far' }}.
          </p>
        </nav>
        <section v-if="missed.length" aria-label="Found and missed so far">
          <p v-for="[kind, { right, wrong }] in missed" :key="kind" :class="wrong > right ? 'is-caution' : 'muted'">
            {{ kind }}: {{ right }} found, {{ wrong }} missed
          </p>
          <p class="muted">An owner of the firm signs this under <RouterLink to="/account">Account</RouterLink>.</p>
        </section>
        <aside aria-label="Result">
          <div v-if="verdict" role="status">
            <p v-if="verdict.solved" class="good"><b>Proved.</b> Every position does what it should.</p>
            <template v-else>
              <p class="is-violation"><b>Not yet.</b></p>
              <p v-for="one in verdict.problems" :key="one.what">
                {{ one.what
                }}<template v-if="one.positions.length">
                  Switches {{ one.positions.map((p) => (p ? 'up' : 'down')).join(', ') }}.</template
                ><br /><span class="muted">{{ one.why }}</span>
              </p>
            </template>
          </div>
          <TruthTable v-for="letter in lettersOf(board)" :key="letter" :net="net" :letter="letter" :up="up" />
        </aside>
      </div>
      <section aria-label="Board">
        <p class="task">
          {{ task }}
          Grounds are left out here; on site every box and device has one.
        </p>
        <div class="tools" role="toolbar" aria-label="Bench tools">
          <v-btn :aria-pressed="mode === 'wire'" @click="mode = 'wire'">Wire</v-btn>
          <v-btn :aria-pressed="mode === 'meter'" @click="mode = 'meter'">Meter</v-btn>
          <v-btn :disabled="!board.wires.length" @click="setWires([])">Clear</v-btn>
          <v-btn v-if="exercise" :aria-pressed="showHint" @click="showHint = !showHint"> Hint </v-btn>
          <v-btn v-if="group" @click="setWires(group.madeUp)">As on the cards</v-btn>
          <v-btn color="primary" variant="flat" @click="check">Prove it</v-btn>
          <v-btn @click="spoil">Plant a mistake</v-btn>
          <v-btn v-if="planted && !isOver" @click="giveUp">Show the mistake</v-btn>
          <span v-if="mode === 'meter'" class="meter" role="status"
            ><b class="num">{{ volts === undefined ? '– –' : Math.round(volts) }}</b> V</span
          >
        </div>
        <p v-if="showHint" class="hint">{{ exercise?.hint }}</p>
        <p v-if="planted" class="hint" role="status">
          <template v-if="isShown">{{ planted.words }}</template>
          <template v-else-if="isOver"><b>Found and mended.</b> {{ planted.words }}</template>
          <template v-else>
            One mistake is in it now. Flip the switches, measure, look at the joints; mend it, then prove it.
          </template>
        </p>
        <p v-if="says" class="is-caution" role="alert">{{ says }}</p>
        <p v-if="shorted" class="is-violation" role="alert">Hot meets neutral: the breaker trips.</p>
        <div class="row">
          <v-btn
            class="flip"
            v-for="one in switches"
            :key="one.id"
            :aria-pressed="(up[one.id] ?? 0) === 1"
            @click="up = { ...up, [one.id]: 1 - (up[one.id] ?? 0) }"
          >
            {{ one.label }}: <b>{{ (up[one.id] ?? 0) === 1 ? 'up' : 'down' }}</b>
          </v-btn>
        </div>
        <BenchBoard
          :board="board"
          :lit="lit"
          :held="held"
          :probes="probes"
          :is-hot="isHot"
          :can-drag="mode === 'wire'"
          @touch="touch"
          @join="join"
        />
        <BenchBuilder v-if="chosen === OWN" :board="board" @change="rebuild" @refuse="says = $event" />
        <v-expansion-panels v-if="board.wires.length">
          <v-expansion-panel :title="`${board.wires.length} joints made`">
            <v-expansion-panel-text>
              <p v-for="(wire, i) in board.wires" :key="i" class="joint">
                {{ jointWords(wire) }}
                <v-btn :aria-label="`Take joint ${i + 1} apart`" @click="drop(i)">✕</v-btn>
              </p>
            </v-expansion-panel-text>
          </v-expansion-panel>
        </v-expansion-panels>
      </section>
    </div>
  </main>
</template>

<style scoped>
.bench {
  height: 100vh;
  overflow: auto;
  background: var(--paper);
}
header {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 10px 18px;
  border-bottom: 1px solid var(--rule);
}
h1 {
  font: 700 26px var(--numbers);
}
.body {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  gap: 18px;
  padding: 14px 18px;
}
.exercise {
  display: block;
  width: 100%;
  min-height: 44px;
  height: auto;
  text-align: left;
  white-space: normal;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  font: 500 15px var(--words);
  padding: 4px 8px;
  cursor: pointer;
}
.exercise :deep(.v-btn__content) {
  white-space: normal;
}
.exercise[aria-pressed='true'] {
  background: var(--card);
  border-left-color: var(--chalk);
  font-weight: 600;
}
.left {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.task {
  font-size: 16px;
}
.tools,
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
  margin: 8px 0;
}
.tools .v-btn,
.flip {
  min-height: 44px;
}
.meter b {
  font-size: 30px;
}
.hint {
  background: var(--chalk-soft);
  padding: 8px 12px;
  border-radius: 4px;
}
.good {
  color: var(--reached-ink);
  font-size: 17px;
}
.joint {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
@media (max-width: 1000px) {
  .body {
    grid-template-columns: 1fr;
  }
}
</style>
