import { expect, test } from 'vitest';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { must } from '../../test/must';
import { testRule } from '../../test/rule-tester';
import type { FeatureKind } from '../../house/schema';
import { applyRemedy } from '../apply-remedy';
import { checkHouse } from '../check-house';
import { boxOnStud } from './box-on-stud';
import { appliancesConnected } from './appliances-connected';

const kitchen = () => aHouse().room('kit', 'kitchen', [0, 0, 200, 144]);
const drawn = () =>
  kitchen().feature('kit', 'range', ['c0', 20, 30, 26]).feature('kit', 'dishwasher', ['c0', 80, 24, 24]);

testRule(appliancesConnected, {
  passes: [
    [
      'a range with its load',
      kitchen().feature('kit', 'range', ['c0', 20, 30, 26]).load('range', 'kit', 'c0', 35, null),
      'Every appliance that is drawn is connected: 1.',
    ],
    ...(
      [
        ['ev-charger', 'ev-charger-48'],
        ['ev-charger', 'ev-cord'],
        ['bath-fan', 'bath-heater'],
        ['microwave', 'counter-microwave'],
        ['condenser', 'mini-split'],
      ] as const
    ).map(([drawnAs, load]): [string, HouseBuilder] => [
      `a ${drawnAs} that is a ${load}`,
      kitchen().feature('kit', drawnAs, ['c0', 20, 30, 26]).load(load, 'kit', 'c0', 35, null),
    ]),
    [
      'a gas water heater takes no power',
      kitchen()
        .feature('kit', 'water-heater', ['c1', 20, 22, 22])
        .load('range', 'kit', 'c0', 35, null)
        .with((house) => {
          for (const one of Object.values(house.features)) one.fuel = true;
        }),
    ],
  ],
  fails: [],
  cannotTell: [
    [
      'a range and a dishwasher, one line for both',
      drawn(),
      'Drawn and connected to nothing: range (kit), dishwasher (kit). Connect what takes power, or mark what burns fuel alone.',
    ],
    ['one of two', drawn().load('range', 'kit', 'c0', 35, null)],
  ],
  notApplicable: [
    [
      'a bath fan that hangs in the ceiling as a fan and nothing else',
      kitchen().standing('fan', 'kit', 'bath-fan', [60, 60, 12, 12]).over('kit', 'fan', 66, 66),
    ],
    ['nothing drawn and nothing connected', kitchen()],
  ],
});

let n = 0;
const newId = (prefix: string) => `${prefix}-${++n}`;

test('its one button connects them all', () => {
  const house = drawn().build();
  const [finding] = checkHouse(house, { rules: [appliancesConnected] }).findings;
  const done = must(applyRemedy(house, finding!.remedies[0]!, newId)).house;
  expect(Object.values(done.loads).map((one) => one.kind)).toEqual(['range', 'dishwasher']);
  expect(checkHouse(done, { rules: [appliancesConnected] }).findings).toEqual([]);
});

/** Where the box of each is, and what is in it: *common practice*. */
test.each([
  ['disposer', 'wall', 'receptacle', 'disposer', true],
  ['range-hood', 'wall', 'receptacle', 'range-hood', true],
  ['microwave', 'wall', 'receptacle', 'microwave', true],
  ['bidet-seat', 'wall', 'receptacle', 'bidet-seat', undefined],
  ['freezer', 'wall', 'receptacle', 'freezer', undefined],
  ['ev-charger', 'wall', 'connection', 'ev-charger', undefined],
  ['bath-fan', 'ceiling', 'connection', 'exhaust-fan', undefined],
  ['garage-opener', 'ceiling', 'receptacle', 'garage-door-opener', undefined],
  ['sump', 'wall', 'receptacle', 'sump-pump', undefined],
  // In the middle of a room: from over it, or from the nearest wall as far as a cord goes.
  ['furnace', 'ceiling', 'connection', 'furnace', undefined],
  ['water-heater', 'ceiling', 'connection', 'water-heater', undefined],
  ['kiln', 'wall', 'receptacle', 'kiln', undefined],
] as const)('a %s connects in the %s by a %s', (kind, place, device, load, inCabinet) => {
  const isFree = place === 'ceiling' || kind === 'sump' || kind === 'kiln';
  const room = aHouse().room('r', 'utility', [0, 0, 240, 240]);
  const house = isFree
    ? room.standing('f', 'r', kind as FeatureKind, [100, 60, 24, 24]).build()
    : room.feature('r', kind as FeatureKind, ['c0', 100, 24, 20]).build();
  const done = must(applyRemedy(house, { kind: 'connect-appliances', label: '' }, newId)).house;
  expect(checkHouse(done, { rules: [boxOnStud] }).findings).toEqual([]);
  const [box] = Object.values(done.boxes);
  expect(box).toMatchObject({ at: { kind: place }, ...(inCabinet ? { inCabinet } : {}) });
  expect(Object.values(box!.devices)[0]!.kind).toBe(device);
  expect(Object.values(done.loads)[0]!.kind).toBe(load);
});

test.each([
  ['in the wall of the house where that is near', 170, 'wall'],
  ['at the ground where it is not', 300, 'floor'],
])('a condenser in the yard connects %s, never at the fence', (_, y, place) => {
  const house = aHouse()
    .room('den', 'den', [0, 0, 240, 150])
    .room('yard', 'outdoors', [0, 154.5, 240, 240])
    .standing('f', 'yard', 'condenser', [100, y, 30, 30])
    .build();
  const done = must(applyRemedy(house, { kind: 'connect-appliances', label: '' }, newId)).house;
  const [box] = Object.values(done.boxes);
  expect(box!.at).toMatchObject(place === 'wall' ? { kind: 'wall', wall: 'c0' } : { kind: 'floor' });
});
