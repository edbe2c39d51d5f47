import { isLonger } from '../../geometry/intervals';
import { isFreeBox } from '../requirements/circuit-facts';
import { count } from '../../units/count';
import { mayHaveNoPower } from '../requirements/detached';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { boxHeightIn, whyNotCounted } from '../../place/receptacles';
import { placeOf } from '../../plan/points';
import { vehicleBays } from '../../plan/vehicle-bays';

export const garageReceptacle = defineRule({
  id: 'garage-receptacle',
  meta: {
    summary: 'An ordinary receptacle for each vehicle bay, not above 5 1/2 ft',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Tools, chargers and vacuum cleaners are used at every bay. The receptacle of a door opener in the ceiling does not serve them, nor does one for charging a car.',
    editions: {
      ...everyEdition({
        section: '210.52(G)(1)',
        limits: { maxHeightIn: 66, inEachBay: 1 },
        basis: fromMemory('high'),
      }),
      // One for each car space, wherever it stands.
      '2014': { section: '210.52(G)(1)', limits: { maxHeightIn: 66, inEachBay: 0 }, basis: fromMemory('medium') },
    },
    messages: {
      few: ({ room, have, bays }: { room: string; have: number; bays: number }) =>
        `${room} has ${count(have, 'receptacle')} for ${count(bays, 'vehicle bay')}.`,
      enough: ({ room, have, bays }: { room: string; have: number; bays: number }) =>
        `${room} has ${count(have, 'receptacle')} for ${count(bays, 'vehicle bay')}.`,
      emptyBay: ({ room, bay }: { room: string; bay: string }) =>
        `No receptacle stands in ${bay} of ${room}: each bay has its own.`,
      whichBay: ({ room }: { room: string }) =>
        `Which bay each receptacle of ${room} serves cannot be told. Draw its vehicle doors on one wall, wide enough for its bays side by side; where cars stand one behind the other, see to it yourself.`,
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
        const counted = view.boxes.filter(
          (box) =>
            whyNotCounted(box, view.level.ceilingIn) === undefined &&
            !isLonger(boxHeightIn(box, view.level.ceilingIn), limits.maxHeightIn) &&
            isFreeBox(facts, box),
        );
        const have = counted.length;
        const data = { room, have, bays };
        const detail = { measured: () => `${have}`, required: () => `${bays}, one a bay` };
        if (have < bays) return report.fail('few', data, where, detail);
        if (bays > 1 && limits.inEachBay) {
          const lanes = vehicleBays(view, bays);
          if (!lanes) return report.cannotTell('whichBay', { room }, where);
          const served = new Set(counted.map((box) => lanes.bayOf(placeOf(view, box))));
          for (let bay = 0; bay < bays; bay++)
            if (!served.has(bay)) return report.fail('emptyBay', { room, bay: lanes.nameOf(bay) }, where, detail);
        }
        return report.pass('enough', data, where, detail);
      }),
});
