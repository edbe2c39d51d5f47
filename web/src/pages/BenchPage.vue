<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  boardNetlist,
  checkBoard,
  Conduction,
  EXERCISES,
  pinsOf,
  positionsOf,
  sightsOf,
  solve,
  whyNot,
  type Board,
  type BoardPin,
  type BoardVerdict,
} from '@winculum/core';
import { useSession } from '../stores/session';

/** A bench to learn switching on: wire it, flip it, measure it; the prover that checks houses checks it too. */
const session = useSession();
const store = computed(() => `winculum-bench-${session.signedIn?.user.id ?? 'guest'}`);
interface Kept {
  readonly done: readonly string[];
  readonly wires: Readonly<Record<string, Board['wires']>>;
}
function readKept(): Kept {
  try {
    return { done: [], wires: {}, ...(JSON.parse(localStorage.getItem(store.value) ?? '{}') as Partial<Kept>) };
  } catch {
    return { done: [], wires: {} };
  }
}
const kept = ref<Kept>(readKept());
watch(kept, (now) => localStorage.setItem(store.value, JSON.stringify(now)), { deep: true });

const chosen = ref(EXERCISES[0]!.id);
const exercise = computed(() => EXERCISES.find((one) => one.id === chosen.value)!);
const board = computed((): Board => ({ ...exercise.value.board, wires: kept.value.wires[chosen.value] ?? [] }));
const pins = computed(() => pinsOf(board.value));
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
  [held.value, probes.value, says.value, verdict.value, showHint.value, up.value] = [null, [], '', null, false, {}];
});

function setWires(wires: Board['wires']): void {
  kept.value = { ...kept.value, wires: { ...kept.value.wires, [chosen.value]: wires } };
  verdict.value = null;
}
/** A wire is also drawn by dragging from pin to pin; the click that ends a drag is not one more touch. */
let dragged: string | null = null;
let justJoined = false;
function release(event: PointerEvent): void {
  const target = document.elementFromPoint(event.clientX, event.clientY)?.closest<SVGElement>('[data-pin]');
  const to = target?.dataset['pin'];
  const from = dragged;
  dragged = null;
  if (mode.value !== 'wire' || !from || !to || from === to) return;
  held.value = from;
  touch(to);
  justJoined = true;
  setTimeout(() => (justJoined = false));
}
function grab(pin: string, event: PointerEvent): void {
  dragged = pin;
  (event.target as Element).releasePointerCapture?.(event.pointerId);
}
function press(pin: string): void {
  if (!justJoined) touch(pin);
}
function touch(pin: string): void {
  says.value = '';
  if (mode.value === 'meter') {
    probes.value = probes.value.includes(pin)
      ? probes.value.filter((one) => one !== pin)
      : [...probes.value.slice(-1), pin];
    return;
  }
  if (held.value === null) held.value = pin;
  else if (held.value === pin) held.value = null;
  else {
    const refusal = whyNot(board.value, held.value, pin);
    if (refusal) says.value = refusal;
    else setWires([...board.value.wires, [held.value, pin]]);
    held.value = null;
  }
}
const drop = (index: number) => setWires(board.value.wires.filter((_, i) => i !== index));
function check(): void {
  verdict.value = checkBoard(board.value);
  if (verdict.value.solved && !kept.value.done.includes(chosen.value))
    kept.value = { ...kept.value, done: [...kept.value.done, chosen.value] };
}

const positions = computed(() => new Map(switches.value.map((one) => [one.id, up.value[one.id] ?? 0])));
const now = computed(() => new Conduction(net.value).with(positions.value));
const shorted = computed(() => now.value.same('feed.hot', 'feed.neutral'));
const isHot = (pin: string) => !shorted.value && now.value.same(pin, 'feed.hot');
const lit = computed(
  () => new Set(net.value.loads.filter((load) => !shorted.value && now.value.runs(load)).map((load) => load.id)),
);
const volts = computed(() => {
  if (probes.value.length < 2 || shorted.value) return undefined;
  const { volts: at } = solve(net.value, positions.value);
  return Math.abs(at(probes.value[0]!) - at(probes.value[1]!));
});
const table = computed(() => {
  const sights = sightsOf(net.value, 'a');
  return positionsOf(switches.value.length).map((row, i) => ({ row, sights: sights[i]! }));
});

