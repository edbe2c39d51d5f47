<script setup lang="ts">
import { computed, ref } from 'vue';
import { addEntity, edit, formatLength, parseLength, removeEntities, rules, type House } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import BoxTypeEditor from './BoxTypeEditor.vue';
import SchoolsForm from './SchoolsForm.vue';
import TemplateEditor from './TemplateEditor.vue';

const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const house = computed(() => store.house!);

const heights = [
  ['receptacleHeightIn', 'Receptacles'],
  ['counterHeightIn', 'Over counters'],
  ['bathHeightIn', 'Bathrooms'],
  ['garageHeightIn', 'Garage'],
  ['laundryHeightIn', 'Laundry'],
  ['outdoorHeightIn', 'Outdoors'],
  ['switchHeightIn', 'Switches'],
  ['televisionHeightIn', 'Television'],
  ['deskHeightIn', 'Desks'],
  ['coveringIn', 'Wall covering'],
  ['switchFromJambIn', 'Switch from jamb'],
] as const;

const schools = [
  ['yoke-80', '180 VA a yoke, at 80 %'],
  ['yoke-100', '180 VA a yoke, at 100 %'],
  ['area', 'by area, with a maximum count'],
] as const;

function setJob(changes: Partial<House['job']>): void {
  store.apply(edit(house.value, 'Change job', (draft) => void Object.assign(draft.job, changes)));
}

function setStandards(changes: Partial<House['standards']>): void {
  store.apply(edit(house.value, 'Change standards', (draft) => void Object.assign(draft.standards, changes)));
}

function setHeight(field: (typeof heights)[number][0], text: string): void {
  const read = parseLength(text, field);
  if (read.ok) setStandards({ [field]: read.value });
  else store.problem = read.problems[0]!.message;
}

const editable = rules.filter((rule) => rule.meta.stage !== 'house');
const amendment = ref({ rule: 'wall-receptacle-spacing', limit: '', value: '', authority: '', date: '', note: '' });
const limits = computed(() => {
  const rule = rules.find((one) => one.id === amendment.value.rule);
  return Object.entries((rule?.meta.editions[house.value.job.edition]?.limits ?? {}) as Record<string, number>);
});

function addAmendment(): void {
  const { rule, limit, value, authority, date, note } = amendment.value;
  const change = limit === '' ? { kind: 'off' as const } : { kind: 'limit' as const, limit, value: Number(value) };
  if (limit !== '' && (value.trim() === '' || !Number.isFinite(Number(value))))
    store.problem = 'New value: type a number, in the unit of the limit.';
  else if (
    store.apply(addEntity(house.value, 'amendments', { id: newId('amendment'), rule, change, authority, date, note }))
  )
    amendment.value = { ...amendment.value, note: '', value: '' };
}

const summaryOf = (id: string) => rules.find((rule) => rule.id === id)?.meta.summary ?? id;
</script>

