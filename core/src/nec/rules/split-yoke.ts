import { isLowerHalf, otherHalfOf } from '../../house/yokes';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const splitYoke = defineRule({
  id: 'split-yoke',
  meta: {
    summary: 'Two circuits on one yoke open together at the panel',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'One breaker is turned off, the upper half reads dead, and a hand touches the lower half that another circuit feeds.',
    editions: everyEdition({ section: '210.7', limits: {}, basis: fromMemory('high') }),
    messages: {
      apart: ({ tag, a, b }: Names) =>
        `${tag} has ${a} and ${b} on one yoke, and their breakers do not open together. Put them next to each other in one panel, under a handle tie or as one two-pole breaker.`,
      unplaced: ({ tag, a, b }: Names) =>
        `${tag} has ${a} and ${b} on one yoke; set both down in the panel to see that one handle opens both.`,
      right: ({ tag, a, b }: Names) =>
        `${tag}: ${a} and ${b} are next to each other, where a handle tie or a two-pole breaker opens both halves.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.some(({ device }) => isLowerHalf(device)),
  check: (facts, _limits, report) =>
    facts.outlets.all.flatMap(({ box, device, room }) => {
      const upper = isLowerHalf(device) ? otherHalfOf(box, device.id) : undefined;
      if (!upper || upper.circuit === null || device.circuit === null || upper.circuit === device.circuit) return [];
      const a = mustGet(facts.house.circuits, upper.circuit);
      const b = mustGet(facts.house.circuits, device.circuit);
      const data = { tag: box.tag, a: a.name, b: b.name };
      const where = { circuit: b.id, box: box.id, room: room.id };
      if (a.panel === null || b.panel === null || a.space === null || b.space === null)
        return [report.cannotTell('unplaced', data, where)];
      const isTied = a.panel === b.panel && a.poles === 1 && b.poles === 1 && Math.abs(a.space - b.space) === 2;
      return [isTied ? report.pass('right', data, where) : report.fail('apart', data, where)];
    }),
});

interface Names {
  readonly tag: string;
  readonly a: string;
  readonly b: string;
}
