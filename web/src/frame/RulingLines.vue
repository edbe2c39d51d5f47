<script setup lang="ts">
import { rules, type House } from '@winculum/core';
import { decisionWords, rulingsOf } from './decision-words';

/** Amendments, rulings and accepted findings, as lines of a list: the rule in words, what was decided, by whom and when. */
defineProps<{ house: House }>();
const summaryOf = (id: string) => rules.find((rule) => rule.id === id)?.meta.summary ?? id;
</script>

<template>
  <li v-for="one in rulingsOf(house)" :key="one.id">
    <b>{{ summaryOf(one.rule) }}</b>: {{ decisionWords(one) }}, {{ one.by }}, {{ one.date }} {{ one.note }}
  </li>
</template>
