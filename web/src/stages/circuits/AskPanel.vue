<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref, watch } from 'vue';
import {
  BREAKER_NAMES,
  askTap,
  LOAD_KINDS,
  LOAD_LIBRARY,
  newDevice,
  suitedTo,
  outletsAsked,
  parsePower,
  takeTap,
  tapOf,
  type Box,
  type BoxPlace,
  type LoadKind,
  type TapAnswer,
  type TapQuestion,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { numberOf } from '../../drawing/circuit-colors';

/** Can I tap this circuit? A thing at a place, and what every circuit says to it. */
const props = defineProps<{ box: Box | undefined }>();
const emit = defineEmits<{ show: [circuit: string] }>();
const store = useHouse();

const PLAIN = {
  light: 'a light',
  strip: 'under-cabinet lights',
  receptacle: 'a receptacle',
  alarm: 'an alarm',
  fan: 'a fan',
} as const;
const what = ref<keyof typeof PLAIN | LoadKind | 'standing'>('standing');
const power = ref('');
const problem = ref('');
const BESIDE_IN = 8;

/** Beside the chosen box on its wall, or at its own place in a ceiling. */
function placeBeside(box: Box): BoxPlace {
  const { at } = box;
  return at.kind === 'wall' ? { ...at, alongIn: Math.max(0, at.alongIn - BESIDE_IN) } : { ...at };
}

const question = computed<TapQuestion | undefined>(() => {
  const { box } = props;
  if (!box) return undefined;
  if (what.value === 'standing') {
    const devices = outletsAsked(store.current, [box.id]).map((one) => one.device.id);
    return devices.length > 0 ? { kind: 'standing', devices } : undefined;
  }
  const at = { room: box.room, at: placeBeside(box) };
  const ids = { box: newId('box'), load: newId('load') };
  const kind = what.value;
  if (kind in PLAIN) {
    const va = power.value.trim() ? parsePower(power.value, 120) : undefined;
    if (va && !va.ok) return undefined;
    const size = va ? { va: va.value.va } : {};
    const device =
      kind === 'receptacle'
        ? newDevice('receptacle', newId('device'), { tr: true })
        : kind === 'alarm'
          ? newDevice('alarm', newId('device'))
          : kind === 'fan'
            ? newDevice('fan', newId('device'), size)
            : newDevice('luminaire', newId('device'), {
                ...(kind === 'strip' ? { style: 'strip', va: 24 } : {}),
                ...size,
              });
    return tapOf({ device: suitedTo(store.current.rooms[box.room]!, device) }, at, ids);
  }
  const typical = LOAD_LIBRARY[kind as LoadKind];
  const read = power.value.trim() ? parsePower(power.value, typical.volts) : undefined;
  if (read && !read.ok) return undefined;
  const load = { ...typical, kind: kind as LoadKind, source: 'typical' as const, ...(read ? read.value : {}) };
  const device = typical.cord
    ? newDevice('receptacle', newId('device'), {
        volts: typical.volts,
        ...(typical.volts === 240 ? { style: 'single', ratingA: typical.va > 5760 ? 50 : 30 } : {}),
      })
    : newDevice('connection', newId('device'), { volts: typical.volts });
  return tapOf({ device, load }, at, ids);
});
const answers = computed<readonly TapAnswer[]>(() => {
  const asked = question.value && askTap(store.current, question.value);
  return asked?.ok ? asked.value : [];
});
const yes = computed(() => answers.value.filter((one) => one.allowed));
const no = computed(() => answers.value.filter((one) => !one.allowed));
const circuits = computed(() =>
  Object.values(store.current.circuits).sort(
    (a, b) => (a.space ?? 999) - (b.space ?? 999) || a.name.localeCompare(b.name),
  ),
);
watch([power, what], () => {
  const read = power.value.trim() ? parsePower(power.value, 120) : undefined;
  problem.value = read && !read.ok ? read.problems[0]!.message : '';
});

function take(answer: TapAnswer): void {
  if (store.apply(takeTap(store.current, question.value!, answer.circuit.id))) what.value = 'standing';
}
const whats = computed(() => [
  { value: 'standing', title: `what ${props.box?.tag ?? 'it'} has` },
  ...Object.entries(PLAIN).map(([value, word]) => ({ value, title: `new, beside it: ${word}` })),
  ...LOAD_KINDS.map((value) => ({ value, title: `new equipment: ${LOAD_LIBRARY[value].name}` })),
]);
</script>

<template>
  <section class="ask" aria-label="Can I tap this circuit?">
    <p v-if="!box" class="muted pad">Click the box on the plan beside which it will be.</p>
    <template v-else>
      <div class="pad stack">
        <p class="muted">
          At <b class="num tag">{{ box.tag }}</b>
        </p>
        <SearchField v-model="what" label="What" :items="whats" />
        <v-text-field
          v-if="what !== 'standing' && what !== 'receptacle' && what !== 'alarm'"
          v-model="power"
          class="num"
          label="Power"
          placeholder="typical; or 12.5 A, 1.5 kW, 3/4 hp"
          persistent-placeholder
        />
        <p v-if="problem" class="is-violation">{{ problem }}</p>
        <p v-else-if="!question" class="is-caution">{{ box.tag }} has nothing that needs a circuit.</p>
        <p v-else role="status">
          <b class="num count">{{ yes.length }}</b> of {{ answers.length }} circuits may feed it, nearest first
        </p>
      </div>
      <ol>
        <li v-for="one in yes" :key="one.circuit.id" class="yes">
          <div class="line">
            <b class="num">{{ numberOf(one.circuit, circuits) }}</b>
            <v-btn class="link" variant="text" size="small" @click="emit('show', one.circuit.id)">{{
              one.circuit.name
            }}</v-btn>
            <b class="num feet">{{ one.cableFt.toFixed(0) }} ft</b>
          </div>
          <p class="muted">
            from {{ one.from }}; {{ one.leftA.toFixed(1) }} A left ({{ Math.round(one.used * 100) }} % used)<template
              v-if="one.breakerBefore !== one.breakerAfter"
              >; its breaker becomes {{ BREAKER_NAMES[one.breakerAfter] }}</template
            >
          </p>
          <p v-for="need in one.needs" :key="need.text" class="muted">
            {{ need.text }} <span class="num">{{ need.section }}</span>
          </p>
          <p v-for="reason in one.cautions" :key="reason.text" class="is-caution">
            {{ reason.text }} <span class="num">{{ reason.section }}</span>
          </p>
          <v-btn class="take" v-if="store.canEdit" @click="take(one)">Take it from here</v-btn>
        </li>
        <li v-for="one in no" :key="one.circuit.id" class="no">
          <div class="line">
            <b class="num">{{ numberOf(one.circuit, circuits) }}</b>
            <v-btn class="link" variant="text" size="small" @click="emit('show', one.circuit.id)">{{
              one.circuit.name
            }}</v-btn>
            <span class="num feet muted">{{ one.cableFt.toFixed(0) }} ft</span>
          </div>
          <p v-for="reason in one.objections" :key="reason.text" :title="reason.why">
            <span class="is-violation num">{{ reason.section }}</span> {{ reason.text }}
          </p>
        </li>
      </ol>
      <p class="muted pad">
        By NEC {{ store.current.job.edition }} and this house's amendments. The authority having jurisdiction decides.
      </p>
    </template>
  </section>
</template>

<style scoped>
.pad {
  padding: 10px 12px;
}
.tag,
.count {
  font-size: 22px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13.5px;
}
li {
  border-top: 1px solid var(--rule);
  border-left: 5px solid var(--reached);
  padding: 8px 12px;
  display: grid;
  gap: 3px;
}
li.no {
  border-left-color: var(--violation);
}
.line {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.link {
  flex: 1;
  border: 0;
  background: none;
  color: var(--ink);
  font-weight: 600;
  font-size: 14.5px;
  text-align: left;
  min-height: 30px;
  cursor: pointer;
}
.take {
  justify-self: start;
}
.feet {
  font-size: 17px;
}
</style>
