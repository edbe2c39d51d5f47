<script setup lang="ts">
import { computed } from 'vue';
import {
  changeEntity,
  fillNote,
  fillOf,
  makeUpOf,
  nameOfBox,
  unseenIn,
  type BoxMakeUp,
  type Proof,
  spaceMark,
} from '@winculum/core';
import { useHouse } from '../../stores/house';
import { layoutCard } from './card-layout';
import CardDrawing from './CardDrawing.vue';
import ConductorLegend from './ConductorLegend.vue';
import FillSum from './FillSum.vue';

/** One box as a helper makes it up: cables in, every splice, every screw, the fill and what is proved of it. */
const props = defineProps<{ makeUp: BoxMakeUp; n: number; of: number; proofs: ReadonlyMap<string, Proof> }>();
const store = useHouse();
const house = computed(() => store.current);
const isMadeUp = computed(() => ['made-up', 'trimmed'].includes(props.makeUp.box.progress ?? ''));
/** Grounds spliced, pigtails on, folded back: what the rough inspection looks into. */
const tick = () =>
  store.apply(
    changeEntity(house.value, 'boxes', props.makeUp.box.id, { progress: isMadeUp.value ? 'nailed' : 'made-up' }),
  );
const units = computed(() => props.makeUp.units);
const layout = computed(() => layoutCard(props.makeUp));
const fill = computed(() => fillOf(house.value, props.makeUp.box)!);
const room = computed(() => house.value.rooms[props.makeUp.box.room]!);
const circuits = computed(() =>
  units.value.flatMap(({ unit }) => unit.circuits.map((one) => `${spaceMark(one) ?? one.name} · ${one.ratingA} A`)),
);
const proved = computed(() =>
  units.value
    .flatMap(({ unit, plan }) => {
      const proof = props.proofs.get(unit.id);
      const here = plan.chains.filter((chain) =>
        [...chain.order, ...chain.group.controls].some((one) => one.box.id === props.makeUp.box.id),
      );
      const rows = here.map(({ group }) => {
        const found = proof?.groups.find((one) => one.group.id === group.group.id);
        return {
          id: group.group.id,
          ok: found !== undefined && found.flaws.length === 0,
          text: found
            ? (found.flaws[0]?.message ?? `${group.letter}: ${found.positions} of ${found.positions} positions`)
            : `${group.letter}: not proved yet`,
        };
      });
      const flaws = proof?.flaws ?? [];
      const always = {
        id: unit.id,
        ok: proof !== undefined && flaws.length === 0,
        text: !proof ? 'not proved yet' : (flaws[0]?.message ?? 'no hot to neutral or ground in any; all grounded'),
      };
      return [...rows, always];
    })
    .filter((one, i, all) => all.findIndex((other) => other.text === one.text) === i),
);
</script>

<template>
  <article class="card" :aria-label="`Make-up of ${makeUp.box.tag}`">
    <header>
      <h2 class="num">{{ makeUp.box.tag }}</h2>
      <p>{{ nameOfBox(fill) }}, {{ room.name }}</p>
      <v-btn
        v-if="store.canEdit"
        class="made"
        :aria-label="`Made up: ${makeUp.box.tag}`"
        :aria-pressed="isMadeUp"
        :disabled="makeUp.box.progress === 'trimmed'"
        @click="tick"
        >{{ isMadeUp ? '✓ made up' : 'Made up' }}</v-btn
      >
      <p class="off">Circuit {{ circuits.join(' and ') }} · turn off and test before opening</p>
    </header>
    <p v-if="unseenIn(makeUp) === 'some'" class="is-caution">
      The box stood here before. Its old cables are supposed, by a feed order that nobody has seen: open it, test it
      dead, and go by what is there.
    </p>
    <div class="body" :class="{ wide: layout.width > 620 }">
      <CardDrawing class="drawing" :layout="layout" />
      <div class="numbers">
        <FillSum :fill="fill" />
        <section class="note">
          <h3 class="small-caps">Write in the box</h3>
          <p class="write num">{{ fillNote(fill) || 'open back' }}</p>
        </section>
        <section class="proved">
          <h3 class="small-caps">Proved</h3>
          <p v-for="one in proved" :key="one.id" class="proof" :class="{ bad: !one.ok }">
            <b>{{ one.ok ? '✓' : '✗' }}</b> {{ one.text }}
          </p>
        </section>
        <ConductorLegend :layout="layout" />
      </div>
    </div>
    <footer class="muted">
      Card {{ n }} of {{ of }} · leave {{ makeUpOf(house).freeIn }} in free from where the conductor leaves its sheath,
      6 at least (300.14) · plans are not permission: the adopted code, the inspector and a licensed electrician decide
    </footer>
  </article>
</template>

<style scoped>
.card {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 12px 16px 8px;
  break-inside: avoid;
}
header {
  display: flex;
  align-items: baseline;
  gap: 12px;
  flex-wrap: wrap;
}
h2 {
  font: 700 28px var(--numbers);
}
.made {
  align-self: center;
  min-height: 44px;
}
@media print {
  .made {
    display: none;
  }
}
.off {
  margin-left: auto;
  color: var(--violation);
  font-weight: 600;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 232px;
  gap: 18px;
  align-items: start;
}
.drawing {
  width: 100%;
  touch-action: pinch-zoom pan-x pan-y;
}
.wide {
  grid-template-columns: minmax(0, 1fr);
}
.wide .numbers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 18px;
}
.wide .numbers :deep(h3) {
  margin-top: 0;
}
.numbers h3 {
  margin: 8px 0 2px;
}
.write {
  border: 1px dashed var(--ink);
  border-radius: 3px;
  padding: 5px 10px;
  font-size: 18px;
  font-weight: 700;
}
.proof b {
  color: var(--reached-ink);
}
.proof.bad,
.proof.bad b {
  color: var(--violation);
}
footer {
  font-size: 12px;
  margin-top: 4px;
}
@media (max-width: 1180px) {
  .body,
  .wide {
    grid-template-columns: minmax(0, 1fr);
  }
  .numbers,
  .wide .numbers {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 14px;
  }
}
@media print {
  .card {
    border-color: #000;
    padding: 6px 10px;
  }
  h2 {
    font-size: 22px;
  }
  .body,
  .wide {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
  .drawing {
    max-height: 66mm;
  }
  .numbers,
  .wide .numbers {
    display: grid;
    grid-template-columns: 1.2fr 1fr 1.2fr;
    gap: 10px;
    font-size: 11px;
  }
  .numbers h3 {
    margin-top: 0;
  }
  .write {
    font-size: 14px;
    padding: 2px 6px;
  }
  footer {
    font-size: 8.5px;
  }
}
</style>
