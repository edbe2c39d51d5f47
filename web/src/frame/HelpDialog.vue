<script setup lang="ts">
import { KEYS, oneCharacterKeys } from '../surface/keys';

const emit = defineEmits<{ close: [] }>();
const GESTURES = [
  { label: 'Wheel, drag, pinch', what: 'zoom and pan the sheet' },
  { label: 'Shift drag', what: 'lasso' },
  { label: "R 7'-8 Enter", what: 'on the tape line: a receptacle that far from the last place' },
  { label: 'Tab', what: 'goes through all buttons, boxes and cards' },
] as const;
</script>

<template>
  <v-dialog :model-value="true" max-width="560" @update:model-value="emit('close')">
    <v-card class="pa-5" title="Keys and gestures">
      <dl>
        <template v-for="{ label, what } in [...KEYS, ...GESTURES]" :key="label"
          ><dt class="num">{{ label }}</dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
      <v-switch
        v-model="oneCharacterKeys"
        class="mt-2"
        label="Keys of one letter, number or sign"
        hint="They act with the focus on the plan or the strip alone."
        persistent-hint
      />
      <p class="muted mt-4">
        Lengths are taken as you say them: <b class="num">12', 12-6 1/2, 150", 3.5', 3 m, 90cm</b>. A bare number is
        inches, in the size of a room feet: living 18 x 14.
      </p>
      <v-btn color="primary" variant="flat" class="mt-4" @click="emit('close')">Close</v-btn>
    </v-card>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 8px 14px;
}
dt {
  color: var(--chalk);
  font-size: 16px;
}
</style>
