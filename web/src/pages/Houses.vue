<script setup lang="ts">
import type { HouseSummary } from '@winculum/contract';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { api, ApiError } from '../api';
import MenuButton from '../fields/MenuButton.vue';
import SignOutDialog from '../frame/SignOutDialog.vue';
import { useConfirm } from '../stores/confirm';
import { forgetCopies } from '../sync/device-store';
import { readSample, SAMPLES } from './samples';
import { useSession } from '../stores/session';

const LARGEST_FILE = 10_000_000;
const session = useSession();
const router = useRouter();
const houses = shallowRef<readonly HouseSummary[]>([]);
const problems = shallowRef<readonly string[]>([]);
const name = ref('');
const edition = ref('2023');
const isLoading = ref(true);
const isSigningOut = ref(false);
const confirm = useConfirm();
const removing = shallowRef<HouseSummary>();

function show(error: unknown): void {
  const details = error instanceof ApiError ? error.body?.problems : undefined;
  problems.value = details?.length
    ? details.map((one) => `${one.path || 'file'}: ${one.message}`)
    : [error instanceof Error ? error.message : String(error)];
}

async function load(): Promise<void> {
  try {
    houses.value = await api.houses();
  } catch (error) {
    show(error);
  } finally {
    isLoading.value = false;
  }
}

async function add(work: () => Promise<HouseSummary>, stop: 'house' | 'boxes'): Promise<void> {
  problems.value = [];
  try {
    const added = await work();
    await router.push(`/houses/${added.id}/${stop}`);
  } catch (error) {
    show(error);
  }
}

async function openFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  if (file.size > LARGEST_FILE)
    problems.value = [
      `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; a house file has at most 10 MB. Choose the house file itself.`,
    ];
  else {
    const text = await file.text();
    await add(() => api.importHouse(text), 'boxes');
  }
}

async function remove(house: HouseSummary): Promise<void> {
  removing.value = undefined;
  try {
    await confirm.confirmed(async () => {
      await api.deleteHouse(house.id);
      await forgetCopies(session.signedIn?.user.id ?? '', house.id);
      await load();
    });
  } catch (error) {
    show(error);
  }
}

const picker = ref<HTMLInputElement>();
const EDITION_ITEMS = (['2014', '2017', '2020', '2023'] as const).map((value) => ({ value, title: `NEC ${value}` }));

const mayAdd = computed(() => session.signedIn?.role !== 'viewer');

/** Houses from which on they are sought rather than looked through. */
const MANY = 6;
const sought = ref<string | null>('');
const shown = computed(() => {
  const words = (sought.value ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  return houses.value.filter((house) => words.every((word) => house.name.toLowerCase().includes(word)));
});

/** The house as it stands, under another name, with a history of its own. */
async function duplicate({ id }: HouseSummary): Promise<HouseSummary> {
  const { house } = await api.loadHouse(id);
  const copy = house as { name: string };
  return api.importHouse(JSON.stringify({ ...copy, name: `${copy.name} (copy)`.slice(0, 80) }));
}

onMounted(load);
</script>

<template>
  <main class="page">
    <header class="row">
      <p class="brand num grow">WINCULUM</p>
      <span class="muted"
        >{{ session.signedIn?.user.name }}, {{ session.signedIn?.firm.name }} ({{ session.signedIn?.role }})</span
      >
      <v-btn to="/bench">The bench</v-btn>
      <v-btn to="/account">Account</v-btn>
      <v-btn @click="isSigningOut = true">Sign out</v-btn>
    </header>
    <h1 class="small-caps">Houses</h1>
    <p v-if="!isLoading && houses.length === 0" class="empty">
      No house yet. Name one below and draw it, open a house file, or try the tool on a sample.
    </p>
    <v-text-field
      v-if="houses.length > MANY"
      v-model="sought"
      single-line
      clearable
      aria-label="Find a house"
      placeholder="Find a house …"
    />
    <ul class="list">
      <li v-for="house in shown" :key="house.id" class="row">
        <router-link class="grow name" :to="`/houses/${house.id}/boxes`">{{ house.name }}</router-link>
        <span class="muted num">{{ house.version }} edits, {{ new Date(house.updatedAt).toLocaleString() }}</span>
        <v-btn v-if="mayAdd" :aria-label="`Duplicate ${house.name}`" @click="add(() => duplicate(house), 'house')">
          Duplicate
        </v-btn>
        <v-btn v-if="session.signedIn?.role === 'owner'" :aria-label="`Delete ${house.name}`" @click="removing = house">
          Delete
        </v-btn>
      </li>
    </ul>
    <div v-if="problems.length" role="alert" class="problems">
      <p v-for="problem in problems" :key="problem" class="is-violation">{{ problem }}</p>
    </div>
    <v-form v-if="mayAdd" class="row new" @submit.prevent="add(() => api.addHouse({ name, edition }), 'house')">
      <v-text-field v-model="name" class="grow" label="Name of the new house" required maxlength="80" />
      <v-select v-model="edition" class="edition" label="Edition" :items="EDITION_ITEMS" />
      <v-btn color="primary" variant="flat" type="submit">New house</v-btn>
      <v-btn @click="picker?.click()">Open a house file</v-btn>
      <MenuButton
        label="Open a sample house"
        :entries="SAMPLES.map(({ word }, value) => ({ value, word }))"
        @choose="(n) => add(async () => api.importHouse(await readSample(n)), 'house')"
      />
      <input
        ref="picker"
        class="visually-hidden"
        type="file"
        tabindex="-1"
        aria-label="House file"
        accept=".json,application/json"
        @change="openFile"
      />
    </v-form>
    <SignOutDialog v-if="isSigningOut" @close="isSigningOut = false" />
    <v-dialog :model-value="removing !== undefined" max-width="460" @update:model-value="removing = undefined">
      <v-card v-if="removing" class="pa-5" :title="`Delete ${removing.name}`">
        <p class="mb-4">It can be brought back for 30 days, under Account, Firm.</p>
        <div class="row">
          <v-btn color="error" variant="flat" @click="remove(removing)">Delete</v-btn>
          <v-btn @click="removing = undefined">Cancel</v-btn>
        </div>
      </v-card>
    </v-dialog>
  </main>
</template>

<style scoped>
.page {
  max-width: 880px;
  margin: 0 auto;
  padding: 28px 24px;
  width: 100%;
  display: grid;
  gap: 14px;
  align-content: start;
  height: 100vh;
  overflow: auto;
}
.brand {
  font-size: 24px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
.list {
  border: 1px solid var(--rule);
  border-radius: 6px;
  background: var(--card);
}
.list:empty {
  display: none;
}
.list li {
  padding: 10px 14px;
  border-top: 1px solid var(--rule);
  min-height: 56px;
}
.list li:first-child {
  border-top: 0;
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
.new .edition {
  flex: 0 0 132px;
}
.empty {
  font-size: 16px;
}
</style>
