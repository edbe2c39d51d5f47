<script setup lang="ts">
import type { HouseSummary } from '@winculum/contract';
import { PHASES, validateHouse } from '@winculum/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, ApiError } from '../../api';
import NoticeMenu from '../../frame/NoticeMenu.vue';
import SignOutDialog from '../../frame/SignOutDialog.vue';
import { useConfirm } from '../../stores/confirm';
import { useSession } from '../../stores/session';
import { forgetCopies, housesOnDevice, openCopies } from '../../sync/device-store';
import JobCard from './JobCard.vue';
import NewHouseBar from './NewHouseBar.vue';
import { useJobSummaries } from './use-job-summaries';

/** Every job of the firm as a card: found, sorted, put aside, taken along; and where new ones begin. */
const session = useSession();
const router = useRouter();
const houses = shallowRef<readonly HouseSummary[]>([]);
const problems = shallowRef<readonly string[]>([]);
const isLoading = ref(true);
const isSigningOut = ref(false);
const confirm = useConfirm();
const removing = shallowRef<HouseSummary>();
/** What has just been put aside or deleted, to be had back by one press. */
const undoable = shallowRef<{ readonly words: string; readonly undo: () => Promise<void> }>();
const { summaries, read } = useJobSummaries();

function show(error: unknown): void {
  const details = error instanceof ApiError ? error.body?.problems : undefined;
  problems.value = details?.length
    ? details.map((one) => `${one.path || 'file'}: ${one.message}`)
    : [error instanceof Error ? error.message : String(error)];
}
async function attempt(work: () => Promise<unknown>): Promise<void> {
  problems.value = [];
  try {
    await work();
  } catch (error) {
    show(error);
  }
}

const userId = () => session.signedIn?.user.id ?? '';
const onDevice = shallowRef<ReadonlySet<string>>(new Set());
const isOffline = ref(false);
async function load(): Promise<void> {
  const kept = await housesOnDevice(userId()).catch(() => []);
  onDevice.value = new Set(kept.map((one) => one.id));
  try {
    houses.value = await api.houses();
    isOffline.value = false;
  } catch (error) {
    if (!(error instanceof ApiError) || error.status !== 0) show(error);
    else {
      // Without the server: what this device can open by itself.
      isOffline.value = true;
      houses.value = kept.map(({ id, name: called, version }) => ({
        id,
        name: called,
        version,
        updatedAt: new Date().toISOString(),
        changedBy: null,
        archivedAt: null,
      }));
    }
  } finally {
    isLoading.value = false;
  }
}

async function add(work: () => Promise<{ readonly id: string }>, stop: 'house' | 'boxes'): Promise<void> {
  await attempt(async () => {
    const added = await work();
    await router.push(`/houses/${added.id}/${stop}`);
  });
}

const remove = (house: HouseSummary) =>
  attempt(async () => {
    removing.value = undefined;
    await confirm.confirmed(async () => {
      await api.deleteHouse(house.id);
      await forgetCopies(userId(), house.id);
      await load();
      undoable.value = {
        words: `${house.name} is deleted.`,
        undo: async () => {
          await api.bringBack(house.id);
          await load();
        },
      };
    });
  });

const setArchived = (house: HouseSummary, archived: boolean) =>
  attempt(async () => {
    await api.archiveHouse(house.id, archived);
    await load();
    if (archived) undoable.value = { words: `${house.name} is archived.`, undo: () => setArchived(house, false) };
  });
async function undo(): Promise<void> {
  const last = undoable.value;
  undoable.value = undefined;
  if (last) await attempt(last.undo);
}

/** The house as it stands, under another name, with a history of its own. */
async function duplicate({ id }: HouseSummary): Promise<{ readonly id: string }> {
  const { house } = await api.loadHouse(id);
  const copy = house as { name: string };
  return api.importHouse(JSON.stringify({ ...copy, name: `${copy.name} (copy)`.slice(0, 80) }));
}

