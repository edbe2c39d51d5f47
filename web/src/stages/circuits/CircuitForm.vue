<script setup lang="ts">
import { computed } from 'vue';
import {
  BREAKER_NAMES,
  AWG_SIZES,
  changeEntity,
  CIRCUIT_PURPOSES,
  edit,
  outletsOn,
  protectionOf,
  STANDARD_RATINGS_A,
  USUAL_ATTIC_F,
  whyNotReadilyAccessible,
  type BuriedWiring,
  type CableRun,
  type Circuit,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import RacewayFields from '../../fields/RacewayFields.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';

/** Breaker, conductor and how it lies, purpose, kind, and where the GFCI is. */
const props = defineProps<{ circuit: Circuit; run: CableRun | undefined }>();
const emit = defineEmits<{ protectFrom: [device: string] }>();
const store = useHouse();
const house = computed(() => store.current);
const protection = computed(() => protectionOf(house.value, props.circuit.id));
const receptacles = computed(() =>
  outletsOn(house.value, props.circuit).filter(
    (outlet) => outlet.device.kind === 'receptacle' && outlet.device.volts === 120,
  ),
);
/** 10 A is a branch circuit from 2023 on: 210.3. */
const ratings = computed(() =>
  [...(house.value.job.edition === '2023' ? [10] : []), ...STANDARD_RATINGS_A.filter((one) => one <= 100)].map(
    (value) => ({ value, word: `${value} A` }),
  ),
);
const IN_GROUND = [
  { value: '', word: 'does not lie in it' },
  { value: 'underground', word: 'underground cable (UF)' },
  { value: 'raceway', word: 'wet-rated conductors in a raceway' },
  { value: 'nonmetallic', word: 'nonmetallic cable' },
] as const;
const OVER = [
  { value: 'soil', word: 'soil' },
  { value: 'driveway', word: 'the driveway' },
  { value: 'slab', word: '4 in of concrete outdoors, no traffic' },
] as const;
/** A raceway of the least size one buys for it stands there to be changed. */
function bury(wiring: BuriedWiring['wiring'] | ''): void {
  if (!wiring) return void change({ buried: undefined });
  const { raceway: _, ...rest } = props.circuit.buried ?? {};
  change({
    buried: { ...rest, wiring, ...(wiring === 'raceway' ? { raceway: { kind: 'pvc-40', trade: '1/2' } } : {}) },
  });
}
const setBuried = (changes: Partial<BuriedWiring>) => change({ buried: { ...props.circuit.buried!, ...changes } });
const POLES = [
  { value: 1, word: '1 pole' },
  { value: 2, word: '2 poles' },
] as const;
const PURPOSES = CIRCUIT_PURPOSES.map((value) => ({ value, word: value.replaceAll('-', ' ') }));
const sizes = computed(() =>
  AWG_SIZES.map((value) => ({
    value,
    word: `${props.circuit.metal === 'aluminum' ? 'aluminum' : 'NM-B copper'} No. ${value}`,
  })),
);
const kinds = computed(() => [
  { value: 'auto' as const, word: `follows the outlets: ${BREAKER_NAMES[protection.value.needed]}` },
  ...(['plain', 'afci', 'gfci', 'dual'] as const).map((value) => ({ value, word: BREAKER_NAMES[value] })),
]);
const sources = computed(() => [
  { value: '', word: 'the breaker' },
  ...receptacles.value.map((outlet) => ({
    value: outlet.device.id,
    word: `${outlet.box.tag} first in line${whyNotReadilyAccessible(outlet) ? ' (not readily accessible)' : ''}`,
  })),
]);
const change = (changes: Partial<Circuit>) =>
  store.apply(changeEntity(house.value, 'circuits', props.circuit.id, changes));

/** Both halves say so, or neither. */
function setCommonTrip(isOne: boolean): void {
  const ids = [props.circuit.id, props.circuit.sharesNeutralWith ?? ''];
  store.apply(
    edit(house.value, 'Two-pole breaker', (draft) => {
      for (const id of ids) {
        const circuit = draft.circuits[id];
        if (circuit && isOne) circuit.commonTrip = true;
        else if (circuit) delete circuit.commonTrip;
      }
    }),
  );
}

function setAttic(atticF: number): void {
  store.apply(edit(house.value, 'Attic temperature', (draft) => void (draft.standards.atticF = atticF)));
}
</script>

<template>
  <div class="stack">
    <div class="pair">
      <ChoiceField
        label="Rating"
        :model-value="circuit.ratingA"
        :answers="ratings"
        @update:model-value="change({ ratingA: $event })"
      />
      <ChoiceField
        label="Poles"
        :model-value="circuit.poles"
        :answers="POLES"
        @update:model-value="change({ poles: $event })"
      />
    </div>
    <ChoiceField
      label="Conductor"
      :model-value="circuit.awg"
      :answers="sizes"
      @update:model-value="change({ awg: $event, unread: undefined })"
    />
    <TickField
      v-if="circuit.unread"
      label="its conductors were read: they are of this size and of copper"
      :model-value="false"
      @update:model-value="change({ unread: undefined })"
    />
    <ChoiceField
      label="Meant for"
      :model-value="circuit.purpose"
      :answers="PURPOSES"
      @update:model-value="change({ purpose: $event })"
    />
    <ChoiceField
      label="Kind of breaker"
      :model-value="circuit.breaker"
      :answers="kinds"
      @update:model-value="change({ breaker: $event })"
    />
    <ChoiceField
      v-if="circuit.poles === 1 && protection.needsGfci"
      label="GFCI from"
      :model-value="circuit.gfciFirst ?? ''"
      :answers="sources"
      @update:model-value="emit('protectFrom', $event)"
    />
    <TickField
      v-if="circuit.sharesNeutralWith !== undefined"
      label="one two-pole breaker serves it and its twin"
      :model-value="circuit.commonTrip ?? false"
      @update:model-value="setCommonTrip"
    />
    <v-expansion-panels>
      <v-expansion-panel title="How its cable lies">
        <v-expansion-panel-text>
          <div class="stack">
            <TickField
              label="runs through the attic"
              :model-value="circuit.inAttic ?? false"
              @update:model-value="change({ inAttic: $event || undefined })"
            />
            <NumberField
              v-if="circuit.inAttic"
              label="Hottest air in the attic"
              unit="°F"
              :min="60"
              :max="180"
              :model-value="house.standards.atticF ?? USUAL_ATTIC_F"
              @update:model-value="setAttic"
            />
            <NumberField
              label="Cables through one sealed opening"
              whole
              :min="1"
              :max="40"
              :model-value="circuit.bundled ?? 1"
              @update:model-value="change({ bundled: $event > 1 ? $event : undefined })"
            />
            <NumberField
              label="One way to the farthest"
              unit="ft"
              optional
              :min="1"
              :max="1000"
              :hint="run ? `${run.farthestFt.toFixed(0)} along the feed order` : 'no panel yet'"
              :model-value="circuit.lengthFt"
              @update:model-value="change({ lengthFt: $event })"
              @clear="change({ lengthFt: undefined })"
            />
            <NumberField
              label="Existing conductors lengthened by"
              unit="ft"
              optional
              :min="0"
              :max="1000"
              hint="not said"
              :model-value="circuit.extendedFt"
              @update:model-value="change({ extendedFt: $event })"
              @clear="change({ extendedFt: undefined })"
            />
            <ChoiceField
              label="In the ground"
              :model-value="circuit.buried?.wiring ?? ''"
              :answers="IN_GROUND"
              @update:model-value="bury"
            />
            <template v-if="circuit.buried">
              <LengthField
                label="Cover over it"
                optional
                :model-value="circuit.buried.coverIn"
                @update:model-value="setBuried({ coverIn: $event })"
                @clear="setBuried({ coverIn: undefined })"
              />
              <ChoiceField
                label="Under what"
                :model-value="circuit.buried.under ?? 'soil'"
                :answers="OVER"
                @update:model-value="setBuried({ under: $event })"
              />
              <RacewayFields
                v-if="circuit.buried.raceway"
                :model-value="circuit.buried.raceway"
                @update:model-value="setBuried({ raceway: $event })"
              />
            </template>
            <TickField
              v-if="circuit.poles === 2"
              label="aluminum service-entrance cable"
              :model-value="circuit.metal === 'aluminum'"
              @update:model-value="change({ metal: $event ? 'aluminum' : undefined })"
            />
          </div>
        </v-expansion-panel-text>
      </v-expansion-panel>
    </v-expansion-panels>
  </div>
</template>
