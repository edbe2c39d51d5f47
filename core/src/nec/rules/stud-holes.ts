import { keptHoles } from '../../route/kept-laid';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const studHoles = defineRule({
  id: 'stud-holes',
  meta: {
    summary: 'Holes leave enough of a stud: 40 % of its depth where it carries, 60 % where it does not',
    stage: 'routes',
    severity: 'violation',
    why: 'A stud that is bored away carries no more, and a cable near its face is met by the first drywall screw.',
    editions: everyEdition({
      section: 'IRC R602.6',
      limits: { bearingShare: 0.4, otherShare: 0.6, edgeIn: 0.625 },
      basis: fromMemory('high'),
    }),
    messages: {
      large: ({ bit, room, at, depth, most }: Hole, show) =>
        `A ${show(bit)} hole at ${show(at)} in ${room} takes too much of a ${depth}: ${show(most)} is the most. Lead the cable another way, or double the stud.`,
      bearing: ({ bit, room, at, depth, most }: Hole, show) =>
        `A ${show(bit)} hole at ${show(at)} in ${room} is more than ${show(most)}, the most of a ${depth} that carries. Whether that wall carries is not known: ask the framer.`,
      fine: ({ count, plates }: { count: number; plates: number }) =>
        `${count} holes leave enough of their studs; ${plates} need a nail plate, since their edge is nearer than 1 1/4 in to the face (300.4(A)(1)).`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => keptHoles(house).some((one) => !one.isSteel),
  check: ({ house }, limits, report) => {
    const holes = keptHoles(house).filter((one) => !one.isSteel);
    const found = holes.flatMap((one) => {
      const most = (share: number) => Math.min(share * one.depthIn, one.depthIn - 2 * limits.edgeIn);
      if (one.bitIn <= most(limits.bearingShare) + 1e-9) return [];
      const data = { bit: one.bitIn, room: mustGet(house.rooms, one.room).name, at: one.alongIn, depth: one.depth };
      const where = { room: one.room, stretch: { fromIn: one.atIn - 1, toIn: one.atIn + 1 } };
      if (one.isOutside || one.bitIn > most(limits.otherShare) + 1e-9)
        return [
          report.fail('large', { ...data, most: most(one.isOutside ? limits.bearingShare : limits.otherShare) }, where),
        ];
      return [report.cannotTell('bearing', { ...data, most: most(limits.bearingShare) }, where)];
    });
    const plates = holes.filter((one) => one.needsPlate).length;
    return found.length > 0 ? found : [report.pass('fine', { count: holes.length, plates }, {})];
  },
});

interface Hole {
  readonly bit: number;
  readonly room: string;
  readonly at: number;
  readonly depth: string;
  readonly most: number;
}
