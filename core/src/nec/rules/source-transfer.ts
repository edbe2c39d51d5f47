import { feederLoad } from '../requirements/feeder-load';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const sourceTransfer = defineRule({
  id: 'source-transfer',
  meta: {
    summary: 'A source never feeds back into the utility, and carries what is transferred by itself',
    stage: 'service',
    severity: 'violation',
    why: 'A generator plugged into a dryer receptacle kills the lineman at the other end of the street.',
    editions: everyEdition({ section: '702.5', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ source }: Data) =>
        `Nothing keeps ${source} apart from the utility. It needs a transfer switch, or a listed interlock with its breaker held down.`,
      interactive: ({ source }: Data) =>
        `${source} feeds beside the utility: it needs an interactive inverter that is listed for it, or a transfer switch.`,
      small: ({ source, gives, load }: Data & { gives: number; load: number }) =>
        `${source} gives ${gives} W and is switched over by itself onto a calculated load of ${load.toFixed(0)} VA. It has to carry all of that, or what it feeds has to be managed.`,
      volts: ({ source, circuits }: Data & { circuits: string }) =>
        `${source} gives 120 V and cannot feed ${circuits}, which need 240 V.`,
      apart: ({ source }: Data) => `${source} is kept apart from the utility.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.sources).length > 0,
  check: ({ house }, _limits, report) =>
    Object.values(house.sources).map((source) => {
      const where = { panel: source.panel };
      const data = { source: source.name };
      if (source.kind === 'generator' && (source.transfer === 'none' || source.transfer === 'interactive'))
        return house.supply.kind === 'utility' ? report.fail('none', data, where) : report.pass('apart', data, where);
      if (source.kind !== 'generator' && source.transfer === 'none' && house.supply.kind === 'utility')
        return report.fail('interactive', data, where, { section: '705.12, 702.5' });
      const carried = source.circuits?.flatMap((id) => house.circuits[id] ?? []) ?? [];
      const large = source.volts === '120' ? carried.filter((one) => one.poles === 2) : [];
      if (large.length > 0)
        return report.fail('volts', { ...data, circuits: large.map((one) => one.name).join(', ') }, where, {
          section: '702.4',
        });
      if (source.transfer === 'automatic' && source.circuits === undefined) {
        const load = feederLoad(house, { to: source.panel, ratingA: mustGet(house.panels, source.panel).mainA })
          .calculation.va;
        if (load > source.runningW)
          return report.fail('small', { ...data, gives: source.runningW, load }, where, { section: '702.4' });
      }
      return report.pass('apart', data, where);
    }),
});

interface Data {
  readonly source: string;
}
