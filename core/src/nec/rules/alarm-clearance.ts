import { distance } from '../../geometry/geometry';
import type { FeatureKind } from '../../house/schema';
import { boxPoint, distanceToFeature, placeOf } from '../../plan/points';
import { nearestOnSegment } from '../../geometry/geometry';
import { pointOnWall } from '../../plan/wall-loop';
import { viewRoom, wallOf } from '../../plan/room-view';
import { defineRule, everyEdition, fromMemory } from '../rule';

const COOKING: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['range', 'cooktop']);

export const alarmClearance = defineRule({
  id: 'alarm-clearance',
  meta: {
    summary: 'Smoke alarms 3 ft from bathroom doors and away from cooking',
    stage: 'boxes',
    severity: 'caution',
    why: 'Steam and frying set alarms off, and an alarm that cries wolf gets its battery taken out. Photoelectric kinds may stand nearer to cooking, not under 6 ft.',
    editions: everyEdition({
      section: 'IRC R314.3, NFPA 72',
      limits: { bathDoorIn: 36, cookingIn: 120 },
      basis: fromMemory('high'),
    }),
    messages: {
      bath: ({ tag, nearest }: { tag: string; nearest: number }, show) =>
        `Alarm ${tag} is ${show(nearest)} from a bathroom door.`,
      cooking: ({ tag, nearest }: { tag: string; nearest: number }, show) =>
        `Alarm ${tag} is ${show(nearest)} from a range or cooktop.`,
      clear: ({ tag }: { tag: string }) => `Alarm ${tag} is clear of bathroom doors and cooking.`,
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.outlets.alarms.some((one) => one.device.kind === 'alarm'),
  check: (facts, limits, report) => {
    const cookers = facts.views.flatMap(({ room, level, features }) =>
      features.filter((one) => COOKING.has(one.kind)).map((feature) => ({ room, level, feature })),
    );
    return facts.outlets.alarms.flatMap((outlet) => {
      const { device, box } = outlet;
      if (device.kind !== 'alarm' || device.senses === 'co') return [];
      const view = viewRoom(facts.house, box.room);
      const at = placeOf(view, box);
      const where = { room: box.room, box: box.id };
      const baths = view.ways.flatMap(({ wall: id, alongIn, widthIn, behind }) => {
        if (behind === undefined || facts.house.rooms[behind]!.kind !== 'bathroom') return [];
        const wall = wallOf(view, id);
        const ends = [pointOnWall(wall, alongIn), pointOnWall(wall, alongIn + widthIn)] as const;
        return [distance(at, nearestOnSegment(at, ...ends))];
      });
      const bath = Math.min(Infinity, ...baths);
      const cooking = Math.min(
        Infinity,
        ...cookers
          .filter((one) => one.level === view.level)
          .map(({ room, feature }) => distanceToFeature(room, feature, boxPoint(facts.house, box))),
      );
      const verdicts = [];
      if (bath < limits.bathDoorIn)
        verdicts.push(
          report.fail('bath', { tag: box.tag, nearest: bath }, where, {
            measured: (show) => show(bath),
            required: (show) => `${show(limits.bathDoorIn)} or more`,
          }),
        );
      if (cooking < limits.cookingIn)
        verdicts.push(
          report.fail('cooking', { tag: box.tag, nearest: cooking }, where, {
            measured: (show) => show(cooking),
            required: (show) => `${show(limits.cookingIn)} or more, or a photoelectric kind`,
          }),
        );
      return verdicts.length > 0 ? verdicts : [report.pass('clear', { tag: box.tag }, where)];
    });
  },
});
