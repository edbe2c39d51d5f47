<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { countWaiting, forgetAllCopies } from '../sync/device-store';
import { useSession } from '../stores/session';

const emit = defineEmits<{ close: [] }>();
const session = useSession();
const router = useRouter();
const userId = session.signedIn?.user.id ?? '';
const waiting = ref(0);
const message = ref('');
onMounted(async () => void (waiting.value = await countWaiting(userId).catch(() => 0)));

async function signOut(removes: boolean): Promise<void> {
  try {
    await session.signOut();
    if (removes) await forgetAllCopies(userId);
    await router.push('/sign-in');
  } catch (error) {
    message.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" @update:model-value="emit('close')">
    <v-card class="pa-5" title="Sign out">
      <div class="stack">
        <p>Houses that were opened here are kept on this device, so that work goes on without a connection.</p>
        <p v-if="waiting" class="is-caution">
          {{ waiting === 1 ? 'One edit or photo waits' : `${waiting} edits and photos wait` }} on this device that the
          server does not have. Removing the houses would lose {{ waiting === 1 ? 'it' : 'them' }}.
        </p>
        <v-btn color="primary" variant="flat" @click="signOut(false)">Sign out, keep the houses on this device</v-btn>
        <v-btn :color="waiting ? 'error' : undefined" @click="signOut(true)">
          {{ waiting ? 'Sign out, lose what waits and remove the houses' : 'Sign out and remove the houses' }}
        </v-btn>
        <v-btn variant="text" @click="emit('close')">Stay signed in</v-btn>
        <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
      </div>
    </v-card>
  </v-dialog>
</template>
