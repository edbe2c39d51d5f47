<script setup lang="ts">
import { computed } from 'vue';
import {
  changeDevice,
  hasTab,
  isExhaustFan,
  joinDuplex,
  OUTDOOR_KINDS,
  splitDuplex,
  stripVa,
  SWITCH_STYLES,
  SWITCH_WORDS,
  type Box,
  type Device,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import SearchField from '../fields/SearchField.vue';
import NumberField from '../fields/NumberField.vue';
import TickField from '../fields/TickField.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';

/** What can be said of a device in a box, by its kind. */
const props = defineProps<{ box: Box; device: Device }>();
const store = useHouse();

const isExhaust = computed(() => {
  const room = store.current.rooms[props.box.room];
  return room !== undefined && isExhaustFan(props.device, room.kind);
});

const worded = <T extends string>(all: readonly T[]) => all.map((value) => ({ value, word: value.replace('-', ' ') }));
const NOT_SAID = { value: '', word: 'not said' } as const;
const STYLES = SWITCH_STYLES.map((value) => ({ value, title: SWITCH_WORDS[value] }));
const LUMINAIRES = ['surface', 'recessed', 'pendant', 'wall', 'strip'] as const;
const DRIVERS = [NOT_SAID, ...worded(['cabinet', 'closet', 'attic', 'remote-panel', 'closed-in'])];
const VOLTS = ([120, 240] as const).map((value) => ({ value, word: `${value} V` }));
const RATINGS = ([15, 20, 30, 40, 50] as const).map((value) => ({ value, word: `${value} A` }));
const BELLS = [
  { value: 'button', word: 'the button' },
  { value: 'chime', word: 'the chime' },
] as const;
const SYSTEMS = ['data', 'coax', 'speaker', 'doorbell', 'thermostat', 'alarm', 'sleeve'] as const;
const SWITCHED = [
  { value: 'no', word: 'always live' },
  { value: 'half', word: 'half switched' },
  { value: 'whole', word: 'wholly switched' },
] as const;
const WHOLLY = SWITCHED.filter((one) => one.value !== 'half');
const SENSORS = [
  NOT_SAID,
  { value: 'photoelectric', word: 'photoelectric' },
  { value: 'ionization', word: 'ionization' },
  { value: 'ionization-silenced', word: 'ionization, can be silenced' },
  { value: 'nuisance-resistant', word: 'resists cooking nuisance' },
] as const;
const COVERS = [
  NOT_SAID,
  { value: 'in-use', word: 'in-use cover' },
  { value: 'flap', word: 'flap, tight when closed' },
] as const;
const CONTACTS = [NOT_SAID, { value: 'ic', word: 'type IC' }, { value: 'non-ic', word: 'not of type IC' }] as const;
const MARKS = [
  { value: 'dry', word: 'dry places' },
  { value: 'damp', word: 'damp places' },
  { value: 'wet', word: 'wet places' },
] as const;
const FANS = [
  { value: 'paddle', word: 'with blades' },
  { value: 'exhaust', word: 'draws air out' },
] as const;
const SENSES = [
  { value: 'smoke', word: 'smoke' },
  { value: 'co', word: 'carbon monoxide' },
  { value: 'smoke-co', word: 'smoke and carbon monoxide' },
] as const;

const outside = computed(() => OUTDOOR_KINDS.has(store.current.rooms[props.box.room]!.kind));
const set = (changes: Record<string, unknown>) =>
  store.apply(changeDevice(store.current, props.box.id, props.device.id, changes));

// A strip's power follows its length: typical watts a foot, until somebody reads its plate.
const ofStrip = (lengthIn: number) => ({ lengthIn, va: stripVa(lengthIn) });
</script>

<template>
  <div class="fields">
    <template v-if="device.kind === 'receptacle'">
      <ChoiceField
        v-if="device.style !== 'half'"
        label="Duplex or single"
        :model-value="device.style"
        :answers="worded(['duplex', 'single'])"
        @update:model-value="set({ style: $event })"
      />
      <ChoiceField
        label="Volts"
        :model-value="device.volts"
        :answers="VOLTS"
        @update:model-value="set({ volts: $event })"
      />
      <ChoiceField
        label="Rating of the receptacle"
        :model-value="device.ratingA"
        :answers="RATINGS"
        @update:model-value="set({ ratingA: $event })"
      />
      <template v-if="device.volts === 120">
        <ChoiceField
          label="Switched"
          :model-value="device.switched"
          :answers="hasTab(device) ? SWITCHED : WHOLLY"
          @update:model-value="set({ switched: $event })"
        />
        <TickField
          v-if="device.style !== 'half'"
          label="GFCI receptacle"
          :model-value="device.gfci"
          @update:model-value="set($event ? { gfci: true } : { gfci: false, feedsThrough: undefined })"
        />
        <TickField
          v-if="device.gfci"
          label="feeds through: what stands behind it hangs on LOAD"
          :model-value="device.feedsThrough ?? false"
          @update:model-value="set({ feedsThrough: $event || undefined })"
        />
      </template>
      <v-btn
        v-if="device.style === 'half'"
        size="small"
        @click="store.apply(joinDuplex(store.current, box.id, device.id))"
      >
        Make one duplex of the halves
      </v-btn>
      <v-btn
        v-else-if="device.style === 'duplex' && device.volts === 120 && !device.gfci"
        size="small"
        @click="store.apply(splitDuplex(store.current, box.id, device.id, newId('device')))"
      >
        Split: two circuits on one yoke
      </v-btn>
      <TickField label="tamper-resistant" :model-value="device.tr" @update:model-value="set({ tr: $event })" />
      <TickField label="weather-resistant" :model-value="device.wr" @update:model-value="set({ wr: $event })" />
      <TickField
        v-if="box.state === 'existing'"
        label="the receptacle is replaced"
        :model-value="device.replaced ?? false"
        @update:model-value="set({ replaced: $event || undefined })"
      />
      <ChoiceField
        v-if="outside && device.ratingA <= 20"
        label="Cover"
        :model-value="device.cover ?? ''"
        :answers="COVERS"
        @update:model-value="set({ cover: $event || undefined })"
      />
      <LengthField
        v-if="device.volts === 120"
        label="Length of a multioutlet assembly"
        optional
        :model-value="device.assemblyIn"
        @update:model-value="set({ assemblyIn: $event })"
        @clear="set({ assemblyIn: undefined })"
      />
    </template>
    <template v-else-if="device.kind === 'low-voltage'">
      <ChoiceField
        label="What it carries"
        :model-value="device.system"
        :answers="worded(SYSTEMS)"
        @update:model-value="set({ system: $event, bell: undefined })"
      />
      <ChoiceField
        v-if="device.system === 'doorbell'"
        label="Of the doorbell"
        :model-value="device.bell ?? 'button'"
        :answers="BELLS"
        @update:model-value="set({ bell: $event })"
      />
    </template>
    <template v-else-if="device.kind === 'alarm'">
      <ChoiceField
        v-if="device.senses !== 'co'"
        label="Sensor"
        :model-value="device.sensor ?? ''"
        :answers="SENSORS"
        @update:model-value="set({ sensor: $event || undefined })"
      />
      <ChoiceField
        label="What it senses"
        :model-value="device.senses"
        :answers="SENSES"
        @update:model-value="set({ senses: $event })"
      />
      <TickField
        label="signals the others by radio"
        :model-value="device.wireless ?? false"
        @update:model-value="set({ wireless: $event || undefined })"
      />
      <TickField
        label="on its own battery, no cable"
        :model-value="device.battery ?? false"
        @update:model-value="set({ battery: $event || undefined, ...($event ? { circuit: null } : {}) })"
      />
    </template>
    <SearchField
      v-else-if="device.kind === 'switch'"
      label="Kind of switch"
      :model-value="device.style"
      :items="STYLES"
      @update:model-value="set({ style: $event })"
    />
    <template v-else-if="device.kind === 'luminaire'">
      <ChoiceField
        label="Kind of light fixture"
        :model-value="device.style"
        :answers="worded(LUMINAIRES)"
        @update:model-value="set({ style: $event })"
      />
      <template v-if="device.style === 'strip'">
        <ChoiceField
          label="Where its driver lives"
          :model-value="device.driver ?? ''"
          :answers="DRIVERS"
          @update:model-value="set({ driver: $event || undefined })"
        />
        <LengthField
          label="Length of the strip"
          optional
          :model-value="device.lengthIn"
          @update:model-value="set(ofStrip($event))"
          @clear="set({ lengthIn: undefined })"
        />
      </template>
      <ChoiceField
        v-if="device.style === 'recessed'"
        label="Insulation may touch it"
        :model-value="device.contact ?? ''"
        :answers="CONTACTS"
        @update:model-value="set({ contact: $event || undefined })"
      />
      <NumberField
        label="Volt-amperes"
        unit="VA"
        :min="0"
        :max="5000"
        :model-value="device.va"
        @update:model-value="set({ va: $event })"
      />
      <NumberField
        label="Light"
        unit="lm"
        optional
        :min="0"
        :max="100000"
        hint="typical of its watts"
        :model-value="device.lumens"
        @update:model-value="set({ lumens: $event })"
        @clear="set({ lumens: undefined })"
      />
      <NumberField
        label="Weight"
        unit="lb"
        :min="0"
        :max="1000"
        :model-value="device.weightLb"
        @update:model-value="set({ weightLb: $event })"
      />
      <ChoiceField
        label="Marked for"
        :model-value="device.marked"
        :answers="MARKS"
        @update:model-value="set({ marked: $event })"
      />
      <TickField
        label="lamps enclosed"
        :model-value="device.enclosed"
        @update:model-value="set({ enclosed: $event })"
      />
      <TickField
        label="pull chain at the way in"
        :model-value="device.ownSwitch ?? false"
        @update:model-value="set({ ownSwitch: $event || undefined })"
      />
      <TickField
        label="on by itself at dusk"
        :model-value="device.sensor === 'dusk'"
        @update:model-value="set({ sensor: $event ? 'dusk' : undefined })"
      />
    </template>
    <template v-else-if="device.kind === 'fan'">
      <ChoiceField
        label="Kind"
        :model-value="isExhaust ? 'exhaust' : 'paddle'"
        :answers="FANS"
        @update:model-value="set({ style: $event })"
      />
      <NumberField
        label="Weight"
        unit="lb"
        :min="0"
        :max="200"
        :model-value="device.weightLb"
        @update:model-value="set({ weightLb: $event })"
      />
      <NumberField
        label="Volt-amperes"
        unit="VA"
        :min="0"
        :max="2000"
        :model-value="device.va"
        @update:model-value="set({ va: $event })"
      />
      <ChoiceField
        v-if="!isExhaust"
        label="Marked for"
        :model-value="device.marked ?? ''"
        :answers="[{ value: '', word: 'not said' }, ...MARKS]"
        @update:model-value="set({ marked: $event || undefined })"
      />
    </template>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 8px;
  align-items: start;
}
</style>
