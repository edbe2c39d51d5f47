import { suitedTo } from '../../place/outdoors';
import type { House } from '../../house/schema';
import { newDevice, type Device } from '../../house/schema-equipment';
import { placeBoxes } from '../../edits/verbs';
import type { NewBox, NewId } from '../../house/new-box';
import type { Edited } from '../../house/edit';
import { fromLoop, wallLoop, wrapIn } from '../../plan/wall-loop';
import { viewRoom } from '../../plan/room-view';
import { studFaces, takesBracket } from '../../plan/studs';
import { refuse, succeed, type Result } from '../../units/result';

/** A group of boxes that is set down at once around the cursor: what, how far from it, how high. */
export interface Preset {
  readonly name: string;
  /** "R -36 16, D 4 62": a letter, inches to the right of the cursor, inches high to the center. */
  readonly text: string;
}

interface Part {
  readonly letters: string;
  readonly offsetIn: number;
  readonly heightIn: number;
}

/** What the letters of a preset stand for; R2 is two receptacles in one box. */
const LETTERS: Readonly<Record<string, (id: string) => Device>> = {
  R: (id) => newDevice('receptacle', id),
  S: (id) => newDevice('switch', id),
  L: (id) => newDevice('luminaire', id, { style: 'wall' }),
  D: (id) => newDevice('low-voltage', id, { system: 'data' }),
  X: (id) => newDevice('low-voltage', id, { system: 'coax' }),
  V: (id) => newDevice('low-voltage', id, { system: 'sleeve' }),
};

/** Typical rooms; offsets and heights are *common practice*, to be changed at will. */
export const PRESETS: readonly Preset[] = [
  { name: 'Bed sides', text: 'R -40 16, R 40 16, S -36 30, S 36 30' },
  { name: 'Desk', text: 'R2 -16 32, R2 16 32, D 0 32' },
  { name: 'Television wall', text: 'R2 -4 62, X 4 62, V 0 74, R2 -20 16, D 20 16' },
  { name: 'Vanity', text: 'R 0 43, L -18 66, L 18 66' },
  { name: 'Workshop wall', text: 'R2 -72 48, R2 -24 48, R2 24 48, R2 72 48' },
  { name: 'Exercise corner', text: 'R 0 16, R 12 62, D 18 62' },
  { name: 'Vacuum dock', text: 'R 0 8' },
];

/** Reads a preset's text. Errors name the part that cannot be read. */
export function readPreset(text: string): Result<readonly Part[]> {
  const parts: Part[] = [];
  for (const piece of text
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean)) {
    const match = /^([A-Z])([1-4]?)\s+(-?\d+(?:\.\d+)?)\s+(\d+(?:\.\d+)?)$/i.exec(piece);
    if (!match)
      return refuse(
        'preset',
        'preset',
        `"${piece}" cannot be read. Write a letter, inches to the right, inches high: R -36 16.`,
      );
    const letter = match[1]!.toUpperCase();
    if (!LETTERS[letter])
      return refuse('preset', 'preset', `"${letter}" is no device. Known: ${Object.keys(LETTERS).join(', ')}.`);
    const heightIn = Number(match[4]);
    if (heightIn > 120) return refuse('preset', 'preset', `"${piece}": ${heightIn} in is above any wall.`);
    parts.push({ letters: letter.repeat(Number(match[2] || 1)), offsetIn: Number(match[3]), heightIn });
  }
  if (parts.length === 0) return refuse('preset', 'preset', 'The preset is empty. Write at least one box: R 0 16.');
  return succeed(parts);
}

/** Sets a preset's boxes down around a place of a room's loop, each on the stud side nearest to where it is wanted. */
export function applyPreset(
  house: House,
  roomId: string,
  atLoopIn: number,
  preset: Preset,
  newId: NewId,
): Result<Edited> {
  const parts = readPreset(preset.text);
  if (!parts.ok) return parts;
  const view = viewRoom(house, roomId);
  const loop = wallLoop(view.room);
  const { wall } = fromLoop(loop, atLoopIn);
  const taken: number[] = [];
  const boxes: NewBox[] = [];
  for (const { letters, offsetIn, heightIn } of parts.value) {
    const wanted = wrapIn(loop, atLoopIn + offsetIn);
    const faces = studFaces(view, heightIn, letters.length)
      .map((face) => face.atIn)
      .filter((at) => fromLoop(loop, at).wall.id === wall.id && taken.every((other) => Math.abs(other - at) > 0.1));
    const nearest = faces.reduce<number | undefined>(
      (best, at) => (best === undefined || Math.abs(at - wanted) < Math.abs(best - wanted) ? at : best),
      undefined,
    );
    const onStud = nearest !== undefined && Math.abs(nearest - wanted) <= 12;
    const at = fromLoop(loop, onStud ? nearest : wanted);
    if (at.wall.id !== wall.id || at.wall.boundary !== 'solid')
      return refuse(
        'preset',
        'preset',
        `${preset.name} does not fit here: ${letters[0]} at ${offsetIn} in falls off the ${wall.name} wall. Move the cursor to its middle.`,
      );
    if (onStud) taken.push(nearest);
    boxes.push({
      id: newId('box'),
      room: roomId,
      origin: 'request',
      at: { kind: 'wall', wall: wall.id, alongIn: Math.round(at.alongIn * 16) / 16, heightIn },
      devices: [...letters].map((letter) => suitedTo(view.room, LETTERS[letter]!(newId('device')))),
      ...(onStud || !takesBracket(view, wall.id) ? {} : { bracket: true }),
    });
  }
  return placeBoxes(house, boxes, preset.name);
}
