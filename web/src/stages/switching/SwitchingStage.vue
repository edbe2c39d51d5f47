<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue';
import {
  acceptPlan,
  boxPoint,
  groupLetters,
  indexOutlets,
  joinSwitch,
  wordFor,
  type Box,
  type BoxingPlan,
  type House,
  type NightFlaw,
  type NightWalk,
  type Point,
} from '@winculum/core';
import HandOverlay from '../../drawing/HandOverlay.vue';
import PlanSheet from '../../drawing/PlanSheet.vue';
import StagePart from '../../frame/StagePart.vue';
import type { Tool } from '../../drawing/tools/machine';
import { useHand, type HandEvent } from '../../drawing/use-hand';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import ProgressBar from '../../work/ProgressBar.vue';
import { useLongWork } from '../../work/long-work';
import GroupList from './GroupList.vue';
import GroupMarks from './GroupMarks.vue';
import NightMarks from './NightMarks.vue';
import NightPanel from './NightPanel.vue';
import StandardsPanel from './StandardsPanel.vue';
import type { SwitchJob } from './switch-room.worker';

/** Which switch governs which light, and how it is to walk through the house at night. */
const store = useHouse();
const view = useView();
const scale = ref(1);
const side = ref<'groups' | 'night'>('groups');
const chosen = ref<string | null>(null);
const letters = computed(() => groupLetters(store.current.switchGroups));
const tool = computed<Tool>(() => ({ kind: 'select', lasso: false }));
const hand = useHand(tool, () => 9 / scale.value, { movesThings: false });
const index = computed(() => indexOutlets(store.current));
const idle = computed(() => {
  const claimed = new Set(Object.values(store.current.switchGroups).flatMap((one) => one.switches));
  return index.value.all.filter((one) => one.device.kind === 'switch' && !claimed.has(one.device.id));
});

/** The line that is being drawn from a switch. */
const drawn = shallowRef<{ from: Box; at: Point; to: Point } | null>(null);
const isSwitch = (box: Box) => Object.values(box.devices).some((one) => one.kind === 'switch');
const canBeSwitched = (box: Box) =>
  Object.values(box.devices).some((one) => /^(luminaire|fan|receptacle|connection)$/.test(one.kind));

/** Which two devices a line from box to box means: the free switch first, then the free outlet. */
function devicesOf(from: Box, to: Box): { switchId: string; controlId: string } | undefined {
  const groups = Object.values(store.current.switchGroups);
  const controls = Object.values(to.devices).filter((one) => /^(luminaire|fan|connection|receptacle)$/.test(one.kind));
  const control = controls.find((one) => !groups.some((group) => group.controls.includes(one.id))) ?? controls[0];
  const switches = Object.values(from.devices).filter((one) => one.kind === 'switch');
  const ofLamp = control && groups.find((group) => group.controls.includes(control.id));
  const free = switches.find((one) => !groups.some((group) => group.switches.includes(one.id)));
  const one = free ?? switches.find((each) => !ofLamp || !ofLamp.switches.includes(each.id)) ?? switches[0];
  return one && control ? { switchId: one.id, controlId: control.id } : undefined;
}

function join(from: Box, to: Box): void {
  const [a, b] = isSwitch(from) ? [from, to] : [to, from];
  const pair = devicesOf(a, b);
  if (!pair)
    store.problem = 'Draw from a box with a switch to a box with a light, a fan, a connection or a receptacle.';
  else if (store.apply(joinSwitch(store.current, pair.switchId, pair.controlId, newId)))
    chosen.value =
      Object.values(store.current.switchGroups).find((one) => one.switches.includes(pair.switchId))?.id ?? null;
}

function send(event: HandEvent): void {
  hand.send(event);
  if (!('point' in event)) return;
  if (event.type === 'down' && event.hit?.kind === 'box' && store.canEdit) {
    const box = store.current.boxes[event.hit.id];
    if (box && isSwitch(box)) drawn.value = { from: box, at: boxPoint(store.current, box), to: event.point };
  } else if (event.type === 'leave') drawn.value = null;
  else if (event.type === 'move' && drawn.value) drawn.value = { ...drawn.value, to: event.point };
}
function letGo(event: PointerEvent): void {
  const from = drawn.value?.from;
  drawn.value = null;
  if (!from) return;
  // The box under the hand, or the nearest within a finger's width that can be switched.
  const under = document
    .elementsFromPoint(event.clientX, event.clientY)
    .flatMap((one) => one.closest<HTMLElement>('[data-hit="box"]') ?? []);
  const to = under
    .map((one) => store.current.boxes[one.dataset['id']!])
    .find((box) => box && box !== from && canBeSwitched(box));
  if (to) join(from, to);
}
window.addEventListener('pointerup', letGo);
onBeforeUnmount(() => window.removeEventListener('pointerup', letGo));

