<script setup lang="ts">
import { computed } from 'vue';
import { count, type inspectionPacket } from '@winculum/core';

/** Cables with what holds them, alarms, and walls that nobody has photographed. */
const props = defineProps<{ packet: ReturnType<typeof inspectionPacket> }>();
const estimated = computed(() => props.packet.cables.reduce((sum, one) => sum + one.runs - one.routed, 0));
</script>

<template>
  <section class="leaf">
    <h2>Cables and supports, 334.30</h2>
    <p v-if="!packet.cables.length" class="muted">No circuit is wired yet.</p>
    <v-table v-else density="compact">
      <thead>
        <tr>
          <th>Circuit</th>
          <th>Cable</th>
          <th class="amount">Runs</th>
          <th class="amount">Feet</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in packet.cables" :key="one.circuit + one.cable">
          <td>{{ one.circuit }}</td>
          <td class="num">{{ one.cable }}</td>
          <td class="num amount">{{ one.runs }}</td>
          <td class="num amount">{{ one.routed === one.runs ? '' : 'about ' }}{{ Math.round(one.feet) }}</td>
        </tr>
      </tbody>
    </v-table>
    <p class="muted small">
      {{ count(packet.staples, 'staple') }} along the routes that are found: within 12 in of each box and every 4½ ft.
      <template v-if="estimated">{{ count(estimated, 'run') }} without a route: feet are estimated.</template>
    </p>
  </section>
  <section class="leaf">
    <h2>Alarms, IRC R314 and R315</h2>
    <p v-if="!packet.alarms.length" class="is-caution">None is placed.</p>
    <ul>
      <li v-for="one in packet.alarms" :key="one.tag">
        <b class="num">{{ one.tag }}</b> {{ one.room }}: {{ one.senses }}, <span class="muted">{{ one.circuit }}</span>
      </li>
    </ul>
  </section>
  <section class="leaf">
    <h2>Walls that no photo shows open</h2>
    <p v-if="!packet.unseen.length" class="muted">None: every wall with boxes is photographed.</p>
    <ul>
      <li v-for="one in packet.unseen" :key="one.room" class="is-caution">
        {{ one.room }}: {{ count(one.walls, 'wall') }}
      </li>
    </ul>
  </section>
</template>
