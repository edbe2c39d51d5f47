import { outletsOn } from '../../circuits/outlets';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given, mustGet } from '../../units/result';

export const unitAccess = defineRule({
  id: 'unit-access',
  meta: {
    summary: 'The people who live in a unit can get at the breakers that protect it',
    stage: 'service',
    severity: 'violation',
    why: 'A tenant with a burning smell and the panel behind the landlord\u2019s locked door pulls nothing in time.',
    editions: everyEdition({ section: '240.24(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      behind: ({ unit, panel, other }: { unit: string; panel: string; other: string }) =>
        `The breakers of ${unit} are in ${panel}, which stands in ${other}. They belong where the people of ${unit} can get at them.`,
      ready: ({ unit }: { unit: string }) => `The breakers of ${unit} are in it, or where all can get at them.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.units).length > 0 && Object.keys(house.panels).length > 0,
  check: ({ house }, _limits, report) =>
    Object.values(house.units).flatMap((unit) => {
      const panels = new Set(
        Object.values(house.circuits)
          .filter((circuit) => outletsOn(house, circuit).some((one) => one.room.unit === unit.id))
          .flatMap((circuit) => (circuit.panel ? [circuit.panel] : [])),
      );
      if (panels.size === 0) return [];
      const behind = [...panels]
        .map((id) => mustGet(house.panels, id))
        .filter((panel) => {
          const other = house.rooms[panel.room]?.unit;
          return other !== undefined && other !== unit.id;
        });
      if (behind.length === 0) return [report.pass('ready', { unit: unit.name }, {})];
      return behind.map((panel) =>
        report.fail(
          'behind',
          {
            unit: unit.name,
            panel: panel.name,
            other: mustGet(house.units, given(mustGet(house.rooms, panel.room).unit)).name,
          },
          { panel: panel.id },
        ),
      );
    }),
});
