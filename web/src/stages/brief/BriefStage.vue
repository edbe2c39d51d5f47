<script setup lang="ts">
import { computed, ref } from 'vue';
import { mustKnow, originsOf } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import PaperPage from '../../frame/PaperPage.vue';
import TaskList from '../../frame/TaskList.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import AuthoritySheet from './AuthoritySheet.vue';
import FuturesSheet from './FuturesSheet.vue';
import LivingSheet from './LivingSheet.vue';
import MustKnowSheet from './MustKnowSheet.vue';

/** The first meeting: what has to be known, how people live here, who does what, what is for later. */
const store = useHouse();
const view = useView();
const PARTS = {
  know: 'Must know',
  living: 'Living here',
  trades: 'Who does what',
  later: 'For later',
  code: 'Code',
} as const;
const part = ref<keyof typeof PARTS>('know');
const only = ref('all');
const onlyOpen = ref(false);

const questions = computed(() => mustKnow(store.current));
const open = computed(() => questions.value.filter((one) => one.state === 'open').length);
const rooms = computed(() => [
  { value: 'all', title: 'the whole house' },
  ...Object.values(store.current.rooms).map((one) => ({ value: one.id, title: one.name })),
]);
const origins = computed(() => originsOf(store.current));
const print = () => window.print();
</script>

<template>
  <PaperPage class="brief-page" label="Brief tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <SearchField
        v-if="part !== 'later' && part !== 'code'"
        v-model="only"
        class="pick"
        label="Where"
        :items="rooms"
      />
      <v-btn v-if="part === 'know'" :aria-pressed="onlyOpen" @click="onlyOpen = !onlyOpen">Only open</v-btn>
      <v-text-field
        v-model="view.placingFor"
        class="pick asker"
        label="Placing for"
        placeholder="yourself"
        persistent-placeholder
        maxlength="80"
        clearable
      />
      <span class="grow" />
      <span v-if="part === 'know'" class="progress" role="status"
        ><b class="num" :class="{ 'is-caution': open > 0 }">{{ open }}</b> of
        <b class="num">{{ questions.length }}</b> open</span
      >
      <span v-else-if="part === 'later'" class="progress" role="status"
        ><b class="num">{{ origins.code }}</b> by code, <b class="num">{{ origins.requested }}</b> requested</span
      >
      <v-btn color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <MustKnowSheet v-if="part === 'know'" :questions="questions" :only="only" :only-open="onlyOpen" />
    <LivingSheet v-else-if="part === 'living'" :only="only" />
    <TaskList v-else-if="part === 'trades'" kind="other-trade" :room="only === 'all' ? undefined : only" />
    <AuthoritySheet v-else-if="part === 'code'" />
    <FuturesSheet v-else :origins="origins" />
  </PaperPage>
</template>

<style scoped>
.asker {
  min-width: 150px;
}
@page brief {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .brief-page {
    page: brief;
  }
}
</style>
