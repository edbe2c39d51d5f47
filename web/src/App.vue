<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import { useConfirm } from './stores/confirm';

const confirm = useConfirm();
// Needed seldom, and never before somebody has signed in.
const ConfirmDialog = defineAsyncComponent(() => import('./frame/ConfirmDialog.vue'));
</script>

<template>
  <v-app>
    <router-view />
    <ConfirmDialog v-if="confirm.isAsking" />
  </v-app>
</template>
