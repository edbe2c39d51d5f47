import {
  boundsOf,
  featureOutline,
  findWall,
  pointOnWall,
  wallLoop,
  type Feature,
  type House,
  type LoopWall,
  type Opening,
  type Point,
  type Room,
} from '@winculum/core';

const at = ({ x, y }: Point) => `${x.toFixed(2)},${y.toFixed(2)}`;
export const toPath = (points: readonly Point[], close = true): string =>
  `M${points.map(at).join('L')}${close ? 'Z' : ''}`;

/** A drawn opening: the gap in the wall, and the lines that say what it is. */
interface OpeningShape {
  readonly opening: Opening;
  readonly gap: string;
  readonly glass: string;
  readonly lines: string;
  readonly isOutside: boolean;
}

/** Shapes of one opening, the wall being drawn `thicknessIn` deep on the outside of the room's face. */
export function drawOpening(house: House, opening: Opening, thicknessIn: number): OpeningShape | undefined {
  const room = house.rooms[opening.room];
  const wall = room && findWall(wallLoop(room), opening.wall);
  if (!wall) return undefined;
  const { alongIn, widthIn } = opening;
  const p = (along: number, inset: number) => pointOnWall(wall, alongIn + along, inset);
  const gap = toPath([p(0, 0.4), p(widthIn, 0.4), p(widthIn, -thicknessIn - 0.4), p(0, -thicknessIn - 0.4)]);
  const across = (inset: number, from = 0, to = widthIn) => toPath([p(from, inset), p(to, inset)], false);
  const base = { opening, gap, isOutside: false, glass: '' };
  switch (opening.kind) {
    case 'window':
    case 'fixed-glass':
      return {
        ...base,
        glass: gap,
        lines: across(-thicknessIn / 2) + (opening.kind === 'fixed-glass' ? across(-thicknessIn * 0.2) : ''),
      };
    case 'slider': {
      const half = widthIn / 2;
      const [moving, fixed] =
        opening.moving === 'left'
          ? [
              [0, half],
              [half, widthIn],
            ]
          : [
              [half, widthIn],
              [0, half],
            ];
      return {
        ...base,
        glass: toPath([p(fixed![0]!, 0), p(fixed![1]!, 0), p(fixed![1]!, -thicknessIn), p(fixed![0]!, -thicknessIn)]),
        lines: across(-thicknessIn * 0.7, fixed![0], fixed![1]) + across(-thicknessIn * 0.3, moving![0], moving![1]),
      };
    }
    case 'vehicle':
      return { ...base, lines: across(-thicknessIn / 2) + across(-thicknessIn * 0.75) };
    case 'cased':
      return { ...base, lines: '' };
    case 'pocket':
    case 'barn': {
      const [from, to] = opening.opens === 'left' ? [-widthIn, 0] : [widthIn, 2 * widthIn];
      return { ...base, lines: across(opening.kind === 'barn' ? 2 : -thicknessIn / 2, from, to) };
    }
    case 'door': {
      const [hinge, latch] = opening.hinge === 'left' ? [0, widthIn] : [widthIn, 0];
      const inward = opening.swing === 'in';
      const face = inward ? 0 : -thicknessIn;
      const tip = p(hinge, face + (inward ? widthIn : -widthIn));
      // Clockwise loops turn right inward, so the sweep of the leaf follows from hinge side and swing.
      const sweep = (opening.hinge === 'left') === inward ? 0 : 1;
      return {
        ...base,
        lines: `${toPath([p(hinge, face), tip], false)}M${at(tip)}A${widthIn} ${widthIn} 0 0 ${sweep} ${at(p(latch, face))}`,
      };
    }
  }
}

export const drawFeature = (room: Room, feature: Feature): string => toPath(featureOutline(room, feature));

/** The parts of a loop between two distances as a polyline set in from the wall. */
export function alongLoop(walls: readonly LoopWall[], fromIn: number, toIn: number, insetIn: number): string {
  const total = walls.reduce((sum, wall) => sum + wall.lengthIn, 0);
  const pieces: string[] = [];
  for (const wall of walls)
    for (const shift of [0, total]) {
      const [from, to] = [Math.max(fromIn, wall.startIn + shift), Math.min(toIn, wall.startIn + shift + wall.lengthIn)];
      if (to - from > 0.01)
        pieces.push(
          toPath(
            [
              pointOnWall(wall, from - wall.startIn - shift, insetIn),
              pointOnWall(wall, to - wall.startIn - shift, insetIn),
            ],
            false,
          ),
        );
    }
  return pieces.join('');
}

/** Size of a feature's label beside that of a room, and the scale from which features have one, pixels an inch. */
const LABEL_SHARE = 0.72;
export const FEATURE_LABELS_FROM = 1;

/** What is written in a feature along its longer side; undefined where it is longer than that, and in counters, which need no name. */
export function featureLabel(
  room: Room,
  feature: Feature,
  textSize: number,
): { text: string; at: Point; turn: 0 | -90; size: number; lengthIn: number } | undefined {
  const { kind, name } = feature;
  if (kind === 'counter') return undefined;
  const text = name || kind.replaceAll('-', ' ');
  const size = textSize * LABEL_SHARE;
  const lengthIn = text.length * size * 0.5;
  const outline = featureOutline(room, feature);
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  const turn = lengthIn <= maxX - minX ? 0 : lengthIn <= maxY - minY ? -90 : undefined;
  if (turn === undefined) return undefined;
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  return { text, at: { x: mean(outline.map((p) => p.x)), y: mean(outline.map((p) => p.y)) }, turn, size, lengthIn };
}
