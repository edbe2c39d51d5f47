<script setup lang="ts">
import { openThreads, placeOfComment, wordFor, type CommentPlace } from '@winculum/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useDisplay } from 'vuetify';
import { useFirmStandards } from '../stores/firm-standards';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import { STAGES, type Stop } from '../stops';
import OpenItems from './OpenItems.vue';
import FindingCard from './FindingCard.vue';
import { useFly } from './fly';
import SplitHandle from './SplitHandle.vue';
import WhyPanel from './WhyPanel.vue';
import { rememberedSize, useLayout } from './use-layout';

/**
 * The one region beside the sheet. At a desk it is a stack: what the stage lists or proposes above, what is selected below; its width
 * and the edge between the two are dragged. On a tablet it comes from below at three heights, on a phone it is a page of its own.
 */
const props = defineProps<{ stop: Stop }>();
const store = useHouse();
const view = useView();
const firm = useFirmStandards();
const layout = useLayout();
const { height, width } = useDisplay();
const CommentThreads = defineAsyncComponent(() => import('./CommentThreads.vue'));
const RoomForm = defineAsyncComponent(() => import('../stages/house/HousePanel.vue'));
const CircuitForm = defineAsyncComponent(() => import('../stages/circuits/CircuitPanel.vue'));

/** What comments are about: the box, circuit or room that is selected. */
const place = computed((): CommentPlace | undefined => {
  const [first] = view.selection;
  if (first?.kind !== 'box' && first?.kind !== 'circuit' && first?.kind !== 'room') return undefined;
  return { [first.kind]: first.id };
});
const said = computed(() => openThreads(store.current, place.value));
const fly = useFly();

const count = computed(() => store.check?.findings.length ?? 0);
const form = computed(() =>
  props.stop === 'house'
    ? RoomForm
    : (props.stop === 'circuits' || props.stop === 'load-profile') && view.only('circuit')
      ? CircuitForm
      : WhyPanel,
);

/** The plan keeps 55 % of a desk's width: the rail and this region share the rest. */
const widest = computed(() => Math.max(280, Math.floor(width.value * 0.45) - 168));
const wide = rememberedSize('side width', 324);
/** Beside papers it is folded until something is selected: most of the time it would stand there empty. */
const isPapers = computed(() => STAGES.some((one) => one.id === props.stop && one.papers));
const OPEN = 1;
const FOLDED = 2;
const besideSheet = rememberedSize('side folded', OPEN);
const besidePapers = rememberedSize('side folded, papers', FOLDED);
const isAsked = computed(
  () =>
    view.stagePart !== '' ||
    view.finding !== null ||
    view.selection.some((one) => one.kind === 'box' || one.kind === 'room'),
);
const isFolded = computed(() => {
  if (layout.value !== 'desk') return false;
  return isPapers.value ? besidePapers.value === FOLDED && !isAsked.value : besideSheet.value === FOLDED;
});
const fold = (state: typeof OPEN | typeof FOLDED) => void ((isPapers.value ? besidePapers : besideSheet).value = state);
function showOpenItems(): void {
  view.side = 'open-items';
  fold(OPEN);
}
/** What is selected takes so much below a list, and less below a proposal that is worked through. */
const besideList = rememberedSize('side lower', 300);
const besideProposal = rememberedSize('side lower, proposal', 150);
const lower = computed({
  get: () => (view.isTall ? besideProposal : besideList).value,
  set: (px) => void ((view.isTall ? besideProposal : besideList).value = px),
});
const tallest = computed(() => Math.max(160, height.value - 48 - 200));

/** Heights of the sheet from below: its tabs alone, a part of the screen, most of it. */
const HEIGHTS = [0, 0.38, 0.72];
const raised = ref(1);
const dragged = ref<number | null>(null);
const sheetPx = computed(() => dragged.value ?? Math.max(64, Math.round(height.value * HEIGHTS[raised.value]!)));
function settle(): void {
  const share = (dragged.value ?? sheetPx.value) / height.value;
  raised.value = HEIGHTS.reduce(
    (best, one, i) => (Math.abs(one - share) < Math.abs(HEIGHTS[best]! - share) ? i : best),
    0,
  );
  dragged.value = null;
}
watch(
  () => view.side,
  () => void (raised.value = Math.max(1, raised.value)),
);

/** At a desk the stage's part stands above; elsewhere it is a tab. */
const isStack = computed(() => layout.value === 'desk');
const tab = computed({
  get: () => (view.side === 'stage' && (isStack.value || !view.stagePart) ? 'why' : view.side),
  set: (next) => void (view.side = next),
});
const TAB_NAMES = computed(() => ({
  stage: view.stagePart,
  why: 'Why',
  'open-items': 'Open items',
  comments: 'Comments',
}));
const style = computed(() =>
  layout.value === 'desk'
    ? { width: isFolded.value ? '40px' : `${Math.min(wide.value, widest.value)}px` }
    : layout.value === 'tablet'
      ? { height: `${sheetPx.value}px` }
      : {},
);
</script>

