import { servicePanel, servicePanels } from '../../circuits/panel-tree';
import { ampacityOf } from '../../electrical/tables';
import { fitsRating, serviceConductors as conductorsFor } from '../../service/service-conductors';
import { leastServiceAmps, loadsOfHouse } from '../requirements/service-load';
import { setSupplyRemedy } from '../remedies';
import { defineRule, fromMemory } from '../rule';
import { given } from '../../units/result';

const [limits, basis] = [{}, fromMemory('high')];

export const serviceConductors = defineRule({
  id: 'service-conductors',
  meta: {
    summary: 'The service conductors are large enough for the main',
    stage: 'service',
    severity: 'violation',
    why: 'A larger main on the old conductors is the commonest way to overheat what no breaker protects: the utility\u2019s fuse is far away.',
    editions: {
      '2014': { section: '230.42, 310.15(B)(7)', limits, basis },
      '2017': { section: '230.42, 310.15(B)(7)', limits, basis },
      '2020': { section: '230.42, 310.12', limits, basis },
      '2023': { section: '230.42, 310.12', limits, basis },
    },
    messages: {
      several: ({ size, main, carries, least, dwellings }: Data) =>
        `Service conductors of ${size} carry ${carries} A. They serve ${dwellings} dwellings, so 83 % of the main is not enough: a main of ${main} A requires ${least.toFixed(0)} A.`,
      thin: ({ size, main, carries, least }: Data) =>
        `Service conductors of ${size} carry ${carries} A; a main of ${main} A requires ${least.toFixed(0)} A.`,
      unmade: ({ size }: Data) => `There are no service conductors of ${size}. Take another size or metal.`,
      light: ({ size, carries, load }: Shared) =>
        `Service conductors of ${size} carry ${carries} A; the calculated load behind all mains is ${load.toFixed(0)} A.`,
      behind: ({ size, carries, load }: Shared) =>
        `Service conductors of ${size} carry ${carries} A, and the calculated load behind all mains is ${load.toFixed(0)} A.`,
      enough: ({ size, main }: Data) => `Service conductors of ${size} are enough for the main of ${main} A.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: ({ house }) => house.supply.conductor !== undefined && servicePanel(house) !== undefined,
  check: ({ house, edition }, _limits, report) => {
    const panel = given(servicePanel(house));
    const loads = loadsOfHouse(house);
    // 83 % holds for 120/240 V; for two legs of 208Y/120 V by some recalls since 2020 only.
    const hasShare = house.supply.volts === '120/240' || (house.supply.volts === '120/208' && edition >= '2020');
    const isOneDwelling = loads.dwellings === 1 && hasShare;
    const { size, metal } = given(house.supply.conductor);
    const carries = ampacityOf(metal, size, 75) ?? 0;
    const { leastA, ...fitting } = conductorsFor(panel.mainA, {
      isOneDwelling,
      loadA: leastServiceAmps({ ...loads, edition }, panel.mainA),
    });
    const data: Data = {
      size: `${size.includes('kcmil') ? '' : 'No. '}${size} ${metal}`,
      main: panel.mainA,
      carries,
      least: leastA,
      dwellings: loads.dwellings,
    };
    const where = { panel: panel.id };
    const wanted = fitting[metal];
    const remedies = wanted ? [setSupplyRemedy({ conductor: { size: wanted, metal } }, `Use ${wanted} ${metal}`)] : [];
    const mains = servicePanels(house);
    if (mains.length > 1 && carries > 0) {
      // 230.90(A) Exception 3: mains that together exceed what the conductors carry are allowed where the calculated load does not.
      const loadA = leastServiceAmps(
        { ...loads, edition },
        mains.reduce((sum, one) => sum + one.mainA, 0),
      );
      const { size: named } = data;
      return [
        fitsRating(loadA, carries)
          ? report.pass('behind', { size: named, carries, load: loadA }, where)
          : report.fail('light', { size: named, carries, load: loadA }, where, { section: '230.42, 230.90(A)' }),
      ];
    }
    if (carries === 0) return [report.fail('unmade', data, where, { remedies })];
    return [
      carries >= leastA - 1e-9
        ? report.pass('enough', data, where)
        : report.fail(loads.dwellings > 1 ? 'several' : 'thin', data, where, { remedies }),
    ];
  },
});

interface Shared {
  readonly size: string;
  readonly carries: number;
  readonly load: number;
}

interface Data {
  readonly size: string;
  readonly main: number;
  readonly carries: number;
  readonly least: number;
  readonly dwellings: number;
}
