import { expect, it } from 'vitest';
import { applyEdit } from '../house/edit';
import type { House } from '../house/schema';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { acceptCircuitPlan, planCircuits } from '../proposals/circuits/plan-circuits';
import { planBoxes } from '../proposals/layout/lay-out-boxes';
import { connectAppliances } from './connect-appliances';
import { openOnly } from './existing-house';

const built = aHouse()
  .room('kit', 'kitchen', [0, 0, 144, 120])
  .room('den', 'den', [150, 0, 144, 120])
  .room('attic', 'attic', [300, 0, 144, 120])
  .room('deck', 'deck', [0, 130, 144, 60])
  .feature('den', 'panel', ['c0', 60, 16, 4], { id: 'p' })
  .panel('Main', 'den', 40, 'p')
  .receptacle('kit', 'c0', 20)
  .receptacle('den', 'c0', 20)
  .receptacle('den', 'c1', 20)
  .receptacle('deck', 'c0', 20)
  .with(({ boxes }) => (Object.values(boxes)[2]!.state = 'moved'))
  .build();
/** As a file holds it. */
const house = JSON.parse(JSON.stringify(built)) as House;

it('opens some rooms of a house that stands; boxes, walls and the panel of the rest were there before', () => {
  const { house: after, edit } = must(openOnly(house, new Set(['kit'])));
  expect(Object.values(after.rooms).map((one) => [one.id, one.closed ?? false])).toEqual([
    ['kit', false],
    ['den', true],
    ['attic', false],
    ['deck', true],
  ]);
  expect(Object.values(after.boxes).map((one) => one.state)).toEqual([undefined, 'existing', 'moved', 'existing']);
  expect(Object.values(after.panels).map((one) => one.existing)).toEqual([true]);
  // One step back.
  expect(must(applyEdit(after, edit.inverse))).toEqual(house);
  const opened = must(openOnly(after, new Set(['kit', 'den']))).house;
  expect(opened.rooms['den']!.closed).toBeUndefined();
});

it('nothing new is laid out in a room that stays, and what its appliances connect to was there with them', () => {
  const drawn = aHouse()
    .room('kit', 'kitchen', [0, 0, 144, 120])
    .feature('kit', 'range', ['c0', 40, 30, 26])
    .room('den', 'den', [150, 0, 144, 120])
    .build();
  const stays = must(openOnly(drawn, new Set(['den']))).house;
  let n = 0;
  const newId = (prefix: string) => `${prefix}-${++n}`;
  const { house: connected } = must(connectAppliances(stays, newId));
  expect(Object.values(connected.boxes).map((one) => [one.room, one.state])).toEqual([['kit', 'existing']]);
  // Smoke alarms are due throughout a house that is altered: IRC R314.2.2.
  const rooms = (asked: readonly string[]) =>
    new Set(
      planBoxes(connected, asked, newId).boxes.flatMap(({ box }) =>
        box.devices.some((one) => one.kind === 'alarm') ? [] : [box.room],
      ),
    );
  expect(rooms(['kit', 'den']).has('kit')).toBe(false);
  expect(rooms(['kit', 'den']).has('den')).toBe(true);
  expect(rooms(['kit']).has('kit')).toBe(true);
});

it('a plan gives what stood there before no breaker of its own: it hangs on one already', () => {
  const house = aHouse()
    .room('den', 'den', [0, 0, 144, 120])
    .receptacle('den', 'c0', 20)
    .receptacle('den', 'c1', 20)
    .with(({ boxes }) => (Object.values(boxes)[0]!.state = 'existing'))
    .build();
  let n = 0;
  const plan = must(planCircuits(house, (prefix) => `${prefix}-${++n}`));
  const after = must(acceptCircuitPlan(house, plan, house)).house;
  const on = Object.values(after.boxes).map((box) => Object.values(box.devices).map((one) => one.circuit !== null));
  expect(on).toEqual([[false], [true]]);
});
