<script setup lang="ts">
import { computed } from 'vue';
import { count, inspectionPacket, type House } from '@winculum/core';

/** What an inspector reads first: the verdict, then what is open, room by room. */
const props = defineProps<{ house: House }>();
const packet = computed(() => inspectionPacket(props.house));
const VERDICTS = {
  'not-ready': 'Not ready',
  questions: 'Ready but for questions',
  ready: 'Ready, as far as the rules reach',
} as const;
const rooms = computed(() =>
  [
    ...packet.value.rooms.map(({ room, lines }) => ({ id: room.id, name: room.name, lines })),
    { id: '', name: 'The house as a whole', lines: packet.value.house },
  ].map((one) => ({
    ...one,
    open: one.lines.filter((line) => line.state !== 'met'),
    met: one.lines.filter((line) => line.state === 'met').length,
  })),
);
</script>

<template>
  <section class="leaf">
    <p class="verdict num">{{ VERDICTS[packet.verdict] }}</p>
    <p>
      {{ count(packet.violations.length, 'violation') }}, {{ count(packet.questions.length, 'question') }}, NEC
      {{ house.job.edition }}{{ house.job.authority ? `, ${house.job.authority}` : '' }}
    </p>
  </section>
  <section v-for="one in rooms" :key="one.id" class="leaf">
    <h2>
      {{ one.name }} <span class="muted">{{ count(one.met, 'thing') }} met</span>
    </h2>
    <p v-for="(line, i) in one.open" :key="i">
      <b>{{ line.what }}</b> <span class="num muted">{{ line.section }}</span>
    </p>
    <p v-if="!one.open.length" class="muted">Nothing open.</p>
  </section>
</template>

<style scoped>
.verdict {
  font-size: 34px;
}
</style>
