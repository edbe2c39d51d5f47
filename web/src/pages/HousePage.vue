<script setup lang="ts">
import { defineAsyncComponent, onUnmounted, onMounted, ref, watch, type Component } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useHouse } from '../stores/house';
import { useFirmStandards } from '../stores/firm-standards';
import { JOB_PARTS, useView, type JobPart } from '../stores/view';
import ConflictDialog from '../frame/ConflictDialog.vue';
import HelpDialog from '../frame/HelpDialog.vue';
import OrderRail from '../frame/OrderRail.vue';
import PhoneBar from '../frame/PhoneBar.vue';
import SignedOutBar from '../frame/SignedOutBar.vue';
import SidePanel from '../frame/SidePanel.vue';
import TopBar from '../frame/TopBar.vue';
import { useLayout } from '../frame/use-layout';
import { STAGES, STOPS, TITLES, type Stop } from '../stops';
import { usePageTitle } from '../page-title';
import { useKeys } from '../surface/keys';

const props = defineProps<{ id: string; stop: Stop }>();
const store = useHouse();
const view = useView();
const firm = useFirmStandards();
const router = useRouter();
const failure = ref('');
const showHelp = ref(false);
const layout = useLayout();

usePageTitle(() => store.house && `${store.house.name}: ${TITLES[props.stop]}`);

const StandardsPage = defineAsyncComponent(() => import('../frame/StandardsPage.vue'));
const route = useRoute();
const jobOf = (word: unknown): JobPart | '' => JOB_PARTS.find((one) => one === word) ?? '';
// The page of standards is in the address: it opens again on a reload, and the browser's way back closes it.
watch(
  () => view.job,
  (job) => {
    if (job === jobOf(route.query['job'])) return;
    const query = { ...route.query, job: job || undefined };
    void (job && !route.query['job'] ? router.push({ query }) : router.replace({ query }));
  },
);
watch(
  () => route.query['job'],
  (job) => void (view.job = jobOf(job)),
);

const PAPERS: ReadonlySet<Stop> = new Set(STAGES.flatMap((one) => (one.papers ? [one.id] : [])));
const stages: Record<Stop, Component> = {
  brief: defineAsyncComponent(() => import('../stages/brief/BriefStage.vue')),
  house: defineAsyncComponent(() => import('../stages/house/HouseStage.vue')),
  boxes: defineAsyncComponent(() => import('../stages/boxes/BoxesStage.vue')),
  switching: defineAsyncComponent(() => import('../stages/switching/SwitchingStage.vue')),
  walk: defineAsyncComponent(() => import('../stages/walk/WalkStage.vue')),
  circuits: defineAsyncComponent(() => import('../stages/circuits/CircuitsStage.vue')),
  panel: defineAsyncComponent(() => import('../stages/panel/PanelStage.vue')),
  service: defineAsyncComponent(() => import('../stages/service/ServiceStage.vue')),
  'load-profile': defineAsyncComponent(() => import('../stages/load-profile/LoadProfileStage.vue')),
  routes: defineAsyncComponent(() => import('../stages/routes/RoutesStage.vue')),
  'make-up': defineAsyncComponent(() => import('../stages/make-up/MakeUpStage.vue')),
  phases: defineAsyncComponent(() => import('../stages/phases/PhasesStage.vue')),
  photos: defineAsyncComponent(() => import('../stages/photos/PhotosStage.vue')),
  inspection: defineAsyncComponent(() => import('../stages/inspection/InspectionStage.vue')),
  'trim-test': defineAsyncComponent(() => import('../stages/trim-test/TrimTestStage.vue')),
  documents: defineAsyncComponent(() => import('../stages/documents/DocumentsStage.vue')),
};

async function open(): Promise<void> {
  failure.value = '';
  view.reset();
  view.job = jobOf(route.query['job']);
  try {
    void firm.load();
    await store.open(props.id);
    const levels = Object.values(store.current.levels).sort((a, b) => a.elevationIn - b.elevationIn);
    const withRooms = levels.filter((level) =>
      Object.values(store.current.rooms).some((room) => room.level === level.id),
    );
    view.level = (withRooms.find((level) => level.elevationIn >= 0) ?? levels[0])?.id ?? '';
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error);
  }
}

