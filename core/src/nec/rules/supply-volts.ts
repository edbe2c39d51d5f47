import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

export const supplyVolts = defineRule({
  id: 'supply-volts',
  meta: {
    summary: 'A supply of 120 V feeds nothing that needs 240 V',
    stage: 'service',
    severity: 'violation',
    why: 'On a supply of one leg a two-pole breaker has the same leg on both poles: the appliance gets nothing, and a shared neutral carries double.',
    editions: everyEdition({ section: '110.4', limits: {}, basis: fromMemory('high') }),
    messages: {
      two: ({ circuits }: { circuits: string }) => `The supply is 120 V only; these need 240 V: ${circuits}.`,
      shared: ({ circuits }: { circuits: string }) =>
        `The supply has one leg; these share a neutral, which would carry the sum of both: ${circuits}.`,
      fits: () => 'All circuits suit a supply of 120 V.',
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => house.supply.volts === '120' && Object.keys(house.circuits).length > 0,
  check: ({ house }, _limits, report) => {
    const circuits = Object.values(house.circuits);
    const names = (all: typeof circuits) => all.map((one) => one.name).join(', ');
    const two = circuits.filter((one) => one.poles === 2);
    const shared = circuits.filter((one) => one.sharesNeutralWith !== undefined);
    if (two.length > 0) return [report.fail('two', { circuits: names(two) }, { circuit: itemAt(two, 0).id })];
    if (shared.length > 0)
      return [
        report.fail('shared', { circuits: names(shared) }, { circuit: itemAt(shared, 0).id }, { section: '210.4' }),
      ];
    return [report.pass('fits', undefined, {})];
  },
});
