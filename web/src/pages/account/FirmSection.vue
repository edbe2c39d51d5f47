<script setup lang="ts">
import type { FirmState } from '@winculum/contract';
import { onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { api } from '../../api';
import { download } from '../../frame/download';
import { useSession } from '../../stores/session';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const session = useSession();
const router = useRouter();
const isOwner = session.signedIn?.role === 'owner';
const { message, said, isBusy, run } = useSection();
const firm = shallowRef<FirmState>();
const trustDays = ref('0');
const needsSecondFactor = ref(false);
const typed = ref('');
const isDeleting = ref(false);

function show(state: FirmState): void {
  firm.value = state;
  trustDays.value = String(state.trustDays);
  needsSecondFactor.value = state.needsSecondFactor;
}
const save = () =>
  run(async () => {
    const days = Number(trustDays.value);
    if (!Number.isInteger(days) || days < 0 || days > 90) throw new Error('Days: type a whole number from 0 to 90.');
    show(await api.changeFirm({ trustDays: days, needsSecondFactor: needsSecondFactor.value }));
    return 'Saved, and written into the audit log.';
  });
const exportAll = () =>
  run(async () => {
    download('winculum-firm.json', 'application/json', JSON.stringify(await api.exportFirm()));
    return 'Everything of the firm is in the file.';
  });
const remove = () =>
  run(async () => {
    await api.deleteFirm(typed.value);
    session.isKnown = false;
    session.signedIn = null;
    await router.push('/sign-in');
  });
onMounted(() => run(async () => show(await api.firm())));
</script>

<template>
  <AccountSection title="Firm" :message="message" :said="said">
    <p v-if="firm" class="num">
      {{ firm.name }}: {{ firm.houses }} of {{ firm.mostHouses }} houses, {{ (firm.bytes / 1e6).toFixed(1) }} of
      {{ firm.mostBytes / 1e6 }} MB
    </p>
    <template v-if="isOwner">
      <v-form class="stack" @submit.prevent="save">
        <v-text-field
          v-model="trustDays"
          label="Days that a trusted device stays signed in (0: none is)"
          inputmode="numeric"
        />
        <v-checkbox
          v-model="needsSecondFactor"
          density="compact"
          hide-details
          label="Every member needs a second factor"
        />
        <v-btn class="go" type="submit" :loading="isBusy">Save the settings</v-btn>
      </v-form>
      <div class="row">
        <v-btn :loading="isBusy" @click="exportAll">Save everything as a file</v-btn>
        <v-btn color="error" @click="isDeleting = true">Delete the firm</v-btn>
      </div>
      <v-dialog v-model="isDeleting" max-width="460">
        <v-card class="pa-5" title="Delete the firm with everything in it">
          <v-form class="stack" @submit.prevent="remove">
            <p>
              Its members, houses, revisions and signatures are gone at once and for good. Save everything as a file
              first.
            </p>
            <v-text-field v-model="typed" :label="`Type ${firm?.name} to delete it`" :error-messages="message" />
            <v-btn type="submit" color="error" variant="flat" :loading="isBusy" :disabled="typed !== firm?.name"
              >Delete for good</v-btn
            >
          </v-form>
        </v-card>
      </v-dialog>
    </template>
  </AccountSection>
</template>

<style scoped>
.go {
  justify-self: start;
  align-self: flex-start;
}
</style>
