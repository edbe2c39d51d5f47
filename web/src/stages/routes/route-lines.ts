import { pointsOfLeg, type House, type LaidCable, type LowVoltageRun, type Point } from '@winculum/core';

/** A stretch of a cable on the plan of one level. */
interface LegLine {
  readonly key: string;
  /** In the walls, over the ceiling, below the floor, or outside the framing. */
  readonly look: 'wall' | 'over' | 'under' | 'end';
  readonly points: readonly Point[];
}
interface RouteLine extends LegLine {
  readonly cable: LaidCable;
}
/** Where a cable goes up or down. */
interface RouteRise {
  readonly key: string;
  readonly cable: LaidCable;
  readonly at: Point;
  readonly plate: 'top' | 'bottom';
}

/** What of the cables is seen on the plan of a level: in its walls, over its ceilings, and below the floor of the lowest. */
export function routeLines(house: House, level: string, laid: readonly LaidCable[]) {
  const lines: RouteLine[] = [];
  const rises: RouteRise[] = [];
  for (const cable of laid) {
    const ends = [cable.run.from?.room, cable.run.to.room];
    cable.route.legs.forEach((leg, i) => {
      const key = `${cable.run.id} ${i}`;
      const line = lineOfLeg(house, level, leg, ends[i === 0 ? 0 : 1]);
      if (line) lines.push({ key, cable, ...line });
      if (leg.kind === 'rise' && leg.plate && house.rooms[leg.room]!.level === level)
        rises.push({ key, cable, at: pointsOfLeg(house, leg)[0]!, plate: leg.plate });
    });
  }
  return { lines, rises };
}

/** The same of low voltage. */
export const lowVoltageLines = (house: House, level: string, runs: readonly LowVoltageRun[]) =>
  runs.flatMap((run) =>
    run.legs.flatMap((leg, i): (LegLine & { readonly run: LowVoltageRun })[] => {
      const line = lineOfLeg(house, level, leg, i === 0 ? run.box.room : run.home.room);
      return line ? [{ key: `${run.id} ${i}`, run, ...line }] : [];
    }),
  );

/** What is seen of a leg on the plan of a level; one that leaves the framing is in the room of the cable's end. */
function lineOfLeg(
  house: House,
  level: string,
  leg: LowVoltageRun['legs'][number],
  endRoom: string | undefined,
): Omit<LegLine, 'key'> | undefined {
  if (leg.kind === 'rise') return undefined;
  if (leg.kind === 'space') {
    const look = leg.over === level ? 'over' : leg.over === null && leg.under === level ? 'under' : undefined;
    return look && { look, points: leg.points };
  }
  const room = leg.kind === 'end' ? endRoom : leg.room;
  if (!room || house.rooms[room]!.level !== level) return undefined;
  return { look: leg.kind === 'end' ? 'end' : 'wall', points: pointsOfLeg(house, leg) };
}

/** Cables that lie together along one stretch of a line, to be counted on the drawing: by the middle of their longest part. */
export function bundlesOf(lines: readonly RouteLine[]): readonly { readonly at: Point; readonly count: number }[] {
  const counts = new Map<string, { at: Point; count: number; lengthIn: number }>();
  for (const { points } of lines)
    points.slice(1).forEach((to, i) => {
      const from = points[i]!;
      const lengthIn = Math.abs(to.x - from.x) + Math.abs(to.y - from.y);
      if (lengthIn < 48) return;
      const isLevel = Math.abs(to.y - from.y) < 1;
      const at = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      // Side by side within a foot and over the same few feet: one bundle.
      const key = isLevel
        ? `h ${Math.round(at.y / 12)} ${Math.round(at.x / 96)}`
        : `v ${Math.round(at.x / 12)} ${Math.round(at.y / 96)}`;
      const known = counts.get(key);
      if (known) known.count++;
      else counts.set(key, { at, count: 1, lengthIn });
    });
  return [...counts.values()].filter((one) => one.count > 2).map(({ at, count }) => ({ at, count }));
}
