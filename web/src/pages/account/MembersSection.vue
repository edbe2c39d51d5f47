<script setup lang="ts">
import { ROLES, type Invitation, type Member, type Role } from '@winculum/contract';
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../../api';
import { useSession } from '../../stores/session';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const session = useSession();
const isOwner = session.signedIn?.role === 'owner';
const { message, said, isBusy, run } = useSection();
const members = shallowRef<readonly Member[]>([]);
const invitations = shallowRef<readonly Invitation[]>([]);
const link = ref('');
const added = ref({ name: '', email: '', role: 'crew' as Role });
/** The member whose role is being chosen: one editor for the whole list. */
const chosen = shallowRef<Member>();

async function load(): Promise<void> {
  members.value = await api.members();
  if (isOwner) invitations.value = await api.invitations();
}
const invite = () =>
  run(async () => {
    const made = await api.invite({ ...added.value });
    link.value = made.link ?? '';
    added.value = { name: '', email: '', role: 'crew' };
    await load();
    return made.link
      ? 'No e-mail is sent from this server. Hand this link to them; it is good once, for seven days.'
      : 'The invitation is sent.';
  });
const changeRole = (member: Member, role: Role) =>
  run(async () => {
    await api.changeRole(member.id, role);
    chosen.value = undefined;
    await load();
    return `${member.name} is ${role} now.`;
  });
const remove = (member: Member) =>
  run(async () => {
    await api.removeMember(member.id);
    chosen.value = undefined;
    await load();
    return `${member.name} is removed.`;
  });
const withdraw = (one: Invitation) =>
  run(async () => {
    await api.withdrawInvitation(one.id);
    link.value = '';
    await load();
  });
onMounted(() => run(load));
</script>

<template>
  <AccountSection
    title="Members"
    hint="An owner changes members and deletes houses, crew draws and assigns, a viewer only looks."
    :message="message"
    :said="said"
  >
    <v-text-field v-if="link" :model-value="link" label="Link to hand over" readonly @focus="$event.target.select()" />
    <ul class="list">
      <li v-for="member in members" :key="member.id" class="row">
        <span class="grow">
          {{ member.name }}, {{ member.role }}<br />
          <span class="muted">{{ member.email }}{{ member.hasSecondFactor ? ', second factor' : '' }}</span>
        </span>
        <v-btn v-if="isOwner" size="small" :aria-label="`Change ${member.name}`" @click="chosen = member">Change</v-btn>
      </li>
      <li v-for="one in invitations" :key="one.id" class="row">
        <span class="grow">
          {{ one.name }}, invited as {{ one.role }}<br />
          <span class="muted">{{ one.email }}, until {{ new Date(one.expiresAt).toLocaleDateString() }}</span>
        </span>
        <v-btn size="small" :aria-label="`Take back the invitation of ${one.name}`" @click="withdraw(one)"
          >Take back</v-btn
        >
      </li>
    </ul>
    <v-form v-if="isOwner" class="add" @submit.prevent="invite">
      <v-text-field v-model="added.name" label="Name" />
      <v-text-field v-model="added.email" label="E-mail" type="email" />
      <v-select v-model="added.role" label="Role" :items="[...ROLES]" />
      <v-btn type="submit" color="primary" variant="flat" :loading="isBusy" :disabled="!added.name || !added.email"
        >Invite</v-btn
      >
    </v-form>
    <v-dialog :model-value="chosen !== undefined" max-width="420" @update:model-value="chosen = undefined">
      <v-card v-if="chosen" class="pa-5" :title="chosen.name">
        <div class="stack">
          <v-btn
            v-for="role in ROLES.filter((one) => one !== chosen?.role)"
            :key="role"
            :loading="isBusy"
            @click="changeRole(chosen, role)"
            >Make {{ role }}</v-btn
          >
          <v-btn color="error" :loading="isBusy" @click="remove(chosen)">Remove from the firm</v-btn>
          <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
        </div>
      </v-card>
    </v-dialog>
  </AccountSection>
</template>

<style scoped>
.list {
  display: grid;
  gap: 8px;
}
.add {
  display: grid;
  grid-template-columns: 1fr 1fr 110px auto;
  gap: 8px;
  align-items: start;
}
@media (max-width: 620px) {
  .add {
    grid-template-columns: 1fr;
  }
}
</style>
