import { newDevice } from '../../house/schema-equipment';
import { testRule } from '../../test/rule-tester';
import { wiringBuilder } from '../../test/wiring-house';
import { outdoorManualWay } from './outdoor-manual-way';

const deck = (style: string, sensor?: 'dusk') => {
  const light = { kind: 'luminaire', ...(sensor ? { sensor } : {}) };
  return wiringBuilder({
    boxes: { S: [null, { kind: 'switch', style }], L: ['S', light] },
    groups: { a: { switches: ['S-0'], controls: ['L-0'] } },
    change: (house) => {
      house.rooms['deck'] = {
        ...house.rooms['room']!,
        id: 'deck',
        kind: 'deck',
        name: 'Deck',
        prefix: 'D',
        corners: [],
      };
      house.rooms['deck'].corners = house.rooms['room']!.corners.map((one) => ({ ...one, x: one.x + 2000 }));
      Object.assign(house.boxes['L']!, { room: 'deck', at: { kind: 'ceiling', x: 2100, y: 100 } });
    },
  });
};

testRule(outdoorManualWay, {
  passes: [
    ['a dusk sensor in the light behind a wall switch', deck('toggle', 'dusk'), 'Group a goes by itself and by hand.'],
    [
      'a dusk sensor in one wall, a plain switch in the other',
      deck('dusk').with((house) => {
        house.boxes['S']!.gangs = 2;
        house.boxes['S']!.devices['S-1'] = newDevice('switch', 'S-1', { circuit: 'Q' });
        house.switchGroups['a']!.switches.push('S-1');
      }),
    ],
    ['a sensor behind an astronomic timer', deck('astronomic', 'dusk'), 'Group a goes by itself and by hand.'],
  ],
  fails: [
    [
      'a dusk sensor in the wall decides alone',
      deck('dusk'),
      'Group a goes by a dusk sensor alone. Put a wall switch ahead of a sensor in the light, or an astronomic timer, which has a button.',
    ],
    [
      'a sensing light that nobody switches',
      deck('toggle', 'dusk').with((house) => (house.switchGroups = {})),
      'The light R-2 goes on by itself at dusk and has no wall switch. Place one indoors, at the door.',
    ],
  ],
  notApplicable: [['plain light and plain switch', deck('toggle')]],
});