const BOX = 190;
const GAP = 46;
const HEIGHT = 330;
const names: Readonly<Record<string, string>> = {
  feed: 'FEED',
  'single-pole': 'S',
  'three-way': 'S3',
  'four-way': 'S4',
  lamp: 'LAMP',
  receptacle: 'RECEPTACLE',
  fan: 'FAN',
};
/** Where a pin is: cable ends along the top and the sides of their boxes, devices at the foot. */
const spots = computed(() => {
  const found = new Map<string, { x: number; y: number; one: BoardPin }>();
  board.value.boxes.forEach((_, box) => {
    const left = 20 + box * (BOX + GAP);
    const here = pins.value.filter((one) => one.box === box);
    for (const end of ['b', 'a'] as const)
      here
        .filter((one) => board.value.cables.some((cable) => cable.id === one.of) && one.pin.endsWith(`.${end}`))
        .forEach((one, i) => found.set(one.pin, { x: end === 'b' ? left + 26 : left + BOX - 26, y: 66 + i * 34, one }));
    const parts = board.value.parts.filter((part) => part.box === box && part.kind !== 'feed');
    parts.forEach((part, p) => {
      const own = here.filter((one) => one.of === part.id);
      const wide = BOX / parts.length;
      own.forEach((one, i) =>
        found.set(one.pin, { x: left + p * wide + ((i + 1) * wide) / (own.length + 1), y: 240, one }),
      );
    });
    here
      .filter((one) => one.of === 'feed')
      .forEach((one, i) => found.set(one.pin, { x: left + 70 + i * 44, y: 46, one }));
  });
  return found;
});
const at = (pin: string) => spots.value.get(pin)!;
const wirePath = ([a, b]: readonly [string, string], i: number) => {
  const [p, q] = [at(a), at(b)];
  const bend = 18 + (i % 5) * 7;
  return `M ${p.x} ${p.y} C ${p.x + (q.x - p.x) * 0.2} ${p.y + bend + 20}, ${q.x - (q.x - p.x) * 0.2} ${q.y - bend}, ${q.x} ${q.y}`;
};
const label = (one: BoardPin) =>
  `${one.name} of ${board.value.parts.find((part) => part.id === one.of)?.kind ?? 'the cable'} in ${board.value.boxes[one.box]}`;
const pinWords: Readonly<Record<string, string>> = {
  hot: 'HOT',
  neutral: 'NEUT',
  line: 'LINE',
  load: 'LOAD',
  common: 'COM',
  t1: 'T1',
  t2: 'T2',
  a1: 'IN1',
  a2: 'IN2',
  b1: 'OUT1',
  b2: 'OUT2',
};
const width = computed(() => 40 + board.value.boxes.length * (BOX + GAP) - GAP);
</script>

