<script setup lang="ts">
import { computed } from 'vue';
import { changeDevice, formatLength, OUTDOOR_KINDS, parseLength, stripVa, type Box, type Device } from '@winculum/core';
import { useHouse } from '../stores/house';

/** What can be said of a device in a box, by its kind. */
const props = defineProps<{ box: Box; device: Device }>();
const store = useHouse();

const LUMINAIRES = ['surface', 'recessed', 'pendant', 'wall', 'strip'];
const DRIVERS = ['cabinet', 'closet', 'attic', 'remote-panel', 'closed-in'];
const RATINGS = [15, 20, 30, 40, 50];
const SYSTEMS = ['data', 'coax', 'speaker', 'doorbell', 'thermostat', 'alarm', 'sleeve'];
const SENSORS = [
  { value: '', title: 'not said' },
  { value: 'photoelectric', title: 'photoelectric' },
  { value: 'ionization', title: 'ionization' },
  { value: 'ionization-silenced', title: 'ionization, can be silenced' },
  { value: 'nuisance-resistant', title: 'resists cooking nuisance' },
];
const COVERS = [
  { value: '', title: 'not said' },
  { value: 'in-use', title: 'in-use cover' },
  { value: 'flap', title: 'flap, tight when closed' },
];
const SENSES = { smoke: 'smoke', co: 'carbon monoxide', 'smoke-co': 'smoke and carbon monoxide' };

const outside = computed(() => OUTDOOR_KINDS.has(store.house!.rooms[props.box.room]!.kind));
const show = (lengthIn: number) => formatLength(lengthIn, store.house!.standards.lengths);
const checked = (event: Event) => (event.target as HTMLInputElement).checked;
const value = (event: Event) => (event.target as HTMLInputElement).value;
const set = (changes: Record<string, unknown>) =>
  store.apply(changeDevice(store.house!, props.box.id, props.device.id, changes));

/** A typed length, or nothing said; what is refused stays with its reason. */
function setLength(
  name: string,
  text: string,
  changes: (lengthIn: number | undefined) => Record<string, unknown>,
): void {
  if (text.trim() === '') return void set(changes(undefined));
  const read = parseLength(text, name);
  if (read.ok) set(changes(read.value));
  else store.problem = read.problems[0]!.message;
}

// A strip's power follows its length: typical watts a foot, until somebody reads its plate.
const ofStrip = (lengthIn: number | undefined) =>
  lengthIn === undefined ? { lengthIn } : { lengthIn, va: stripVa(lengthIn) };
</script>

