<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { GuestView } from '@winculum/contract';
import { validateHouse, type House } from '@winculum/core';
import { ApiError } from '../../api';
import PlanView from '../../drawing/PlanView.vue';
import PanelDirectory from '../../frame/PanelDirectory.vue';
import { guestApi } from '../../guest-api';
import { namePage } from '../../page-title';
import DoorPage from '../DoorPage.vue';
import GuestBrief from './GuestBrief.vue';
import GuestPacket from './GuestPacket.vue';
import GuestSign from './GuestSign.vue';
import GuestTasks from './GuestTasks.vue';

/** A house as somebody without an account sees it, by a link: its part of it, and what may be done there. */
const secret = location.hash.slice(1);
const api = guestApi(secret);
const view = shallowRef<GuestView>();
const house = shallowRef<House>();
const problem = ref('');
const done = ref('');

type Part = 'brief' | 'tasks' | 'sign' | 'packet' | 'plan' | 'panel';
const PARTS: Readonly<Record<Part, string>> = {
  brief: 'Questions',
  tasks: 'Work and comments',
  sign: 'Sign',
  packet: 'Packet',
  plan: 'Plan',
  panel: 'Panel',
};
const OF_ROLE: Readonly<Record<GuestView['role'], readonly Part[]>> = {
  owner: ['brief', 'tasks', 'sign', 'plan', 'panel'],
  designer: ['brief', 'tasks', 'sign', 'plan'],
  inspector: ['packet', 'tasks', 'plan', 'panel'],
  trade: ['tasks', 'plan'],
  panel: ['panel'],
};
const parts = computed(() => (view.value ? OF_ROLE[view.value.role] : []));
const part = ref<Part>('panel');

async function load(): Promise<void> {
  try {
    const seen = await api.view();
    const read = validateHouse(seen.house);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const isFirst = !view.value;
    [view.value, house.value] = [seen, read.value];
    if (isFirst) part.value = OF_ROLE[seen.role][0]!;
    namePage(read.value.name);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
onMounted(load);

/** Does something, says that it is done, and looks again. */
async function act(work: () => Promise<void>, said: string): Promise<boolean> {
  problem.value = '';
  done.value = '';
  try {
    await work();
    await load();
    done.value = said;
    return true;
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    problem.value =
      error.status === 0 ? 'The server cannot be reached. What you wrote is still here; try again.' : error.message;
    return false;
  }
}
const levels = computed(() =>
  Object.values(house.value?.levels ?? {})
    .filter((one) => Object.values(house.value?.rooms ?? {}).some((room) => room.level === one.id))
    .toSorted((a, b) => b.elevationIn - a.elevationIn),
);
</script>

<template>
  <DoorPage v-if="!house || !view">
    <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
    <p v-else class="muted">Opening the house …</p>
  </DoorPage>
  <main v-else class="guest">
    <header>
      <p class="brand num">WINCULUM</p>
      <h1>{{ house.name }}</h1>
      <p class="muted">
        {{ view.role === 'panel' ? '' : `For ${view.name}, ${view.trade ?? view.role}. ` }}From {{ view.firm }}, until
        {{ view.expiresAt.slice(0, 10) }}.
      </p>
    </header>
    <nav v-if="parts.length > 1" class="row" aria-label="What is shown">
      <v-btn v-for="one in parts" :key="one" :aria-pressed="part === one" @click="part = one">{{ PARTS[one] }}</v-btn>
    </nav>
    <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
    <p v-else-if="done" class="done" role="status">{{ done }}</p>
    <GuestBrief
      v-if="part === 'brief'"
      :house="house"
      :save="(question, room, answer) => act(() => api.answer(question, room, answer), 'Your answer is with the crew.')"
    />
    <GuestTasks
      v-else-if="part === 'tasks'"
      :house="house"
      :mine="view.trade ?? view.role"
      :comment="(text, room) => act(() => api.comment(text, room), 'Your comment is on the punch list.')"
      :tick="(task, state) => act(() => api.tick(task, state), 'Noted.')"
    />
    <GuestSign
      v-else-if="part === 'sign'"
      :house="house"
      :view="view"
      :sign="(number, strokes) => act(() => api.sign(number, strokes), 'Signed. The crew sees it at once.')"
    />
    <GuestPacket v-else-if="part === 'packet'" :house="house" />
    <template v-else-if="part === 'plan'">
      <section v-for="level in levels" :key="level.id">
        <h2>{{ level.name }}</h2>
        <PlanView :house="house" :level="level.id" />
      </section>
    </template>
    <PanelDirectory v-else :house="house" />
    <p class="muted caution">
      A plan is not permission: the adopted code, the authority having jurisdiction and a licensed electrician decide.
      Switch off, test and lock before anything is opened.
    </p>
  </main>
</template>

<style scoped>
.guest {
  height: 100vh;
  height: 100dvh;
  overflow-y: auto;
  padding: 16px max(12px, calc(50vw - 460px)) 40px;
  display: grid;
  gap: 12px;
  align-content: start;
  grid-template-columns: minmax(0, 1fr);
}
.brand {
  font-size: 22px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
h1 {
  font-size: 26px;
}
.done {
  color: var(--reached-ink);
  font-weight: 600;
}
.caution {
  font-size: 12.5px;
}
nav .v-btn {
  min-height: 44px;
}
</style>
