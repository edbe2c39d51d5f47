<script setup lang="ts">
import { computed } from 'vue';
import {
  AWG_SIZES,
  changeEntity,
  CIRCUIT_PURPOSES,
  inTurn,
  measureCircuitLoad,
  mergeCircuits,
  shareNeutral,
  showSum,
  sizeCircuit,
  splitCircuit,
  USUAL_ATTIC_F,
  edit,
  outletsOn,
  protectionOf,
  removeEntities,
  runOf,
  spacesOf,
  STANDARD_RATINGS_A,
  whyNotReadilyAccessible,
  changeDevice,
  type Circuit,
} from '@winculum/core';
import { newId } from '../../new-id';
import FindingCard from '../../frame/FindingCard.vue';
import ProtectionWays from './ProtectionWays.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

const store = useHouse();
const view = useView();
const circuit = computed(() => store.house!.circuits[view.only('circuit') ?? '']);
const load = computed(() => (circuit.value ? measureCircuitLoad(store.house!, circuit.value) : null));
const house = computed(() => store.house!);
const sizing = computed(() => (circuit.value ? sizeCircuit(house.value, circuit.value) : null));
const run = computed(() => (circuit.value ? runOf(house.value, circuit.value) : undefined));
const school = computed(() => load.value?.generalReceptacles ?? 0);
const protection = computed(() => (circuit.value ? protectionOf(store.house!, circuit.value.id) : null));
const receptacles = computed(() =>
  circuit.value
    ? outletsOn(store.house!, circuit.value).filter(
        (outlet) => outlet.device.kind === 'receptacle' && outlet.device.volts === 120,
      )
    : [],
);
const findings = computed(() =>
  (store.check?.findings ?? []).filter(
    (one) => one.where.circuit === circuit.value?.id && one.key !== view.finding?.key,
  ),
);
const words = { plain: 'plain', afci: 'AFCI', gfci: 'GFCI', dual: 'AFCI and GFCI (dual function)' } as const;
const checked = (event: Event) => (event.target as HTMLInputElement).checked;
const value = (event: Event) => (event.target as HTMLInputElement).value;
const change = (changes: Partial<Circuit>) =>
  store.apply(changeEntity(store.house!, 'circuits', circuit.value!.id, changes));

function setAttic(atticF: number): void {
  store.apply(edit(house.value, 'Attic temperature', (draft) => void (draft.standards.atticF = atticF)));
}

/** The receptacle becomes a GFCI and stands first in line; both as one edit. */
function protectFrom(deviceId: string): void {
  const house = store.house!;
  if (deviceId === '') return void change({ gfciFirst: null });
  const outlet = receptacles.value.find((one) => one.device.id === deviceId)!;
  store.apply(
    inTurn('GFCI first in line', house, [
      (now) => changeDevice(now, outlet.box.id, deviceId, { gfci: true }),
      (now) => changeEntity(now, 'circuits', circuit.value!.id, { gfciFirst: deviceId }),
    ]),
  );
}

const outlets = computed(() => (circuit.value ? outletsOn(store.house!, circuit.value) : []));
const others = computed(() =>
  Object.values(store.house!.circuits)
    .filter((one) => one.id !== circuit.value?.id && one.poles === circuit.value?.poles)
    .sort((a, b) => (a.space ?? 99) - (b.space ?? 99)),
);

function merge(into: string): void {
  if (store.apply(mergeCircuits(house.value, circuit.value!.id, into))) view.select([{ kind: 'circuit', id: into }]);
}

function remove(): void {
  if (store.apply(removeEntities(store.house!, [{ collection: 'circuits', id: circuit.value!.id }]))) view.select([]);
}
</script>

