<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { boundsOf, count, SPACED_ROOMS, wordFor } from '@winculum/core';
import HandOverlay from '../../drawing/HandOverlay.vue';
import MenuButton from '../../fields/MenuButton.vue';
import PlanSheet from '../../drawing/PlanSheet.vue';
import StagePart from '../../frame/StagePart.vue';
import TapeInput from '../../drawing/TapeInput.vue';
import WallStrip from '../../drawing/WallStrip.vue';
import type { BoxTool } from '../../drawing/tools/place-new';
import type { Tool } from '../../drawing/tools/machine';
import { useHand } from '../../drawing/use-hand';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import ProgressBar from '../../work/ProgressBar.vue';
import BoxingMarks from './BoxingMarks.vue';
import BoxingPanel from './BoxingPanel.vue';
import CeilingMarks from './CeilingMarks.vue';
import CeilingPanel from './CeilingPanel.vue';
import ReachOverlay from './ReachOverlay.vue';
import { useBoxing } from './use-boxing';
import { useFilling } from './use-filling';
import { TOOLS, useStripKeys } from './use-strip-keys';

const store = useHouse();
const view = useView();
const scale = ref(1);
const others: readonly BoxTool[] = ['receptacle-240', 'floor-receptacle', 'fan', 'connection', 'low-voltage'];

const tool = computed<Tool>(() =>
  view.tool === 'select' ? { kind: 'select', lasso: false } : { kind: 'box', box: view.tool as BoxTool },
);
const hand = useHand(tool, () => 9 / scale.value);
const selected = computed(() => new Set(view.selection.map((one) => one.id)));
const room = computed(() => store.current.rooms[view.stripRoom]);
const levelRooms = computed(() => Object.values(store.current.rooms).filter((one) => one.level === view.level));

/** The room to begin with: the one in hand; where something is open; else the first one under the wall spacing. */
function chooseRoom(): string {
  const inHand = view.only('room');
  if (inHand && store.current.rooms[inHand]?.level === view.level) return inHand;
  const open = (store.check?.findings ?? []).find(
    (one) => one.stage === 'boxes' && one.where.room && store.current.rooms[one.where.room]?.level === view.level,
  );
  return (
    open?.where.room ?? (levelRooms.value.find((one) => SPACED_ROOMS.has(one.kind)) ?? levelRooms.value[0])?.id ?? ''
  );
}

watch(
  [() => view.level, () => Object.keys(store.current.rooms).length],
  () => {
    if (room.value?.level === view.level) return;
    view.stripRoom = chooseRoom();
    view.cursorIn = 0;
  },
  { immediate: true },
);

const { limits, fill, accept, inProposal, onStuds, nothing } = useFilling(room);
const { boxing, ticked, ceiling, grid, work: boxingWork, layOut } = useBoxing();
const { typed, preview, ghost, lookAhead, presets, putPreset } = useStripKeys(room, accept);

const FILLS = [
  { value: 'wall', word: 'This wall', group: 'The fewest that reach everything' },
  { value: 'room', word: 'This room' },
  { value: 'house', word: 'The whole house' },
] as const;
const LAYOUTS = [
  { value: 'room', word: 'This room', group: 'Receptacles, lights, switches, alarms that are missing' },
  { value: 'house', word: 'The whole house' },
  { value: 'ceiling', word: 'Lights in rows on the ceiling', group: 'By hand' },
] as const;
const worded = (tool: string) => (tool === 'receptacle-240' ? '240 V receptacle' : tool.replaceAll('-', ' '));
const more = computed(() => [
  ...others.map((value, i) => ({
    value: value as string,
    word: worded(value),
    ...(i === 0 ? { group: 'Boxes' } : {}),
  })),
  ...presets.value.map((one, i) => ({
    value: `preset ${i}`,
    word: `${i + 1} ${one.name}`,
    disabled: !room.value,
    ...(i === 0 ? { group: 'Presets at the cursor, keys 1 to 9' } : {}),
  })),
]);

