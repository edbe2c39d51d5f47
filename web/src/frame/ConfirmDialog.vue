<script setup lang="ts">
import { ref, watch } from 'vue';
import { api } from '../api';
import { useConfirm } from '../stores/confirm';

const confirm = useConfirm();
const password = ref('');
const message = ref('');
const isBusy = ref(false);

watch(
  () => confirm.isAsking,
  () => ([password.value, message.value] = ['', '']),
);

async function submit(): Promise<void> {
  isBusy.value = true;
  try {
    await api.confirm(password.value);
    confirm.settle(true);
  } catch (error) {
    message.value = error instanceof Error ? error.message : String(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <v-dialog :model-value="confirm.isAsking" max-width="420" @update:model-value="confirm.settle(false)">
    <v-card class="pa-5" title="Your password once more">
      <v-form class="stack" @submit.prevent="submit">
        <p class="muted">What you are about to do cannot be undone by a click, or concerns other people.</p>
        <v-text-field
          v-model="password"
          label="Password"
          type="password"
          autocomplete="current-password"
          autofocus
          :error-messages="message"
        />
        <div class="row">
          <v-btn type="submit" color="primary" variant="flat" :loading="isBusy" :disabled="!password">Go on</v-btn>
          <v-btn @click="confirm.settle(false)">Cancel</v-btn>
        </div>
      </v-form>
    </v-card>
  </v-dialog>
</template>
