import { isFreeBox } from '../circuit-facts';
import { count } from '../../units/count';
import { mayHaveNoPower } from '../detached';
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
      unpowered: ({ room }: { room: string }) =>
        `${room} stands apart and has no box. If power is brought to it, it needs a receptacle for each bay and a light.`,
      baysUnknown: ({ room }: { room: string }) => `How many vehicles ${room} holds is not said. Enter its bays.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'garage'),
  check: (facts, limits, report) =>
    facts.views
      .filter((view) => view.room.kind === 'garage')
      .map((view) => {
        const room = view.room.name;
        const where = { room: view.room.id };
        if (mayHaveNoPower(view, facts.views)) return report.cannotTell('unpowered', { room }, where);
        const { bays } = view.room;
        if (bays === undefined) return report.cannotTell('baysUnknown', { room }, where);
        // One for certain equipment (a car charger's, a freezer's) is beside those that are due: 210.52(G).
        const have = view.boxes.filter(
          (box) =>
            whyNotCounted(box, view.level.ceilingIn) === undefined &&
            boxHeightIn(box, view.level.ceilingIn) <= limits.maxHeightIn &&
            isFreeBox(facts, box),
        ).length;
        const data = { room, have, bays };
        const detail = { measured: () => `${have}`, required: () => `${bays}, one a bay` };
        return have < bays ? report.fail('few', data, where, detail) : report.pass('enough', data, where, detail);
      }),
});
