<script setup lang="ts">
import { computed, ref } from 'vue';
import { arrangePanel, changeEntity, placeBreakers, scheduleOf, shareSpace, writeScheduleCsv } from '@winculum/core';
import { download } from '../../frame/download';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import DirectoryDialog from './DirectoryDialog.vue';
import LegChart from './LegChart.vue';
import PanelPlaces from './PanelPlaces.vue';
import ScheduleSheet from './ScheduleSheet.vue';

const store = useHouse();
const view = useView();
const paper = ref<'letter' | 'tabloid'>('letter');
const panels = computed(() => Object.values(store.current.panels));
const panel = computed(() => store.current.panels[view.only('panel') ?? ''] ?? panels.value[0]);
const schedule = computed(() => (panel.value ? scheduleOf(store.current, panel.value.id) : null));
const isTyping = ref(false);
const SIZES = [8, 12, 16, 20, 24, 30, 32, 40, 42, 54, 60];
const MAINS = [30, 50, 60, 100, 125, 150, 200, 225, 400];

function arrange(): void {
  store.apply(placeBreakers(store.current, panel.value!.id, arrangePanel(store.current, panel.value!)));
}

/** Moves a breaker to another space; what stands there takes the space that it leaves. */
function move(circuitId: string, space: number | null): void {
  const rows = schedule.value!.rows;
  const leaving = store.current.circuits[circuitId]!;
  const there = space === null ? undefined : rows.find((one) => one.space === space)?.circuit;
  const spaces: Record<string, number | null> = { [circuitId]: space };
  if (there && there.id !== circuitId && there.poles === leaving.poles)
    spaces[there.id] = leaving.panel === panel.value!.id ? leaving.space : null;
  store.apply(placeBreakers(store.current, panel.value!.id, spaces));
}

/** Both on one tandem breaker. */
const share = (circuitId: string, space: number) =>
  void store.apply(shareSpace(store.current, panel.value!.id, circuitId, space));

function saveCsv(): void {
  download(
    `${panel.value!.name.replace(/\W+/g, '-').toLowerCase()}.csv`,
    'text/csv',
    writeScheduleCsv(schedule.value!),
  );
}

const print = () => window.print();
</script>

<template>
  <PaperPage v-if="panel && schedule" :class="paper" label="Panel tools">
    <template #tools>
      <v-select
        v-if="panels.length > 1"
        class="pick"
        label="Panel"
        :model-value="panel.id"
        :items="panels"
        item-title="name"
        item-value="id"
        @update:model-value="view.select([{ kind: 'panel', id: $event }])"
      />
      <v-select
        class="pick"
        label="Spaces"
        :model-value="panel.spaces"
        :items="SIZES.map((value) => ({ value, title: `${value} spaces` }))"
        :disabled="!store.canEdit"
        @update:model-value="store.apply(changeEntity(store.current, 'panels', panel.id, { spaces: $event }))"
      />
      <v-select
        class="pick"
        label="Main breaker"
        :model-value="panel.mainA"
        :items="MAINS.map((value) => ({ value, title: `${value} A main` }))"
        :disabled="!store.canEdit"
        @update:model-value="store.apply(changeEntity(store.current, 'panels', panel.id, { mainA: $event }))"
      />
      <v-btn
        v-if="store.canEdit"
        :color="schedule.unplaced.length ? 'primary' : undefined"
        :variant="schedule.unplaced.length ? 'flat' : 'outlined'"
        :disabled="!schedule.unplaced.length"
        @click="arrange"
      >
        Place {{ schedule.unplaced.length }} waiting
      </v-btn>
      <span class="grow" />
      <v-btn @click="saveCsv">CSV</v-btn>
      <v-select
        v-model="paper"
        class="pick"
        label="Paper"
        :items="[
          { value: 'letter', title: 'Letter' },
          { value: 'tabloid', title: '11 x 17' },
        ]"
      />
      <v-btn color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <PanelPlaces />
    <LegChart class="legs" :schedule="schedule" />
    <ScheduleSheet :schedule="schedule" @move="move" @share="share">
      <v-btn
        v-if="store.canEdit"
        size="small"
        title="Circuits that are there, from what is written in the door"
        @click="isTyping = true"
        >Type the directory</v-btn
      >
    </ScheduleSheet>
    <DirectoryDialog v-if="isTyping" :panel="panel" @close="isTyping = false" />
  </PaperPage>
  <div v-else class="none">
    <p>
      No panel yet. Under <router-link :to="`/houses/${store.id}/house`">House</router-link>, set down a <b>panel</b> on
      a wall (not in a bathroom or clothes closet: NEC 240.24) and make it a panel.
    </p>
  </div>
</template>

<style scoped>
.none {
  padding: 15vh 12%;
  font-size: 17px;
  line-height: 1.5;
  text-align: center;
}
@page letter-sheet {
  size: letter portrait;
  margin: 0.45in;
}
@page tabloid-sheet {
  size: 11in 17in;
  margin: 0.6in;
}
@media print {
  .legs {
    display: none;
  }
  .letter {
    page: letter-sheet;
  }
  .tabloid {
    page: tabloid-sheet;
    zoom: 1.35;
  }
}
</style>
