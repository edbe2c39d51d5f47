<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue';
import { count, cureNightFlaw, type House, type NightFlaw, type NightWalk, type NightWalks } from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import ProgressBar from '../../work/ProgressBar.vue';
import { useLongWork } from '../../work/long-work';

/** The house walked in the dark: a score, the spots that fail, the switch that cures each, and the walk itself to watch. */
const emit = defineEmits<{
  show: [walk: NightWalk | null, step: number, flaws: readonly NightFlaw[], chosen: NightFlaw | null];
}>();
const store = useHouse();
const found = shallowRef<NightWalks | null>(null);
const chosen = shallowRef<NightFlaw | null>(null);
const walk = shallowRef<NightWalk | null>(null);
const step = ref(0);
const work = useLongWork<House, NightWalks>(
  () => new Worker(new URL('./night.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
watch(
  () => store.house,
  async (house) => {
    if (!house) return;
    const answer = await work.ask(toRaw(house));
    if (!answer) return;
    found.value = answer;
    chosen.value = null;
    if (walk.value) walk.value = answer.walks.find((one) => one.id === walk.value!.id) ?? null;
  },
  { immediate: true },
);
watch([walk, step, found, chosen], () => emit('show', walk.value, step.value, found.value?.flaws ?? [], chosen.value));

let timer: ReturnType<typeof setInterval> | undefined;
const playing = ref(false);
function stop(): void {
  clearInterval(timer);
  playing.value = false;
}
onBeforeUnmount(() => {
  stop();
  emit('show', null, 0, [], null);
});
function play(): void {
  if (!walk.value) return;
  if (playing.value) return stop();
  if (step.value >= walk.value.steps.length - 1) step.value = 0;
  playing.value = true;
  timer = setInterval(() => {
    if (!walk.value || step.value >= walk.value.steps.length - 1) stop();
    else step.value++;
  }, 1100);
}
function watchWalk(id: string): void {
  stop();
  walk.value = found.value?.walks.find((one) => one.id === id) ?? null;
  step.value = 0;
  if (walk.value) play();
}
function choose(flaw: NightFlaw): void {
  chosen.value = flaw;
  const first = found.value?.walks.find((one) => one.id === flaw.walks[0]);
  if (!first) return;
  stop();
  walk.value = first;
  step.value = Math.max(
    0,
    first.steps.findIndex(
      (one) => one.flaw === flaw.kind && Math.hypot(one.at.x - flaw.at.x, one.at.y - flaw.at.y) < 300,
    ),
  );
}
const heads: Record<NightFlaw['kind'], string> = {
  dark: 'into the dark',
  'turn-back': 'turns back',
  'no-light': 'no light',
  'behind-door': 'behind the door',
};
const says = computed(() => walk.value?.steps[step.value]?.says ?? '');
const walkItems = computed(() => [
  { value: '', title: 'none' },
  ...(found.value?.walks ?? []).map((one) => ({
    value: one.id,
    title: `${one.name}${one.steps.some((s) => s.flaw) ? ' !' : ''}`,
  })),
]);
</script>

<template>
  <div class="panel">
    <ProgressBar
      v-if="work.progress.value && !found"
      :progress="work.progress.value"
      title="Walking the house in the dark"
      @cancel="work.cancel"
    />
    <template v-if="found">
      <p class="score">
        <b class="num">{{ found.score }}</b> of 100 · {{ found.walks.length }} walks in the dark
      </p>
      <SearchField
        label="Watch a walk"
        :model-value="walk?.id ?? ''"
        :items="walkItems"
        @update:model-value="watchWalk($event)"
      />
      <div v-if="walk" class="row player">
        <v-btn aria-label="Step back" :disabled="step === 0" @click="step--">◀</v-btn>
        <v-btn color="primary" variant="flat" @click="play">{{ playing ? 'Pause' : 'Play' }}</v-btn>
        <v-btn aria-label="Step on" :disabled="step >= walk.steps.length - 1" @click="step++"> ▶ </v-btn>
        <span class="says" role="status">{{ says }}</span>
      </div>
      <p v-if="!found.walks.length" class="muted">
        Nothing to walk yet: draw doors between the rooms, and a way in from outside.
      </p>
      <p v-else-if="!found.flaws.length" class="good">
        There is always a switch ahead, and one to put out what lies behind.
      </p>
      <article
        v-for="flaw in found.flaws"
        :key="`${flaw.kind} ${flaw.passage} ${flaw.room}`"
        class="flaw"
        :class="[flaw.kind, { chosen: flaw === chosen }]"
      >
        <v-btn class="open wraps leads" variant="text" block @click="choose(flaw)">
          <b>{{ heads[flaw.kind] }}</b> {{ flaw.message }}
          <span class="muted">{{ count(flaw.walks.length, 'walk') }}</span>
        </v-btn>
        <v-btn
          v-if="store.canEdit && flaw.group && flaw.kind !== 'behind-door'"
          @click="store.apply(cureNightFlaw(store.current, flaw, newId))"
        >
          Add a switch here
        </v-btn>
      </article>
      <p class="muted">Common practice; the code requires less (210.70).</p>
    </template>
  </div>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 8px;
  align-content: start;
}
.score b {
  font-size: 34px;
}
.player {
  flex-wrap: nowrap;
  align-items: center;
}
.player .v-btn {
  min-height: 44px;
}
.says {
  flex: 1;
}
.flaw {
  border: 1px solid var(--rule);
  border-left: 5px solid var(--caution);
  border-radius: 3px;
  padding: 2px 8px 8px;
  background: var(--card);
}
.flaw.dark,
.flaw.no-light {
  border-left-color: var(--violation);
}
.flaw.chosen {
  background: var(--chalk-soft);
}
.open {
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  padding: 6px 0;
  width: 100%;
}
.good {
  color: var(--reached-ink);
}
</style>
