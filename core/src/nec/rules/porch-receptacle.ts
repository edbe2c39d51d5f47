import { isLonger } from '../../geometry/intervals';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { viewRoom, type RoomView } from '../../plan/room-view';
import { isFreeBox } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';

const isMeant = ({ room }: RoomView): boolean => ['porch', 'deck', 'balcony'].includes(room.kind);

/** Whether one gets from inside the dwelling to a place outdoors, over other porches and decks as well. */
function isReachedFromInside(facts: Facts, view: RoomView, passed: ReadonlySet<string> = new Set()): boolean {
  const beyond = new Set([...passed, view.room.id]);
  return view.ways.some(({ behind, kind }) => {
    const room = behind === undefined ? undefined : facts.house.rooms[behind];
    if (!room || beyond.has(room.id) || kind === 'vehicle') return false;
    if (!OUTDOOR_KINDS.has(room.kind)) return room.kind !== 'accessory-building';
    return room.kind !== 'outdoors' && isReachedFromInside(facts, viewRoom(facts.house, room.id), beyond);
  });
}

export const porchReceptacle = defineRule({
  id: 'porch-receptacle',
  meta: {
    summary: 'A receptacle on every balcony, deck and porch',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'People use lamps, heaters and radios on porches; a cord through the door gets pinched.',
    editions: everyEdition({ section: '210.52(E)(3)', limits: { maxHeightIn: 78 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has no receptacle within reach of its floor.`,
      taken: ({ room, tag }: { room: string; tag: string }) =>
        `The only receptacle of ${room}, ${tag}, is that of an appliance. Ask whether it stays free to use, or add one.`,
      noWay: ({ room }: { room: string }) =>
        `${room} has no receptacle, and no door leads to it from inside. Where one gets to it only from outdoors none is required: draw its door, or leave it.`,
      there: ({ room }: { room: string }) => `${room} has its receptacle.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some(isMeant),
  check: (facts, limits, report) =>
    facts.views.filter(isMeant).map((view) => {
      const room = view.room.name;
      const where = { room: view.room.id };
      const boxes = view.boxes.filter(
        (box) =>
          receptaclesOf(box).some((one) => one.volts === 120) &&
          !isLonger(boxHeightIn(box, view.level.ceilingIn), limits.maxHeightIn),
      );
      const served = boxes.some((box) => isFreeBox(facts, box));
      const detail = {
        measured: () => (served ? 'one or more' : 'none'),
        required: (show: (lengthIn: number) => string) => `one, at most ${show(limits.maxHeightIn)} above its floor`,
      };
      if (served) return report.pass('there', { room }, where, detail);
      const [taken] = boxes;
      if (taken) return report.cannotTell('taken', { room, tag: taken.tag }, { ...where, box: taken.id }, detail);
      return isReachedFromInside(facts, view)
        ? report.fail('none', { room }, where, detail)
        : report.cannotTell('noWay', { room }, where, detail);
    }),
});
