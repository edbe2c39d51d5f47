<script setup lang="ts">
import { computed, ref } from 'vue';
import { mustKnow, type House } from '@winculum/core';

/** What the crew wants to know, the open ones first. */
const props = defineProps<{
  house: House;
  save: (question: string, room: string | undefined, answer: string) => Promise<boolean>;
}>();
const questions = computed(() =>
  mustKnow(props.house)
    .filter((one) => one.question.who !== 'inspector' && one.state !== 'drawn')
    .toSorted((a, b) => Number(a.state !== 'open') - Number(b.state !== 'open')),
);
const texts = ref<Record<string, string>>({});
/** The one question whose answer is being written. */
const editing = ref('');
const keyOf = (one: (typeof questions.value)[number]) => `${one.question.id} ${one.room?.id ?? ''}`;
async function send(one: (typeof questions.value)[number], text: string): Promise<void> {
  if (await props.save(one.question.id, one.room?.id, text)) editing.value = '';
}
</script>

<template>
  <p v-if="!questions.length" class="muted">Nothing is open.</p>
  <article v-for="one in questions" :key="keyOf(one)" class="leaf question" :class="one.state">
    <p>
      <span class="muted">{{ one.room?.name ?? 'The house' }}</span><br /><b>{{ one.question.asks }}</b>
    </p>
    <p class="muted small">{{ one.question.why }}</p>
    <p v-if="one.known">
      <b>{{ one.known }}</b> <span class="muted small">{{ one.decision?.by }}, {{ one.decision?.date }}</span>
    </p>
    <p v-else class="is-caution">Until you answer: {{ one.question.usual }}</p>
    <v-form v-if="editing === keyOf(one)" class="row" @submit.prevent="send(one, texts[keyOf(one)] ?? '')">
      <v-text-field v-model="texts[keyOf(one)]" class="grow" label="Your answer" maxlength="400" autofocus />
      <v-btn type="submit" color="primary" variant="flat" :disabled="!texts[keyOf(one)]?.trim()">Send</v-btn>
    </v-form>
    <v-btn v-else :aria-label="`Answer: ${one.question.asks} ${one.room?.name ?? ''}`" @click="editing = keyOf(one)">{{
      one.state === 'open' ? 'Answer' : 'Change'
    }}</v-btn>
  </article>
</template>

<style scoped>
.question {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.question.open {
  border-left: 5px solid var(--caution);
}
.question .row {
  width: 100%;
}
</style>
