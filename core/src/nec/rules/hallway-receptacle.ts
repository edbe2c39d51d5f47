import { isShorter } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { countedOnLoop } from '../../place/receptacles';
import { lengthOfHallIn } from '../requirements/halls';

export const hallwayReceptacle = defineRule({
  id: 'hallway-receptacle',
  meta: {
    summary: 'A receptacle in a hallway of 10 ft and more',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
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
    const length = lengthOfHallIn(view.room);
    const data = { room: view.room.name, length };
    const where = { room: view.room.id };
    const detail = {
      measured: (show: (lengthIn: number) => string) => `${show(length)} along the middle`,
      required: (show: (lengthIn: number) => string) => `one receptacle from ${show(limits.minLengthIn)} up`,
    };
    if (isShorter(length, limits.minLengthIn)) return [report.pass('short', data, where, detail)];
    return [
      countedOnLoop(view).length > 0
        ? report.pass('enough', data, where, detail)
        : report.fail('none', data, where, detail),
    ];
  },
});