function fillWith(what: 'wall' | 'room' | 'house'): void {
  boxing.value = null;
  fill(what);
}

async function boxIt(what: (typeof LAYOUTS)[number]['value']): Promise<void> {
  if (what === 'ceiling') return void (ceiling.value = true);
  const isDone = await layOut(what === 'house' ? Object.keys(store.current.rooms) : [view.stripRoom]);
  if (!isDone) return;
  if (room.value && what === 'room') flyToRoom();
  else setTimeout(() => (view.target = { bounds: boundsOf(levelRooms.value.flatMap((one) => one.corners)) }), 60);
}

/** The sheet gets narrower when a panel opens; the room is brought into what is left. */
function flyToRoom(): void {
  setTimeout(() => room.value && (view.target = { bounds: boundsOf(room.value.corners) }), 60);
}
watch(ceiling, (isOpen) => isOpen && flyToRoom());
/** The whole level is shown until a room is chosen. */
watch(
  () => view.only('room'),
  (id) => id && id === view.stripRoom && flyToRoom(),
);

/** What of the sheet is shown. */
const layers = ref({ reach: true, tags: true });

/** Another kind of box to place, or a preset that is set down at once. */
function pickOther(value: string): void {
  const preset = /^preset (\d+)$/.exec(value);
  if (preset) putPreset(Number(preset[1]));
  else view.tool = value as BoxTool;
}
</script>