<template>
  <aside class="side" :class="[layout, { folded: isFolded }]" :style="style" aria-label="What is selected, and why">
    <v-btn
      v-if="layout === 'desk'"
      class="fold"
      variant="text"
      size="small"
      :aria-expanded="!isFolded"
      :aria-label="isFolded ? 'Unfold the side region' : 'Fold the side region'"
      @click="fold(isFolded ? OPEN : FOLDED)"
      >{{ isFolded ? '«' : '»' }}</v-btn
    >
    <v-btn v-if="isFolded && count > 0" class="spine" variant="text" @click="showOpenItems"
      >{{ count }} {{ wordFor(count, 'open item') }}</v-btn
    >
    <SplitHandle
      v-if="layout === 'desk' && !isFolded"
      class="width-edge"
      axis="x"
      label="Edge between sheet and side region"
      :model-value="Math.min(wide, widest)"
      :min="260"
      :max="widest"
      @update:model-value="wide = $event"
    />
    <SplitHandle
      v-if="layout === 'tablet'"
      axis="y"
      label="Upper edge of the side region"
      :model-value="sheetPx"
      :min="64"
      :max="Math.round(height * 0.72)"
      @update:model-value="dragged = $event"
      @let-go="settle"
    />
    <div v-show="!isFolded" class="inside">
      <v-tabs v-if="!isStack" v-model="tab" class="tabs" grow aria-label="Side panel">
        <v-tab v-if="view.stagePart" value="stage" aria-controls="side-stage">{{ view.stagePart }}</v-tab>
        <v-tab value="why" aria-controls="side-body">Why</v-tab>
        <v-tab value="open-items" aria-controls="side-body"
          >Open items <b class="num n">{{ count }}</b></v-tab
        >
        <v-tab value="comments" aria-controls="side-body"
          >Comments <b v-if="said" class="num n">{{ said }}</b></v-tab
        >
      </v-tabs>
      <div v-show="view.stagePart && (isStack || tab === 'stage')" id="side-stage" class="stage-part" />
      <SplitHandle
        v-if="isStack && view.stagePart"
        axis="y"
        label="Edge above what is selected"
        :model-value="Math.min(lower, tallest)"
        :min="72"
        :max="tallest"
        @update:model-value="lower = $event"
      />
      <div
        v-show="isStack || tab !== 'stage'"
        class="lower"
        :class="{ below: isStack && view.stagePart }"
        :style="isStack && view.stagePart ? { flex: `0 0 ${Math.min(lower, tallest)}px` } : {}"
      >
        <v-tabs v-if="isStack" v-model="tab" class="tabs" grow aria-label="Side panel">
          <v-tab value="why" aria-controls="side-body">Why</v-tab>
          <v-tab value="open-items" aria-controls="side-body"
            >Open items <b class="num n">{{ count }}</b></v-tab
          >
          <v-tab value="comments" aria-controls="side-body"
            >Comments <b v-if="said" class="num n">{{ said }}</b></v-tab
          >
        </v-tabs>
        <div id="side-body" class="body" role="tabpanel" tabindex="0" :aria-label="TAB_NAMES[tab]">
          <OpenItems v-if="tab === 'open-items'" />
          <template v-else-if="tab === 'comments'">
            <p class="about">
              About <b>{{ (place && placeOfComment(store.current, place)) || 'the house' }}</b>
              <span v-if="!place" class="muted">: select a room, a box or a circuit to speak of it</span>
            </p>
            <CommentThreads :key="JSON.stringify(place ?? null)" :place="place" @go-to="fly($event)" />
          </template>
          <template v-else>
            <FindingCard v-if="view.finding" :finding="view.finding" is-main />
            <v-btn v-if="firm.offered.length && !view.selection.length" class="offer" @click="view.job = 'firm'"
              >{{ firm.offered.length }} {{ wordFor(firm.offered.length, 'standard differs', 'standards differ') }} from
              the firm's</v-btn
            >
            <component :is="form" :stop="stop" />
          </template>
        </div>
        <p class="foot muted">Local code and the inspector decide.</p>
      </div>
    </div>
  </aside>
</template>

<style scoped>
.n {
  margin-left: 6px;
}
.side {
  background: var(--card);
  border-left: 1px solid var(--rule);
  display: flex;
  min-height: 0;
  min-width: 0;
  position: relative;
}
.side.tablet,
.side.phone {
  flex-direction: column;
  border-left: 0;
  border-top: 1px solid var(--rule);
}
.width-edge {
  position: absolute;
  inset: 0 auto 0 -5px;
  z-index: 3;
}
.fold {
  position: absolute;
  inset: 6px 2px auto auto;
  z-index: 2;
  min-width: 30px;
  padding: 0;
  font-size: 17px;
}
/* Along the folded edge, read from below. */
.spine {
  position: absolute;
  inset: 52px 2px auto auto;
  min-width: 30px;
  height: auto;
  padding: 8px 2px;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
}
.inside,
.lower {
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.desk .inside > .stage-part {
  padding-top: 0;
}
.stage-part {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: var(--rail);
}
.desk .tabs {
  padding-right: 34px;
}
.desk .lower.below .tabs {
  padding-right: 0;
}
.tabs {
  flex: none;
}
/* Three words beside each other in the narrowest region. */
.tabs :deep(.v-tab) {
  min-width: 0;
  padding: 0 8px;
}
.body {
  flex: 1;
  overflow-y: auto;
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.foot {
  padding: 6px 18px;
  font-size: 12.5px;
  border-top: 1px solid var(--rule);
}
</style>
