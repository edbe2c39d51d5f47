import type { LoadKind, SwitchStyle } from '../../house/schema-equipment';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { heatControl } from './heat-control';

/** Heaters of so many volt-amperes in one room, and a thermostat in a room of its choice that governs the first of them. */
function heated(watts: readonly number[], at: 'bed' | 'hall' | undefined, governs = watts.length): HouseBuilder {
  const house = watts.reduce(
    (drawn, va, i) => drawn.load('baseboard-heat', 'bed', 'c0', 20 + 20 * i, null, { va }),
    aHouse().room('bed', 'bedroom', [0, 0, 144, 120]).room('hall', 'hallway', [0, 124.5, 144, 60]),
  );
  if (!at) return house;
  return house.wallBox(at, 'c1', 30, { kind: 'switch', style: 'line-thermostat-2' }).with((draft) => {
    const control = Object.values(draft.boxes)
      .flatMap((box) => Object.values(box.devices))
      .find((one) => one.kind === 'switch')!;
    const controls = Object.values(draft.loads)
      .slice(0, governs)
      .map((one) => one.device);
    draft.switchGroups['g'] = { id: 'g', name: 'Heat', switches: [control.id], controls };
  });
}

/** Floor heat of 600 W and a bath heater in a bath, with a control of a style that governs those that are named. */
function bathed(style: SwitchStyle, governs: readonly LoadKind[]): HouseBuilder {
  return aHouse()
    .room('bath', 'bathroom', [0, 0, 96, 96])
    .load('floor-heat', 'bath', 'c0', 20, null)
    .load('bath-heater', 'bath', 'c0', 40, null)
    .wallBox('bath', 'c1', 30, { kind: 'switch', style })
    .with((draft) => {
      const control = Object.values(draft.boxes)
        .flatMap((box) => Object.values(box.devices))
        .find((one) => one.kind === 'switch')!;
      const controls = Object.values(draft.loads)
        .filter((one) => governs.includes(one.kind))
        .map((one) => one.device);
      if (controls.length > 0) draft.switchGroups['g'] = { id: 'g', name: 'Heat', switches: [control.id], controls };
    });
}
const FLOOR_OPEN =
  'By what is this floor heat governed: R1-1? Place a thermostat made for floors, with its sensor in the floor, under House, at the electric heat of the room, or say that it has one built in.';

testRule(heatControl, {
  passes: [
    [
      'one heater on a thermostat of its room',
      heated([1500], 'bed'),
      'The thermostat R1-2 governs a heater of its room.',
    ],
    // 22 A at 240 V.
    [
      '5,280 W on it, all that it carries',
      heated([2640, 2640], 'bed'),
      'The thermostat R1-3 governs 2 heaters of its room.',
    ],
    [
      'one that has it built in',
      heated([1500], undefined).with((house) => void (Object.values(house.loads)[0]!.builtInControl = true)),
      'R1-1: the thermostat is built in.',
    ],
  ],
  fails: [
    [
      'floor heat and a bath heater on one thermostat',
      bathed('line-thermostat', ['floor-heat', 'bath-heater']),
      'The thermostat R1-3 governs floor heat and other heaters. One follows a sensor in the floor, the others the air: give each its own.',
    ],
    [
      '5,304 W on one thermostat',
      heated([2640, 2664], 'bed'),
      'The heaters on the thermostat R1-3 take 22.1 A, and such thermostats are usually made for 22 A. Read its plate, or share the heaters between two.',
    ],
    [
      'a thermostat in the next room',
      heated([1500], 'hall'),
      'The thermostat R2-1 hangs in hall and governs heat in bed. Give each room its own.',
    ],
  ],
  cannotTell: [
    ['floor heat, where a timer turns the bath heater on', bathed('timer', ['bath-heater']), FLOOR_OPEN],
    [
      'a bath heater that nothing turns on',
      bathed('line-thermostat', ['floor-heat']),
      'What turns these bath heaters on: R1-2? Join each to a switch or timer under Switching, or say that it has one built in.',
    ],
    ['a timer is no thermostat of floor heat', bathed('timer', ['bath-heater', 'floor-heat']), FLOOR_OPEN],
    [
      'a heater that nothing governs beside one that is',
      heated([1500, 1500], 'bed', 1),
      'By what are these heaters governed: R1-2? Place a thermostat at line voltage under House, at the electric heat of the room, or say that each has one built in.',
    ],
    ['a heater that nothing governs', heated([1500], undefined)],
  ],
  notApplicable: [
    ['no electric heat', aHouse().room('bed', 'bedroom', [0, 0, 144, 120])],
    ['a furnace', aHouse().room('u', 'utility', [0, 0, 144, 120]).load('furnace', 'u', 'c0', 20, null)],
  ],
});