<template>
  <div v-if="device.kind === 'receptacle'" class="fields">
    <select class="plain" aria-label="Duplex or single" :value="device.style" @change="set({ style: value($event) })">
      <option value="duplex">duplex</option>
      <option value="single">single</option>
    </select>
    <select class="plain" aria-label="Volts" :value="device.volts" @change="set({ volts: Number(value($event)) })">
      <option :value="120">120 V</option>
      <option :value="240">240 V</option>
    </select>
    <select
      class="plain"
      aria-label="Rating of the receptacle"
      :value="device.ratingA"
      @change="set({ ratingA: Number(value($event)) })"
    >
      <option v-for="one in RATINGS" :key="one" :value="one">{{ one }} A</option>
    </select>
    <select
      v-if="device.volts === 120"
      class="plain"
      aria-label="Switched"
      :value="device.switched"
      @change="set({ switched: value($event) })"
    >
      <option value="no">always live</option>
      <option value="half">half switched</option>
      <option value="whole">wholly switched</option>
    </select>
    <label v-if="device.volts === 120"
      ><input type="checkbox" :checked="device.gfci" @change="set({ gfci: checked($event) })" /> GFCI receptacle</label
    >
    <label
      ><input type="checkbox" :checked="device.tr" @change="set({ tr: checked($event) })" /> tamper-resistant</label
    >
    <label
      ><input type="checkbox" :checked="device.wr" @change="set({ wr: checked($event) })" /> weather-resistant</label
    >
    <label v-if="box.state === 'existing'"
      ><input
        type="checkbox"
        :checked="device.replaced ?? false"
        @change="set({ replaced: checked($event) || undefined })"
      />
      the receptacle is replaced</label
    >
    <v-select
      v-if="outside && device.ratingA <= 20"
      class="choice"
      label="Cover"
      :model-value="device.cover ?? ''"
      :items="COVERS"
      @update:model-value="set({ cover: $event || undefined })"
    />
    <input
      v-if="device.volts === 120"
      class="plain num"
      aria-label="Length of a multioutlet assembly"
      placeholder="assembly"
      title="Length of a multioutlet assembly, its box in the middle"
      :value="device.assemblyIn === undefined ? '' : show(device.assemblyIn)"
      @change="setLength('Length of the assembly', value($event), (assemblyIn) => ({ assemblyIn }))"
    />
  </div>
  <div v-else-if="device.kind === 'low-voltage'" class="fields">
    <v-select
      class="choice"
      label="What it carries"
      :model-value="device.system"
      :items="SYSTEMS"
      @update:model-value="set({ system: $event })"
    />
  </div>
  <div v-else-if="device.kind === 'alarm'" class="fields">
    <v-select
      v-if="device.senses !== 'co'"
      class="choice"
      label="Sensor"
      :model-value="device.sensor ?? ''"
      :items="SENSORS"
      @update:model-value="set({ sensor: $event || undefined })"
    />
    <select class="plain" aria-label="What it senses" :value="device.senses" @change="set({ senses: value($event) })">
      <option v-for="(words, one) in SENSES" :key="one" :value="one">{{ words }}</option>
    </select>
    <label
      ><input
        type="checkbox"
        :checked="device.wireless ?? false"
        @change="set({ wireless: checked($event) || undefined })"
      />
      signals the others by radio</label
    >
  </div>
  <div v-else-if="device.kind === 'luminaire'" class="fields">
    <select class="plain" aria-label="Kind of luminaire" :value="device.style" @change="set({ style: value($event) })">
      <option v-for="one in LUMINAIRES" :key="one">{{ one }}</option>
    </select>
    <template v-if="device.style === 'strip'">
      <select
        class="plain"
        aria-label="Where its driver lives"
        :value="device.driver ?? ''"
        @change="set({ driver: value($event) || undefined })"
      >
        <option value="">driver: not said</option>
        <option v-for="one in DRIVERS" :key="one" :value="one">driver: {{ one.replace('-', ' ') }}</option>
      </select>
      <input
        class="plain num"
        aria-label="Length of the strip"
        placeholder="length"
        :value="device.lengthIn === undefined ? '' : show(device.lengthIn)"
        @change="setLength('Length of the strip', value($event), ofStrip)"
      />
    </template>
    <label
      ><input
        class="plain num"
        type="number"
        min="0"
        max="5000"
        aria-label="Volt-amperes"
        :value="device.va"
        @change="set({ va: Number(value($event)) || 0 })"
      />
      VA</label
    >
    <label
      ><input
        class="plain num"
        type="number"
        min="0"
        max="1000"
        aria-label="Weight in pounds"
        :value="device.weightLb"
        @change="set({ weightLb: Number(value($event)) || 0 })"
      />
      lb</label
    >
    <select
      class="plain"
      aria-label="Marked for damp or wet places"
      :value="device.marked"
      @change="set({ marked: value($event) })"
    >
      <option value="dry">for dry places</option>
      <option value="damp">marked damp</option>
      <option value="wet">marked wet</option>
    </select>
    <label
      ><input type="checkbox" :checked="device.enclosed" @change="set({ enclosed: checked($event) })" /> lamps
      enclosed</label
    >
    <label
      ><input
        type="checkbox"
        :checked="device.ownSwitch ?? false"
        @change="set({ ownSwitch: checked($event) || undefined })"
      />
      pull chain at the way in</label
    >
    <label
      ><input
        type="checkbox"
        :checked="device.sensor === 'dusk'"
        @change="set({ sensor: checked($event) ? 'dusk' : undefined })"
      />
      on by itself at dusk</label
    >
  </div>
  <div v-else-if="device.kind === 'fan'" class="fields">
    <label
      ><input
        class="plain num"
        type="number"
        min="0"
        max="200"
        aria-label="Weight in pounds"
        :value="device.weightLb"
        @change="set({ weightLb: Number(value($event)) || 0 })"
      />
      lb</label
    >
    <label
      ><input
        class="plain num"
        type="number"
        min="0"
        max="2000"
        aria-label="Volt-amperes"
        :value="device.va"
        @change="set({ va: Number(value($event)) || 0 })"
      />
      VA</label
    >
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  font-size: 14px;
}
.fields .plain {
  width: auto;
}
.fields input.plain {
  width: 84px;
}
.choice {
  flex: 0 0 220px;
}
.fields label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
}
</style>
