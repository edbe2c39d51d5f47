import { servicePanel } from '../../circuits/panel-tree';
import { ampacityOf } from '../../electrical/tables';
import { neutralLoad } from '../../service/load-calculation';
import { atLeast, electrodeConductor, fitsRating } from '../../service/service-conductors';
import { loadsOfHouse } from '../requirements/service-load';
import { setSupplyRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

export const serviceNeutral = defineRule({
  id: 'service-neutral',
  meta: {
    summary: 'A smaller neutral of the service carries the unbalanced load, and a fault',
    stage: 'service',
    severity: 'violation',
    why: 'The neutral of a service is the way of every fault to ground. Too small it burns open, and the house is left with 240 V across its 120 V lamps.',
    editions: everyEdition({
      section: '220.61, 230.42(C), 250.24(C)',
      limits: {},
      basis: fromMemory('high'),
    }),
    messages: {
      thin: ({ size, carries, load }: Data) =>
        `The service neutral, No. ${size}, carries ${carries} A; ${load.toFixed(0)} A can come back over it.`,
      fault: ({ size, least }: Data) =>
        `The service neutral is No. ${size}; as a way for a fault No. ${least} is the least.`,
      carries: ({ size, load }: Data) =>
        `The service neutral, No. ${size}, carries the ${load.toFixed(0)} A that can come back over it.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: ({ house }) =>
    house.supply.neutral !== undefined && house.supply.conductor !== undefined && servicePanel(house) !== undefined,
  check: ({ house, edition }, _limits, report) => {
    const size = given(house.supply.neutral);
    const conductor = given(house.supply.conductor);
    const { metal } = conductor;
    const carries = ampacityOf(metal, size, 75) ?? 0;
    const load = neutralLoad({ ...loadsOfHouse(house), edition }).amps;
    // Table 250.102(C)(1), which is as Table 250.66 up to 1,100 kcmil.
    const least = electrodeConductor(conductor.size, metal, metal);
    const data = { size, carries, load, least: least ?? '' };
    const where = { panel: given(servicePanel(house)).id };
    const remedies = [setSupplyRemedy({ neutral: conductor.size }, 'Make it as large as the others')];
    if (!fitsRating(load, carries))
      return [report.fail('thin', data, where, { remedies, measured: () => `${load.toFixed(1)} A` })];
    if (least && !atLeast(size, least))
      return [report.fail('fault', data, where, { remedies, section: '250.24(C)(1), Table 250.102(C)(1)' })];
    return [report.pass('carries', data, where)];
  },
});

interface Data {
  readonly size: string;
  readonly carries: number;
  readonly load: number;
  readonly least: string;
}
