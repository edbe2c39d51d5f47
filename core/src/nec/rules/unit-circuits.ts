import { outletsOn } from '../../circuits/outlets';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt, mustGet } from '../../units/result';

export const unitCircuits = defineRule({
  id: 'unit-circuits',
  meta: {
    summary: 'The circuits of a dwelling unit feed that unit alone',
    stage: 'circuits',
    severity: 'violation',
    why: 'A neighbor who turns off what is theirs must not darken the stair of others, nor find their own wall still live.',
    editions: everyEdition({ section: '210.25', limits: {}, basis: fromMemory('high') }),
    messages: {
      units: ({ circuit, units }: { circuit: string; units: string }) =>
        `${circuit} feeds several dwelling units: ${units}.`,
      common: ({ circuit, unit, rooms }: { circuit: string; unit: string; rooms: string }) =>
        `${circuit} of ${unit} feeds what belongs to no unit alone as well: ${rooms}. Shared lights and outlets go on circuits of their own.`,
      own: ({ circuit }: { circuit: string }) => `${circuit} stays within one unit, or within what is shared.`,
    },
  },
  scope: 'circuit',
  appliesTo: ({ house }) => Object.keys(house.units).length > 0,
  check: ({ house }, circuit, _limits, report) => {
    const rooms = [...new Set(outletsOn(house, circuit).map((one) => one.room))];
    const units = [...new Set(rooms.flatMap((room) => room.unit ?? []))];
    const names = units.map((id) => mustGet(house.units, id).name);
    const where = { circuit: circuit.id };
    if (units.length > 1)
      return report.fail('units', { circuit: circuit.name, units: names.join(' and ') }, where, {
        section: '210.25(A)',
      });
    const shared = rooms.filter((room) => room.unit === undefined);
    if (units.length === 1 && shared.length > 0 && Object.keys(house.units).length > 1)
      return report.fail(
        'common',
        { circuit: circuit.name, unit: itemAt(names, 0), rooms: shared.map((room) => room.name).join(', ') },
        where,
        { section: '210.25(B)' },
      );
    return report.pass('own', { circuit: circuit.name }, where);
  },
});