/** How far taking a house along is. */
const taking = ref('');
/** Keeps a house and its photos on this device, to be opened where there is no network. */
const takeAlong = (house: HouseSummary) =>
  attempt(async () => {
    taking.value = `${house.name}: reading`;
    try {
      const state = await api.loadHouse(house.id);
      const kept = validateHouse(state.house);
      if (!kept.ok) throw new Error(kept.problems[0]!.message);
      const copies = await openCopies(userId(), house.id);
      // Edits that wait in it are newer than what the server has: they stay.
      if (!copies.mine)
        await copies.write({
          version: state.version,
          house: kept.value,
          pending: [],
          sending: null,
          epoch: state.epoch,
        });
      const photos = Object.keys(kept.value.photos);
      for (const [i, id] of photos.entries()) {
        taking.value = `${house.name}: photo ${i + 1} of ${photos.length}`;
        await fetch(`/api/houses/${house.id}/photos/${id}`);
      }
      await load();
      await measure();
    } finally {
      taking.value = '';
    }
  });
/** What this device keeps of everything, in words. */
const storage = ref('');
async function measure(): Promise<void> {
  const { usage = 0, quota = 0 } = (await navigator.storage?.estimate?.().catch(() => undefined)) ?? {};
  storage.value = usage > 1e6 ? `${(usage / 1e6).toFixed(0)} MB on this device, of ${(quota / 1e9).toFixed(1)} GB` : '';
}

const mayAdd = computed(() => session.signedIn?.role !== 'viewer');

