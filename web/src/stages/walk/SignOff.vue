<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { SIGNERS, type Revision, type Signer } from '@winculum/contract';
import { changesSince, validateHouse, wordFor, type House } from '@winculum/core';
import { api, ApiError } from '../../api';
import { useHouse } from '../../stores/house';
import SignaturePad from '../../frame/SignaturePad.vue';

/** Revisions of the boxes, who signed them, and what has changed since. */
const emit = defineEmits<{ reopen: [revision: Revision, house: House] }>();
const store = useHouse();
const revisions = shallowRef<readonly Revision[]>([]);
const signedHouse = shallowRef<House | null>(null);
const problem = ref('');
const busy = ref(false);
const note = ref('');
const role = ref<Signer>('owner');
const name = ref('');
const strokes = ref<[number, number][][]>([]);
const padKey = ref(0);

const newest = computed(() => revisions.value[0]);
const lastSigned = computed(() => revisions.value.find((one) => one.signatures.length > 0));
const changes = computed(() => (signedHouse.value ? changesSince(signedHouse.value, store.current) : []));
const when = (iso: string) => new Date(iso).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
const pathOf = (signature: Revision['signatures'][number]) =>
  signature.strokes.map((stroke) => `M${stroke.map(([x, y]) => `${x} ${y}`).join('L')}`).join('');

async function attempt(work: () => Promise<void>): Promise<void> {
  problem.value = '';
  busy.value = true;
  try {
    await work();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    problem.value =
      error.status === 0
        ? 'Sign-off needs the server, which cannot be reached. Nothing is lost; try again.'
        : error.message;
  } finally {
    busy.value = false;
  }
}

async function houseOf(number: number): Promise<House | null> {
  const read = validateHouse((await api.openRevision(store.id, number)).house);
  return read.ok ? read.value : null;
}
async function load(): Promise<void> {
  revisions.value = await api.revisions(store.id);
  signedHouse.value = lastSigned.value ? await houseOf(lastSigned.value.number) : null;
}
onMounted(() => void attempt(load));

const make = () =>
  attempt(async () => {
    if (store.syncState.kind !== 'saved') {
      problem.value = 'Some edits are not saved yet. Wait for Saved above, then make the revision.';
      return;
    }
    const { version } = await api.loadHouse(store.id);
    await api.makeRevision(store.id, { version, note: note.value });
    note.value = '';
    await load();
  });

const sign = () =>
  attempt(async () => {
    await api.sign(store.id, newest.value!.number, { role: role.value, name: name.value, strokes: strokes.value });
    [name.value, strokes.value] = ['', []];
    padKey.value++;
    await load();
  });

const reopen = (revision: Revision) =>
  attempt(async () => {
    const house = await houseOf(revision.number);
    if (house) emit('reopen', revision, house);
  });
</script>

<template>
  <section class="signoff" aria-label="Sign-off">
    <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
    <div v-if="lastSigned" class="since" :class="{ changed: changes.length }">
      <h2>
        <b class="num">{{ changes.length }}</b> {{ wordFor(changes.length, 'change') }} since revision
        {{ lastSigned.number }} was signed
      </h2>
      <table v-if="changes.length">
        <tbody>
          <tr v-for="change in changes" :key="change.tag + change.kind">
            <td class="num tag">{{ change.tag }}</td>
            <td>{{ change.room }}</td>
            <td>
              <b>{{ change.kind }}</b>
            </td>
            <td>{{ change.what }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else-if="!busy" class="lead">
      Nothing is signed yet. Walk the house with the owner, freeze what you have agreed as a revision, and have it
      signed before a foot of wire is pulled.
    </p>
    <v-form v-if="store.canEdit" class="row" @submit.prevent="make">
      <v-text-field
        v-model="note"
        class="grow"
        maxlength="400"
        label="Note of the revision"
        placeholder="what was agreed"
      />
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy"
        >Freeze revision {{ (newest?.number ?? 0) + 1 }}</v-btn
      >
    </v-form>
    <v-form v-if="store.canEdit && newest" class="sign" @submit.prevent="sign">
      <h2>Sign revision {{ newest.number }}</h2>
      <div class="row">
        <v-select v-model="role" class="who" label="Signs as" :items="[...SIGNERS]" />
        <v-text-field v-model="name" class="grow" maxlength="80" label="Name of the signer" />
      </div>
      <SignaturePad :key="padKey" @change="strokes = $event" />
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !name.trim() || !strokes.length"
        >Sign</v-btn
      >
    </v-form>
    <article v-for="revision in revisions" :key="revision.number" class="revision">
      <h2 class="num">
        Revision {{ revision.number }} <span class="muted">{{ when(revision.at) }}, frozen by {{ revision.by }}</span>
      </h2>
      <p v-if="revision.note">{{ revision.note }}</p>
      <ul class="signatures">
        <li v-for="one in revision.signatures" :key="one.role + one.name">
          <svg viewBox="0 0 1000 300" role="img" :aria-label="`Signature of ${one.name}`">
            <path :d="pathOf(one)" />
          </svg>
          <b>{{ one.name }}</b> {{ one.role }}<br /><span class="muted"
            >{{ when(one.at) }}, recorded by {{ one.recordedBy }}</span
          >
        </li>
        <li v-if="!revision.signatures.length" class="muted">not signed</li>
      </ul>
      <v-btn :disabled="busy" @click="reopen(revision)">Open its sheets, read only</v-btn>
    </article>
  </section>
</template>

<style scoped>
.signoff {
  display: grid;
  gap: 14px;
  max-width: 760px;
}
h2 {
  font: 600 17px var(--words);
}
h2.num {
  font: 700 20px var(--numbers);
}
h2 .muted {
  font: 400 13px var(--words);
}
.since,
.revision,
.sign {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 14px;
  display: grid;
  gap: 8px;
}
.since.changed {
  border-color: var(--caution);
  border-left-width: 5px;
}
.since h2 b {
  font-size: 26px;
}
td {
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--rule);
  vertical-align: top;
}
.tag {
  font-size: 16px;
  font-weight: 700;
}
.lead {
  font-size: 16px;
  line-height: 1.5;
}
.row .grow {
  width: 0;
  min-height: 44px;
}
.sign .main {
  justify-self: start;
  min-height: 44px;
}
.sign {
  max-width: 560px;
}
.who {
  width: auto;
  min-height: 44px;
}
.signatures {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
}
.signatures svg {
  width: 190px;
  display: block;
  border-bottom: 1px solid var(--ink);
}
.signatures path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 8;
  stroke-linecap: round;
}
</style>
