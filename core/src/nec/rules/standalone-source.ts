import { isTypical, TYPICAL_SPREAD } from '../../circuits/circuit-load';
import type { House } from '../../house/schema';
import { setLoadsRemedy } from '../remedies';
import { defineRule, fromMemory } from '../rule';

const basis = fromMemory('medium');

/** The load that takes most by itself, with what its plate may say at most where nobody has read it, watts. */
function largestLoad(house: House) {
  const loads = Object.values(house.loads).map((load) => ({
    load,
    va: load.va,
    mostVa: load.va * (isTypical(load) ? 1 + TYPICAL_SPREAD : 1),
    leastVa: load.va * (isTypical(load) ? 1 - TYPICAL_SPREAD : 1),
  }));
  return loads.reduce<(typeof loads)[number] | undefined>(
    (best, one) => (!best || one.mostVa > best.mostVa ? one : best),
    undefined,
  );
}

export const standaloneSource = defineRule({
  id: 'standalone-source',
  meta: {
    summary: 'A house without a utility has sources that carry its largest appliance',
    stage: 'service',
    severity: 'violation',
    why: 'Off the grid a source may be smaller than the calculated load, since people decide what runs; but what it can never start is of no use, and brings it down with all the rest.',
    editions: {
      '2014': { section: '690.10(A)', limits: {}, basis },
      '2017': { section: '710.15(A)', limits: {}, basis },
      '2020': { section: '710.15(A)', limits: {}, basis },
      '2023': { section: '710.15(A)', limits: {}, basis },
    },
    messages: {
      none: () => 'The house has sources of its own alone, and none is entered: what may run at once cannot be told.',
      small: ({ gives, load, watts }: Data) =>
        `The sources give ${gives} W; ${load} alone takes ${watts.toFixed(0)} VA.`,
      several: ({ gives, load, watts }: Data) =>
        `No source alone carries ${load}, ${watts.toFixed(0)} VA; together they give ${gives} W. Whether they feed side by side their makers say.`,
      near: ({ gives, load, watts }: Data) =>
        `The sources give ${gives} W, and ${load} takes about ${watts.toFixed(0)} VA, by a typical value. So near only its nameplate tells.`,
      volts: ({ circuits }: { circuits: string }) =>
        `All sources give 120 V; these need both legs or share a neutral, which would carry the sum of both: ${circuits}.`,
      carries: ({ gives, load, watts }: Data) =>
        `The sources give ${gives} W: enough for the largest appliance by itself, ${load}, ${watts.toFixed(0)} VA. They may be smaller than the calculated load; the day shows what can run at once.`,
      nothing: ({ gives }: Pick<Data, 'gives'>) => `The sources give ${gives} W, and no appliance is connected yet.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => house.supply.kind === 'off-grid' && Object.keys(house.panels).length > 0,
  check: ({ house, edition }, _limits, report) => {
    const sources = Object.values(house.sources);
    if (sources.length === 0) return [report.cannotTell('none', undefined, {})];
    const two = Object.values(house.circuits).filter((one) => one.poles === 2 || one.sharesNeutralWith !== undefined);
    if (sources.every((one) => one.volts === '120') && two.length > 0)
      return [
        report.fail(
          'volts',
          { circuits: two.map((one) => one.name).join(', ') },
          {},
          {
            section: edition === '2014' ? '690.10(C)' : '710.15(C)',
          },
        ),
      ];
    const gives = sources.reduce((sum, one) => sum + one.runningW, 0);
    const largest = largestLoad(house);
    if (!largest) return [report.pass('nothing', { gives }, {})];
    const { load, va, mostVa, leastVa } = largest;
    const data = { gives, load: load.name, watts: va };
    const detail = { measured: () => `${va.toFixed(0)} VA`, required: () => `${gives} W at most` };
    if (leastVa > gives) return [report.fail('small', data, {}, detail)];
    if (mostVa > gives)
      return [
        isTypical(load)
          ? report.cannotTell(
              'near',
              data,
              {},
              {
                ...detail,
                remedies: [setLoadsRemedy([load.id], { source: 'nameplate' }, 'The value is the nameplate\u2019s')],
              },
            )
          : report.fail('small', data, {}, detail),
      ];
    const isOneEnough = sources.some((one) => one.runningW >= mostVa);
    return [isOneEnough ? report.pass('carries', data, {}, detail) : report.cannotTell('several', data, {}, detail)];
  },
});

interface Data {
  readonly gives: number;
  readonly load: string;
  readonly watts: number;
}
