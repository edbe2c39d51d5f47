import type { Level } from '../../house/schema';
import { keptCables } from '../../route/kept-laid';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const joistHoles = defineRule({
  id: 'joist-holes',
  meta: {
    summary:
      'Joists are bored in a third of their depth, 2 in from their edges; I-joists by their chart, trusses never',
    stage: 'routes',
    severity: 'violation',
    why: 'A floor carries people by the whole depth of its joists. One hole too large, or a notch below, and it sags.',
    editions: everyEdition({
      section: 'IRC R502.8',
      limits: { timesTheHole: 3, edgeIn: 2, bitIn: 0.875 },
      basis: fromMemory('high'),
    }),
    messages: {
      unknown: ({ level, count }: { level: string; count: number }) =>
        `${count} cables lie over ${level}, and what its joists are is not known. Say under House what kind they are, how they run and how deep they are.`,
      shallow: ({ level, depth }: { level: string; depth: number }, show) =>
        `Joists over ${level} are ${show(depth)} deep: a hole of ${show(0.875)} leaves less than 2 in above or below it. Lead the cables along them, or below on running boards.`,
      chart: ({ level }: { level: string }) =>
        `Joists over ${level} are I-joists: holes go in the web alone, by the maker's chart. Its flanges are never cut.`,
      truss: ({ level }: { level: string }) =>
        `Trusses over ${level}: cables go between their webs. No chord and no web is bored or notched.`,
      fine: ({ level }: { level: string }) => `Joists over ${level} are deep enough for the holes.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => keptCables(house).some(({ route }) => route.legs.some((leg) => leg.kind === 'space')),
  check: ({ house }, limits, report) => {
    const counts = new Map<Level, number>();
    for (const { route } of keptCables(house)) {
      const over = new Set(route.legs.flatMap((leg) => (leg.kind === 'space' && leg.over !== null ? [leg.over] : [])));
      for (const id of over) counts.set(house.levels[id]!, (counts.get(house.levels[id]!) ?? 0) + 1);
    }
    return [...counts].map(([{ name, joists }, count]) => {
      const data = { level: name };
      if (!joists?.kind) return report.cannotTell('unknown', { ...data, count }, {});
      if (joists.kind === 'i-joist') return report.cannotTell('chart', data, {}, { section: 'IRC R502.8.2' });
      if (joists.kind === 'truss') return report.pass('truss', data, {}, { section: 'IRC R502.11.3, R802.10.4' });
      const { depthIn } = joists;
      if (depthIn === undefined) return report.cannotTell('unknown', { ...data, count }, {});
      const isFine = limits.bitIn * limits.timesTheHole <= depthIn && depthIn >= 2 * limits.edgeIn + limits.bitIn;
      return isFine ? report.pass('fine', data, {}) : report.fail('shallow', { ...data, depth: depthIn }, {});
    });
  },
});
