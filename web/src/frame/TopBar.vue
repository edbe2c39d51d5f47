<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useTheme } from 'vuetify';
import { addLevel, count, edit, EDITIONS, writeHouseFile, type Edition, type Level } from '@winculum/core';
import { newId } from '../new-id';
import { storeTheme, THEMES, type ThemeName } from '../style/vuetify';
import MenuButton from '../fields/MenuButton.vue';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';
import { useView } from '../stores/view';
import { download } from './download';
import BreakerSearch from './BreakerSearch.vue';
import NoticeMenu from './NoticeMenu.vue';
import LevelDialog from './LevelDialog.vue';
import type { Layout } from './use-layout';

defineProps<{ layout: Layout }>();
const emit = defineEmits<{ help: [] }>();
const store = useHouse();
const view = useView();
const session = useSession();
const theme = useTheme();
const router = useRouter();
const levels = computed(() => Object.values(store.current.levels).sort((a, b) => b.elevationIn - a.elevationIn));

const saved = computed(() => {
  const state = store.syncState;
  const edits = (n: number) => `${count(n, 'edit')} waiting`;
  if (state.kind === 'saved') return 'Saved';
  if (state.kind === 'saving') return 'Saving';
  if (state.kind === 'offline') return `Offline, ${edits(state.waiting)}`;
  return state.kind === 'signed-out' ? `Signed out, ${edits(state.waiting)}` : 'Conflict';
});

/** The same where there is no room for words: how many edits wait. */
const savedMark = computed(() => {
  const state = store.syncState;
  if (state.kind === 'saved') return '✓';
  if (state.kind === 'saving') return '…';
  return state.kind === 'conflict' ? '!' : `⇡ ${state.waiting}`;
});

function setEdition(edition: Edition): void {
  store.apply(edit(store.current, `Edition ${edition}`, (draft) => void (draft.job.edition = edition)));
}

const name = ref(store.current.name);
watch(
  () => store.house?.name,
  (next) => (name.value = next ?? ''),
);
function rename(): void {
  const next = name.value.trim();
  if (next && next !== store.current.name)
    store.apply(edit(store.current, 'Rename house', (draft) => void (draft.name = next)));
  else name.value = store.current.name;
}

const themeEntries = computed(() =>
  THEMES.map(({ value, word }) => ({ value, word: theme.global.name.value === value ? `${word} ✓` : word })),
);
function setTheme(next: ThemeName): void {
  theme.change(next);
  storeTheme(next);
}

function save(): void {
  download(
    `${store.current.name.replace(/[^\w-]+/g, '-').toLowerCase()}.json`,
    'application/json',
    writeHouseFile(store.current),
  );
}

const editing = shallowRef<Level>();

function add(where: 'above' | 'basement'): void {
  const id = newId('level');
  if (store.apply(addLevel(store.current, where, view.level, id))) view.level = id;
}

function chooseLevel(value: string): void {
  if (value === '+') add('above');
  else if (value === '-') add('basement');
  else if (value === '~') editing.value = store.current.levels[view.level]!;
  else view.level = value;
}
const EDITION_ITEMS = EDITIONS.map((value) => ({ value, title: `NEC ${value}` }));
const levelEntries = computed(() => [
  ...levels.value.map((level) => ({ value: level.id, word: level.name })),
  ...(store.canEdit
    ? [
        { value: '~', word: 'Change this level …', group: 'Levels' },
        { value: '+', word: 'Add a level above' },
        { value: '-', word: 'Add a basement' },
      ]
    : []),
]);

/** What has no room on a phone's bar. */
const moreEntries = computed(() => [
  { value: 'redo', word: 'Redo', disabled: !store.redoStack.length },
  { value: 'houses', word: 'All houses' },
  { value: 'job', word: 'Job and shop standards' },
  { value: 'plan', word: 'Plan sheet' },
  { value: 'file', word: 'Save as a house file' },
  ...EDITION_ITEMS.map(({ value, title }, i) => ({
    value,
    word: value === store.current.job.edition ? `${title} ✓` : title,
    disabled: !store.canEdit,
    ...(i === 0 ? { group: 'Edition of the code' } : {}),
  })),
  ...themeEntries.value.map((one, i) => ({ ...one, ...(i === 0 ? { group: 'Colors' } : {}) })),
]);
function chooseMore(value: string): void {
  if (value === 'redo') store.redo();
  else if (value === 'houses') void router.push('/houses');
  else if (value === 'plan') void router.push(`/houses/${store.id}/plan`);
  else if (value === 'job') view.job = 'job';
  else if (value === 'file') save();
  else if (THEMES.some((one) => one.value === value)) setTheme(value as ThemeName);
  else setEdition(value as Edition);
}
</script>

