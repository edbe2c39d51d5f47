<script setup lang="ts">
import { computed } from 'vue';
import {
  AWG_SIZES,
  changeEntity,
  CIRCUIT_PURPOSES,
  edit,
  outletsOn,
  protectionOf,
  STANDARD_RATINGS_A,
  USUAL_ATTIC_F,
  whyNotReadilyAccessible,
  type CableRun,
  type Circuit,
} from '@winculum/core';
import { useHouse } from '../../stores/house';

/** Breaker, conductor and how it lies, purpose, kind, and where the GFCI is. */
const props = defineProps<{ circuit: Circuit; run: CableRun | undefined }>();
const emit = defineEmits<{ protectFrom: [device: string] }>();
const store = useHouse();
const house = computed(() => store.house!);
const protection = computed(() => protectionOf(house.value, props.circuit.id));
const receptacles = computed(() =>
  outletsOn(house.value, props.circuit).filter(
    (outlet) => outlet.device.kind === 'receptacle' && outlet.device.volts === 120,
  ),
);
const words = { plain: 'plain', afci: 'AFCI', gfci: 'GFCI', dual: 'AFCI and GFCI (dual function)' } as const;
const checked = (event: Event) => (event.target as HTMLInputElement).checked;
const value = (event: Event) => (event.target as HTMLInputElement).value;
const change = (changes: Partial<Circuit>) =>
  store.apply(changeEntity(house.value, 'circuits', props.circuit.id, changes));

function setAttic(atticF: number): void {
  store.apply(edit(house.value, 'Attic temperature', (draft) => void (draft.standards.atticF = atticF)));
}
</script>

<template>
  <fieldset :disabled="!store.canEdit" class="stack">
    <label class="field"
      >Breaker
      <span class="row"
        ><select
          class="plain half"
          aria-label="Rating"
          :value="circuit.ratingA"
          @change="change({ ratingA: Number(value($event)) })"
        >
          <option v-for="rating in STANDARD_RATINGS_A.filter((one) => one <= 100)" :key="rating" :value="rating">
            {{ rating }} A
          </option></select
        ><select
          class="plain half"
          aria-label="Poles"
          :value="circuit.poles"
          @change="change({ poles: Number(value($event)) as 1 | 2 })"
        >
          <option :value="1">1 pole</option>
          <option :value="2">2 poles</option>
        </select></span
      ></label
    >
    <label class="field"
      >Conductor
      <select class="plain" :value="circuit.awg" @change="change({ awg: value($event) as Circuit['awg'] })">
        <option v-for="awg in AWG_SIZES" :key="awg" :value="awg">
          {{ circuit.metal === 'aluminum' ? 'aluminum' : 'NM-B copper' }} No. {{ awg }}
        </option>
      </select></label
    >
    <details class="lying">
      <summary>How its cable lies</summary>
      <label class="row"
        ><input
          type="checkbox"
          :checked="circuit.inAttic ?? false"
          @change="change({ inAttic: checked($event) || undefined })"
        />
        runs through the attic at
        <input
          class="plain num short"
          type="number"
          min="60"
          max="180"
          aria-label="Hottest air in the attic, °F"
          :value="house.standards.atticF ?? USUAL_ATTIC_F"
          @change="setAttic(Number(value($event)))"
        />
        °F</label
      >
      <label class="field"
        >Cables through one sealed opening
        <input
          class="plain num"
          type="number"
          min="1"
          max="40"
          :value="circuit.bundled ?? 1"
          @change="change({ bundled: Number(value($event)) > 1 ? Number(value($event)) : undefined })"
      /></label>
      <label class="field"
        >One way to the farthest, ft
        <input
          class="plain num"
          type="number"
          min="1"
          max="1000"
          :value="circuit.lengthFt ?? ''"
          :placeholder="run ? `${run.farthestFt.toFixed(0)} along the feed order` : 'no panel yet'"
          @change="change({ lengthFt: Number(value($event)) || undefined })"
      /></label>
      <label v-if="circuit.poles === 2" class="row"
        ><input
          type="checkbox"
          :checked="circuit.metal === 'aluminum'"
          @change="change({ metal: checked($event) ? 'aluminum' : undefined })"
        />
        aluminum service-entrance cable</label
      >
    </details>
    <label class="field"
      >Meant for
      <select class="plain" :value="circuit.purpose" @change="change({ purpose: value($event) as Circuit['purpose'] })">
        <option v-for="one in CIRCUIT_PURPOSES" :key="one" :value="one">{{ one.replaceAll('-', ' ') }}</option>
      </select></label
    >
    <label class="field"
      >Kind
      <select class="plain" :value="circuit.breaker" @change="change({ breaker: value($event) as Circuit['breaker'] })">
        <option value="auto">follows the outlets: {{ words[protection.needed] }}</option>
        <option v-for="(word, kind) in words" :key="kind" :value="kind">{{ word }}</option>
      </select></label
    >
    <label v-if="circuit.poles === 1 && protection.needsGfci" class="field"
      >GFCI from
      <select class="plain" :value="circuit.gfciFirst ?? ''" @change="emit('protectFrom', value($event))">
        <option value="">the breaker</option>
        <option v-for="outlet in receptacles" :key="outlet.device.id" :value="outlet.device.id">
          {{ outlet.box.tag }} first in line{{ whyNotReadilyAccessible(outlet) ? ' (not readily accessible)' : '' }}
        </option>
      </select></label
    >
  </fieldset>
</template>

<style scoped>
.short {
  width: 72px;
}
.lying {
  font-size: 14px;
}
fieldset {
  border: 0;
  padding: 0;
}
.half {
  width: calc(50% - 4px);
}
summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 30px;
}
</style>
