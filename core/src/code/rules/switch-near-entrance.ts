import { distance } from '../../house/geometry';
import { lightOf, switchesFor } from '../../control/room-light';
import { placeOf } from '../../plan/points';
import { openingBreak } from '../../plan/wall-spaces';
import { pointOnWall } from '../../plan/wall-loop';
import { wallOf } from '../../plan/room-view';
import { SPACED_ROOMS } from '../../place/receptacles';
import { defineRule, fromMemory } from '../rule';

export const switchNearEntrance = defineRule({
  id: 'switch-near-entrance',
  meta: {
    summary: 'The wall control of a room stands near a way in',
    stage: 'boxes',
    severity: 'caution',
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
  appliesTo: (facts) => facts.views.some((view) => SPACED_ROOMS.has(view.room.kind)),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) => {
      const wanted =
        SPACED_ROOMS.has(view.room.kind) || view.room.kind === 'bathroom' || view.room.kind === 'half-bath';
      const light = lightOf(facts.house, facts.outlets, view.room);
      if (!wanted || light.controlled.length === 0) return [];
      const doors = view.openings.flatMap((seen) => {
        const gap = openingBreak(seen);
        return gap && seen.opening.kind !== 'vehicle' ? [{ ...gap, wall: wallOf(view, seen.wall) }] : [];
      });
      const controls = light.controlled.flatMap((outlet) => switchesFor(facts.house, facts.outlets, outlet));
      const own = controls.filter((one) => one.room.id === view.room.id);
      // A control in the next room, at the door between, is near by its nature.
      if (doors.length === 0 || own.length < controls.length) return [];
      const nearest = Math.min(
        ...own.flatMap((control) =>
          doors.flatMap(({ wall, alongIn, widthIn }) =>
            [alongIn, alongIn + widthIn].map((at) => distance(placeOf(view, control.box), pointOnWall(wall, at))),
          ),
        ),
      );
      const detail = {
        measured: (show: (lengthIn: number) => string) => show(nearest),
        required: (show: (lengthIn: number) => string) => `within ${show(limits.nearIn)}, common practice`,
      };
      const where = { room: view.room.id, box: own[0]!.box.id };
      return [
        nearest > limits.nearIn
          ? report.fail('far', { room: view.room.name, nearest }, where, detail)
          : report.pass('near', { room: view.room.name }, where, detail),
      ];
    }),
});