const sought = ref<string | null>('');
const only = ref<'open' | 'archived' | 'device'>('open');
const ONLY = [
  { value: 'open', title: 'active' },
  { value: 'archived', title: 'archived' },
  { value: 'device', title: 'on this device' },
] as const;
const order = ref<'changed' | 'name' | 'phase' | 'open'>('changed');
const ORDERS = [
  { value: 'changed', title: 'last changed' },
  { value: 'name', title: 'name' },
  { value: 'phase', title: 'phase' },
  { value: 'open', title: 'most open' },
] as const;
/** Everything by which a job is sought. */
function textOf(house: HouseSummary): string {
  const job = summaries.value.get(house.id)?.job;
  return [house.name, job?.client, job?.address, job?.authority, job?.permitDate, job?.kind, job?.edition]
    .join(' ')
    .toLowerCase();
}
const openOf = ({ id }: HouseSummary) => {
  const one = summaries.value.get(id);
  return one ? one.violations + one.questions + one.tasks : -1;
};
const phaseOf = ({ id }: HouseSummary) => {
  const one = summaries.value.get(id);
  return one ? PHASES.indexOf(one.phase) : -1;
};
const ORDER = {
  changed: (a: HouseSummary, b: HouseSummary) => b.updatedAt.localeCompare(a.updatedAt),
  name: (a: HouseSummary, b: HouseSummary) => a.name.localeCompare(b.name, 'en', { numeric: true }),
  phase: (a: HouseSummary, b: HouseSummary) => phaseOf(b) - phaseOf(a),
  open: (a: HouseSummary, b: HouseSummary) => openOf(b) - openOf(a),
} as const;
const shown = computed(() => {
  const words = (sought.value ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  return houses.value
    .filter((house) =>
      only.value === 'device'
        ? onDevice.value.has(house.id)
        : (house.archivedAt !== null) === (only.value === 'archived'),
    )
    .filter((house) => words.length === 0 || words.every((word) => textOf(house).includes(word)))
    .toSorted(ORDER[order.value]);
});

/** One menu for all cards: the house it is of, and the button it hangs on. */
const menu = shallowRef<{ readonly house: HouseSummary; readonly at: HTMLElement }>();
const entries = computed(() => {
  const house = menu.value?.house;
  if (!house) return [];
  const isOwner = session.signedIn?.role === 'owner';
  return [
    ...(isOffline.value
      ? []
      : [
          {
            word: onDevice.value.has(house.id) ? 'Keep its newest state here' : 'Keep on this device',
            act: () => takeAlong(house),
          },
        ]),
    ...(mayAdd.value && !isOffline.value
      ? [
          { word: 'Duplicate', act: () => add(() => duplicate(house), 'house') },
          {
            word: house.archivedAt ? 'Take out of the archive' : 'Archive',
            act: () => setArchived(house, house.archivedAt === null),
          },
        ]
      : []),
    ...(isOwner && !isOffline.value ? [{ word: 'Delete', act: () => void (removing.value = house) }] : []),
  ];
});
function choose(act: () => unknown): void {
  menu.value = undefined;
  void act();
}

onMounted(async () => {
  await load();
  void measure();
});
watch(houses, (now) => void read(now), { flush: 'post' });
</script>

<template>
  <main class="page">
    <header class="row">
      <p class="brand num grow">WINCULUM</p>
      <span class="muted"
        >{{ session.signedIn?.user.name }}, {{ session.signedIn?.firm.name }} ({{ session.signedIn?.role }})</span
      >
      <NoticeMenu />
      <v-btn to="/bench">The bench</v-btn>
      <v-btn to="/account">Account</v-btn>
      <v-btn @click="isSigningOut = true">Sign out</v-btn>
    </header>
    <h1 class="small-caps">Houses</h1>
    <p v-if="isOffline" class="is-caution" role="status">
      The server cannot be reached. These houses lie on this device and can be opened; what you change waits here.
    </p>
    <p v-else-if="!isLoading && houses.length === 0" class="empty">
      No house yet. Name one below and draw it, open a house file, or try the tool on a sample.
    </p>
    <div v-if="houses.length > 1" class="finding">
      <v-text-field
        v-model="sought"
        class="seek"
        single-line
        clearable
        aria-label="Find a house"
        placeholder="Name, client, address, permit …"
      />
      <v-select v-model="only" label="Which" :items="[...ONLY]" />
      <v-select v-model="order" label="Order" :items="[...ORDERS]" />
    </div>
    <p v-if="houses.length && !shown.length" class="muted">No house here.</p>
    <ul class="cards">
      <JobCard
        v-for="house in shown"
        :key="house.id"
        :house="house"
        :summary="summaries.get(house.id)"
        :on-device="onDevice.has(house.id)"
        @more="menu = { house, at: $event }"
      />
    </ul>
    <p v-if="taking" class="muted" role="status">{{ taking }}</p>
    <p v-else-if="storage" class="muted small">{{ storage }}</p>
    <div v-if="problems.length" role="alert" class="problems">
      <p v-for="problem in problems" :key="problem" class="is-violation">{{ problem }}</p>
    </div>
    <NewHouseBar
      v-if="mayAdd && !isOffline && !isLoading"
      :summaries="summaries"
      @add="add"
      @problem="problems = [$event]"
    />
    <SignOutDialog v-if="isSigningOut" @close="isSigningOut = false" />
    <v-menu
      v-if="menu"
      :model-value="true"
      :target="menu.at"
      :open-on-click="false"
      @update:model-value="menu = undefined"
    >
      <v-list role="menu" :aria-label="`More: ${menu.house.name}`" density="compact">
        <v-list-item v-for="one in entries" :key="one.word" role="menuitem" @click="choose(one.act)">{{
          one.word
        }}</v-list-item>
      </v-list>
    </v-menu>
    <v-dialog :model-value="removing !== undefined" max-width="460" @update:model-value="removing = undefined">
      <v-card v-if="removing" class="pa-5" :title="`Delete ${removing.name}`">
        <p class="mb-4">It can be brought back for 30 days, under Account, Firm.</p>
        <div class="row">
          <v-btn color="error" variant="flat" @click="remove(removing)">Delete</v-btn>
          <v-btn @click="removing = undefined">Cancel</v-btn>
        </div>
      </v-card>
    </v-dialog>
    <v-snackbar
      :model-value="undoable !== undefined"
      :timeout="12000"
      location="bottom"
      @update:model-value="undoable = undefined"
    >
      <span role="status">{{ undoable?.words }}</span>
      <template #actions><v-btn variant="text" @click="undo">Undo</v-btn></template>
    </v-snackbar>
  </main>
</template>

<style scoped>
.page {
  max-width: 1120px;
  margin: 0 auto;
  padding: 28px 24px;
  width: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
  height: 100vh;
  height: 100dvh;
  overflow: auto;
}
.brand {
  font-size: 24px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
.finding {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px 170px;
  gap: 8px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(430px, 100%), 1fr));
  gap: 10px;
}
.empty {
  font-size: 16px;
}
@media (max-width: 700px) {
  .page {
    padding: 16px 12px;
  }
  .finding {
    grid-template-columns: 1fr 1fr;
  }
  .seek {
    grid-column: span 2;
  }
}
</style>
