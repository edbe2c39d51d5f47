<script setup lang="ts">
import { computed } from 'vue';
import {
  backingFor,
  boxTypes,
  BOX_SETTINGS,
  BOX_STATES,
  changeEntity,
  formatLength,
  isMixed,
  settingOf,
  suitableType,
  boxToBuy,
  type Box,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import LineField from '../fields/LineField.vue';
import NumberField from '../fields/NumberField.vue';
import TickField from '../fields/TickField.vue';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';
import { today } from '../today';

/** The box itself: its kind, its state, why it is there, and what it waits for. */
const props = defineProps<{ box: Box }>();
const store = useHouse();
const session = useSession();
const show = (inches: number) => formatLength(inches, store.current.standards.lengths);
const suits = computed(() => suitableType(store.current, props.box));
const type = computed(() => boxToBuy(store.current, props.box));
const setting = computed(() => settingOf(store.current, props.box));
const backing = computed(() => backingFor(props.box));
const types = computed(() => [
  { value: '', word: `what suits: ${suits.value.name}` },
  ...boxTypes(store.current)
    .filter((one) => one.gangs >= props.box.gangs || one.shape !== 'device')
    .map((one) => ({ value: one.id, word: one.name })),
]);
const words: Record<(typeof BOX_STATES)[number], string> = {
  undecided: 'undecided',
  'not-delivered': 'fixture not delivered',
  future: 'future: box or sleeve only',
  held: 'held until tile',
  existing: 'existing',
  moved: 'moved',
};
const change = (changes: Partial<Box>) => store.apply(changeEntity(store.current, 'boxes', props.box.id, changes));
const isOld = (state: Box['state']): boolean => state === 'existing' || state === 'moved';
/** Only what was there before can lack a ground. */
const setState = (state: Box['state'] | '') =>
  change({ state: state || undefined, ...(isOld(state || undefined) ? {} : { noGround: undefined }) });
const STATES = [
  { value: '' as const, word: 'new and settled' },
  ...BOX_STATES.map((value) => ({ value, word: words[value] })),
];
const CLAMPS = [
  { value: '', word: 'by the shop standard' },
  { value: 'inside', word: 'there are some' },
  { value: 'none', word: 'none' },
] as const;
const ORIGINS = [
  { value: 'code', word: 'the code requires it' },
  { value: 'request', word: 'requested' },
] as const;
const settings = computed(() => [
  { value: '' as const, word: props.box.at.kind === 'feature' ? 'the feature' : `the ${props.box.at.kind}` },
  ...BOX_SETTINGS.map((value) => ({ value, word: value.replaceAll('-', ' ') })),
]);

function setOrigin(origin: Box['origin']): void {
  change({
    origin,
    requested: origin === 'request' ? { by: session.signedIn?.user.name ?? 'the crew', on: today() } : undefined,
  });
}
function setRequester(by: string): void {
  const name = by.trim();
  if (name) change({ requested: { by: name, on: props.box.requested?.on ?? today() } });
}
</script>

<template>
  <section class="details stack">
    <h3 class="small-caps">The box</h3>
    <ChoiceField
      label="Kind of box"
      many
      :model-value="box.type ?? ''"
      :answers="types"
      @update:model-value="change({ type: $event || undefined })"
    />
    <p class="muted small">
      {{
        type.volumeIn3 ? `${type.volumeIn3} in³, common practice; the number marked in the box counts.` : 'Open back.'
      }}
      <template v-if="setting.standsOutIn !== undefined"
        >Stands {{ show(setting.standsOutIn) }} out of the stud.</template
      >
    </p>
    <NumberField
      label="Marked volume"
      unit="in³"
      optional
      :min="1"
      :max="400"
      :hint="`${type.volumeIn3}`"
      :model-value="box.volumeIn3"
      @update:model-value="change({ volumeIn3: $event })"
      @clear="change({ volumeIn3: undefined })"
    />
    <ChoiceField
      label="Cable clamps inside"
      :model-value="box.clamps ?? ''"
      :answers="CLAMPS"
      @update:model-value="change({ clamps: $event || undefined })"
    />
    <template v-if="type.shape === 'octagon' || type.shape === 'round' || type.shape === 'square'">
      <TickField
        label="a fixture stud inside"
        :model-value="box.stud ?? false"
        @update:model-value="change({ stud: $event || undefined })"
      />
      <TickField
        label="a hickey inside"
        :model-value="box.hickey ?? false"
        @update:model-value="change({ hickey: $event || undefined })"
      />
    </template>
    <p v-if="setting.advice" class="is-caution small">{{ setting.advice }}</p>
    <p v-if="backing" class="is-caution small">{{ backing }}</p>
    <TickField
      v-if="isMixed(box)"
      label="a divider between power and low voltage"
      :model-value="box.divider ?? false"
      @update:model-value="change({ divider: $event })"
    />
    <TickField
      v-if="box.at.kind === 'wall'"
      label="on a bracket between studs"
      :model-value="box.bracket ?? false"
      @update:model-value="change({ bracket: $event || undefined })"
    />
    <ChoiceField label="State" :model-value="box.state ?? ''" :answers="STATES" @update:model-value="setState" />
    <TickField
      v-if="isOld(box.state)"
      label="its old wiring brings no ground"
      :model-value="box.noGround ?? false"
      @update:model-value="change({ noGround: $event || undefined })"
    />
    <LineField
      label="Note"
      hint="what it waits for"
      :most="400"
      :model-value="box.note ?? ''"
      @update:model-value="change({ note: $event.trim() || undefined })"
    />
    <ChoiceField label="Why it is there" :model-value="box.origin" :answers="ORIGINS" @update:model-value="setOrigin" />
    <LineField
      v-if="box.origin === 'request'"
      label="Requested by"
      hint="owner"
      :model-value="box.requested?.by ?? ''"
      @update:model-value="setRequester"
    />
    <p v-if="box.requested" class="muted small">requested on {{ box.requested.on }}</p>
    <ChoiceField
      label="Sits in"
      :model-value="box.setting ?? ''"
      :answers="settings"
      @update:model-value="change({ setting: $event || undefined })"
    />
  </section>
</template>

<style scoped>
.details {
  min-width: 0;
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 10px 0 0;
  margin: 0;
}
.small {
  font-size: 12.5px;
  line-height: 1.4;
}
</style>
