import { isLonger } from '../../geometry/intervals';
import { distance } from '../../geometry/geometry';
import { memo } from '../../cache/memo';
import { lightOf, switchesFor, type RoomLight } from '../../control/room-light';
import { placeOf } from '../../plan/points';
import { pointOnWall } from '../../plan/wall-loop';
import { wallOf, type RoomView } from '../../plan/room-view';
import { SPACED_ROOMS } from '../../place/receptacles';
import { defineRule, fromMemory, type Facts } from '../rule';
import { itemAt } from '../../units/result';

interface Nearest {
  readonly nearest: number;
  readonly box: string;
}

/** The control nearest to a way in; remembered by what lights the room. Undefined where one of them is outside the room. */
const nearestControl = memo(
  (facts: Facts, view: RoomView, light: RoomLight): Nearest | undefined => findNearest(facts, view, light),
  (_, view, light) => [light, view],
);

function findNearest(facts: Facts, view: RoomView, light: RoomLight): Nearest | undefined {
  const controls = light.controlled.flatMap((outlet) => switchesFor(facts.house, facts.outlets, outlet));
  const waysIn = view.ways
    .filter((way) => way.kind !== 'vehicle')
    .map((way) => ({ ...way, wall: wallOf(view, way.wall) }));
  // A control in the next room, at the way between, is near by its nature.
  if (waysIn.length === 0 || controls.some((one) => one.room.id !== view.room.id)) return undefined;
  const jambs = waysIn.flatMap(({ wall, alongIn, widthIn }) =>
    [alongIn, alongIn + widthIn].map((at) => pointOnWall(wall, at)),
  );
  const places = [...new Set(controls.map((one) => one.box))].map((box) => placeOf(view, box));
  return {
    nearest: Math.min(...places.flatMap((place) => jambs.map((jamb) => distance(place, jamb)))),
    box: itemAt(controls, 0).box.id,
  };
}

export const switchNearEntrance = defineRule({
  id: 'switch-near-entrance',
  meta: {
    summary: 'The wall control of a room stands near a way in',
    stage: 'boxes',
    severity: 'caution',
    ofItsDay: true,
    why: 'Since 2020 the control is to be near an entrance. The code gives no number of feet; more than about two steps from every door is taken as far.',
    editions: {
      '2020': { section: '210.70(A)(1)', limits: { nearIn: 72 }, basis: fromMemory('medium') },
      '2023': { section: '210.70(A)(1)', limits: { nearIn: 72 }, basis: fromMemory('medium') },
    },
    messages: {
      far: ({ room, nearest }: { room: string; nearest: number }, show) =>
        `The nearest switch for ${room} is ${show(nearest)} from any way in.`,
      near: ({ room }: { room: string }) => `The switch of ${room} stands near a way in.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) => facts.views.some((view) => SPACED_ROOMS.has(view.room.kind)),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) => {
      const wanted =
        SPACED_ROOMS.has(view.room.kind) || view.room.kind === 'bathroom' || view.room.kind === 'half-bath';
      const light = lightOf(facts.house, facts.outlets, view.room);
      if (!wanted || light.controlled.length === 0) return [];
      const found = nearestControl(facts, view, light);
      if (!found) return [];
      const { nearest, box } = found;
      const detail = {
        measured: (show: (lengthIn: number) => string) => show(nearest),
        required: (show: (lengthIn: number) => string) => `within ${show(limits.nearIn)}, common practice`,
      };
      const where = { room: view.room.id, box };
      return [
        isLonger(nearest, limits.nearIn)
          ? report.fail('far', { room: view.room.name, nearest }, where, detail)
          : report.pass('near', { room: view.room.name }, where, detail),
      ];
    }),
});
