<script setup lang="ts">
import { computed } from 'vue';
import { addEntity, servicePanel } from '@winculum/core';
import MenuButton from '../../fields/MenuButton.vue';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import BuildingForm from './BuildingForm.vue';
import FeederForm from './FeederForm.vue';
import PanelForm from './PanelForm.vue';
import SourceForm from './SourceForm.vue';
import SupplyForm from './SupplyForm.vue';

/** All parts of how power comes in, one of them open; the same that are picked on the one-line. */
const chosen = defineModel<string>({ required: true });
const store = useHouse();
const house = computed(() => store.current);
const nameOf = (panel: string) => house.value.panels[panel]?.name ?? panel;
const ADD = [
  { value: 'generator', word: 'a generator', group: 'Sources' },
  { value: 'solar', word: 'solar' },
  { value: 'battery', word: 'a battery' },
  { value: 'building', word: 'a building', group: 'Parts of the house' },
  { value: 'unit', word: 'a dwelling unit' },
] as const;
const SOURCES = {
  generator: { name: 'Generator', runningW: 5000, transfer: 'interlock' },
  solar: { name: 'Solar', runningW: 6000, transfer: 'interactive' },
  battery: { name: 'Battery', runningW: 5000, transfer: 'interactive' },
} as const;

function add(what: (typeof ADD)[number]['value']): void {
  const first = servicePanel(house.value);
  const id = newId(what);
  const numbered = (word: string, n: number) => (n === 0 ? word : `${word} ${n + 1}`);
  if (what === 'building') {
    const name = numbered('Shop', Object.keys(house.value.buildings).length);
    if (store.apply(addEntity(house.value, 'buildings', { id, name, disconnect: 'not-known' })))
      chosen.value = `building ${id}`;
  } else if (what === 'unit') {
    const name = numbered('Dwelling unit', Object.keys(house.value.units).length);
    if (store.apply(addEntity(house.value, 'units', { id, name }))) chosen.value = `unit ${id}`;
  } else if (first) {
    const { name, ...usual } = SOURCES[what];
    const source = { id, kind: what, volts: '120/240' as const, panel: first.id, switchesNeutral: false, ...usual };
    const n = Object.values(house.value.sources).filter((one) => one.kind === what).length;
    if (store.apply(addEntity(house.value, 'sources', { ...source, name: numbered(name, n) })))
      chosen.value = `source ${id}`;
  }
}
</script>

<template>
  <div class="stage-list power">
    <header>
      <b class="grow">Power in</b>
      <MenuButton v-if="store.canEdit" label="Add" :entries="ADD" @choose="add" />
    </header>
    <v-expansion-panels v-model="chosen" class="parts">
      <v-expansion-panel title="Service" value="supply ">
        <v-expansion-panel-text><SupplyForm /></v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel v-for="one in house.panels" :key="one.id" :title="one.name" :value="`panel ${one.id}`">
        <v-expansion-panel-text><PanelForm :panel="one" /></v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel
        v-for="one in house.feeders"
        :key="one.id"
        :title="`Feeder ${nameOf(one.from)} → ${nameOf(one.to)}`"
        :value="`feeder ${one.id}`"
      >
        <v-expansion-panel-text><FeederForm :feeder="one" @removed="chosen = ''" /></v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel v-for="one in house.sources" :key="one.id" :title="one.name" :value="`source ${one.id}`">
        <v-expansion-panel-text><SourceForm :source="one" @removed="chosen = ''" /></v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel v-for="one in house.buildings" :key="one.id" :title="one.name" :value="`building ${one.id}`">
        <v-expansion-panel-text><BuildingForm :building="one" /></v-expansion-panel-text>
      </v-expansion-panel>
      <v-expansion-panel v-for="one in house.units" :key="one.id" :title="one.name" :value="`unit ${one.id}`">
        <v-expansion-panel-text><BuildingForm :unit="one" /></v-expansion-panel-text>
      </v-expansion-panel>
    </v-expansion-panels>
    <p class="muted note">
      Another panel is set down on a wall under <router-link :to="`/houses/${store.id}/house`">House</router-link>, and
      fed from here.
    </p>
  </div>
</template>

<style scoped>
.power {
  overflow-y: auto;
}
.parts {
  flex: none;
}
.power :deep(.parts .v-expansion-panel-title) {
  padding: 10px 14px !important;
}
.power :deep(.parts .v-expansion-panel-text__wrapper) {
  padding: 6px 14px 14px !important;
}
.note {
  padding: 8px 14px;
  font-size: 13px;
}
</style>
