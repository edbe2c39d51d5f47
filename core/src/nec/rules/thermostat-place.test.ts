import type { RoomKind } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { thermostatPlace } from './thermostat-place';

/** A hall with a bedroom east of it and a garage west of it; its other walls face outdoors. */
const hung = (wall: string, heightIn = 56, kind: RoomKind = 'hallway') =>
  aHouse()
    .room('hall', kind, [0, 0, 120, 120])
    .room('bed', 'bedroom', [124.5, 0, 120, 120])
    .room('garage', 'garage', [-244.5, 0, 240, 120])
    .with((house) => {
      house.boxes['t'] = {
        id: 't',
        room: 'hall',
        tag: 'H-1',
        at: { kind: 'wall', wall, alongIn: 60, heightIn },
        gangs: 1,
        devices: { d: { id: 'd', kind: 'low-voltage', system: 'thermostat', circuit: null } },
      } as never;
    });

const atLine = (house: ReturnType<typeof hung>) =>
  house.with((draft) => {
    draft.boxes['t']!.devices = { d: { id: 'd', kind: 'switch', style: 'line-thermostat-2', circuit: null } } as never;
  });

testRule(thermostatPlace, {
  passes: [
    ['an inside wall', hung('c1'), 'H-1: the thermostat hangs on an inside wall at a usual height.'],
    ['44 in up', hung('c1', 44)],
    ['66 in up', hung('c1', 66)],
    [
      'in front of the leaf, at its latch',
      hung('c1').opening('hall', 'c1', 'door', 62, 32, { swing: 'in', hinge: 'right' }),
    ],
    ['at line voltage in the kitchen that it heats', atLine(hung('c1', 56, 'kitchen'))],
  ],
  fails: [
    [
      'an outside wall',
      hung('c0'),
      'H-1: the thermostat hangs on an outside wall, or one to the garage. Take an inside wall.',
    ],
    ['a wall to the garage', hung('c3')],
    ['43 in up', hung('c1', 43), `H-1: the thermostat hangs 3'-7" up, lower than 3'-8".`],
    [
      'behind the open door',
      hung('c1').opening('hall', 'c1', 'door', 62, 32, { swing: 'in', hinge: 'left' }),
      'H-1: the thermostat hangs behind an open door, where the air of the room does not come.',
    ],
    ['67 in up', hung('c1', 67), `H-1: the thermostat hangs 5'-7" up, higher than 5'-6".`],
    [
      'in the kitchen',
      hung('c1', 56, 'kitchen'),
      'H-1: the thermostat hangs in hall, whose own heat and steam it would follow. Take a hall or a living room.',
    ],
    [
      'over a baseboard heater',
      hung('c1').feature('hall', 'baseboard-heater', ['c1', 30, 60, 3]),
      'H-1: the thermostat hangs over a heater. Move it out of its rising air.',
    ],
  ],
  notApplicable: [['no thermostat', aHouse().room('hall', 'hallway', [0, 0, 120, 120])]],
});
