<script setup lang="ts">
import { count, keepOwnStandards, takeStandards } from '@winculum/core';
import { onMounted, ref } from 'vue';
import { useFirmStandards } from '../stores/firm-standards';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';

/** The firm's shop standards beside those of this house: taken, or kept of its own; and what an owner makes the firm's. */
const store = useHouse();
const firm = useFirmStandards();
const session = useSession();
const isOwner = session.signedIn?.role === 'owner';
const problem = ref('');
const isBusy = ref(false);
onMounted(() => firm.load());

const take = (keys: readonly string[]) => void store.apply(takeStandards(store.current, firm.kept!.standards!, keys));
const keep = (keys: readonly string[]) => void store.apply(keepOwnStandards(store.current, keys));
async function makeTheFirms(): Promise<void> {
  isBusy.value = true;
  problem.value = '';
  try {
    await firm.replace(store.current.standards);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
    await firm.load();
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <div class="stack">
    <p v-if="!firm.kept" class="muted">
      The server cannot be asked for the standards of the firm now. This house goes on by its own.
    </p>
    <p v-else-if="!firm.kept.standards" class="muted">
      The firm has none yet. Once an owner makes the standards of a house the firm's, new houses begin with them, and
      they are offered to the others.
    </p>
    <template v-else>
      <p v-if="!firm.apart.length">This house holds all the standards of the firm.</p>
      <template v-else>
        <v-table density="compact" class="apart">
          <thead>
            <tr>
              <th>standard</th>
              <th>the firm</th>
              <th>this house</th>
              <th><span class="visually-hidden">take it</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in firm.apart" :key="one.key">
              <td>{{ one.name }}</td>
              <td class="num">{{ one.ofFirm }}</td>
              <td class="num">{{ one.ofHouse }}</td>
              <td class="do">
                <span v-if="one.isOwn" class="muted">its own</span>
                <template v-if="store.canEdit">
                  <v-btn size="small" :aria-label="`Take the firm's: ${one.name}`" @click="take([one.key])"
                    >Take the firm's</v-btn
                  >
                  <v-btn
                    v-if="!one.isOwn"
                    size="small"
                    :aria-label="`Keep this house's own: ${one.name}`"
                    @click="keep([one.key])"
                    >Keep its own</v-btn
                  >
                </template>
              </td>
            </tr>
          </tbody>
        </v-table>
        <p v-if="store.canEdit && firm.offered.length > 1" class="row">
          <v-btn color="primary" variant="flat" @click="take(firm.offered.map((one) => one.key))"
            >Take all {{ firm.offered.length }}</v-btn
          >
          <v-btn @click="keep(firm.offered.map((one) => one.key))">Keep all of them its own</v-btn>
        </p>
        <p class="muted">Boxes that stand stay where they are; what is laid out from now on follows.</p>
      </template>
    </template>
    <template v-if="isOwner && firm.kept">
      <v-divider />
      <p class="muted">
        New houses begin with the standards of the firm.
        {{ firm.apart.length ? `${count(firm.apart.length, 'of them differs', 'of them differ')} here.` : '' }}
      </p>
      <v-btn :disabled="isBusy || (!!firm.kept.standards && !firm.apart.length)" @click="makeTheFirms"
        >Make the standards of this house the firm's</v-btn
      >
    </template>
    <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.apart {
  background: transparent;
}
.do {
  text-align: right;
  white-space: nowrap;
}
.do .v-btn {
  margin-left: 6px;
}
</style>
