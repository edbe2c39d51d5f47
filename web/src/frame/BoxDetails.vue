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
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';

/** The box itself: its kind, its state, why it is there, and what it waits for. */
const props = defineProps<{ box: Box }>();
const store = useHouse();
const session = useSession();
const show = (inches: number) => formatLength(inches, store.house!.standards.lengths);
const suits = computed(() => suitableType(store.house!, props.box));
const type = computed(() => boxToBuy(store.house!, props.box));
const setting = computed(() => settingOf(store.house!, props.box));
const backing = computed(() => backingFor(props.box));
const types = computed(() =>
  boxTypes(store.house!).filter((one) => one.gangs >= props.box.gangs || one.shape !== 'device'),
);
const words: Record<(typeof BOX_STATES)[number], string> = {
  undecided: 'undecided',
  'not-delivered': 'fixture not delivered',
  future: 'future: box or sleeve only',
  held: 'held until tile',
  existing: 'existing',
  moved: 'moved',
};
const change = (changes: Partial<Box>) => store.apply(changeEntity(store.house!, 'boxes', props.box.id, changes));
const value = (event: Event) => (event.target as HTMLInputElement).value;
const checked = (event: Event) => (event.target as HTMLInputElement).checked;

function setOrigin(origin: Box['origin']): void {
  const today = new Date().toISOString().slice(0, 10);
  change({
    origin,
    requested: origin === 'request' ? { by: session.signedIn?.user.name ?? 'somebody', on: today } : undefined,
  });
}
function setWisher(by: string): void {
  const name = by.trim();
  if (name) change({ requested: { by: name, on: props.box.requested?.on ?? new Date().toISOString().slice(0, 10) } });
}
</script>

<template>
  <fieldset class="details stack" :disabled="!store.canEdit">
    <legend class="small-caps">The box</legend>
    <label class="field"
      >Kind
      <select class="plain" :value="box.type ?? ''" @change="change({ type: value($event) || undefined })">
        <option value="">what suits: {{ suits.name }}</option>
        <option v-for="one in types" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select></label
    >
    <p class="muted small">
      {{
        type.volumeIn3 ? `${type.volumeIn3} in³, common practice; the number marked in the box counts.` : 'Open back.'
      }}
      <template v-if="setting.standsOutIn !== undefined"
        >Stands {{ show(setting.standsOutIn) }} out of the stud.</template
      >
    </p>
    <label class="field"
      >Marked volume, in³
      <input
        class="plain num"
        type="number"
        min="1"
        max="400"
        step="0.1"
        :value="box.volumeIn3 ?? ''"
        :placeholder="`${type.volumeIn3}`"
        @change="change({ volumeIn3: Number(value($event)) || undefined })"
    /></label>
    <p v-if="setting.advice" class="is-caution small">{{ setting.advice }}</p>
    <p v-if="backing" class="is-caution small">{{ backing }}</p>
    <v-checkbox
      v-if="isMixed(box)"
      density="compact"
      hide-details
      label="a divider between power and low voltage"
      :model-value="box.divider ?? false"
      @update:model-value="change({ divider: $event ?? false })"
    />
    <label v-if="box.at.kind === 'wall'" class="row"
      ><input
        type="checkbox"
        :checked="box.bracket ?? false"
        @change="change({ bracket: checked($event) || undefined })"
      />
      on a bracket between studs</label
    >
    <label class="field"
      >State
      <select
        class="plain"
        :value="box.state ?? ''"
        @change="change({ state: (value($event) || undefined) as Box['state'] })"
      >
        <option value="">new and settled</option>
        <option v-for="one in BOX_STATES" :key="one" :value="one">{{ words[one] }}</option>
      </select></label
    >
    <label class="field"
      >Note
      <input
        class="plain"
        maxlength="400"
        :value="box.note ?? ''"
        placeholder="what it waits for"
        @change="change({ note: value($event).trim() || undefined })"
    /></label>
    <label class="field"
      >Why it is there
      <select class="plain" :value="box.origin" @change="setOrigin(value($event) as Box['origin'])">
        <option value="code">the code asks for it</option>
        <option value="wish">a wish</option>
      </select></label
    >
    <label v-if="box.origin === 'request'" class="field"
      >Wished by
      <input
        class="plain"
        maxlength="80"
        :value="box.requested?.by ?? ''"
        placeholder="owner"
        @change="setWisher(value($event))"
    /></label>
    <p v-if="box.requested" class="muted small">wished on {{ box.requested.on }}</p>
    <label class="field"
      >Sits in
      <select
        class="plain"
        :value="box.setting ?? ''"
        @change="change({ setting: (value($event) || undefined) as Box['setting'] })"
      >
        <option value="">{{ box.at.kind === 'feature' ? 'the feature' : `the ${box.at.kind}` }}</option>
        <option v-for="one in BOX_SETTINGS" :key="one" :value="one">{{ one.replaceAll('-', ' ') }}</option>
      </select></label
    >
  </fieldset>
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
