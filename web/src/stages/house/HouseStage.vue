<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { storeToRefs } from 'pinia';
import { computed, ref, watch } from 'vue';
import { addTypedRoom, addTypedThing, meaningsOf, readThing } from '@winculum/core';
import { toPath } from '../../drawing/plan-shapes';
import HandOverlay from '../../drawing/HandOverlay.vue';
import PlanSheet from '../../drawing/PlanSheet.vue';
import TapeInput from '../../drawing/TapeInput.vue';
import type { Tool } from '../../drawing/tools/machine';
import { useHand } from '../../drawing/use-hand';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { FEATURES, OPENINGS, ROOMS, useKinds } from './use-kinds';

const store = useHouse();
const view = useView();
const { room: roomKind, opening, feature } = storeToRefs(useKinds());
const sheet = ref<InstanceType<typeof PlanSheet>>();
const scale = ref(1);

const tool = computed<Tool>(() => {
  switch (view.tool) {
    case 'rectangle':
    case 'polygon':
      return { kind: view.tool, room: roomKind.value };
    case 'opening':
      return { kind: 'opening', opening: opening.value };
    case 'feature':
      return { kind: 'feature', feature: feature.value };
    default:
      return { kind: 'select', lasso: false };
  }
});
const hand = useHand(tool, () => 9 / scale.value);
const selected = computed(() => new Set(view.selection.map((one) => one.id)));
const room = computed(() => hand.shown.value.rooms[view.only('room') ?? '']);
const isEmpty = computed(() => !Object.values(store.current.rooms).some((one) => one.level === view.level));

/** The room that is chosen, or was last: what is typed next goes there. */
const lastRoom = ref<string | null>(null);
watch(
  () => view.only('room'),
  (id) => void (id && (lastRoom.value = id)),
  { immediate: true },
);

/** A door, window or fixture in the room that was chosen last; it is selected, with its sizes open. */
function typedThing(text: string): string | null {
  const result = addTypedThing(store.current, view.level, text, lastRoom.value, newId);
  if (!result.ok) return result.problems[0]!.message;
  if (!store.apply(result.value.edited)) return store.takeProblem();
  view.select([{ kind: result.value.kind, id: result.value.id }]);
  return null;
}

/** What the line may mean where it may mean several things: shown on the plan, and asked. */
const meanings = ref<ReturnType<typeof meaningsOf>>([]);
const tape = ref<InstanceType<typeof TapeInput>>();

function typed(text: string): string | null {
  meanings.value = meaningsOf(store.current, view.level, text, lastRoom.value, newId);
  if (meanings.value.length > 0) return 'Which of these is meant?';
  if (readThing(text)) return typedThing(text);
  const result = addTypedRoom(store.current, view.level, text, lastRoom.value, newId);
  if (!result.ok) return result.problems[0]!.message;
  if (!store.apply(result.value.edited)) return store.takeProblem();
  lastRoom.value = result.value.roomId;
  view.select([{ kind: 'room', id: result.value.roomId }]);
  requestAnimationFrame(() => sheet.value?.fit());
  return null;
}
</script>

<template>
  <div class="tools" role="toolbar" aria-label="House tools">
    <v-btn :aria-pressed="view.tool === 'select'" @click="view.tool = 'select'">Select</v-btn>
    <span class="group">
      <SearchField v-model="roomKind" class="pick" aria-label="Kind of room" :items="ROOMS" />
      <v-btn :disabled="!store.canEdit" :aria-pressed="view.tool === 'rectangle'" @click="view.tool = 'rectangle'">
        Draw room
      </v-btn>
      <v-btn :disabled="!store.canEdit" :aria-pressed="view.tool === 'polygon'" @click="view.tool = 'polygon'">
        By corners
      </v-btn>
    </span>
    <span class="group">
      <v-select
        v-model="opening"
        class="pick"
        single-line
        aria-label="Kind of opening"
        :items="OPENINGS"
        @update:menu="$event || (view.tool = 'opening')"
      />
      <v-btn :disabled="!store.canEdit" :aria-pressed="view.tool === 'opening'" @click="view.tool = 'opening'">
        Put in
      </v-btn>
    </span>
    <span class="group">
      <SearchField
        v-model="feature"
        class="pick"
        aria-label="Kind of feature"
        :items="FEATURES"
        @update:menu="$event || (view.tool = 'feature')"
      />
      <v-btn :disabled="!store.canEdit" :aria-pressed="view.tool === 'feature'" @click="view.tool = 'feature'">
        Set down
      </v-btn>
    </span>
    <v-btn @click="sheet?.fit()">Fit</v-btn>
  </div>
  <div class="sheet">
    <PlanSheet
      ref="sheet"
      :house="hand.shown.value"
      :level="view.level"
      :target="view.target"
      :pans="tool.kind === 'select'"
      :selected="selected"
      :cursor="tool.kind === 'select' ? 'default' : 'crosshair'"
      @hand="hand.send"
      @scale="scale = $event"
    >
      <template #over="{ scale: now }"
        ><HandOverlay
          :state="hand.state.value"
          :house="store.current"
          :scale="now"
          :level="view.level"
          :room="room"
          :handles="store.canEdit"
        />
        <g v-for="(one, i) in meanings" :key="one.line" class="meant">
          <path :d="toPath(one.outline)" :stroke-width="2 / now" :stroke-dasharray="`${8 / now} ${5 / now}`" />
          <text
            :x="one.outline.reduce((sum, at) => sum + at.x, 0) / one.outline.length"
            :y="one.outline.reduce((sum, at) => sum + at.y, 0) / one.outline.length"
            :font-size="18 / now"
            text-anchor="middle"
            dominant-baseline="middle"
          >
            {{ i + 1 }}
          </text>
        </g></template
      >
    </PlanSheet>
    <p v-if="isEmpty" class="empty">
      <b>Nothing on this level yet.</b><br />Type a room below, for instance <b class="num">living 18' x 14'</b>, or
      choose <b>Draw room</b> and drag on the sheet.
    </p>
    <p v-if="hand.refusal.value" class="refusal is-violation" role="status">{{ hand.refusal.value }}</p>
  </div>
  <div v-if="meanings.length" class="asked" role="group" aria-label="Which of these is meant?">
    <v-btn v-for="(one, i) in meanings" :key="one.line" @click="tape?.say(one.line)">{{ i + 1 }} {{ one.words }}</v-btn>
  </div>
  <TapeInput
    v-if="store.canEdit"
    ref="tape"
    @typing="meanings = []"
    :run="typed"
    placeholder="bedroom 12 x 11'6 east of Hall"
    hint="a room: kind, width x depth, east of a room. In it: door 32 to hall at 4', window 48x36 on north, sink at 5' on west"
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
.group {
  display: flex;
  gap: 4px;
}
.pick {
  width: 116px;
  flex: none;
}
.sheet {
  flex: 1;
  min-height: 0;
  position: relative;
  border-top: 1px solid var(--rule);
}
.empty {
  position: absolute;
  inset: 30% 20% auto;
  text-align: center;
  font-size: 17px;
  line-height: 1.5;
  background: var(--card);
  border: 1px dashed var(--rule);
  border-radius: 6px;
  padding: 22px;
  pointer-events: none;
}
.meant path {
  fill: var(--chalk-soft);
  fill-opacity: 0.6;
  stroke: var(--chalk);
}
.meant text {
  fill: var(--chalk);
  font-family: var(--numbers);
  font-weight: 700;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 12px 0;
}
.asked .v-btn {
  min-height: 44px;
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
