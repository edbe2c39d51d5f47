<script setup lang="ts" generic="S extends string">
/** What is done of a cable, one menu for all rows of a sheet: it hangs on the button that was pressed. */
defineProps<{ at: HTMLElement | undefined; steps: readonly S[]; done: readonly S[] }>();
const emit = defineEmits<{ mark: [step: S]; close: [] }>();
</script>

<template>
  <v-menu :model-value="!!at" :target="at" :close-on-content-click="false" @update:model-value="emit('close')">
    <v-list v-if="at" role="menu" aria-label="What is done of it">
      <v-list-item
        v-for="step in steps"
        :key="step"
        role="menuitemcheckbox"
        :aria-checked="done.includes(step)"
        min-height="44"
        @click="emit('mark', step)"
        >{{ done.includes(step) ? '☑' : '☐' }} {{ step }}</v-list-item
      >
    </v-list>
  </v-menu>
</template>
