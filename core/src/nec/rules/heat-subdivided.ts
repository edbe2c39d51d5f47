import { indexOutlets } from '../../circuits/outlets';
import type { LoadKind } from '../../house/schema-equipment';
import { defineRule, everyEdition, fromMemory } from '../rule';

const ELEMENTS: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'electric-furnace',
  'baseboard-heat',
  'cove-heat',
  'bath-heater',
]);

export const heatSubdivided = defineRule({
  id: 'heat-subdivided',
  meta: {
    summary: 'Heating elements of more than 48 A are divided, each part behind 60 A at most',
    stage: 'circuits',
    severity: 'reminder',
    why: 'A large furnace comes with breakers of its own inside, and with lugs for one circuit or for several: who pulls the cable before the plate was read pulls it again.',
    editions: everyEdition({
      section: '424.22',
      limits: { elementsA: 48, breakerA: 60 },
      basis: fromMemory('high'),
    }),
    messages: {
      divided: ({ load, amps, elements, breaker }: Data) =>
        `${load} takes ${amps.toFixed(0)} A: its elements have to be divided into parts of ${elements} A at most, each behind ${breaker} A at most in or beside it. Its plate says whether it wants one circuit or several, and how large.`,
      single: ({ load }: Pick<Data, 'load'>) => `${load} takes no more than one set of elements may.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: ({ house }) => Object.values(house.loads).some((one) => ELEMENTS.has(one.kind)),
  check: ({ house }, { elementsA, breakerA }, report) => {
    const { byDevice } = indexOutlets(house);
    return Object.values(house.loads)
      .filter((one) => ELEMENTS.has(one.kind))
      .map((load) => {
        const box = byDevice.get(load.device)?.box.id;
        const where = box ? { box } : {};
        const amps = load.va / load.volts;
        return amps > elementsA + 1e-9
          ? report.fail('divided', { load: load.name, amps, elements: elementsA, breaker: breakerA }, where)
          : report.pass('single', { load: load.name }, where);
      });
  },
});

interface Data {
  readonly load: string;
  readonly amps: number;
  readonly elements: number;
  readonly breaker: number;
}