<template>
  <section v-if="circuit && load && protection && sizing" class="stack">
    <input
      class="plain name"
      :value="circuit.name"
      maxlength="80"
      aria-label="Name of the circuit"
      :readonly="!store.canEdit"
      @change="change({ name: value($event) })"
    />
    <p class="figures">
      <b class="num percent" :class="{ 'is-violation': load.used > 1 }">{{ Math.round(load.used * 100) }} %</b
      ><span
        >{{ Math.round(load.va) }} VA, {{ load.amps.toFixed(1) }} A<br /><span class="muted"
          >of {{ load.allowedA.toFixed(0) }} A by the firm's standard</span
        ></span
      >
    </p>
    <details open>
      <summary>Show the sum</summary>
      <table>
        <tbody>
          <tr v-if="school > 0">
            <td>
              {{ school }} × general receptacles<span class="muted source">{{
                house.standards.receptacleSchool === 'area'
                  ? 'in the area load of the house: no VA of their own'
                  : 'school of the firm: 180 VA a yoke, for the percentage alone'
              }}</span>
            </td>
            <td class="num">{{ house.standards.receptacleSchool === 'area' ? 0 : school * 180 }} VA</td>
          </tr>
          <tr v-for="(step, i) in showSum(house, circuit, run)" :key="i" :class="{ 'is-violation': step.wrong }">
            <td>
              {{ step.what }}<span class="muted source">{{ step.section }}</span>
            </td>
            <td class="num sum">{{ step.sum }}</td>
          </tr>
        </tbody>
      </table>
    </details>
    <fieldset :disabled="!store.canEdit" class="stack">
      <label class="field"
        >Breaker
        <span class="row"
          ><select
            class="plain half"
            aria-label="Rating"
            :value="circuit.ratingA"
            @change="change({ ratingA: Number(value($event)) })"
          >
            <option v-for="rating in STANDARD_RATINGS_A.filter((one) => one <= 100)" :key="rating" :value="rating">
              {{ rating }} A
            </option></select
          ><select
            class="plain half"
            aria-label="Poles"
            :value="circuit.poles"
            @change="change({ poles: Number(value($event)) as 1 | 2 })"
          >
            <option :value="1">1 pole</option>
            <option :value="2">2 poles</option>
          </select></span
        ></label
      >
      <label class="field"
        >Conductor
        <select class="plain" :value="circuit.awg" @change="change({ awg: value($event) as Circuit['awg'] })">
          <option v-for="awg in AWG_SIZES" :key="awg" :value="awg">
            {{ circuit.metal === 'aluminium' ? 'aluminium' : 'NM-B copper' }} No. {{ awg }}
          </option>
        </select></label
      >
      <details class="lying">
        <summary>How its cable lies</summary>
        <label class="row"
          ><input
            type="checkbox"
            :checked="circuit.inAttic ?? false"
            @change="change({ inAttic: checked($event) || undefined })"
          />
          runs through the attic at
          <input
            class="plain num short"
            type="number"
            min="60"
            max="180"
            aria-label="Hottest air in the attic, °F"
            :value="house.standards.atticF ?? USUAL_ATTIC_F"
            @change="setAttic(Number(value($event)))"
          />
          °F</label
        >
        <label class="field"
          >Cables through one sealed opening
          <input
            class="plain num"
            type="number"
            min="1"
            max="40"
            :value="circuit.bundled ?? 1"
            @change="change({ bundled: Number(value($event)) > 1 ? Number(value($event)) : undefined })"
        /></label>
        <label class="field"
          >One way to the farthest, ft
          <input
            class="plain num"
            type="number"
            min="1"
            max="1000"
            :value="circuit.lengthFt ?? ''"
            :placeholder="run ? `${run.farthestFt.toFixed(0)} along the feed order` : 'no panel yet'"
            @change="change({ lengthFt: Number(value($event)) || undefined })"
        /></label>
        <label v-if="circuit.poles === 2" class="row"
          ><input
            type="checkbox"
            :checked="circuit.metal === 'aluminium'"
            @change="change({ metal: checked($event) ? 'aluminium' : undefined })"
          />
          aluminium service-entrance cable</label
        >
      </details>
      <label class="field"
        >Meant for
        <select
          class="plain"
          :value="circuit.purpose"
          @change="change({ purpose: value($event) as Circuit['purpose'] })"
        >
          <option v-for="one in CIRCUIT_PURPOSES" :key="one" :value="one">{{ one.replaceAll('-', ' ') }}</option>
        </select></label
      >
      <label class="field"
        >Kind
        <select
          class="plain"
          :value="circuit.breaker"
          @change="change({ breaker: value($event) as Circuit['breaker'] })"
        >
          <option value="auto">follows the outlets: {{ words[protection.needed] }}</option>
          <option v-for="(word, kind) in words" :key="kind" :value="kind">{{ word }}</option>
        </select></label
      >
      <label v-if="circuit.poles === 1 && protection.needsGfci" class="field"
        >GFCI from
        <select class="plain" :value="circuit.gfciFirst ?? ''" @change="protectFrom(value($event))">
          <option value="">the breaker</option>
          <option v-for="outlet in receptacles" :key="outlet.device.id" :value="outlet.device.id">
            {{ outlet.box.tag }} first in line{{ whyNotReadilyAccessible(outlet) ? ' (not readily accessible)' : '' }}
          </option>
        </select></label
      >
    </fieldset>
    <label class="row"
      ><input
        type="checkbox"
        :checked="circuit.locked ?? false"
        :disabled="!store.canEdit"
        @change="change({ locked: checked($event) || undefined })"
      />
      locked: the planner leaves it as it is</label
    >
    <label v-if="store.canEdit && circuit.poles === 1" class="field"
      >Shares its neutral with
      <select
        class="plain"
        :value="circuit.sharesNeutralWith ?? ''"
        @change="store.apply(shareNeutral(house, circuit.id, value($event) || null))"
      >
        <option value="">none: its own neutral</option>
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.space ?? '–' }} {{ one.name }}</option>
      </select></label
    >
    <p v-if="circuit.sharesNeutralWith" class="muted fine">
      A multiwire circuit (210.4): both halves open together by a two-pole breaker or a handle tie, on opposite legs;
      its neutrals are pigtailed (300.13(B)). Protection wants a two-pole AFCI or GFCI breaker, or GFCI receptacles
      beyond the point where the neutral parts.
    </p>
    <label v-if="store.canEdit && outlets.length" class="field"
      >Merge into
      <select class="plain" value="" @change="merge(value($event))">
        <option value="">…</option>
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.space ?? '–' }} {{ one.name }}</option>
      </select></label
    >
    <p class="muted fine">
      Space {{ spacesOf(circuit).join(' and ') || 'not placed yet' }}.<template v-if="run">
        About {{ run.cableFt.toFixed(0) }} ft of cable along its feed order.</template
      >
    </p>
    <ProtectionWays :circuit="circuit" @choose="protectFrom" />
    <details>
      <summary>Why this protection</summary>
      <ul>
        <li v-for="{ outlet, gfci, afci } in protection.outlets" :key="outlet.device.id" class="why">
          <b class="num">{{ outlet.box.tag }}</b> {{ outlet.load?.name ?? outlet.device.kind }}, {{ outlet.room.name
          }}<br />
          <span v-for="(decision, word) in { GFCI: gfci, AFCI: afci }" :key="word" class="muted"
            ><template v-if="decision.kind !== 'not-required'"
              >{{ word }}: {{ decision.reason }} {{ decision.section }}
              <template v-if="'basis' in decision"
                >({{ decision.basis.source }}, {{ decision.basis.confidence }})</template
              >
            </template></span
          >
        </li>
      </ul>
    </details>
    <div v-if="store.canEdit" class="row">
      <button class="plain-button" @click="store.apply(splitCircuit(house, circuit.id, newId))">Split in two</button>
      <button class="plain-button" @click="remove">Delete the circuit</button>
    </div>
    <FindingCard v-for="finding in findings" :key="finding.key" :finding="finding" />
  </section>
</template>

<style scoped>
.name {
  font-weight: 600;
  font-size: 16px;
}
.figures {
  display: flex;
  gap: 14px;
  align-items: center;
  font-size: 14px;
}
.percent {
  font-size: 42px;
  line-height: 1;
  font-weight: 700;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
td {
  padding: 3px 0;
  vertical-align: top;
}
td.num {
  text-align: right;
  font-size: 15px;
  padding-left: 10px;
  text-wrap: balance;
}
.short {
  width: 72px;
}
.lying {
  font-size: 14px;
}
tr + tr td {
  border-top: 1px solid var(--rule);
}
.source {
  display: block;
  font-size: 12px;
}
fieldset {
  border: 0;
  padding: 0;
}
.half {
  width: calc(50% - 4px);
}
.fine {
  font-size: 12.5px;
}
summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 30px;
}
.why {
  font-size: 13px;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
</style>
