<script setup lang="ts">
import type { House } from '@winculum/core';
import { decisionWords, rulingsOf, ruleSummary } from './decision-words';

/** Amendments, rulings and accepted findings, as lines of a list: the rule in words, what was decided, by whom and when. */
defineProps<{ house: House }>();
</script>

<template>
  <li v-for="one in rulingsOf(house)" :key="one.id">
    <b>{{ ruleSummary(one.rule) }}</b>: {{ decisionWords(one) }}, {{ one.by }}, {{ one.date }} {{ one.note }}
  </li>
</template>