<template>
  <header class="bar">
    <router-link to="/houses" class="brand num" aria-label="All houses">WINCULUM</router-link>
    <v-text-field
      v-model="name"
      class="name"
      variant="plain"
      single-line
      aria-label="Name of the house"
      maxlength="80"
      :readonly="!store.canEdit"
      @change="rename"
    />
    <MenuButton
      label="Level"
      :shown="store.current.levels[view.level]?.name ?? 'Level'"
      :entries="levelEntries"
      @choose="chooseLevel"
    />
    <v-select
      v-if="layout !== 'phone'"
      class="edition"
      aria-label="Edition of the code"
      single-line
      :model-value="store.current.job.edition"
      :items="EDITION_ITEMS"
      :disabled="!store.canEdit"
      @update:model-value="setEdition"
    />
    <template v-if="layout !== 'phone'">
      <v-btn :aria-pressed="view.job !== ''" @click="view.job = view.job ? '' : 'job'">Job</v-btn>
      <v-btn :to="`/houses/${store.id}/plan`" title="The plan to scale, for paper">Plan sheet</v-btn>
    </template>
    <span class="grow" />
    <span v-if="session.clockOff" class="is-caution" role="status"
      >This device’s clock is {{ Math.abs(session.clockOff) }} h {{ session.clockOff > 0 ? 'ahead' : 'behind' }}: days
      are written down wrong.</span
    >
    <span class="saved" role="status" :class="store.syncState.kind" :title="saved" :data-mark="savedMark">{{
      saved
    }}</span>
    <v-btn class="icon" aria-label="Undo" title="Undo (Ctrl Z)" :disabled="!store.undoStack.length" @click="store.undo">
      ↶
    </v-btn>
    <v-btn
      v-if="layout !== 'phone'"
      class="icon"
      aria-label="Redo"
      title="Redo (Ctrl Y)"
      :disabled="!store.redoStack.length"
      @click="store.redo"
    >
      ↷
    </v-btn>
    <NoticeMenu />
    <BreakerSearch />
    <MenuButton v-if="layout === 'phone'" label="More" shown="⋮" :entries="moreEntries" @choose="chooseMore" />
    <template v-else>
      <v-btn class="icon" aria-label="Save as a house file" title="Save as a house file" @click="save"> ⤓ </v-btn>
      <MenuButton label="Colors" shown="◐" :entries="themeEntries" @choose="setTheme" />
      <v-btn class="icon" aria-label="Help" title="Keys (?)" @click="emit('help')">?</v-btn>
    </template>
    <LevelDialog v-if="editing" :level="editing" @close="editing = undefined" />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 12px 0 20px;
  background: var(--card);
  border-bottom: 1px solid var(--rule);
}
.brand {
  font-size: 20px;
  letter-spacing: 0.06em;
  font-weight: 700;
  color: var(--chalk);
  text-decoration: none;
  margin-right: 12px;
}
.name {
  flex: 0 1 232px;
}
.name :deep(input) {
  font: 600 16px var(--words);
  text-overflow: ellipsis;
  padding: 4px 6px;
}
.edition {
  flex: 0 0 118px;
}
.saved {
  font-size: 13px;
  color: var(--muted);
  white-space: nowrap;
}
.saved.offline,
.saved.signed-out {
  color: var(--caution);
  font-weight: 600;
}
.saved.conflict {
  color: var(--violation);
  font-weight: 600;
}
.icon {
  min-width: 36px;
  justify-content: center;
  font-size: 17px;
  padding: 2px;
}
@media (max-width: 1180px) {
  .brand {
    display: none;
  }
  .name {
    flex-basis: 150px;
  }
}
@media (max-width: 820px) {
  .name {
    display: none;
  }
  .saved {
    font-size: 0;
    min-width: 18px;
    text-align: center;
  }
  .saved::after {
    content: attr(data-mark);
    font-size: 15px;
  }
}
</style>
