import { isTypical, TYPICAL_SPREAD } from '../../circuits/circuit-load';
import type { House, Panel } from '../../house/schema';
import type { DwellingLoads } from '../../service/connected-loads';
import { fitsRating } from '../../service/service-conductors';
import { adaptableRemedies, setLoadsRemedy } from '../remedies';
import { servicePanel, servicePanels } from '../../circuits/panel-tree';
import { feederLoad } from '../requirements/feeder-load';
import { openArea } from '../requirements/dwelling-area';
import { leastServiceAmps, loadsOfHouse } from '../requirements/service-load';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

const spread = (loads: DwellingLoads, by: number): DwellingLoads => ({
  ...loads,
  connected: loads.connected.map((one) => (one.isTypical ? { ...one, va: one.va * (1 + by) } : one)),
});

export const serviceSize = defineRule({
  id: 'service-size',
  meta: {
    summary: 'The service carries the calculated load of the dwelling, and 100 A at least',
    stage: 'service',
    severity: 'violation',
    why: 'Chargers, tubs and tankless heaters are added one by one, and nobody adds them up until the main trips on a cold evening.',
    editions: everyEdition({
      section: '220.40, 230.79(C)',
      limits: { leastA: 100, othersA: 60 },
      basis: fromMemory('high'),
    }),
    messages: {
      small: ({ panel, main, load }: Numbers) =>
        `${panel} has a main of ${main} A; the calculated load is ${load.toFixed(0)} A.`,
      least: ({ panel, main, least }: Numbers & { least: number }) =>
        `${panel} has a main of ${main} A: the service of a one-family dwelling has ${least} A at least.`,
      several: ({ panel, main, least }: Numbers & { least: number }) =>
        `${panel} has a main of ${main} A: a service of several dwellings has ${least} A at least.`,
      near: ({ panel, main, load }: Numbers) =>
        `The calculated load is about ${load.toFixed(0)} A on the ${main} A main of ${panel}, by typical values. So near only the nameplates tell.`,
      units: ({ panel, n }: { panel: string; n: number }) =>
        `${n} kitchens are drawn. Whether ${panel} serves one dwelling or ${n} decides how its load is reckoned (220.82, 220.84, 220.85): ask, and have it calculated as what it is.`,
      adaptable: ({ panel, main, load, without, rooms }: Numbers & { without: number; rooms: string }) =>
        `The calculated load is ${load.toFixed(0)} A on the ${main} A main of ${panel} with ${rooms}, and ${without.toFixed(0)} A without. Could it be finished one day? Then it counts.`,
      carries: ({ panel, main, load }: Numbers) =>
        `The main of ${panel}, ${main} A, carries the calculated load of ${load.toFixed(0)} A.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  // What a power-supply cord carries, and what sources of its own must, rules of their own ask: a service is the utility's (Article 100).
  appliesTo: (facts) => facts.house.supply.kind === 'utility' && servicePanel(facts.house) !== undefined,
  check: (facts, limits, report) => {
    const panel = given(servicePanel(facts.house));
    const mains = servicePanels(facts.house);
    if (mains.length > 1) {
      return mains.map((one) => {
        const { kind, data } = behindOne(facts.house, one);
        if (kind === 'near') return report.cannotTell('near', data, { panel: one.id });
        return kind === 'carries'
          ? report.pass('carries', data, { panel: one.id })
          : report.fail('small', data, { panel: one.id });
      });
    }
    const loads = loadsOfHouse(facts.house);
    const load = leastServiceAmps({ ...loads, edition: facts.edition }, panel.mainA);
    const [low, high] = [-TYPICAL_SPREAD, TYPICAL_SPREAD].map((by) =>
      leastServiceAmps(spread({ ...loads, edition: facts.edition }, by), panel.mainA),
    );
    const data = { panel: panel.name, main: panel.mainA, load };
    const where = { panel: panel.id };
    const detail = { measured: () => `${load.toFixed(1)} A`, required: () => `${panel.mainA} A at most` };
    const kitchens = facts.views.filter((view) => view.room.kind === 'kitchen').length;
    if (kitchens > 1 && kitchens !== loads.dwellings)
      return [report.cannotTell('units', { panel: panel.name, n: kitchens }, where)];
    // The least of a service is that of a new one; what stands carries its load or does not.
    const least = panel.existing ? 0 : kitchens === 1 ? limits.leastA : kitchens > 1 ? limits.othersA : 0;
    if (panel.mainA < least)
      return [
        report.fail(kitchens === 1 ? 'least' : 'several', { ...data, least }, where, {
          ...detail,
          section: kitchens === 1 ? '230.79(C)' : '230.79(D)',
        }),
      ];
    const fits = (amps: number) => fitsRating(amps, panel.mainA);
    if (fits(given(low)) !== fits(given(high))) {
      const typical = Object.values(facts.house.loads).filter(isTypical);
      const remedies = [
        setLoadsRemedy(
          typical.map((one) => one.id),
          { source: 'nameplate' },
          'All values are the nameplates\u2019',
        ),
      ];
      return [report.cannotTell('near', data, where, { ...detail, remedies })];
    }
    const open = openArea(facts.house);
    const least0 = leastServiceAmps(
      { ...loads, areaFt2: loads.areaFt2 - open.ft2, edition: facts.edition },
      panel.mainA,
    );
    if (fits(load) !== fits(least0)) {
      const rooms = open.rooms.map((one) => one.name).join(' and ');
      return [
        report.cannotTell('adaptable', { ...data, without: least0, rooms }, where, {
          ...detail,
          remedies: adaptableRemedies(open.rooms.map((one) => one.id)),
        }),
      ];
    }
    return [fits(load) ? report.pass('carries', data, where, detail) : report.fail('small', data, where, detail)];
  },
});

/** One of several mains: what hangs on it, as a feeder would have to carry it. */
function behindOne(house: House, panel: Panel): { kind: 'near' | 'carries' | 'small'; data: Numbers } {
  const { amps } = feederLoad(house, { to: panel.id, ratingA: panel.mainA });
  const data = { panel: panel.name, main: panel.mainA, load: amps };
  const fits = (by: number) => fitsRating(amps * (1 + by), panel.mainA);
  const typical = Object.values(house.loads).filter(isTypical);
  if (typical.length > 0 && fits(-TYPICAL_SPREAD) !== fits(TYPICAL_SPREAD)) return { kind: 'near', data };
  return { kind: fits(0) ? 'carries' : 'small', data };
}

interface Numbers {
  readonly panel: string;
  readonly main: number;
  readonly load: number;
}
