<script setup lang="ts">
import { computed } from 'vue';
import { changeEntity, removeEntities, standbyCord, type Source } from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LineField from '../../fields/LineField.vue';
import NumberField from '../../fields/NumberField.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';

/** A generator, an array or a battery: what it gives, and what keeps it apart from the utility. */
const props = defineProps<{ source: Source }>();
const emit = defineEmits<{ removed: [] }>();
const store = useHouse();
const set = (changes: { readonly [K in keyof Source]?: Source[K] | undefined }) =>
  void store.apply(changeEntity(store.current, 'sources', props.source.id, changes as Partial<Source>));
const KINDS = [
  { value: 'generator', word: 'a generator' },
  { value: 'solar', word: 'solar' },
  { value: 'battery', word: 'a battery' },
] as const;
const VOLTS = [
  { value: '120/240', word: '120/240 V' },
  { value: '120', word: '120 V' },
] as const;
const TRANSFERS = [
  { value: 'none', word: 'nothing', why: 'Never with a utility: it kills the people who work on its lines (702.5).' },
  {
    value: 'interlock',
    word: 'an interlock and a breaker',
    why: 'A listed kit, and the breaker held down: 408.36(D).',
  },
  { value: 'manual-switch', word: 'a manual transfer switch', why: 'The circuits that it carries are chosen.' },
  { value: 'automatic', word: 'an automatic transfer switch', why: 'It carries all of it, or manages it: 702.4.' },
  { value: 'interactive', word: 'an interactive inverter', why: 'Listed for it; the busbars have a limit: 705.12.' },
] as const;
const panels = computed(() => Object.values(store.current.panels).map(({ id, name }) => ({ value: id, word: name })));
const circuits = computed(() =>
  Object.values(store.current.circuits)
    .filter((one) => one.panel === props.source.panel)
    .map(({ id, name }) => ({ value: id, title: name })),
);
/** What a portable one is plugged in with. */
const cord = computed(() =>
  props.source.kind === 'generator' &&
  (props.source.transfer === 'interlock' || props.source.transfer === 'manual-switch')
    ? standbyCord(props.source)
    : undefined,
);
function remove(): void {
  if (store.apply(removeEntities(store.current, [{ collection: 'sources', id: props.source.id }]))) emit('removed');
}
</script>

<template>
  <div class="stack">
    <LineField label="Name of the source" :model-value="source.name" @update:model-value="set({ name: $event })" />
    <div class="pair">
      <ChoiceField
        label="It is"
        :model-value="source.kind"
        :answers="KINDS"
        @update:model-value="set({ kind: $event })"
      />
      <ChoiceField
        label="It gives"
        :model-value="source.volts"
        :answers="VOLTS"
        @update:model-value="set({ volts: $event })"
      />
    </div>
    <div class="pair">
      <NumberField
        label="Running"
        unit="W"
        :min="100"
        :max="100000"
        whole
        :model-value="source.runningW"
        @update:model-value="set({ runningW: $event })"
      />
      <NumberField
        label="Starting"
        unit="W"
        :min="100"
        :max="200000"
        whole
        optional
        hint="not said"
        :model-value="source.startingW"
        @update:model-value="set({ startingW: $event })"
        @clear="set({ startingW: undefined })"
      />
    </div>
    <ChoiceField
      label="At the panel"
      :model-value="source.panel"
      :answers="panels"
      @update:model-value="set({ panel: $event, circuits: undefined })"
    />
    <ChoiceField
      label="Kept apart from the utility by"
      :model-value="source.transfer"
      :answers="TRANSFERS"
      @update:model-value="set({ transfer: $event })"
    />
    <v-autocomplete
      v-if="source.transfer === 'manual-switch' || source.transfer === 'automatic'"
      label="Circuits that it carries"
      multiple
      chips
      :model-value="source.circuits ?? []"
      :items="circuits"
      :placeholder="source.circuits ? '' : 'all of the panel'"
      persistent-placeholder
      :disabled="!store.canEdit"
      @update:model-value="set({ circuits: $event.length ? $event : undefined })"
    />
    <TickField
      v-if="source.transfer === 'manual-switch' || source.transfer === 'automatic'"
      label="it switches the neutral as well"
      :model-value="source.switchesNeutral"
      @update:model-value="set({ switchesNeutral: $event })"
    />
    <TickField
      v-if="source.transfer === 'interactive'"
      label="its breaker stands at the end away from the main"
      :model-value="source.atFarEnd ?? false"
      @update:model-value="set({ atFarEnd: $event || undefined })"
    />
    <p v-if="cord" class="muted">
      <template v-if="cord.inletA"
        >It gives {{ cord.amps.toFixed(0) }} A: an inlet of <b class="num">{{ cord.inletA }} A</b> and a cord of
        <b class="num">No. {{ cord.awg }}</b
        >, Table 400.5(A)(1).</template
      ><template v-else>It gives {{ cord.amps.toFixed(0) }} A, more than an inlet of 50 A: it is wired.</template>
    </p>
    <v-btn v-if="store.canEdit" @click="remove">Remove this source</v-btn>
  </div>
</template>
