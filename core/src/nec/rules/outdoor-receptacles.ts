import { isLonger } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { isFreeBox } from '../requirements/circuit-facts';
import type { Box } from '../../house/schema';
import { houseWalls, isOnHouse } from '../../place/house-walls';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';
import { itemAt, mustGet } from '../../units/result';

const sides = ['front', 'back'] as const;

const outdoorRooms = (facts: Facts) => facts.views.filter((view) => OUTDOOR_KINDS.has(view.room.kind));

export const outdoorReceptacles = defineRule({
  id: 'outdoor-receptacles',
  meta: {
    summary: 'A receptacle at the front and at the back of the house',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Mowers and holiday lights are used on both sides. Without a receptacle there a cord runs through a door or window.',
    editions: everyEdition({ section: '210.52(E)(1)', limits: { maxAboveGradeIn: 78 }, basis: fromMemory('high') }),
    messages: {
      none: ({ side }: { side: string }) =>
        `No outdoor receptacle at the ${side} of the house, readily accessible from grade.`,
      taken: ({ side, tag }: { side: string; tag: string }) =>
        `The only receptacle at the ${side} of the house, ${tag}, is that of an appliance. Ask whether it stays free to use, or add one.`,
      apart: ({ side, tag }: { side: string; tag: string }) =>
        `The only receptacle at the ${side}, ${tag}, stands where the yard ends, not at the house. Whether it serves the ${side} of the dwelling is for the authority to say: ask, or set one in the wall of the house.`,
      there: ({ side, room }: { side: string; room: string }) => `The ${side} has its receptacle: ${room}.`,
      unknown: ({ side }: { side: string }) =>
        `No porch, deck or yard is drawn at the ${side} of the house, so its outdoor receptacle cannot be checked. Draw one and say which side it is on.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => !OUTDOOR_KINDS.has(view.room.kind)),
  check: (facts, limits, report) =>
    sides.map((side) => {
      const rooms = outdoorRooms(facts).filter((view) => view.room.side === side && view.room.kind !== 'balcony');
      if (rooms.length === 0) return report.cannotTell('unknown', { side }, {});
      const boxes = rooms.flatMap((view) =>
        view.boxes.filter(
          (box) =>
            receptaclesOf(box).some((one) => one.volts === 120) &&
            !isLonger(boxHeightIn(box, view.level.ceilingIn) + view.level.elevationIn, limits.maxAboveGradeIn),
        ),
      );
      const free = boxes.filter((box) => isFreeBox(facts, box));
      // The end of a yard may be far off; a porch or a deck is part of the house.
      const isAtHouse = ({ room: id, at }: Box) => {
        const room = mustGet(facts.house.rooms, id);
        return at.kind !== 'wall' || room.kind !== 'outdoors' || isOnHouse(houseWalls(facts.house, room), at);
      };
      const served = free.find(isAtHouse);
      const detail = {
        required: (show: (lengthIn: number) => string) =>
          `at least one, not above ${show(limits.maxAboveGradeIn)} over grade`,
      };
      if (served)
        return report.pass(
          'there',
          { side, room: mustGet(facts.house.rooms, served.room).name },
          { room: served.room },
          detail,
        );
      const [apart] = free;
      if (apart)
        return report.cannotTell('apart', { side, tag: apart.tag }, { room: apart.room, box: apart.id }, detail);
      const [taken] = boxes;
      return taken
        ? report.cannotTell('taken', { side, tag: taken.tag }, { room: taken.room, box: taken.id }, detail)
        : report.fail('none', { side }, { room: itemAt(rooms, 0).room.id }, { ...detail, measured: () => 'none' });
    }),
});
