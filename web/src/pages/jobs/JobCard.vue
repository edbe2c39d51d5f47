<script setup lang="ts">
import { computed } from 'vue';
import type { HouseSummary } from '@winculum/contract';
import { wordFor, type JobSummary } from '@winculum/core';

/** One job: a small plan, what and where it is, how far it is, and what is open. */
const props = defineProps<{
  house: HouseSummary;
  summary: JobSummary | undefined;
  /** This device opens it without a network. */
  onDevice: boolean;
}>();
defineEmits<{ more: [at: HTMLElement] }>();

const plan = computed(() => {
  const outlines = props.summary?.outlines ?? [];
  const xs = outlines.flatMap((one) => one.filter((_, i) => i % 2 === 0));
  const ys = outlines.flatMap((one) => one.filter((_, i) => i % 2 === 1));
  if (xs.length === 0) return undefined;
  const [minX, minY] = [Math.min(...xs), Math.min(...ys)];
  const [width, depth] = [Math.max(...xs) - minX, Math.max(...ys) - minY];
  const edge = Math.max(width, depth) * 0.03;
  return {
    box: `${minX - edge} ${minY - edge} ${width + 2 * edge} ${depth + 2 * edge}`,
    stroke: Math.max(width, depth) / 90,
    rooms: outlines.map((one) => one.join(' ')),
  };
});
const where = computed(() => [props.summary?.job.client, props.summary?.job.address].filter(Boolean).join(', '));
const permit = computed(() => {
  const job = props.summary?.job;
  if (!job) return '';
  return [`NEC ${job.edition}`, job.authority, job.permitDate && `permit ${job.permitDate}`].filter(Boolean).join(', ');
});
const changed = computed(() => {
  const when = new Date(props.house.updatedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
  return props.house.changedBy ? `${when}, ${props.house.changedBy}` : when;
});
</script>

<template>
  <li class="card">
    <router-link class="plan" :to="`/houses/${house.id}/boxes`" tabindex="-1" aria-hidden="true">
      <svg v-if="plan" :viewBox="plan.box" preserveAspectRatio="xMidYMid meet">
        <polygon v-for="(points, i) in plan.rooms" :key="i" :points="points" :stroke-width="plan.stroke" />
      </svg>
      <span v-else class="muted">{{ summary ? 'nothing drawn' : '' }}</span>
    </router-link>
    <div class="words">
      <router-link class="name" :to="`/houses/${house.id}/boxes`">{{ house.name }}</router-link>
      <p v-if="where">{{ where }}</p>
      <p class="muted small">{{ permit }}</p>
      <!-- Its place is kept until the figures come, so that nothing below moves under a finger. -->
      <p class="row facts">
        <template v-if="summary">
          <span class="phase">{{ summary.phase.replace('-', ' ') }}</span>
          <span v-if="summary.violations" class="is-violation"
            ><b class="num">{{ summary.violations }}</b> ▨ {{ wordFor(summary.violations, 'violation') }}</span
          >
          <span v-if="summary.questions" class="is-caution"
            ><b class="num">{{ summary.questions }}</b> {{ wordFor(summary.questions, 'question') }}</span
          >
          <span v-if="summary.tasks" class="muted"
            ><b class="num">{{ summary.tasks }}</b> {{ wordFor(summary.tasks, 'task') }}</span
          >
        </template>
      </p>
      <p class="muted small">{{ changed }}{{ onDevice ? ' · on this device' : '' }}</p>
    </div>
    <v-btn class="more" :aria-label="`More: ${house.name}`" @click="$emit('more', $event.currentTarget as HTMLElement)"
      >…</v-btn
    >
  </li>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) auto;
  gap: 12px;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 10px;
  align-items: start;
}
.plan {
  height: 92px;
  display: grid;
  place-content: center;
  background: var(--paper);
  border: 1px solid var(--rule);
  font-size: 12px;
  text-decoration: none;
}
.plan svg {
  width: 116px;
  height: 90px;
}
polygon {
  fill: var(--room);
  stroke: var(--wall);
  stroke-linejoin: round;
}
.words {
  display: grid;
  gap: 2px;
}
.name {
  font-size: 17px;
  font-weight: 600;
  color: var(--ink);
  text-decoration: none;
}
.name:hover {
  color: var(--chalk);
}
.words .small {
  min-height: 1.5em;
}
.facts {
  gap: 10px;
  min-height: 24px;
}
.phase {
  border: 1.5px solid var(--chalk);
  color: var(--chalk);
  border-radius: 10px;
  padding: 0 9px;
  font-weight: 600;
}
.more {
  min-width: 44px !important;
  min-height: 44px;
}
@media (max-width: 480px) {
  .card {
    grid-template-columns: 84px minmax(0, 1fr) auto;
  }
  .plan svg {
    width: 82px;
  }
}
</style>
