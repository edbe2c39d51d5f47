<script setup lang="ts">
import { count, mustKnow } from '@winculum/core';
import { computed } from 'vue';
import { useHouse } from '../stores/house';
import { STAGES, type Stop } from '../stops';

defineProps<{ stop: Stop }>();
const store = useHouse();

const groups = [...new Set(STAGES.map((one) => one.group))].map((title) => ({
  title,
  stages: STAGES.filter((one) => one.group === title),
}));

/** Questions of the brief that nobody has answered. */
const unanswered = computed(() =>
  store.house ? mustKnow(store.house).filter((one) => one.state === 'open').length : 0,
);

/** What is open at each stop: violations first, then questions and notes. */
const open = computed(() => {
  const counts: Record<string, { violations: number; others: number }> = {};
  for (const { stage, kind, severity } of store.check?.findings ?? []) {
    const count = (counts[stage] ??= { violations: 0, others: 0 });
    if (kind === 'fail' && severity === 'violation') count.violations++;
    else count.others++;
  }
  const boxes = Object.values(store.house?.boxes ?? {});
  const wrong = Object.values(store.house?.results ?? {}).filter((one) => one.reading !== 'right').length;
  counts['brief'] = { violations: 0, others: unanswered.value };
  const tasks = Object.values(store.house?.tasks ?? {}).filter((one) => one.state === 'open');
  counts['phases'] = { violations: tasks.filter((one) => one.kind === 'correction').length, others: tasks.length };
  counts['trim-test'] = { violations: wrong, others: 0 };
  counts['walk'] = {
    violations: 0,
    others: boxes.filter((box) => box.state !== 'existing' && (box.progress === undefined || box.progress === 'marked'))
      .length,
  };
  return counts;
});

/** Papers and days: there is nothing in them to be right or wrong. */
const NEVER_DONE: ReadonlySet<Stop> = new Set(['load-profile', 'inspection', 'phases', 'photos', 'documents']);
const PAPERS: Readonly<Partial<Record<Stop, string>>> = {
  'load-profile': 'a day in the house: which breaker trips',
  inspection: 'what the inspector reads',
  photos: 'what is behind the drywall',
  documents: 'what the next owner gets',
};

/** Whether there is anything yet that could be right or wrong. */
function isBegun(id: Stop): boolean {
  if (NEVER_DONE.has(id)) return false;
  if (id === 'brief') return Object.keys(store.house?.rooms ?? {}).length > 0;
  if (id === 'trim-test') return Object.keys(store.house?.results ?? {}).length > 0;
  return id === 'walk'
    ? Object.keys(store.house?.boxes ?? {}).length > 0
    : ((store.check?.looked as ReadonlySet<string> | undefined)?.has(id) ?? false);
}

function describe(id: Stop): string {
  const paper = PAPERS[id];
  if (paper) return paper;
  if (id === 'brief') return count(unanswered.value, 'open question');
  if (id === 'phases') return count(open.value['phases']?.others ?? 0, 'open task');
  if (!isBegun(id)) return 'nothing here yet';
  if (id === 'walk') return `${open.value['walk']?.others ?? 0} boxes not nailed yet`;
  const { violations = 0, others = 0 } = open.value[id] ?? {};
  return violations + others === 0
    ? 'nothing open'
    : `${count(violations, 'violation')}, ${count(others, 'question or note', 'questions and notes')}`;
}
</script>

<template>
  <nav class="rail" aria-label="Order of work">
    <template v-for="group in groups" :key="group.title">
      <p class="small-caps title">{{ group.title }}</p>
      <router-link
        v-for="one in group.stages"
        :key="one.id"
        :to="`/houses/${store.id}/${one.id}`"
        class="stop"
        :class="{ here: one.id === stop }"
        :title="describe(one.id)"
      >
        <span class="name">{{ one.title }}</span>
        <span v-if="open[one.id]?.violations" class="badge violations num">{{ open[one.id]!.violations }}</span>
        <span v-else-if="open[one.id]?.others" class="badge num">{{ open[one.id]!.others }}</span>
        <span v-else-if="isBegun(one.id)" class="done" aria-hidden="true">✓</span>
        <span class="visually-hidden">{{ describe(one.id) }}</span>
      </router-link>
    </template>
    <p class="caution muted">
      Plans only. The adopted code, the authority having jurisdiction and a licensed electrician decide.
    </p>
  </nav>
</template>

<style scoped>
.rail {
  background: var(--rail);
  border-right: 1px solid var(--rule);
  padding: 10px 0;
  display: flex;
  flex-direction: column;
  overflow-y: auto;
  user-select: none;
}
.title {
  padding: 8px 18px 2px;
}
.stop {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  padding: 0 12px 0 22px;
  color: var(--ink);
  text-decoration: none;
  font-size: 16px;
  font-weight: 500;
  border-left: 4px solid transparent;
}
.stop.here {
  background: var(--card);
  border-left-color: var(--chalk);
  font-weight: 600;
}
.name {
  flex: 1;
}
.badge {
  min-width: 26px;
  text-align: center;
  border: 1.5px solid var(--caution);
  color: var(--caution);
  border-radius: 12px;
  font-size: 14px;
  line-height: 20px;
}
.badge.violations {
  background: var(--violation);
  border-color: var(--violation);
  color: var(--card);
}
.done {
  color: var(--reached-ink);
  width: 26px;
  text-align: center;
}
.caution {
  margin-top: auto;
  padding: 12px 16px 4px;
  font-size: 12px;
  line-height: 1.35;
}
@media (max-width: 1080px) {
  .title,
  .caution {
    display: none;
  }
  .name {
    flex: none;
    font: 600 14px/1.05 var(--numbers);
    text-align: center;
  }
  .stop {
    flex-direction: column;
    gap: 0;
    padding: 6px 2px;
    min-height: 56px;
    justify-content: center;
  }
}
</style>
