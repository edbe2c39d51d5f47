<script setup lang="ts">
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import CountField from '../fields/CountField.vue';
import LengthField from '../fields/LengthField.vue';
import { useHouse } from '../stores/house';
import { writeStandard, type StandardField } from './standard-fields';

/** Some of the firm's standards as this house follows them, each with the reason for its answer. */
const props = defineProps<{ fields: readonly StandardField[]; lead?: string | undefined }>();
const store = useHouse();
const shown = computed(() => props.fields.filter((field) => field.when?.(store.current) ?? true));
const write = (field: StandardField, value: string | number) => store.apply(writeStandard(store.current, field, value));
</script>

<template>
  <div class="standards">
    <p v-if="lead" class="muted lead">{{ lead }}</p>
    <template v-for="field in shown" :key="field.id">
      <ChoiceField
        v-if="field.kind === 'choice'"
        :label="field.label"
        :model-value="field.read(store.current)"
        :answers="field.answers"
        :disabled="!store.canEdit"
        @update:model-value="write(field, $event)"
      />
      <LengthField
        v-else-if="field.kind === 'length'"
        :label="field.label"
        :model-value="field.read(store.current)"
        :disabled="!store.canEdit"
        @update:model-value="write(field, $event)"
      />
      <CountField
        v-else
        :label="field.label"
        :model-value="field.read(store.current)"
        :min="field.min"
        :max="field.max"
        v-bind="field.hint === undefined ? {} : { hint: field.hint }"
        :disabled="!store.canEdit"
        @update:model-value="write(field, $event)"
      />
    </template>
  </div>
</template>

<style scoped>
.standards {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 18px;
  align-items: start;
}
.lead {
  grid-column: 1 / -1;
  margin: 0;
}
@media (max-width: 640px) {
  .standards {
    grid-template-columns: 1fr;
  }
}
</style>
