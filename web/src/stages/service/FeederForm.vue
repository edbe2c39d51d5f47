<script setup lang="ts">
import { computed } from 'vue';
import {
  changeEntity,
  CONDUCTOR_SIZES,
  feederAmpacity,
  feederDrop,
  feederLoad,
  feederMetal,
  laidIn,
  leastFeeder,
  removeEntities,
  STANDARD_RATINGS_A,
  type Feeder,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import RacewayFields from '../../fields/RacewayFields.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';
import ConductorFields from './ConductorFields.vue';

/** A feeder: its breaker, conductors and way, with what it carries and has to carry. */
const props = defineProps<{ feeder: Feeder }>();
const emit = defineEmits<{ removed: [] }>();
const store = useHouse();
const house = computed(() => store.current);
const set = (changes: { readonly [K in keyof Feeder]?: Feeder[K] | undefined }) =>
  void store.apply(changeEntity(house.value, 'feeders', props.feeder.id, changes as Partial<Feeder>));
const load = computed(() => feederLoad(house.value, props.feeder));
const laid = computed(() => laidIn(house.value, props.feeder));
const carries = computed(() => feederAmpacity(laid.value));
const least = computed(() =>
  leastFeeder(laid.value, props.feeder.conductor.metal, load.value.amps, load.value.isWholeDwelling),
);
/** The same in the other metal, to be compared. */
const other = computed(() => {
  const metal = props.feeder.conductor.metal === 'copper' ? ('aluminum' as const) : ('copper' as const);
  const found = leastFeeder(laid.value, metal, load.value.amps, load.value.isWholeDwelling);
  return found && { words: `${named(found.size)} ${metal}`, size: found.size, ground: found.ground, metal };
});
/** Both metals at their least sizes, by weight and by what they usually cost. */
const metals = computed(() => {
  const { lengthFt, conductor, poles } = props.feeder;
  if (!lengthFt || !least.value || !other.value) return '';
  const { metal } = conductor;
  return [{ ...least.value, metal }, other.value]
    .map((one) => {
      const { lb, dollars } = feederMetal({ conductor: one, ground: one.ground, poles }, lengthFt);
      return `${one.metal} ${lb.toFixed(0)} lb, about $${Math.round(dollars / 10) * 10}`;
    })
    .join('; ');
});
const drop = computed(() =>
  props.feeder.lengthFt
    ? 100 * feederDrop(props.feeder, load.value.amps, props.feeder.lengthFt, load.value.unevenA)
    : undefined,
);
const named = (size: string) => (size.includes('kcmil') ? size : `No. ${size}`);
const WIRING = [
  { value: 'nonmetallic', word: 'nonmetallic cable', why: '60 °C column, and to No. 2: 334.80.' },
  { value: 'service-entrance', word: 'service-entrance cable (SER)', why: 'Indoors and dry; not in the ground: 338.' },
  { value: 'underground', word: 'underground cable (UF)', why: '60 °C column: 340.80.' },
  { value: 'raceway', word: 'conductors in a raceway', why: 'Wet-rated outdoors and in the ground: 300.5(B), 300.9.' },
] as const;
const neutrals = computed(() => [
  { value: '', word: 'as large as the others' },
  ...CONDUCTOR_SIZES.map((value) => ({ value: value as string, word: named(value) })),
]);
const grounds = computed(() => [
  ...CONDUCTOR_SIZES.map((value) => ({ value: value as string, word: named(value) })),
  { value: 'raceway', word: 'the metal raceway' },
  { value: 'none', word: 'none' },
]);
function setWiring(wiring: Feeder['wiring']): void {
  set({ wiring, raceway: wiring === 'raceway' ? { kind: 'pvc-40', trade: '1-1/4' } : undefined });
}
function remove(): void {
  if (store.apply(removeEntities(house.value, [{ collection: 'feeders', id: props.feeder.id }]))) emit('removed');
}
</script>

<template>
  <div class="stack">
    <p class="num big" role="status">
      {{ load.amps.toFixed(0) }} A <small>of {{ carries.toFixed(0) }} A that it carries</small>
    </p>
    <p v-if="least" class="muted">
      {{ load.isWholeDwelling ? 'It carries a whole dwelling (310.12). ' : '' }}Least: {{ named(least.size) }}
      {{ feeder.conductor.metal }}, {{ named(least.ground) }} ground<template v-if="other"
        >; or {{ other.words }}</template
      >.<template v-if="drop !== undefined"> It loses {{ drop.toFixed(1) }} % (3 % is advised).</template>
    </p>
    <p v-if="metals" class="muted small">Over its length: {{ metals }} (typical prices, to compare).</p>
    <v-expansion-panels v-if="load.calculation.lines.length">
      <v-expansion-panel title="The sum">
        <v-expansion-panel-text>
          <p v-for="line in load.calculation.lines" :key="line.what" class="line">
            <span class="grow">{{ line.what }}</span>
            <b class="num">{{ Math.round(line.va).toLocaleString('en-US') }}</b>
            <span class="muted num">{{ line.section }}</span>
          </p>
        </v-expansion-panel-text>
      </v-expansion-panel>
    </v-expansion-panels>
    <div class="pair">
      <ChoiceField
        label="Its breaker"
        :model-value="feeder.ratingA"
        :answers="STANDARD_RATINGS_A.map((value) => ({ value: value as number, word: `${value} A` }))"
        @update:model-value="set({ ratingA: $event })"
      />
      <NumberField
        label="Space"
        :min="1"
        :max="84"
        whole
        :model-value="feeder.space ?? undefined"
        optional
        hint="none yet"
        @update:model-value="set({ space: $event })"
        @clear="set({ space: null })"
      />
    </div>
    <ChoiceField label="Wiring" :model-value="feeder.wiring" :answers="WIRING" @update:model-value="setWiring" />
    <ConductorFields
      label="Conductors"
      :model-value="feeder.conductor"
      @update:model-value="$event && set({ conductor: $event })"
    />
    <ChoiceField
      v-if="feeder.poles === 2"
      label="Neutral"
      :model-value="feeder.neutral ?? ''"
      :answers="neutrals"
      @update:model-value="set({ neutral: ($event || undefined) as Feeder['neutral'] })"
    />
    <p v-if="feeder.poles === 2" class="muted small">
      Its neutral must carry {{ load.neutralA.toFixed(0) }} A (220.61).
    </p>
    <ChoiceField
      label="Equipment ground"
      :model-value="feeder.ground as string"
      :answers="grounds"
      @update:model-value="set({ ground: $event as Feeder['ground'] })"
    />
    <div v-if="feeder.raceway" class="pair">
      <RacewayFields :model-value="feeder.raceway" @update:model-value="set({ raceway: $event })" />
    </div>
    <div class="pair">
      <NumberField
        label="Length, one way"
        unit="ft"
        :min="1"
        :max="2000"
        optional
        hint="estimated"
        :model-value="feeder.lengthFt"
        @update:model-value="set({ lengthFt: $event })"
        @clear="set({ lengthFt: undefined })"
      />
      <LengthField
        label="Cover in the ground"
        optional
        :model-value="feeder.coverIn"
        @update:model-value="set({ coverIn: $event })"
        @clear="set({ coverIn: undefined })"
      />
    </div>
    <TickField
      v-if="feeder.coverIn !== undefined"
      label="it crosses under the driveway"
      :model-value="feeder.underDriveway ?? false"
      @update:model-value="set({ underDriveway: $event || undefined })"
    />
    <TickField
      label="it runs through the attic"
      :model-value="feeder.inAttic ?? false"
      @update:model-value="set({ inAttic: $event || undefined })"
    />
    <v-btn v-if="store.canEdit" @click="remove">Remove this feeder</v-btn>
  </div>
</template>

<style scoped>
.big {
  font-size: 30px;
  font-weight: 700;
}
.big small {
  font-size: 14px;
  font-weight: 500;
}
.line {
  display: flex;
  gap: 8px;
  font-size: 12.5px;
}
</style>