<template>
  <div class="tools" role="toolbar" aria-label="Box tools">
    <v-btn :aria-pressed="view.tool === 'select'" @click="view.tool = 'select'">Select</v-btn>
    <v-btn
      v-for="one in TOOLS"
      :key="one.key"
      :aria-pressed="view.tool === one.tool"
      :disabled="!store.canEdit"
      @click="view.tool = one.tool"
    >
      <span class="key">{{ one.key }}</span> {{ one.label }}
    </v-btn>
    <MenuButton
      label="Other boxes and presets"
      :shown="others.includes(view.tool as BoxTool) ? worded(view.tool) : 'more'"
      :pressed="others.includes(view.tool as BoxTool)"
      :entries="more"
      :disabled="!store.canEdit"
      @choose="pickOther"
    />
    <span class="grow" />
    <template v-if="store.canEdit">
      <MenuButton label="Space receptacles" :entries="FILLS" @choose="fillWith" />
      <MenuButton label="Lay out boxes" :entries="LAYOUTS" @choose="boxIt" />
    </template>
  </div>
  <div v-if="view.proposal" class="proposal" role="status">
    <template v-if="view.proposal.boxes.length">
      <b class="num">{{ view.proposal.boxes.length }}</b>
      {{ wordFor(view.proposal.boxes.length, 'receptacle') }} proposed, the fewest {{ onStuds }}:
      {{ inProposal }}
      <template v-if="view.proposal.unreachable.length"
        >; {{ count(view.proposal.unreachable.length, 'stretch', 'stretches') }} left to you: something stands before
        the wall</template
      >
      <span class="grow" />
      <v-btn color="primary" variant="flat" @click="accept">Accept all</v-btn>
      <v-btn @click="view.proposal = null">Discard</v-btn>
    </template>
    <template v-else>{{ nothing }} <span class="grow" /><v-btn @click="view.proposal = null"> OK </v-btn></template>
  </div>
  <ProgressBar
    v-if="boxingWork.progress.value"
    title="Laying out boxes"
    :progress="boxingWork.progress.value"
    @cancel="boxingWork.cancel()"
  />
  <div class="sheet only-as-sheet">
    <PlanSheet
      class="plan"
      :house="hand.shown.value"
      :level="view.level"
      :target="view.target"
      :near="room && boundsOf(room.corners)"
      :pans="tool.kind === 'select'"
      :selected="selected"
      show-boxes
      :show-tags="layers.tags"
      :cursor="tool.kind === 'select' ? 'default' : 'crosshair'"
      @hand="hand.send"
      @scale="scale = $event"
    >
      <template #default="{ scale: now }"
        ><ReachOverlay
          v-if="layers.reach"
          :house="hand.shown.value"
          :level="view.level"
          :scale="now"
          :limits="limits"
          :proposal="view.proposal"
          :strip-room="view.stripRoom"
          :cursor-in="view.cursorIn"
      /></template>
      <template #over="{ scale: now }"
        ><BoxingMarks
          v-if="boxing"
          :plan="boxing"
          :house="store.current"
          :level="view.level"
          :scale="now"
          :chosen="ticked" /><CeilingMarks v-if="ceiling && grid" :grid="grid" :scale="now" /><HandOverlay
          :state="hand.state.value"
          :house="store.current"
          :scale="now"
      /></template>
    </PlanSheet>
    <v-menu :close-on-content-click="false">
      <template #activator="{ props: opener }"><v-btn v-bind="opener" class="show">Show ▾</v-btn></template>
      <v-card class="pa-3" role="group" aria-label="What is shown">
        <v-checkbox v-model="layers.reach" density="compact" hide-details label="reach along the walls" />
        <v-checkbox v-model="layers.tags" density="compact" hide-details label="tags" />
        <v-btn v-if="room" @click="view.target = { bounds: boundsOf(room.corners) }">
          <span class="key">Z</span> zoom to {{ room.name }}
        </v-btn>
      </v-card>
    </v-menu>
    <p v-if="!levelRooms.length" class="empty">
      No room on this level. Draw one under <router-link :to="`/houses/${store.id}/house`">House</router-link>, then
      fill it here.
    </p>
    <p v-if="hand.refusal.value" class="refusal is-violation" role="status">{{ hand.refusal.value }}</p>
  </div>
  <StagePart v-if="boxing" title="Proposal" tall>
    <BoxingPanel :plan="boxing" @close="boxing = null" @show="ticked = $event" />
  </StagePart>
  <StagePart v-else-if="ceiling && room" title="Ceiling" tall>
    <CeilingPanel :room="room" @close="ceiling = false" @grid="grid = $event" />
  </StagePart>
  <div v-if="room && !boxing && !ceiling" class="under only-as-strip">
    <WallStrip
      :house="hand.shown.value"
      :room-id="room.id"
      :selected="selected"
      :cursor-in="view.cursorIn"
      :typed="ghost"
      :proposal="view.proposal"
      :can-edit="store.canEdit"
      :limits="limits"
      @cursor="view.cursorIn = $event"
      @pick="(id, add) => view.select(add ? [...view.selection, { kind: 'box', id }] : [{ kind: 'box', id }])"
      @commit="store.apply($event)"
    />
  </div>
  <TapeInput
    v-if="room && store.canEdit && !boxing && !ceiling"
    :run="typed"
    :preview="preview"
    placeholder="R 7'-8"
    hint='R, GFCI, S, L or A, a distance from the last place, a height; 2S 6" latch; a bare distance walks on, - back'
    @typing="lookAhead"
    action="Enter places it"
  />
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 8px 12px;
  flex-wrap: wrap;
}
.show {
  position: absolute;
  left: 10px;
  bottom: 10px;
  z-index: 2;
}
.proposal {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 12px;
  background: var(--chalk-soft);
  border-top: 1px solid var(--chalk);
  min-height: 50px;
}
.proposal b {
  font-size: 24px;
}
.sheet {
  flex: 1;
  min-height: 0;
  position: relative;
  border-top: 1px solid var(--rule);
}
.under {
  padding: 8px 12px 0;
}
.empty {
  position: absolute;
  inset: 30% 20% auto;
  text-align: center;
  font-size: 17px;
  background: var(--card);
  border: 1px dashed var(--rule);
  border-radius: 6px;
  padding: 22px;
}
.refusal {
  position: absolute;
  left: 16px;
  bottom: 10px;
  background: var(--card);
  border: 1px solid var(--violation);
  border-radius: 4px;
  padding: 8px 12px;
}
</style>
