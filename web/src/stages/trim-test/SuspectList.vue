<script setup lang="ts">
import { shallowRef, toRaw } from 'vue';
import { count, type TestResult, type TestStep } from '@winculum/core';
import { useHouse } from '../../stores/house';
import ProgressBar from '../../work/ProgressBar.vue';
import { useLongWork } from '../../work/long-work';
import type { MistakeAnswer, MistakeJob } from './find-mistake.worker';

/** What single mistake shows exactly what was read on a circuit. */
const props = defineProps<{ step: TestStep; readings: ReadonlyMap<string, TestResult['reading']> }>();
const store = useHouse();
const answer = shallowRef<MistakeAnswer>();
const work = useLongWork<MistakeJob, MistakeAnswer | undefined>(
  () => new Worker(new URL('./find-mistake.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
async function find(): Promise<void> {
  answer.value = await work.ask({
    house: toRaw(store.current),
    step: props.step.id,
    readings: new Map(props.readings),
  });
}
</script>

<template>
  <div class="suspects">
    <v-btn size="small" :disabled="!!work.progress.value" :aria-label="`Find the mistake: ${step.what}`" @click="find"
      >Find the mistake</v-btn
    >
    <ProgressBar
      v-if="work.progress.value"
      title="Looking for the mistake"
      :progress="work.progress.value"
      @cancel="work.cancel()"
    />
    <template v-if="answer">
      <p class="small muted">
        By {{ answer.tried }} of {{ count(answer.steps, 'step') }} on this circuit.
        <template v-if="answer.tried < answer.steps"
          >Every further one, right or wrong, makes the list shorter.</template
        >
      </p>
      <p v-if="!answer.suspects.length" class="is-caution">
        No single mistake shows this: there are two, a device is broken, or the wiring is not what is drawn.
      </p>
      <ol v-else aria-label="Suspects">
        <li v-for="one in answer.suspects.slice(0, 12)" :key="one.words">
          <b>{{ one.words }}</b> <span class="muted">{{ one.found }}. {{ one.remedy }}</span>
        </li>
      </ol>
      <p v-if="answer.suspects.length > 12" class="muted small">and {{ answer.suspects.length - 12 }} more</p>
    </template>
  </div>
</template>

<style scoped>
.suspects {
  display: grid;
  gap: 4px;
  justify-items: start;
  padding-top: 4px;
}
ol {
  padding-left: 20px;
  margin: 0;
}
</style>
