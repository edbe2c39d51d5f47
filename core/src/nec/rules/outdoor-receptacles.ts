import { isLonger } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { isFreeBox } from '../requirements/circuit-facts';
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
      const served = boxes.find((box) => isFreeBox(facts, box));
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
      const [taken] = boxes;
      return taken
        ? report.cannotTell('taken', { side, tag: taken.tag }, { room: taken.room, box: taken.id }, detail)
        : report.fail('none', { side }, { room: itemAt(rooms, 0).room.id }, { ...detail, measured: () => 'none' });
    }),
});