/** By keyboard: the boxes picked on the plan, a switch and what it is to control. */
const picked = computed(() =>
  view.selection.flatMap((one) => (one.kind === 'box' ? (store.current.boxes[one.id] ?? []) : [])),
);
const pair = computed(() => {
  const from = picked.value.filter(isSwitch);
  const to = picked.value.filter((box) => !isSwitch(box) && canBeSwitched(box));
  return from.length > 0 && to.length > 0 ? { from, to } : undefined;
});
function joinPicked(): void {
  if (!pair.value) return;
  for (const box of pair.value.to) join(pair.value.from[0]!, box);
  for (const box of pair.value.from.slice(1)) join(box, pair.value.to[0]!);
}
const selected = computed(() => {
  const ids = new Set(view.selection.map((one) => one.id));
  const group = chosen.value === null ? undefined : store.current.switchGroups[chosen.value];
  for (const id of [...(group?.switches ?? []), ...(group?.controls ?? [])]) {
    const outlet = index.value.byDevice.get(id);
    if (outlet) ids.add(outlet.box.id);
  }
  return ids;
});
watch(
  () => view.only('box'),
  (id) => {
    const devices = id ? Object.keys(store.current.boxes[id]?.devices ?? {}) : [];
    const group = Object.values(store.current.switchGroups).find((one) =>
      [...one.switches, ...one.controls].some((each) => devices.includes(each)),
    );
    if (group && side.value === 'groups') chosen.value = group.id;
  },
);

const comparing = ref(false);
const proposal = shallowRef<{ plan: BoxingPlan; made: House } | null>(null);
const work = useLongWork<SwitchJob, BoxingPlan>(
  () => new Worker(new URL('./switch-room.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
watch(
  () => store.house,
  () => (proposal.value = null),
);
async function switchIt(): Promise<void> {
  const made = toRaw(store.current);
  const room = view.only('room');
  const plan = await work.ask({ house: made, rooms: room ? [room] : Object.keys(made.rooms) });
  if (plan) proposal.value = { plan, made };
}
function accept(): void {
  const now = proposal.value;
  if (now && store.apply(acceptPlan(store.current, now.plan, new Set(now.plan.boxes.map((one) => one.box.id)))))
    proposal.value = null;
}

const night = shallowRef<{
  walk: NightWalk | null;
  step: number;
  flaws: readonly NightFlaw[];
  chosen: NightFlaw | null;
}>({ walk: null, step: 0, flaws: [], chosen: null });
function show(walk: NightWalk | null, step: number, flaws: readonly NightFlaw[], flaw: NightFlaw | null): void {
  night.value = { walk, step, flaws, chosen: flaw };
  const level = walk ? walk.steps[step]?.level : flaw?.level;
  if (level) view.level = level;
}
</script>

<template>
  <div class="tools" role="toolbar" aria-label="Switching tools">
    <span class="muted hint">Drag from a switch to its light.</span>
    <v-btn v-if="store.canEdit && pair" @click="joinPicked"> Join the {{ picked.length }} picked </v-btn>
    <span class="grow" />
    <span v-if="idle.length" class="is-caution"
      ><b class="num">{{ idle.length }}</b> {{ wordFor(idle.length, 'switch', 'switches') }} without a group</span
    >
    <v-btn :aria-pressed="comparing" @click="comparing = !comparing"> Compare with your practice </v-btn>
    <v-btn color="primary" variant="flat" v-if="store.canEdit" :disabled="!!work.progress.value" @click="switchIt">
      {{ view.only('room') ? 'Switch this room' : 'Switch the house' }}
    </v-btn>
  </div>
  <ProgressBar v-if="work.progress.value" title="Switching" :progress="work.progress.value" @cancel="work.cancel()" />
  <StandardsPanel v-if="comparing" @close="comparing = false" />
  <p v-if="proposal" class="proposal" role="status">
    <template v-if="proposal.plan.boxes.length">
      <b class="num">{{ proposal.plan.boxes.length }}</b>
      {{ wordFor(proposal.plan.boxes.length, 'switch box', 'switch boxes') }}
      at the latch side of the ways in, for rooms whose light has no switch yet.
      <v-btn color="primary" variant="flat" @click="accept">Accept</v-btn>
    </template>
    <template v-else>Every light that is drawn has its switch already; nothing to add.</template>
    <v-btn @click="proposal = null">
      {{ proposal.plan.boxes.length ? 'Discard' : 'Close' }}
    </v-btn>
  </p>
  <div class="stage-sheet">
    <PlanSheet
      :house="store.current"
      :level="view.level"
      :target="view.target"
      :pans="!drawn"
      :selected="selected"
      show-boxes
      @hand="send"
      @scale="scale = $event"
    >
      <template #over="{ scale: now }">
        <NightMarks v-if="side === 'night'" :level="view.level" :scale="now" v-bind="night" />
        <GroupMarks v-else :level="view.level" :scale="now" :chosen="chosen" :letters="letters" />
        <line
          v-if="drawn"
          class="drawn"
          :x1="drawn.at.x"
          :y1="drawn.at.y"
          :x2="drawn.to.x"
          :y2="drawn.to.y"
          :stroke-width="3 / now"
        />
        <HandOverlay :state="hand.state.value" :house="store.current" :scale="now" />
      </template>
    </PlanSheet>
  </div>
  <StagePart title="Switching">
    <div class="stage-list">
      <v-tabs v-model="side" grow>
        <v-tab value="groups">Groups {{ letters.size }}</v-tab>
        <v-tab value="night">Night walk</v-tab>
      </v-tabs>
      <div class="body">
        <NightPanel v-if="side === 'night'" @show="show" />
        <GroupList v-else v-model:chosen="chosen" :letters="letters" />
      </div>
    </div>
  </StagePart>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 12px;
  flex: none;
  min-height: 52px;
}
.proposal {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 12px;
  background: var(--chalk-soft);
}
.drawn {
  stroke: var(--chalk);
  stroke-linecap: round;
  pointer-events: none;
}
.body {
  overflow-y: auto;
  padding: 10px;
}
</style>
