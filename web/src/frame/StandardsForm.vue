<script setup lang="ts">
import { computed } from 'vue';
import {
  edit,
  makeUpOf,
  planningOf,
  routingOf,
  CIRCUIT_STANDARDS,
  switchingOf,
  SWITCHING_STANDARDS,
  type House,
  type MakeUp,
  type Planning,
  type Routing,
  type Switching,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import CountField from '../fields/CountField.vue';
import LengthField from '../fields/LengthField.vue';
import { useHouse } from '../stores/house';

/** What the code leaves to the firm: how circuits are planned, lights switched, cables led and boxes made up. */
defineProps<{ part: 'circuits' | 'switching' | 'routes' | 'make-up' }>();
const store = useHouse();
const change = (recipe: (standards: House['standards']) => void) =>
  store.apply(
    edit(store.current, 'Change shop standards', (draft) => void recipe(draft.standards as House['standards'])),
  );
const planning = computed(() => planningOf(store.current));
const set = (changes: Partial<Planning>) => change((one) => (one.planning = { ...planning.value, ...changes }));
const switching = computed(() => switchingOf(store.current));
const setSwitching = (changes: Partial<Switching>) =>
  change((one) => (one.switching = { ...switching.value, ...changes }));
const makeUp = computed(() => makeUpOf(store.current));
const setMakeUp = (changes: Partial<MakeUp>) => change((one) => (one.makeUp = { ...makeUp.value, ...changes }));

const routing = computed(() => routingOf(store.current));
const setRouting = (changes: Partial<Routing>) => change((one) => (one.routing = { ...routing.value, ...changes }));

const FEEDS = [
  {
    value: 'pigtail',
    word: 'every one on a pigtail',
    why: 'The next receptacle stays live when this one fails; shared neutrals always take one (300.13(B)).',
  },
  { value: 'through', word: 'through its screws where two cables meet', why: 'Fewer connectors in the box.' },
] as const;
const CLAMPS = [
  { value: 'multi-gang', word: 'count from two gangs on' },
  { value: 'always', word: 'always count' },
  { value: 'never', word: 'never count' },
].map((one) => ({ ...one, why: 'Whether molded tabs are internal clamps (314.16(B)(2)) is read both ways.' })) as {
  value: MakeUp['clamps'];
  word: string;
  why: string;
}[];
const RECEPTACLES = [
  { value: 'yoke-80', word: '180 VA a yoke, at 80 %', why: 'Eight on 15 A, ten on 20 A.' },
  { value: 'yoke-100', word: '180 VA a yoke, at 100 %', why: 'Ten on 15 A, thirteen on 20 A.' },
  { value: 'area', word: 'by area, with a maximum count', why: 'In dwellings 220.14(J) counts them by floor area.' },
] as const;
const DROPS = [
  { value: 'half-spread', word: 'half the rating, spread along', why: 'What an evening looks like.' },
  { value: 'far-end', word: '12 A at the farthest', why: 'A heater at the end of the run: stricter.' },
] as const;
</script>

<template>
  <div v-if="part === 'circuits'" class="standards">
    <p class="muted lead">
      The code leaves these to you. <b>Plan the circuits</b> follows them and shows what would change.
    </p>
    <ChoiceField
      v-for="one in CIRCUIT_STANDARDS"
      :key="one.field"
      :label="one.question"
      :model-value="planning[one.field]"
      :answers="one.answers as never"
      :disabled="!store.canEdit"
      @update:model-value="set({ [one.field]: $event })"
    />
    <ChoiceField
      label="Receptacles count"
      :model-value="store.current.standards.receptacleCount"
      :answers="RECEPTACLES"
      :disabled="!store.canEdit"
      @update:model-value="change((one) => (one.receptacleCount = $event))"
    />
    <CountField
      v-if="store.current.standards.receptacleCount === 'area'"
      label="Most receptacles on a circuit"
      :model-value="store.current.standards.maxReceptaclesPerCircuit"
      :min="1"
      :max="60"
      :disabled="!store.canEdit"
      @update:model-value="change((one) => (one.maxReceptaclesPerCircuit = $event))"
    />
    <CountField
      label="Most lights on a circuit"
      :model-value="planning.lightsPerCircuit ?? 12"
      :min="4"
      :max="60"
      hint="One trip does not darken the house."
      :disabled="!store.canEdit"
      @update:model-value="set({ lightsPerCircuit: $event })"
    />
    <ChoiceField
      label="Voltage drop is reckoned with"
      :model-value="store.current.standards.dropLoad ?? 'half-spread'"
      :answers="DROPS"
      :disabled="!store.canEdit"
      @update:model-value="change((one) => (one.dropLoad = $event))"
    />
    <CountField
      label="Spare spaces in the panel"
      :model-value="planning.spareSpaces"
      :min="0"
      :max="20"
      hint="A circuit is always added later."
      :disabled="!store.canEdit"
      @update:model-value="set({ spareSpaces: $event })"
    />
  </div>
  <div v-else-if="part === 'switching'" class="standards">
    <p class="muted lead">
      <b>Switch the house</b> follows them; <b>Compare with your practice</b> under Switching shows what is drawn
      differently.
    </p>
    <ChoiceField
      v-for="one in SWITCHING_STANDARDS"
      :key="one.field"
      :label="one.question"
      :model-value="switching[one.field]"
      :answers="one.answers as never"
      :disabled="!store.canEdit"
      @update:model-value="setSwitching({ [one.field]: $event })"
    />
  </div>
  <div v-else-if="part === 'routes'" class="standards">
    <p class="muted lead">
      <b>Find routes</b> follows the first; the lengths to cut hold the others. What is kept already stays where it is.
    </p>
    <LengthField
      label="Run from stud to stud at"
      :model-value="routing.lineIn"
      @update:model-value="setRouting({ lineIn: $event })"
    />
    <LengthField
      label="Cable left in the panel"
      :model-value="routing.panelTailIn"
      @update:model-value="setRouting({ panelTailIn: $event })"
    />
    <LengthField
      label="Slack for each cable"
      :model-value="routing.slackIn"
      @update:model-value="setRouting({ slackIn: $event })"
    />
  </div>
  <div v-else class="standards">
    <ChoiceField
      label="Devices"
      :model-value="makeUp.feed"
      :answers="FEEDS"
      :disabled="!store.canEdit"
      @update:model-value="setMakeUp({ feed: $event })"
    />
    <ChoiceField
      label="Clamps in plastic boxes"
      :model-value="makeUp.clamps"
      :answers="CLAMPS"
      :disabled="!store.canEdit"
      @update:model-value="setMakeUp({ clamps: $event })"
    />
    <CountField
      label="Free conductor, inches"
      :model-value="makeUp.freeIn"
      :min="6"
      :max="24"
      hint="At least 6 by 300.14; most leave 8."
      :disabled="!store.canEdit"
      @update:model-value="setMakeUp({ freeIn: $event })"
    />
  </div>
</template>

<style scoped>
.standards {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 18px;
  align-items: start;
}
.lead {
  grid-column: 1 / -1;
  margin: 0;
}
@media (max-width: 640px) {
  .standards {
    grid-template-columns: 1fr;
  }
}
</style>
