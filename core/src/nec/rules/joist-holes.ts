import type { Level } from '../../house/schema';
import { bitFor } from '../../route/holes';
import { keptCables } from '../../route/kept-laid';
import type { LaidCable } from '../../route/laid';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

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
      limits: { timesTheHole: 3, edgeIn: 2 },
      basis: fromMemory('high'),
    }),
    messages: {
      unknown: ({ level, count }: { level: string; count: number }) =>
        `${count} cables lie over ${level}, and what its joists are is not known. Say under House what kind they are, how they run and how deep they are.`,
      shallow: ({ level, depth, bit, most }: { level: string; depth: number; bit: number; most: number }, show) =>
        `Joists over ${level} are ${show(depth)} deep and take ${most > 0 ? `a hole of ${show(most)} at most` : 'no hole'}; a cable there needs ${show(bit)}. Lead the cables along them, or below on running boards.`,
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
    const cables = new Map<Level, LaidCable[]>();
    for (const cable of keptCables(house)) {
      const { legs } = cable.route;
      const over = new Set(legs.flatMap((leg) => (leg.kind === 'space' && leg.over !== null ? [leg.over] : [])));
      for (const id of over)
        cables.set(mustGet(house.levels, id), [...(cables.get(mustGet(house.levels, id)) ?? []), cable]);
    }
    return [...cables].map(([{ name, joists }, list]) => {
      const count = list.length;
      const data = { level: name };
      if (!joists?.kind) return report.cannotTell('unknown', { ...data, count }, {});
      if (joists.kind === 'i-joist') return report.cannotTell('chart', data, {}, { section: 'IRC R502.8.2' });
      if (joists.kind === 'truss') return report.pass('truss', data, {}, { section: 'IRC R502.11.3, R802.10.4' });
      const { depthIn } = joists;
      if (depthIn === undefined) return report.cannotTell('unknown', { ...data, count }, {});
      // Both hold: a third of the depth, and so much wood above and below.
      const most = Math.min(depthIn / limits.timesTheHole, depthIn - 2 * limits.edgeIn);
      const bit = Math.max(...list.map((one) => bitFor([one])));
      return bit <= most + 1e-9
        ? report.pass('fine', data, {})
        : report.fail('shallow', { ...data, depth: depthIn, bit, most }, {});
    });
  },
});
