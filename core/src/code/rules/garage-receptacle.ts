import { count } from '../describe-place';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { boxHeightIn, whyNotCounted } from '../../place/receptacles';

export const garageReceptacle = defineRule({
  id: 'garage-receptacle',
  meta: {
    summary: 'An ordinary receptacle for each vehicle bay, not above 5 1/2 ft',
    stage: 'boxes',
    severity: 'violation',
    why: 'Tools, chargers and vacuum cleaners are used at every bay. The receptacle of a door opener in the ceiling does not serve them, nor does one for charging a car.',
    editions: everyEdition({ section: '210.52(G)(1)', limits: { maxHeightIn: 66 }, basis: fromMemory('high') }),
    messages: {
      few: ({ room, have, bays }: { room: string; have: number; bays: number }) =>
        `${room} has ${count(have, 'receptacle')} for ${count(bays, 'vehicle bay')}.`,
      enough: ({ room, have, bays }: { room: string; have: number; bays: number }) =>
        `${room} has ${count(have, 'receptacle')} for ${count(bays, 'vehicle bay')}.`,
      baysUnknown: ({ room }: { room: string }) => `How many vehicles ${room} holds is not said. Enter its bays.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.room.kind === 'garage',
  check: (view, limits, report) => {
    const room = view.room.name;
    const where = { room: view.room.id };
    const { bays } = view.room;
    if (bays === undefined) return [report.cannotTell('baysUnknown', { room }, where)];
    const have = view.boxes.filter(
      (box) =>
        whyNotCounted(box, view.level.ceilingIn) === undefined &&
        boxHeightIn(box, view.level.ceilingIn) <= limits.maxHeightIn,
    ).length;
    const data = { room, have, bays };
    const detail = { measured: () => `${have}`, required: () => `${bays}, one a bay` };
    return [have < bays ? report.fail('few', data, where, detail) : report.pass('enough', data, where, detail)];
  },
});
