<script setup lang="ts">
const emit = defineEmits<{ close: [] }>();
const keys = [
  ['Alt 1 … 9', 'go to the first nine stages of the rail, from Brief to Load profile'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['Wheel, drag, pinch', 'zoom and pan the sheet'],
  ['Shift drag', 'lasso'],
  ['Esc', 'drop the tool, refuse a proposal'],
  ['Delete', 'delete what is selected'],
  ['← →', 'walk the strip by an inch; with Shift from stud to stud'],
  ['R S L A', 'drop a receptacle, switch, luminaire, alarm at the cursor'],
  ["R 7'-8 Enter", 'on the tape line: a receptacle that far from the last place'],
  [', .', 'move what is selected by an inch; with Shift to the next stud'],
  ['+ −', 'raise or lower it by an inch'],
  ['1 … 9', 'set down a preset of boxes at the cursor'],
  ['Z', 'zoom to the room of the strip'],
  ['Tab', 'goes through all buttons, boxes and cards'],
] as const;
</script>

<template>
  <v-dialog :model-value="true" max-width="560" @update:model-value="emit('close')">
    <v-card class="pa-5" title="Keys and gestures">
      <dl>
        <template v-for="[key, what] in keys" :key="key"
          ><dt class="num">{{ key }}</dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
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