<template>
  <main class="bench">
    <header>
      <router-link to="/houses" class="plain-button">Houses</router-link>
      <h1>The bench</h1>
      <p class="muted">
        A drawing to learn on. Real wires kill: work on a dead circuit, tested dead, and only where you may.
      </p>
    </header>
    <div class="body">
      <div class="left">
        <nav aria-label="Exercises">
          <button
            v-for="one in EXERCISES"
            :key="one.id"
            class="exercise"
            :aria-pressed="one.id === chosen"
            @click="chosen = one.id"
          >
            <b class="num">{{ kept.done.includes(one.id) ? '✓' : '·' }}</b> {{ one.title }}
          </button>
          <p class="muted">
            {{ kept.done.length }} of {{ EXERCISES.length }} solved; kept on this device for
            {{ session.signedIn?.user.name ?? 'you' }}.
          </p>
        </nav>
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
          <h2 class="small-caps">Truth table</h2>
          <table>
            <thead>
              <tr>
                <th v-for="one in switches" :key="one.id">{{ one.label }}</th>
                <th>lamp</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="one in table"
                :key="one.row.join()"
                :class="{ here: one.row.every((p, i) => p === (up[switches[i]!.id] ?? 0)) }"
              >
                <td v-for="(p, i) in one.row" :key="i">{{ p ? 'up' : 'down' }}</td>
                <td>
                  <b>{{ one.sights.join(', ') }}</b>
                </td>
              </tr>
            </tbody>
          </table>
        </aside>
      </div>
      <section aria-label="Board">
        <p class="task">{{ exercise.task }} Grounds are left out here; on site every box and device has one.</p>
        <div class="tools" role="toolbar" aria-label="Bench tools">
          <button class="plain-button" :aria-pressed="mode === 'wire'" @click="mode = 'wire'">Wire</button>
          <button class="plain-button" :aria-pressed="mode === 'meter'" @click="mode = 'meter'">Meter</button>
          <button class="plain-button" :disabled="!board.wires.length" @click="setWires([])">Clear</button>
          <button class="plain-button" :aria-pressed="showHint" @click="showHint = !showHint">Hint</button>
          <button class="plain-button main" @click="check">Prove it</button>
          <span v-if="mode === 'meter'" class="meter" role="status"
            ><b class="num">{{ volts === undefined ? '– –' : Math.round(volts) }}</b> V</span
          >
        </div>
        <p v-if="showHint" class="hint">{{ exercise.hint }}</p>
        <p v-if="says" class="is-caution" role="alert">{{ says }}</p>
        <p v-if="shorted" class="is-violation" role="alert">Hot meets neutral: the breaker opens.</p>
        <div class="board">
          <svg :viewBox="`0 0 ${width} ${HEIGHT}`" :style="{ minWidth: `${width * 0.75}px` }">
            <g v-for="(name, box) in board.boxes" :key="name">
              <rect class="box" :x="20 + box * (BOX + GAP)" y="20" :width="BOX" height="276" rx="8" />
              <text class="box-name" :x="20 + box * (BOX + GAP) + BOX / 2" y="318" text-anchor="middle">
                {{ name }}
              </text>
            </g>
            <g v-for="cable in board.cables" :key="cable.id">
              <rect
                class="jacket"
                :x="20 + cable.from * (BOX + GAP) + BOX - 10"
                y="54"
                :width="GAP + 20"
                :height="34 * (Number(cable.kind[1]) - 1) + 24"
                rx="4"
              />
              <text class="kind num" :x="20 + cable.from * (BOX + GAP) + BOX + GAP / 2" :y="50" text-anchor="middle">
                {{ cable.kind }}
              </text>
            </g>
            <g v-for="part in board.parts.filter((one) => one.kind !== 'feed')" :key="part.id">
              <rect
                class="device"
                :class="{ lit: lit.has(part.id) }"
                :x="at(pins.find((one) => one.of === part.id)!.pin).x - 24"
                y="226"
                :width="
                  at(pins.filter((one) => one.of === part.id).at(-1)!.pin).x -
                  at(pins.find((one) => one.of === part.id)!.pin).x +
                  48
                "
                height="62"
                rx="4"
              />
              <text
                class="device-name num"
                :x="
                  (at(pins.find((one) => one.of === part.id)!.pin).x +
                    at(pins.filter((one) => one.of === part.id).at(-1)!.pin).x) /
                  2
                "
                y="282"
                text-anchor="middle"
              >
                {{ names[part.kind] }}{{ lit.has(part.id) ? ' ☀' : '' }}
              </text>
            </g>
            <path
              v-for="(wire, i) in board.wires"
              :key="i"
              class="wire"
              :class="{ live: isHot(wire[0]) }"
              :d="wirePath(wire, i)"
            />
            <g
              v-for="[pin, spot] in spots"
              :key="pin"
              class="pin"
              :class="[spot.one.name, { held: held === pin, probed: probes.includes(pin), live: isHot(pin) }]"
              role="button"
              tabindex="0"
              :aria-label="label(spot.one)"
              :data-pin="pin"
              @pointerdown="grab(pin, $event)"
              @pointerup="release"
              @click="press(pin)"
              @keydown.enter.prevent="touch(pin)"
              @keydown.space.prevent="touch(pin)"
            >
              <circle class="finger" :cx="spot.x" :cy="spot.y" r="17" />
              <circle class="screw" :cx="spot.x" :cy="spot.y" r="9" />
              <text
                class="pin-name num"
                :x="spot.x"
                :y="spot.one.of === 'feed' ? spot.y - 12 : spot.y + 22"
                text-anchor="middle"
              >
                {{ pinWords[spot.one.name] ?? spot.one.name }}
              </text>
            </g>
          </svg>
        </div>
        <div class="row">
          <button
            v-for="one in switches"
            :key="one.id"
            class="plain-button flip"
            :aria-pressed="(up[one.id] ?? 0) === 1"
            @click="up = { ...up, [one.id]: 1 - (up[one.id] ?? 0) }"
          >
            {{ one.label }}: <b>{{ (up[one.id] ?? 0) === 1 ? 'up' : 'down' }}</b>
          </button>
        </div>
        <details v-if="board.wires.length">
          <summary>{{ board.wires.length }} joints made</summary>
          <p v-for="(wire, i) in board.wires" :key="i" class="joint">
            {{ label(at(wire[0]).one) }} – {{ label(at(wire[1]).one) }}
            <button class="plain-button" :aria-label="`Take joint ${i + 1} apart`" @click="drop(i)">✕</button>
          </p>
        </details>
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
  text-align: left;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  font: 500 15px var(--words);
  padding: 4px 8px;
  cursor: pointer;
}
.exercise[aria-pressed='true'] {
  background: var(--card);
  border-left-color: var(--chalk);
  font-weight: 600;
}
.left {
  display: grid;
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
.tools .plain-button,
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
.board {
  overflow-x: auto;
}
.board svg {
  width: 100%;
  max-height: 56vh;
}
.box {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.box-name {
  font: 600 15px var(--words);
  fill: var(--ink);
}
.jacket {
  fill: var(--rail);
  stroke: var(--rule);
}
.kind,
.pin-name {
  font: 600 12px var(--numbers);
  fill: var(--ink);
  pointer-events: none;
}
.device {
  fill: var(--paper);
  stroke: var(--ink);
}
.device.lit {
  fill: var(--tape);
}
.device-name {
  font: 700 16px var(--numbers);
  fill: var(--ink);
}
.device.lit + .device-name {
  fill: #22302f;
}
.wire {
  fill: none;
  stroke: var(--muted);
  stroke-width: 4;
}
.wire.live {
  stroke: var(--caution);
  stroke-dasharray: 12 3;
}
.pin {
  cursor: pointer;
}
.finger {
  touch-action: none;
  fill: transparent;
}
.screw {
  fill: var(--tape);
  stroke: #22302f;
  stroke-width: 1.4;
}
.pin.black .screw,
.pin.common .screw {
  fill: #22302f;
  stroke: var(--muted);
}
.pin.red .screw {
  fill: #b3261e;
}
.pin.blue .screw {
  fill: #1f5c7a;
}
.pin.white .screw,
.pin.neutral .screw {
  fill: #fff;
}
.pin.live .screw {
  stroke: var(--caution);
  stroke-width: 3;
}
.pin.held .finger,
.pin:focus-visible .finger {
  fill: var(--chalk-soft);
  stroke: var(--chalk);
  stroke-width: 2;
}
.pin.probed .finger {
  stroke: var(--violation);
  stroke-width: 3;
}
.good {
  color: var(--reached-ink);
  font-size: 17px;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 2px 12px 2px 0;
  border-bottom: 1px solid var(--rule);
}
th {
  font: 600 12px var(--numbers);
  color: var(--muted);
}
.here {
  background: var(--chalk-soft);
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
