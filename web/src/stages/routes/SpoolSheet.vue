<script setup lang="ts">
import { computed, ref } from 'vue';
import { count, keptRoutes, planSpools, pullSheet, smallParts, type Spool, spaceMark } from '@winculum/core';
import LineField from '../../fields/LineField.vue';
import { useHouse } from '../../stores/house';

/** Which lengths are cut from which coil, so that the fewest feet are bought; what is left goes to pigtails or to the next house. */
const store = useHouse();
const typed = ref('');
const trouble = ref('');

/** Leftovers as they are called out: "14-2 60, 14-3 35". Feet by kind of cable. */
const leftovers = computed(() => {
  const byKind = new Map<string, number[]>();
  for (const part of typed.value.split(',').map((one) => one.trim())) {
    const read = /^(\d+-\d)\s+(\d+(?:\.\d+)?)\s*(?:ft|')?$/.exec(part);
    if (read && Number(read[2]) > 0) byKind.set(read[1]!, [...(byKind.get(read[1]!) ?? []), Number(read[2])]);
  }
  return byKind;
});
function take(line: string): void {
  const wrong = line
    .split(',')
    .map((one) => one.trim())
    .filter(
      (one) => one !== '' && (!/^\d+-\d\s+\d+(\.\d+)?\s*(ft|')?$/.test(one) || / 0+(\.0+)?\s*(ft|')?$/.test(one)),
    );
  trouble.value =
    wrong.length > 0 ? `“${wrong[0]}” is no leftover. Type the cable and its feet: 14-2 60, 14-3 35.` : '';
  if (wrong.length === 0) typed.value = line;
}

interface Label {
  readonly circuit: string;
  readonly to: string;
}
const pulled = computed(() => pullSheet(store.current, keptRoutes(store.current).sound.values()));
/** Conductors for conduit by size and color: they are sold by the foot. */
const wires = computed(() => {
  const feet = new Map<string, number>();
  for (const { lines } of pulled.value)
    for (const one of lines) if (one.isWire) feet.set(one.kind, (feet.get(one.kind) ?? 0) + one.feet);
  return [...feet];
});
const plans = computed(() => {
  const cuts = new Map<string, { feet: number; of: Label }[]>();
  for (const { circuit, lines } of pulled.value)
    for (const { kind, feet, from, to } of lines.filter((one) => !one.isWire))
      cuts.set(kind, [
        ...(cuts.get(kind) ?? []),
        { feet, of: { circuit: spaceMark(circuit) ?? '–', to: `${from} → ${to}` } },
      ]);
  // Three-conductor first: it runs out soonest.
  return [...cuts]
    .sort((a, b) => Number(b[0].slice(-1)) - Number(a[0].slice(-1)) || a[0].localeCompare(b[0]))
    .map(([kind, list]) => ({
      kind,
      count: list.length,
      needFt: list.reduce((sum, one) => sum + one.feet, 0),
      plan: planSpools(list, leftovers.value.get(kind) ?? []),
    }));
});
const parts = computed(() => smallParts(store.current, keptRoutes(store.current).sound.values()));
const NAMES = { leftover: 'leftover', coil: 'coil', spool: 'spool' } as const;
const bought = (spools: readonly Spool<Label>[]) => {
  const of = (kind: Spool<Label>['kind']) => spools.filter((one) => one.kind === kind).length;
  return [
    of('spool') ? `${count(of('spool'), 'spool')} of 1000 ft` : '',
    of('coil') ? `${count(of('coil'), 'coil')} of 250 ft` : '',
  ]
    .filter(Boolean)
    .join(', ');
};
</script>

<template>
  <section class="sheet">
    <h2>Spool plan</h2>
    <LineField
      class="no-print"
      label="Leftovers in the van"
      hint="14-2 60, 14-3 35"
      :most="400"
      :model-value="typed"
      @update:model-value="take"
    />
    <p v-if="trouble" class="is-violation no-print" role="alert">{{ trouble }}</p>
    <v-table density="compact" aria-label="Cable to buy">
      <thead>
        <tr>
          <th>cable</th>
          <th class="amount">lengths</th>
          <th class="amount">feet</th>
          <th>buy</th>
          <th>how sure</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in plans" :key="one.kind">
          <td class="num">
            <b>{{ one.kind }}</b>
          </td>
          <td class="num amount">{{ one.count }}</td>
          <td class="num amount">{{ one.needFt.toLocaleString('en-US') }}</td>
          <td>{{ bought(one.plan.spools) || 'nothing, the leftovers do' }}</td>
          <td>
            {{
              one.plan.boughtFt === one.plan.boundFt
                ? 'no plan buys less'
                : `${one.plan.boundFt} ft might do; the search ended before it was shown`
            }}
          </td>
        </tr>
      </tbody>
    </v-table>
    <p class="muted small">
      Five feet of each coil count as unusable. Cut the longest first; what is left serves for pigtails. Order some
      cable more than this: routes change on site.
    </p>
  </section>
  <section v-if="wires.length" class="sheet">
    <h3>Conductors for conduit</h3>
    <v-table density="compact" aria-label="Conductors for conduit">
      <tbody>
        <tr v-for="[kind, feet] in wires" :key="kind">
          <td class="num amount">
            <b>{{ feet }} ft</b>
          </td>
          <td class="num">{{ kind }}</td>
          <td class="muted">wet-rated, for the conduit in the slab; sold by the foot and on spools of 500 ft</td>
        </tr>
      </tbody>
    </v-table>
  </section>
  <section class="sheet">
    <h3>Small parts</h3>
    <v-table density="compact" aria-label="Small parts">
      <tbody>
        <tr v-for="one in parts" :key="one.what">
          <td class="num amount">
            <b>{{ one.count }}</b>
          </td>
          <td>{{ one.what }}</td>
          <td class="muted">{{ one.why }}</td>
        </tr>
      </tbody>
    </v-table>
  </section>
  <section v-for="one in plans" :key="one.kind" class="sheet">
    <h3 class="num">{{ one.kind }}</h3>
    <p v-for="long in one.plan.tooLong" :key="long.of.to" class="is-violation">
      {{ long.of.to }}: {{ long.feet }} ft is longer than any spool. Put a junction box on the way.
    </p>
    <ol class="spools">
      <li v-for="(spool, i) in one.plan.spools" :key="i">
        <b>{{ NAMES[spool.kind] }} of {{ spool.feet }} ft</b>, <span class="num">{{ spool.leftFt }} ft</span> left:
        <span v-for="(cut, n) in spool.cuts" :key="n" class="cut num">{{ cut.feet }}' {{ cut.of.to }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.cut {
  display: inline-block;
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 0 6px;
  margin: 2px 4px 0 0;
}
</style>