useKeys({
  undo: (event) => {
    event.preventDefault();
    store.undo();
  },
  redo: (event) => {
    event.preventDefault();
    store.redo();
  },
  help: () => void (showHelp.value = true),
  stage: (event) => void router.push(`/houses/${props.id}/${STOPS[Number(event.key) - 1]}`),
});

onMounted(() => {
  void open();
});
// After the stages are gone: none of them is to see a house that is not there.
onUnmounted(() => {
  store.close();
});
watch(() => props.id, open);
watch(
  () => props.stop,
  () => {
    view.tool = 'select';
    view.proposal = null;
    view.shows = 'sheet';
    view.job = '';
  },
);
</script>

<template>
  <div v-if="store.house" class="frame" :class="[stop, layout, `shows-${view.shows}`, { papers: PAPERS.has(stop) }]">
    <TopBar class="top" :layout="layout" @help="showHelp = true" />
    <OrderRail v-if="layout !== 'phone'" class="rail" :stop="stop" />
    <main v-show="!view.job" class="stage" data-surface>
      <h1 class="visually-hidden">{{ store.house.name }}: {{ TITLES[stop] }}</h1>
      <component :is="stages[stop]" />
    </main>
    <SidePanel v-show="!view.job" class="side" :stop="stop" />
    <main v-if="view.job" class="whole">
      <StandardsPage :first="view.job" @part="view.job = $event" @close="view.job = ''" />
    </main>
    <PhoneBar v-if="layout === 'phone'" class="bar-below" :stop="stop" />
    <ConflictDialog />
    <SignedOutBar v-if="store.syncState.kind === 'signed-out'" />
    <HelpDialog v-if="showHelp" @close="showHelp = false" />
    <v-snackbar
      :model-value="store.problem !== ''"
      :timeout="9000"
      color="error"
      location="bottom"
      @update:model-value="store.problem = ''"
    >
      <span role="alert">{{ store.problem }}</span>
      <template #actions><v-btn variant="text" @click="store.problem = ''">Close</v-btn></template>
    </v-snackbar>
  </div>
  <main v-else class="wait">
    <p v-if="failure" class="is-violation" role="alert">
      {{ failure }} <router-link to="/houses">All houses</router-link>
    </p>
    <p v-else class="muted">Opening the house …</p>
  </main>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: 48px minmax(0, 1fr) / 168px minmax(0, 1fr) auto;
  grid-template-areas: 'top top top' 'rail stage side';
  height: 100vh;
  height: 100dvh;
}
.top {
  grid-area: top;
}
.rail {
  grid-area: rail;
}
.stage {
  grid-area: stage;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.side {
  grid-area: side;
}
/* Over stage and side region, which wait as they were left. */
.whole {
  grid-area: stage / stage / side / side;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.whole > * {
  flex: 1;
}
.frame.tablet > .whole {
  grid-area: stage / stage / side / stage;
}
.frame.phone > .whole {
  grid-area: stage;
}
.bar-below {
  grid-area: below;
}
.wait {
  display: grid;
  place-content: center;
  height: 100vh;
  font-size: 16px;
}
@media (max-width: 1080px) {
  .frame {
    grid-template-columns: 72px minmax(0, 1fr) auto;
  }
}
.frame.tablet {
  grid-template: 48px minmax(0, 1fr) auto / 72px minmax(0, 1fr);
  grid-template-areas: 'top top' 'rail stage' 'side side';
}
/* On the walk, at the box and over papers the sheet is what one needs in hand. */
.frame.tablet.papers > .side {
  display: none;
}
/* On a phone the stage and the side region lie in one place, and one of them is seen. */
.frame.phone {
  grid-template: 48px minmax(0, 1fr) 56px / minmax(0, 1fr);
  grid-template-areas: 'top' 'stage' 'below';
}
.frame.phone > .side {
  grid-area: stage;
}
.frame.phone.shows-panel > .stage,
.frame.phone:not(.shows-panel) > .side {
  display: none;
}
@media print {
  .frame.frame {
    display: block;
    height: auto;
  }
  .top,
  .rail,
  .bar-below,
  .frame > .side.side {
    display: none;
  }
}
</style>
