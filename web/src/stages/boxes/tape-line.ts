import {
  formatLength,
  fromLoop,
  parseLength,
  refuse,
  succeed,
  wallLoop,
  wrapIn,
  type House,
  type Result,
  type Room,
} from '@winculum/core';
import type { BoxTool } from '../../drawing/tools/place-new';

interface TapeOrder {
  /** What to drop; undefined where the line only walks on. */
  readonly tool: BoxTool | undefined;
  readonly atLoopIn: number;
  /** What will happen, as one would say it back. */
  readonly sentence: string;
}

const LETTERS: Readonly<Record<string, BoxTool>> = { r: 'receptacle', s: 'switch', l: 'luminaire', a: 'alarm' };
const FORM = /^(?<letter>[rsla])?\s*(?<back>-)?\s*(?<length>.*)$/i;

/** Reads a line like `R 7'-8`: what to drop, and how far along the wall from the last place, inches. Around corners too. */
export function readTapeLine(house: House, room: Room, cursorIn: number, text: string): Result<TapeOrder> {
  const read = FORM.exec(text.trim())?.groups;
  const letter = read?.['letter']?.toLowerCase();
  const tool = letter ? LETTERS[letter] : undefined;
  const typed = read?.['length']?.trim() ?? '';
  if (!tool && typed === '') return refuse('form', 'tape', `Type R, S, L or A and a distance: R 7'-8.`);
  const length = typed === '' ? succeed(0) : parseLength(typed, 'Distance');
  if (!length.ok) return length;
  const loop = wallLoop(room);
  if (length.value > loop.lengthIn)
    return refuse(
      'too-far',
      'tape',
      `${formatLength(length.value)} is more than once around ${room.name} (${formatLength(loop.lengthIn)}).`,
    );
  const atLoopIn = wrapIn(loop, cursorIn + (read?.['back'] ? -length.value : length.value));
  const { wall, alongIn } = fromLoop(loop, atLoopIn);
  const show = (lengthIn: number) => formatLength(lengthIn, house.standards.lengths);
  return succeed({
    tool,
    atLoopIn,
    sentence: `${tool ? `${tool} at ` : 'walk to '}${show(alongIn)} along the ${wall.name} wall of ${room.name}`,
  });
}
