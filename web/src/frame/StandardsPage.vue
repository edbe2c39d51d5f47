<script setup lang="ts">
import SearchField from '../fields/SearchField.vue';
import { computed, ref, watch } from 'vue';
import {
  addEntity,
  edit,
  isSwitchLimit,
  limitName,
  limitValue,
  readLimit,
  removeEntities,
  rules,
  type House,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import LineField from '../fields/LineField.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import type { JobPart } from '../stores/view';
import FirmStandards from './FirmStandards.vue';
import BoxTypeEditor from './BoxTypeEditor.vue';
import { findStandards, PART_LEADS, STANDARD_FIELDS, STANDARD_PARTS, type StandardPart } from './standard-fields';
import StandardsForm from './StandardsForm.vue';
import { useLayout } from './use-layout';
import { decisionWords, rulingsOf, ruleSummary } from './decision-words';
import PresetEditor from './PresetEditor.vue';

/** What is known of the job, the standards that this house follows, and what the authority has decided: a page over the stage, in parts, with a search. */
const props = defineProps<{ first: JobPart }>();
const layout = useLayout();
const emit = defineEmits<{ close: []; part: [part: JobPart] }>();
const store = useHouse();
const house = computed(() => store.current);
/** Escape in a field takes back what was typed there; anywhere else it goes back to the stage. */
const leave = ({ target }: KeyboardEvent) => target instanceof HTMLInputElement || emit('close');
const rulings = computed(() => rulingsOf(house.value));

function setJob(changes: Partial<House['job']>): void {
  store.apply(edit(house.value, 'Change job', (draft) => void Object.assign(draft.job, changes)));
}

function setStandards(changes: Partial<House['standards']>): void {
  store.apply(edit(house.value, 'Change standards', (draft) => void Object.assign(draft.standards, changes)));
}

const editable = rules.filter((rule) => rule.meta.stage !== 'house');
const amendment = ref({ rule: 'wall-receptacle-spacing', limit: '', value: '', by: '', date: '', note: '' });
const limits = computed(() => {
  const rule = rules.find((one) => one.id === amendment.value.rule);
  return Object.entries((rule?.meta.editions[house.value.job.edition]?.limits ?? {}) as Record<string, number>);
});

function addAmendment(): void {
  const { rule, limit, value, by, date, note } = amendment.value;
  const read = limit === '' ? undefined : readLimit(limit, value);
  if (read && !read.ok) {
    store.problem = read.problems[0]!.message;
    return;
  }
  const change = read ? { kind: 'limit' as const, limit, value: read.value } : { kind: 'off' as const };
  if (store.apply(addEntity(house.value, 'decisions', { id: newId('amendment'), rule, change, by, date, note })))
    amendment.value = { ...amendment.value, note: '', value: '' };
}

const PARTS: Readonly<Record<JobPart, string>> = {
  job: 'Job',
  firm: 'Firm',
  heights: 'Heights',
  circuits: 'Circuits',
  switching: 'Switching',
  routes: 'Routes',
  'make-up': 'Make-up',
  boxes: 'Boxes',
  decisions: 'Decisions',
};
const part = ref<JobPart>(props.first);
watch(
  () => props.first,
  (next) => void (part.value = next),
);
watch(part, (next) => emit('part', next));
const isStandards = (one: JobPart): one is StandardPart => (STANDARD_PARTS as readonly string[]).includes(one);
/** What is typed to find a standard, whatever part it is in; a part that is opened ends it. */
const sought = ref<string | null>('');
watch(part, () => (sought.value = ''));
const found = computed(() => {
  const all = findStandards(house.value, sought.value ?? '');
  return STANDARD_PARTS.map((one) => ({ part: one, fields: all.filter((field) => field.part === one) })).filter(
    (one) => one.fields.length > 0,
  );
});
const LENGTHS = [
  { value: '1/16', word: 'feet, inches, 1/16' },
  { value: '1/8', word: 'feet, inches, 1/8' },
  { value: 'metric', word: 'metric' },
] as const;
const ruleItems = editable.map(({ id, meta }) => ({ value: id, title: meta.summary }));
const limitItems = computed(() => [
  { value: '', title: 'switch the rule off' },
  ...limits.value.map(([limit, value]) => ({
    value: limit,
    title: `${limitName(limit)}, now ${limitValue(limit, value)}`,
  })),
]);
</script>

<template>
  <section class="page" :class="layout" aria-label="Job and shop standards" @keydown.esc="leave">
    <header class="row">
      <h1 class="small-caps grow">Job and shop standards</h1>
      <v-text-field
        v-model="sought"
        class="seek"
        label="Find a standard"
        placeholder="height, spare, fan, pigtail …"
        clearable
        autocomplete="off"
      />
      <v-btn color="primary" variant="flat" @click="emit('close')">Done</v-btn>
    </header>
    <div class="parts">
      <v-tabs
        v-model="part"
        class="list"
        :direction="layout === 'phone' ? 'horizontal' : 'vertical'"
        show-arrows
        aria-label="Parts"
      >
        <v-tab v-for="(name, id) in PARTS" :key="id" :value="id" class="text-none">{{ name }}</v-tab>
      </v-tabs>
      <div class="body" role="tabpanel" tabindex="0" :aria-label="sought?.trim() ? 'What was found' : PARTS[part]">
        <template v-if="sought?.trim()">
          <p v-if="!found.length" class="muted" role="status">No standard speaks of that.</p>
          <section v-for="one in found" :key="one.part" :aria-label="PARTS[one.part]">
            <h3 class="part">{{ PARTS[one.part] }}</h3>
            <StandardsForm :fields="one.fields" />
          </section>
        </template>
        <div v-else-if="part === 'job'" class="grid">
          <v-text-field
            :model-value="house.job.authority"
            label="Authority having jurisdiction"
            maxlength="120"
            :disabled="!store.canEdit"
            @change="setJob({ authority: ($event.target as HTMLInputElement).value })"
          />
          <v-text-field
            :model-value="house.job.permitDate"
            label="Permit date"
            type="date"
            :disabled="!store.canEdit"
            @change="setJob({ permitDate: ($event.target as HTMLInputElement).value || null })"
          />
          <LineField
            label="Client"
            :most="120"
            :model-value="house.job.client ?? ''"
            @update:model-value="setJob({ client: $event.trim() || undefined })"
          />
          <LineField
            label="Address"
            :most="200"
            :model-value="house.job.address ?? ''"
            @update:model-value="setJob({ address: $event.trim() || undefined })"
          />
          <ChoiceField
            label="Lengths"
            :model-value="house.standards.lengths"
            :answers="LENGTHS"
            :disabled="!store.canEdit"
            @update:model-value="setStandards({ lengths: $event })"
          />
        </div>
        <FirmStandards v-else-if="part === 'firm'" />
        <StandardsForm
          v-else-if="isStandards(part)"
          :fields="STANDARD_FIELDS.filter((one) => one.part === part)"
          :lead="PART_LEADS[part]"
        />
        <div v-else-if="part === 'boxes'" class="stack">
          <BoxTypeEditor />
          <PresetEditor />
        </div>
        <div v-else class="stack">
          <p v-if="!rulings.length" class="muted">
            None. Where the authority has switched a rule off or changed its number, write it down here with who and
            when; it is printed with the house. A finding is accepted on its own card, where it is shown.
          </p>
          <v-list v-else density="compact" lines="two" aria-label="Decisions">
            <v-list-item
              v-for="one in rulings"
              :key="one.id"
              :title="`${ruleSummary(one.rule)}: ${decisionWords(one)}`"
              :subtitle="`${one.by}, ${one.date} ${one.note}`"
            >
              <template v-if="store.canEdit" #append>
                <v-btn
                  size="small"
                  @click="store.apply(removeEntities(house, [{ collection: 'decisions', id: one.id }]))"
                  >Remove</v-btn
                >
              </template>
            </v-list-item>
          </v-list>
          <v-form v-if="store.canEdit" class="grid" @submit.prevent="addAmendment">
            <SearchField
              v-model="amendment.rule"
              class="wide"
              label="Rule"
              :items="ruleItems"
              @update:model-value="amendment.limit = ''"
            />
            <v-select v-model="amendment.limit" label="Change" :items="limitItems" />
            <v-select
              v-if="isSwitchLimit(amendment.limit)"
              v-model="amendment.value"
              label="New value"
              :items="['yes', 'no']"
            />
            <v-text-field v-else-if="amendment.limit" v-model="amendment.value" label="New value" class="num" />
            <v-text-field v-model="amendment.by" label="Decided by" maxlength="80" required />
            <v-text-field v-model="amendment.date" label="Date" type="date" required />
            <v-text-field
              v-model="amendment.note"
              class="wide"
              label="Note"
              maxlength="500"
              placeholder="by telephone, bulletin number …"
            />
            <v-btn class="wide" type="submit" color="primary" variant="flat">Add the amendment</v-btn>
          </v-form>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.page {
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--card);
}
.page > .row {
  padding: 12px 24px;
  border-bottom: 1px solid var(--rule);
  align-items: center;
}
.seek {
  flex: 0 1 340px;
}
.parts {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
}
.list {
  padding-top: 12px;
  background: var(--rail);
  height: 100%;
}
.list :deep(.v-tab) {
  justify-content: flex-start;
}
.body {
  overflow-y: auto;
  padding: 22px 28px 40px;
}
.body > * {
  max-width: 860px;
}
.page.phone .parts {
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
}
.page.phone .list {
  padding: 0;
  height: auto;
}
.page.phone > .row {
  flex-wrap: wrap;
  padding: 10px 14px;
}
.page.phone .body {
  padding: 16px 14px 40px;
}
.part {
  margin: 14px 0 8px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 18px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
  margin: 0;
}
@media (max-width: 640px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
