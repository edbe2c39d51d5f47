import { feedersFrom, feederSpaces } from '../../circuits/panel-tree';
import type { Circuit } from '../../house/schema';
import { areHalves, spacesOf } from '../../circuits/panel-spaces';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const panelSpaces = defineRule({
  id: 'panel-spaces',
  meta: {
    summary: 'Every circuit has its spaces in a panel, and no two share one',
    stage: 'panel',
    severity: 'violation',
    why: 'A panel holds only as many breakers as it is made for; doubling up under one breaker is not allowed.',
    editions: everyEdition({ section: '408.54, 110.3(B)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      clash: ({ panel, space, circuits }: { panel: string; space: number; circuits: string }) =>
        `Space ${space} of ${panel} is taken twice: ${circuits}.`,
      beyond: ({ panel, space, spaces, circuit }: { panel: string; space: number; spaces: number; circuit: string }) =>
        `${circuit} needs space ${space}; ${panel} has ${spaces}.`,
      waits: ({ panel, feeder }: { panel: string; feeder: string }) => `${panel} has no space for ${feeder} yet.`,
      crowded: ({ panel, poles, most }: { panel: string; poles: number; most: number }) =>
        `${panel} holds ${poles} poles, tandem breakers counted twice; its label allows ${most}.`,
      tandems: ({ panel, spaces }: { panel: string; spaces: string }) =>
        `Tandem breakers stand in ${panel}: space ${spaces}. Which spaces take one, and how many poles in all, its label says: read it, and say it at the panel under Service.`,
      fits: ({ panel, free }: { panel: string; free: number }) =>
        `${panel} holds its circuits; ${free} spaces are free.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => Object.keys(facts.house.panels).length > 0,
  check: (facts, _limits, report) =>
    Object.values(facts.house.panels).flatMap((panel) => {
      const bySpace = new Map<number, string[]>();
      const halves = new Map<number, Circuit[]>();
      const circuits = Object.values(facts.house.circuits).filter((circuit) => circuit.panel === panel.id);
      for (const circuit of circuits)
        for (const space of spacesOf(circuit)) {
          const other = halves.get(space)?.[0];
          halves.set(space, [...(halves.get(space) ?? []), circuit]);
          // The second half of a tandem breaker takes no space of its own.
          if (other && areHalves(other, circuit) && halves.get(space)?.length === 2) continue;
          bySpace.set(space, [...(bySpace.get(space) ?? []), circuit.name]);
        }
      const feeders = feedersFrom(facts.house, panel.id);
      const feederName = (to: string) => `the feeder of ${mustGet(facts.house.panels, to).name}`;
      for (const feeder of feeders)
        for (const space of feederSpaces(feeder))
          bySpace.set(space, [...(bySpace.get(space) ?? []), feederName(feeder.to)]);
      const where = { panel: panel.id };
      const clashes = [...bySpace]
        .filter(([, names]) => names.length > 1)
        .map(([space, names]) =>
          report.fail('clash', { panel: panel.name, space, circuits: names.join(' and ') }, where),
        );
      const beyond = circuits.flatMap((circuit) => {
        const space = Math.max(0, ...spacesOf(circuit));
        return space > panel.spaces
          ? [
              report.fail(
                'beyond',
                { panel: panel.name, space, spaces: panel.spaces, circuit: circuit.name },
                { ...where, circuit: circuit.id },
              ),
            ]
          : [];
      });
      const waiting = feeders
        .filter((one) => one.space === null)
        .map((one) => report.fail('waits', { panel: panel.name, feeder: feederName(one.to) }, where));
      const poles =
        circuits.reduce((sum, one) => sum + spacesOf(one).length, 0) +
        feeders.reduce((sum, one) => sum + feederSpaces(one).length, 0);
      const tandems = [...halves].filter(([, [one, two]]) => one && two && areHalves(one, two)).map(([space]) => space);
      const most = panel.mostPoles ?? panel.spaces;
      const crowded =
        tandems.length > 0 && panel.mostPoles !== undefined && poles > most
          ? [report.fail('crowded', { panel: panel.name, poles, most }, where)]
          : [];
      const failures = [...clashes, ...beyond, ...waiting, ...crowded];
      if (failures.length === 0 && tandems.length > 0 && panel.mostPoles === undefined)
        return [report.cannotTell('tandems', { panel: panel.name, spaces: tandems.join(', ') }, where)];
      return failures.length > 0
        ? failures
        : [report.pass('fits', { panel: panel.name, free: panel.spaces - bySpace.size }, where)];
    }),
});
