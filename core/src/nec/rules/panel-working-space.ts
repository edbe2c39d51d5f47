import { isLonger, isShorter } from '../../geometry/intervals';
import { polygonsOverlap, segmentsCross, type Point } from '../../geometry/geometry';
import type { Feature, FeatureKind, Room } from '../../house/schema';
import { featureOutline } from '../../plan/points';
import { rectangleOnWall, straightRuns, wallLoop, type LoopWall } from '../../plan/wall-loop';
import { wallOf } from '../../plan/room-view';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given, itemAt } from '../../units/result';

/** Marks on a wall or ceiling, which take no floor. */
const FLAT: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['no-device', 'beam', 'brace', 'tile', 'mirror']);

/** What belongs to the installation itself. */
const ELECTRICAL: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['panel', 'disconnect', 'ev-charger']);

/** The sides of the room that a space in front of a panel would reach beyond. */
function crossedSides(room: Room, space: readonly Point[]): readonly LoopWall[] {
  const middle = {
    x: space.reduce((sum, one) => sum + one.x, 0) / space.length,
    y: space.reduce((sum, one) => sum + one.y, 0) / space.length,
  };
  // A hair smaller, so that a space which just fits touches no wall.
  const inner = space.map(({ x, y }) => ({ x: x + (middle.x - x) * 0.002, y: y + (middle.y - y) * 0.002 }));
  return wallLoop(room).walls.filter((wall) =>
    inner.some((corner, i) => segmentsCross(corner, itemAt(inner, (i + 1) % inner.length), wall.from, wall.to)),
  );
}

/**
 * Where along its wall a space that holds the panel's width may begin: flush with either side of the panel, with the ends of the wall, with
 * the edges of what stands beside it, and every inch between.
 */
function startsFor(
  panel: { readonly alongIn: number; readonly widthIn: number },
  wide: number,
  wall: LoopWall,
  line: readonly LoopWall[],
  others: readonly Feature[],
): number[] {
  const [first, last] = [panel.alongIn + panel.widthIn - wide, panel.alongIn];
  // A wall that is drawn in pieces goes on: each piece begins so far from the start of the panel's.
  const begins = new Map<string, number>();
  let lengthIn = 0;
  for (const piece of line) {
    begins.set(piece.id, lengthIn);
    lengthIn += piece.lengthIn;
  }
  const before = begins.get(wall.id) ?? 0;
  const [fromIn, toIn] = [-before, lengthIn - before];
  const edges = others.flatMap(({ at }) => {
    const begin = at.kind === 'wall' ? begins.get(at.wall) : undefined;
    if (at.kind !== 'wall' || begin === undefined) return [];
    const alongIn = begin - before + at.alongIn;
    return [alongIn + at.widthIn, alongIn - wide];
  });
  const inches = Array.from({ length: Math.max(0, Math.floor(last - first)) }, (_, i) => first + i + 1);
  return [first, last, fromIn, toIn - wide, ...edges, ...inches]
    .filter((start) => start >= first - 1e-6 && start <= last + 1e-6)
    .filter((start) => start >= fromIn - 1e-6 && start + wide <= toIn + 1e-6);
}

export const panelWorkingSpace = defineRule({
  id: 'panel-working-space',
  meta: {
    summary: 'A clear space 30 in wide, 36 in deep and 6 1/2 ft high in front of every panel',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'Somebody will work here with live parts in front and must be able to step back. The space is not for storage.',
    editions: everyEdition({
      section: '110.26(A)',
      // Electrical equipment beside it may stand out so far beyond its front: (A)(3).
      limits: { widthIn: 30, depthIn: 36, heightIn: 78, beyondIn: 6 },
      basis: fromMemory('high'),
    }),
    messages: {
      narrow: ({ panel, room }: { panel: string; room: string }, show) =>
        `In front of ${panel} in ${room} there is no clear space ${show(30)} wide and ${show(36)} deep.`,
      blocked: ({ panel, what }: { panel: string; what: string }) => `${what} stands in the working space of ${panel}.`,
      low: ({ panel, ceiling }: { panel: string; ceiling: number }, show) =>
        `The ceiling over ${panel} is ${show(ceiling)} high.`,
      beyond: ({ panel }: { panel: string }) =>
        `The working space of ${panel} reaches over an open side into the next room. Look whether anything stands there.`,
      clear: ({ panel }: { panel: string }) => `The working space of ${panel} is clear.`,
      notDrawn: ({ panel }: { panel: string }) =>
        `Where ${panel} hangs is not drawn, so its working space is not known. Draw it as a feature on a wall.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: (facts) => Object.keys(facts.house.panels).length > 0,
  check: (facts, limits, report) =>
    Object.values(facts.house.panels).map((panel) => {
      const view = given(facts.views.find((one) => one.room.id === panel.room));
      const drawn = view.features.find((feature) => feature.id === panel.feature);
      const where = { panel: panel.id, room: panel.room };
      if (drawn?.at.kind !== 'wall') return report.cannotTell('notDrawn', { panel: panel.name }, where);
      if (isShorter(view.level.ceilingIn, limits.heightIn))
        return report.fail('low', { panel: panel.name, ceiling: view.level.ceilingIn }, where, {
          measured: (show) => show(view.level.ceilingIn),
          required: (show) => `${show(limits.heightIn)} at least`,
        });
      const { alongIn, widthIn, depthIn } = drawn.at;
      const wall = wallOf(view, drawn.at.wall);
      const line = straightRuns(wallLoop(view.room)).find((run) => run.includes(wall)) ?? [wall];
      const wide = Math.max(limits.widthIn, widthIn);
      const others = view.features.filter(
        (one) =>
          one.id !== drawn.id &&
          !FLAT.has(one.kind) &&
          (one.bottomIn ?? 0) < limits.heightIn &&
          !(ELECTRICAL.has(one.kind) && !isLonger(one.at.depthIn, depthIn + limits.beyondIn)),
      );
      // The space need not be centered: any place that holds the panel's width will do.
      let blocker: string | undefined;
      let [shallow, open] = [false, false];
      let fits = false;
      for (const start of startsFor({ alongIn, widthIn }, wide, wall, line, others)) {
        fits = true;
        const space = rectangleOnWall(wall, {
          alongIn: start,
          widthIn: wide,
          depthIn: limits.depthIn,
          behindIn: depthIn,
        });
        const crossed = crossedSides(view.room, space);
        if (crossed.some((one) => one.boundary !== 'open')) {
          shallow = true;
          continue;
        }
        open ||= crossed.length > 0;
        const inside = others.find((one) => polygonsOverlap(space, featureOutline(view.room, one)));
        if (!inside)
          return open
            ? report.cannotTell('beyond', { panel: panel.name }, where)
            : report.pass('clear', { panel: panel.name }, where);
        blocker = inside.name || inside.kind.replaceAll('-', ' ');
      }
      if (!fits || (shallow && blocker === undefined))
        return report.fail('narrow', { panel: panel.name, room: view.room.name }, where);
      return report.fail('blocked', { panel: panel.name, what: `The ${given(blocker)}` }, where, {
        required: (show) => `${show(limits.widthIn)} by ${show(limits.depthIn)}, clear to the floor`,
      });
    }),
});