<template>
  <v-dialog :model-value="true" max-width="780" scrollable @update:model-value="emit('close')">
    <v-card title="The job">
      <v-card-text class="stack">
        <fieldset :disabled="!store.canEdit" class="grid">
          <label class="field"
            >Authority
            <input
              class="plain"
              :value="house.job.authority"
              maxlength="120"
              placeholder="authority having jurisdiction"
              @change="setJob({ authority: ($event.target as HTMLInputElement).value })"
          /></label>
          <label class="field"
            >Permit date
            <input
              class="plain"
              type="date"
              :value="house.job.permitDate"
              @change="setJob({ permitDate: ($event.target as HTMLInputElement).value || null })"
          /></label>
          <label class="field"
            >Lengths
            <select
              class="plain"
              :value="house.standards.lengths"
              @change="setStandards({ lengths: ($event.target as HTMLSelectElement).value as never })"
            >
              <option value="1/16">feet, inches, 1/16</option>
              <option value="1/8">feet, inches, 1/8</option>
              <option value="metric">metric</option>
            </select>
          </label>
          <label class="field"
            >Receptacles
            <select
              class="plain"
              :value="house.standards.receptacleSchool"
              @change="setStandards({ receptacleSchool: ($event.target as HTMLSelectElement).value as never })"
            >
              <option v-for="[id, name] in schools" :key="id" :value="id">{{ name }}</option>
            </select>
          </label>
          <label v-if="house.standards.receptacleSchool === 'area'" class="field"
            >Maximum
            <input
              class="plain"
              type="number"
              min="1"
              max="60"
              :value="house.standards.maxReceptaclesPerCircuit"
              @change="setStandards({ maxReceptaclesPerCircuit: Number(($event.target as HTMLInputElement).value) })"
          /></label>
        </fieldset>
        <h2 class="small-caps">Heights, finished floor to the centre of the box</h2>
        <fieldset :disabled="!store.canEdit" class="grid">
          <label v-for="[field, label] in heights" :key="field" class="field"
            >{{ label }}
            <input
              class="plain num"
              :value="formatLength(house.standards[field], house.standards.lengths)"
              @change="setHeight(field, ($event.target as HTMLInputElement).value)"
            />
          </label>
        </fieldset>
        <fieldset :disabled="!store.canEdit" class="grid">
          <label class="field"
            >Heights are marked to the
            <select
              class="plain"
              :value="house.standards.heightsTo"
              @change="
                setStandards({
                  heightsTo: ($event.target as HTMLSelectElement).value as House['standards']['heightsTo'],
                })
              "
            >
              <option>bottom</option>
              <option>centre</option>
              <option>top</option>
            </select></label
          >
          <label class="field"
            >Rows of luminaires end
            <select
              class="plain"
              :value="house.standards.ceilingSchool"
              @change="
                setStandards({
                  ceilingSchool: ($event.target as HTMLSelectElement).value as House['standards']['ceilingSchool'],
                })
              "
            >
              <option value="half-at-walls">half a spacing at the walls</option>
              <option value="equal-divisions">in equal divisions</option>
            </select></label
          >
        </fieldset>
        <SchoolsForm />
        <BoxTypeEditor />
        <TemplateEditor />
        <h2 class="small-caps">Local amendments</h2>
        <p v-if="!Object.keys(house.amendments).length" class="muted">
          None. Where the authority has switched a rule off or changed its number, write it down here with who and when;
          it is printed with the house.
        </p>
        <ul class="stack">
          <li v-for="one in house.amendments" :key="one.id" class="row amendment">
            <span class="grow"
              ><b>{{ summaryOf(one.rule) }}</b
              >: {{ one.change.kind === 'off' ? 'switched off' : `${one.change.limit} = ${one.change.value}`
              }}<br /><span class="muted">{{ one.authority }}, {{ one.date }} {{ one.note }}</span></span
            >
            <button
              v-if="store.canEdit"
              class="plain-button"
              @click="store.apply(removeEntities(house, [{ collection: 'amendments', id: one.id }]))"
            >
              Remove
            </button>
          </li>
        </ul>
        <form v-if="store.canEdit" class="stack new" @submit.prevent="addAmendment">
          <label class="field"
            >Rule
            <select v-model="amendment.rule" class="plain" @change="amendment.limit = ''">
              <option v-for="rule in editable" :key="rule.id" :value="rule.id">{{ rule.meta.summary }}</option>
            </select></label
          >
          <div class="grid">
            <label class="field"
              >Change
              <select v-model="amendment.limit" class="plain">
                <option value="">switch the rule off</option>
                <option v-for="[limit, value] in limits" :key="limit" :value="limit">
                  {{ limit }} (now {{ value }})
                </option>
              </select></label
            >
            <label v-if="amendment.limit" class="field"
              >New value <input v-model="amendment.value" class="plain num" required
            /></label>
            <label class="field"
              >Decided by <input v-model="amendment.authority" class="plain" required maxlength="80"
            /></label>
            <label class="field">Date <input v-model="amendment.date" class="plain" type="date" required /></label>
          </div>
          <label class="field"
            >Note
            <input v-model="amendment.note" class="plain" maxlength="500" placeholder="by telephone, bulletin number …"
          /></label>
          <button class="plain-button main" type="submit">Add the amendment</button>
        </form>
      </v-card-text>
      <v-card-actions><button class="plain-button main" @click="emit('close')">Done</button></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 18px;
}
.amendment,
.new {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 10px 12px;
}
@media (max-width: 640px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
