import {
  addRoom,
  type Edited,
  type FeatureKind,
  type House,
  type NewId,
  type OpeningKind,
  type Point,
  type Result,
  type RoomKind,
} from '@winculum/core';
import { dragEdit, type Grip } from './drag-edit';
import { placeBoxAt, placeFeature, placeOpening, rectangleBetween, type BoxTool } from './place-new';
import { findSnapLines, snapPoint } from './snap';

export type Tool =
  | { readonly kind: 'select'; readonly lasso: boolean }
  | { readonly kind: 'rectangle'; readonly room: RoomKind }
  | { readonly kind: 'polygon'; readonly room: RoomKind }
  | { readonly kind: 'opening'; readonly opening: OpeningKind }
  | { readonly kind: 'feature'; readonly feature: FeatureKind }
  | { readonly kind: 'box'; readonly box: BoxTool };

export interface Hit {
  readonly kind: string;
  readonly id: string;
  /** The room of a corner or wall handle. */
  readonly room?: string;
}

/** Named by what the hand is doing. */
export type ToolState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'pressing'; readonly grip: Grip; readonly from: Point }
  | { readonly kind: 'dragging'; readonly grip: Grip; readonly from: Point; readonly attempt: Result<Edited> }
  | { readonly kind: 'lassoing'; readonly from: Point; readonly to: Point }
  | { readonly kind: 'drawing-rectangle'; readonly from: Point; readonly to: Point }
  | { readonly kind: 'drawing-polygon'; readonly points: readonly Point[]; readonly to: Point }
  | { readonly kind: 'hovering'; readonly attempt: Result<Edited> };

interface ToolEvent {
  /** `leave`: something else took the way of a press that had begun, a second finger or the browser. */
  readonly type: 'down' | 'move' | 'up' | 'leave' | 'cancel' | 'confirm';
  readonly point: Point;
  readonly hit: Hit | null;
  readonly shift: boolean;
  readonly alt: boolean;
}

interface ToolContext {
  readonly house: House;
  readonly level: string;
  readonly newId: NewId;
  /** A few screen pixels in inches of the plan. */
  readonly thresholdIn: number;
  readonly selectedRooms: readonly string[];
  readonly canEdit: boolean;
}

export interface Step {
  readonly state: ToolState;
  readonly commit?: Result<Edited>;
  /** A click on something, or on nothing. */
  readonly picked?: { readonly hit: Hit | null; readonly add: boolean };
  readonly lassoed?: { readonly from: Point; readonly to: Point };
}

export const IDLE: ToolState = { kind: 'idle' };
const SMALLEST_ROOM_IN = 12;

const snapped = (event: ToolEvent, context: ToolContext): Point =>
  snapPoint(event.point, findSnapLines(context.house, context.level), event.alt ? 0 : context.thresholdIn);

/** Walls run square unless Alt is held: the nearer axis keeps the last corner's coordinate. */
const squareTo = (last: Point, point: Point): Point =>
  Math.abs(point.x - last.x) < Math.abs(point.y - last.y) ? { x: last.x, y: point.y } : { x: point.x, y: last.y };

function gripOf(hit: Hit, context: ToolContext): Grip | undefined {
  if (hit.kind === 'box' || hit.kind === 'opening' || hit.kind === 'feature') return { kind: hit.kind, id: hit.id };
  if (hit.kind === 'corner' && hit.room) return { kind: 'corner', room: hit.room, corner: hit.id };
  if (hit.kind === 'wall' && hit.room) return { kind: 'wall', room: hit.room, wall: hit.id };
  if (hit.kind === 'room' && context.selectedRooms.includes(hit.id))
    return { kind: 'rooms', ids: context.selectedRooms };
  return undefined;
}

function stepSelect(
  tool: Extract<Tool, { kind: 'select' }>,
  state: ToolState,
  event: ToolEvent,
  context: ToolContext,
): Step {
  switch (state.kind) {
    case 'pressing':
    case 'dragging': {
      const { grip, from } = state;
      const far = Math.hypot(event.point.x - from.x, event.point.y - from.y) > context.thresholdIn / 2;
      if (event.type === 'move' && (far || state.kind === 'dragging'))
        return {
          state: {
            kind: 'dragging',
            grip,
            from,
            attempt: dragEdit(context.house, grip, {
              from,
              to: event.point,
              thresholdIn: context.thresholdIn,
              free: event.alt,
            }),
          },
        };
      if (event.type === 'up')
        return state.kind === 'dragging' ? { state: IDLE, commit: state.attempt } : { state: IDLE };
      return event.type === 'cancel' ? { state: IDLE } : { state };
    }
    case 'lassoing':
      if (event.type === 'move') return { state: { ...state, to: event.point } };
      if (event.type === 'up') return { state: IDLE, lassoed: { from: state.from, to: event.point } };
      return event.type === 'cancel' ? { state: IDLE } : { state };
    default: {
      if (event.type !== 'down') return { state: IDLE };
      const isGround = event.hit === null || event.hit.kind === 'room';
      if (isGround && (tool.lasso || event.shift))
        return { state: { kind: 'lassoing', from: event.point, to: event.point } };
      const grip = event.hit && context.canEdit ? gripOf(event.hit, context) : undefined;
      const isHandle = event.hit?.kind === 'corner' || event.hit?.kind === 'wall';
      const picked = isHandle ? undefined : { hit: event.hit, add: event.shift };
      return { state: grip && !event.shift ? { kind: 'pressing', grip, from: event.point } : IDLE, picked };
    }
  }
}

