<script setup lang="ts">
import { ROLES, type Member, type Role } from '@winculum/contract';
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../api';
import { useSession } from '../stores/session';

const emit = defineEmits<{ close: [] }>();
const session = useSession();
const members = shallowRef<readonly Member[]>([]);
const message = ref('');
const added = ref({ name: '', email: '', password: '', role: 'crew' as Role });

async function run(work: () => Promise<unknown>): Promise<void> {
  message.value = '';
  try {
    await work();
    members.value = await api.members();
  } catch (error) {
    message.value = error instanceof Error ? error.message : String(error);
  }
}

async function add(): Promise<void> {
  await run(async () => {
    await api.addMember({ ...added.value });
    added.value = { name: '', email: '', password: '', role: 'crew' };
  });
}

onMounted(() => run(async () => undefined));
</script>

<template>
  <v-dialog :model-value="true" max-width="640" @update:model-value="emit('close')">
    <v-card class="pa-5" title="Members of the firm">
      <p class="muted">An owner changes members and deletes houses, crew draws and assigns, a viewer only looks.</p>
      <ul class="stack my-4">
        <li v-for="member in members" :key="member.id" class="row">
          <span class="grow"
            >{{ member.name }} <span class="muted">{{ member.email }}</span></span
          >
          <select
            class="plain role"
            :aria-label="`Role of ${member.name}`"
            :value="member.role"
            :disabled="session.signedIn?.role !== 'owner'"
            @change="run(() => api.changeRole(member.id, ($event.target as HTMLSelectElement).value as Role))"
          >
            <option v-for="role in ROLES" :key="role">{{ role }}</option>
          </select>
          <button
            v-if="session.signedIn?.role === 'owner'"
            class="plain-button"
            @click="run(() => api.removeMember(member.id))"
          >
            Remove
          </button>
        </li>
      </ul>
      <form v-if="session.signedIn?.role === 'owner'" class="add" @submit.prevent="add">
        <input v-model="added.name" class="plain" placeholder="Name" aria-label="Name" required />
        <input v-model="added.email" class="plain" type="email" placeholder="E-mail" aria-label="E-mail" required />
        <input
          v-model="added.password"
          class="plain"
          type="password"
          placeholder="First password"
          aria-label="First password"
          autocomplete="new-password"
          required
        />
        <select v-model="added.role" class="plain" aria-label="Role">
          <option v-for="role in ROLES" :key="role">{{ role }}</option>
        </select>
        <button class="plain-button main" type="submit">Add</button>
      </form>
      <p v-if="message" class="is-violation mt-3" role="alert">{{ message }}</p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.role {
  width: 110px;
}
.add {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 100px auto;
  gap: 8px;
}
@media (max-width: 620px) {
  .add {
    grid-template-columns: 1fr;
  }
}
</style>
