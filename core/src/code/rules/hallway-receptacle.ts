import { defineRule, everyEdition, fromMemory } from '../rule';
import { areaFt2 } from '../../house/geometry';
import { countedOnLoop } from '../../place/receptacles';
import { wallLoop } from '../../plan/wall-loop';

/**
 * Length of a hall's centreline: half the floor line less the hall's width, which holds for a straight or a bent hall
 * of even width. The width is the one for which area and floor line agree with such a hall.
 */
export function hallLengthIn(areaIn2: number, floorLineIn: number): number {
  const half = floorLineIn / 2;
  // length + width = half, length × width = area.
  return half / 2 + Math.sqrt(Math.max(0, (half / 2) ** 2 - areaIn2));
}

export const hallwayReceptacle = defineRule({
  id: 'hallway-receptacle',
  meta: {
    summary: 'A receptacle in a hallway of 10 ft and more',
    stage: 'boxes',
    severity: 'violation',
    why: 'A vacuum cleaner is plugged in somewhere: without a receptacle in a long hall its cord runs through a bedroom door.',
    editions: everyEdition({ section: '210.52(H)', limits: { minLengthIn: 120 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room, length }: { room: string; length: number }, show) =>
        `${room} is ${show(length)} long and has no receptacle.`,
      enough: ({ room, length }: { room: string; length: number }, show) =>
        `${room} is ${show(length)} long and has a receptacle.`,
      short: ({ room, length }: { room: string; length: number }, show) =>
        `${room} is ${show(length)} long: none is required.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.room.kind === 'hallway',
  check: (view, limits, report) => {
    const length = hallLengthIn(areaFt2(view.room.corners) * 144, wallLoop(view.room).lengthIn);
    const data = { room: view.room.name, length };
    const where = { room: view.room.id };
    const detail = {
      measured: (show: (lengthIn: number) => string) => `${show(length)} along the middle`,
      required: (show: (lengthIn: number) => string) => `one receptacle from ${show(limits.minLengthIn)} up`,
    };
    if (length < limits.minLengthIn - 1 / 64) return [report.pass('short', data, where, detail)];
    return [
      countedOnLoop(view).length > 0
        ? report.pass('enough', data, where, detail)
        : report.fail('none', data, where, detail),
    ];
  },
});
