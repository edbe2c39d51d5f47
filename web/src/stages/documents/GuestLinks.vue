<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import { GUEST_ROLES, type GuestLink, type GuestRole } from '@winculum/contract';
import { TRADES, type Trade } from '@winculum/core';
import { api, ApiError } from '../../api';
import ChoiceField from '../../fields/ChoiceField.vue';
import SearchField from '../../fields/SearchField.vue';
import QrCode from '../../frame/QrCode.vue';
import { useHouse } from '../../stores/house';

/** Links for people without an account: each sees its part of this house until the link ends or is taken back. */
const store = useHouse();
const links = shallowRef<readonly GuestLink[]>([]);
const problem = ref('');
const busy = ref(false);

const MAY: Readonly<Record<GuestRole, string>> = {
  owner: 'sees all, answers the brief, comments, signs revisions',
  designer: 'sees all, answers the brief, comments, signs revisions',
  inspector: 'sees all with the packet, comments',
  trade: 'sees rooms and boxes, ticks its own work, comments',
  panel: 'sees the directory of the panel alone',
};
const roles = GUEST_ROLES.map((value) => ({ value, word: value, why: MAY[value] }));
const trades = TRADES.map((value) => ({ value, title: value }));
const DAYS = [
  { value: 7, word: 'a week' },
  { value: 30, word: 'a month' },
  { value: 180, word: 'half a year' },
  { value: 3650, word: 'ten years' },
];
const role = ref<GuestRole>('owner');
const trade = ref<Trade>('hvac');
const name = ref('');
const days = ref(30);
const made = shallowRef<GuestLink>();

async function attempt(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  problem.value = '';
  try {
    await work();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    problem.value = error.status === 0 ? 'Links need the server, which cannot be reached.' : error.message;
  } finally {
    busy.value = false;
  }
}
const load = () => attempt(async () => void (links.value = await api.guests(store.id)));
onMounted(load);
const make = () =>
  attempt(async () => {
    const guest = { role: role.value, name: name.value, days: days.value };
    made.value = await api.inviteGuest(store.id, role.value === 'trade' ? { ...guest, trade: trade.value } : guest);
    name.value = '';
    links.value = await api.guests(store.id);
  });
const withdraw = (id: string) =>
  attempt(async () => {
    await api.withdrawGuest(store.id, id);
    if (made.value?.id === id) made.value = undefined;
    links.value = await api.guests(store.id);
  });
const copy = () => void navigator.clipboard.writeText(made.value?.link ?? '').catch(() => undefined);
const when = (iso: string) => new Date(iso).toLocaleDateString([], { dateStyle: 'medium' });
const isOver = (one: GuestLink) => one.revokedAt !== null || Date.parse(one.expiresAt) < Date.now();
</script>

<template>
  <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
  <p v-if="!store.canEdit" class="none muted">Links are made by an owner of the firm or its crew.</p>
  <v-form v-else class="leaf leaf-fields" aria-label="Make a link" @submit.prevent="make">
    <ChoiceField v-model="role" label="For" :answers="roles" />
    <SearchField v-if="role === 'trade'" v-model="trade" label="Trade" :items="trades" />
    <v-text-field v-model="name" label="Name" maxlength="80" />
    <ChoiceField v-model="days" label="Holds for" :answers="DAYS" />
    <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !name.trim()">Make a link</v-btn>
  </v-form>
  <section v-if="made" class="leaf made" aria-label="The new link">
    <QrCode :text="made.link ?? ''" label="The link as a code" />
    <div class="grow">
      <p>
        <b>For {{ made.name }}.</b> Told this once: anyone who has it gets in. Send it to nobody else.
      </p>
      <p class="link num">{{ made.link }}</p>
      <v-btn @click="copy">Copy</v-btn>
    </div>
  </section>
  <section v-if="links.length" class="leaf" aria-label="Links of this house">
    <article v-for="one in links" :key="one.id" class="leaf-line" :class="{ over: isOver(one) }">
      <span class="grow"
        ><b>{{ one.name }}</b> {{ one.trade ?? one.role }}
        <span class="muted"
          >{{ one.revokedAt ? `taken back ${when(one.revokedAt)}` : `until ${when(one.expiresAt)}`
          }}{{ one.seenAt ? `, last opened ${when(one.seenAt)}` : ', not opened yet' }}</span
        ></span
      >
      <v-btn v-if="!isOver(one)" :disabled="busy" :aria-label="`Take back: ${one.name}`" @click="withdraw(one.id)"
        >Take back</v-btn
      >
    </article>
  </section>
</template>

<style scoped>
.made {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
.link {
  overflow-wrap: anywhere;
  padding: 6px 0;
}
.over b {
  text-decoration: line-through;
}
</style>
