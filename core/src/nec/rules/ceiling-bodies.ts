import { placeOf } from '../../plan/points';
import type { Box, RoomKind } from '../../house/schema';
import { isExhaustFan } from '../../place/fans';
import type { Device } from '../../house/schema-equipment';
import { commonPractice, defineRule, everyEdition } from '../rule';

/** Half the width of what hangs below a ceiling box, inches; undefined where nothing does. A fan of 52 in sweeps 26. */
function radiusOf(device: Device, room: RoomKind): number | undefined {
  if (device.kind === 'fan') return isExhaustFan(device, room) ? 7 : 26;
  if (device.kind === 'alarm') return 3;
  if (device.kind !== 'luminaire' || device.style === 'strip') return undefined;
  return { surface: 7, recessed: 3.5, pendant: 6, wall: 6 }[device.style];
}

const bodyOf = (box: Box, room: RoomKind): number =>
  Math.max(0, ...Object.values(box.devices).map((device) => radiusOf(device, room) ?? 0));

export const ceilingBodies = defineRule({
  id: 'ceiling-bodies',
  meta: {
    summary: 'What hangs from two ceiling boxes does not meet',
    stage: 'boxes',
    severity: 'caution',
    why: 'A light in the sweep of a fan flickers through its blades, and two canopies on one spot are found when the second one is unpacked.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      meet: ({ a, b, gap }: { a: string; b: string; gap: number }, show) =>
        `${a} and ${b} hang ${show(gap)} apart in the ceiling and meet.`,
      clear: ({ room }: { room: string }) => `What hangs in the ceiling of ${room} is clear of each other.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.filter((box) => box.at.kind === 'ceiling').length > 1,
  check: (view, _limits, report) => {
    const { kind } = view.room;
    const hung = view.boxes.filter((box) => box.at.kind === 'ceiling' && bodyOf(box, kind) > 0);
    const met = hung.flatMap((a, i) =>
      hung.slice(i + 1).flatMap((b) => {
        const [p, q] = [placeOf(view, a), placeOf(view, b)];
        const gap = Math.hypot(p.x - q.x, p.y - q.y);
        if (gap >= bodyOf(a, kind) + bodyOf(b, kind) - 1e-6) return [];
        return [report.fail('meet', { a: a.tag, b: b.tag, gap }, { room: view.room.id, box: b.id })];
      }),
    );
    return met.length > 0 ? met : [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
  },
});