function stepRectangle(
  tool: Extract<Tool, { kind: 'rectangle' }>,
  state: ToolState,
  event: ToolEvent,
  context: ToolContext,
): Step {
  const point = snapped(event, context);
  if (state.kind !== 'drawing-rectangle')
    return { state: event.type === 'down' ? { kind: 'drawing-rectangle', from: point, to: point } : IDLE };
  if (event.type === 'move') return { state: { ...state, to: point } };
  if (event.type === 'cancel') return { state: IDLE };
  if (event.type !== 'up') return { state };
  const { from } = state;
  if (Math.abs(point.x - from.x) < SMALLEST_ROOM_IN || Math.abs(point.y - from.y) < SMALLEST_ROOM_IN)
    return { state: IDLE };
  return {
    state: IDLE,
    commit: addRoom(context.house, context.level, tool.room, rectangleBetween(from, point), context.newId),
  };
}

function stepPolygon(
  tool: Extract<Tool, { kind: 'polygon' }>,
  state: ToolState,
  event: ToolEvent,
  context: ToolContext,
): Step {
  const point = snapped(event, context);
  const points = state.kind === 'drawing-polygon' ? state.points : [];
  const first = points[0];
  const finish = (): Step =>
    points.length < 3
      ? { state }
      : { state: IDLE, commit: addRoom(context.house, context.level, tool.room, points, context.newId) };
  switch (event.type) {
    case 'cancel':
      return { state: IDLE };
    case 'leave': {
      // The corner of that press is taken back; those before it stay.
      const rest = points.slice(0, -1);
      return rest.length > 0 ? { state: { kind: 'drawing-polygon', points: rest, to: rest.at(-1)! } } : { state: IDLE };
    }
    case 'confirm':
      return finish();
    case 'move':
      return points.length > 0
        ? { state: { kind: 'drawing-polygon', points, to: event.alt ? point : squareTo(points.at(-1)!, point) } }
        : { state };
    case 'up':
      return { state };
    case 'down': {
      if (
        first &&
        points.length >= 3 &&
        Math.hypot(event.point.x - first.x, event.point.y - first.y) <= context.thresholdIn * 1.5
      )
        return finish();
      const last = points.at(-1);
      const square = last && !event.alt ? squareTo(last, point) : point;
      return { state: { kind: 'drawing-polygon', points: [...points, square], to: square } };
    }
  }
}

/** Putting something down: it hovers under the hand, a press nails it. */
function stepPlace(state: ToolState, event: ToolEvent, attempt: () => Result<Edited>): Step {
  if (event.type === 'move') return { state: { kind: 'hovering', attempt: attempt() } };
  if (event.type === 'down') return { state: IDLE, commit: attempt() };
  return event.type === 'cancel' ? { state: IDLE } : { state };
}

/** One event of the hand on a tool: the next state, and what it commits. Pure. */
export function step(tool: Tool, state: ToolState, heard: ToolEvent, context: ToolContext): Step {
  const event: ToolEvent = heard.type === 'leave' && tool.kind !== 'polygon' ? { ...heard, type: 'cancel' } : heard;
  const { house, level, newId, thresholdIn } = context;
  switch (tool.kind) {
    case 'select':
      return stepSelect(tool, state, event, context);
    case 'rectangle':
      return stepRectangle(tool, state, event, context);
    case 'polygon':
      return stepPolygon(tool, state, event, context);
    case 'opening':
      return stepPlace(state, event, () => placeOpening(house, level, tool.opening, event.point, newId));
    case 'feature':
      return stepPlace(state, event, () => placeFeature(house, level, tool.feature, event.point, newId));
    case 'box':
      return stepPlace(state, event, () =>
        placeBoxAt(house, level, tool.box, event.point, newId, event.alt ? 0 : thresholdIn),
      );
  }
}
