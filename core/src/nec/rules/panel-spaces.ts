import { feedersFrom, feederSpaces } from '../../circuits/panel-tree';
import { spacesOf } from '../../panel/schedule';
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
      const circuits = Object.values(facts.house.circuits).filter((circuit) => circuit.panel === panel.id);
      for (const circuit of circuits)
        for (const space of spacesOf(circuit)) bySpace.set(space, [...(bySpace.get(space) ?? []), circuit.name]);
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
      const failures = [...clashes, ...beyond, ...waiting];
      return failures.length > 0
        ? failures
        : [report.pass('fits', { panel: panel.name, free: panel.spaces - bySpace.size }, where)];
    }),
});
