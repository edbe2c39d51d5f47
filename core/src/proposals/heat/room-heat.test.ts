import { describe, expect, it } from 'vitest';
import type { House } from '../../house/schema';
import { checkHouse } from '../../nec/check-house';
import { ranchHouse } from '../../test/ranch-house';
import { byTheTool } from '../../test/by-the-tool';
import { aHouse } from '../../test/house-builder';
import { must } from '../../test/must';
import { wireHouse } from '../../makeup/make-up';
import { proveUnit } from '../../proof/prove';
import { roomHeaters } from '../../nec/requirements/thermostats';
import { placeThermostat } from './place-thermostat';
import { estimateHeat, proposeHeaters, putInHeaters } from './room-heat';

let n = 0;
const newId = (prefix: string) => `${prefix}-h${++n}`;
/** A bedroom of 12 by 10 ft, all its walls outside, with a window and a door. */
const alone = () =>
  aHouse()
    .with((house) => void (house.levels['L1']!.ceilingIn = 96))
    .room('bed', 'bedroom', [0, 0, 144, 120])
    .opening('bed', 'c0', 'window', 48, 48, { sillIn: 36, headIn: 80 })
    .opening('bed', 'c2', 'door', 12, 32);

describe('an estimate of heat', () => {
  it('by hand: 120 ft², four outside walls, 1.2: 6 to 7.5, 7.5 to 9, 9 to 10 W', () => {
    const house = alone().build();
    expect(estimateHeat(house, 'bed', 'good')).toMatchObject({ fromW: 900, toW: 1100 });
    expect(estimateHeat(house, 'bed', 'usual')).toMatchObject({ fromW: 1100, toW: 1300 });
    expect(estimateHeat(house, 'bed', 'poor')).toMatchObject({ fromW: 1300, toW: 1450 });
  });

  it('is less among heated rooms, more under a high ceiling and behind much glass', () => {
    const of = (house: House) => estimateHeat(house, 'bed', 'usual').fromW;
    const among = alone()
      .room('a', 'living', [148.5, 0, 144, 120])
      .room('b', 'hallway', [0, 124.5, 144, 60])
      .room('c', 'office', [-148.5, 0, 144, 120])
      .build();
    const high = alone()
      .with((house) => void (house.levels['L1']!.ceilingIn = 120))
      .build();
    const glassy = alone().opening('bed', 'c1', 'window', 10, 96, { sillIn: 12, headIn: 84 }).build();
    expect(of(among)).toBeLessThan(of(alone().build()));
    expect(of(high)).toBe(1350);
    expect(of(glassy)).toBe(1200);
  });
});

describe('heaters', () => {
  it('stand under the window, in a length that is made, and are enough', () => {
    const { heaters, watts, missingW } = proposeHeaters(alone().build(), 'bed', 1250, newId);
    expect(heaters).toHaveLength(1);
    // 5 ft at 250 W, in the middle under the window at 6 ft.
    expect(heaters[0]!.at).toMatchObject({ wall: 'c0', widthIn: 60, alongIn: 42 });
    expect([watts, missingW]).toEqual([1250, 0]);
  });

  it('keep clear of receptacles, doors and what stands at the wall; what fits nowhere is said', () => {
    const crowded = alone()
      .receptacle('bed', 'c0', 50)
      .receptacle('bed', 'c0', 94)
      .feature('bed', 'tall-cabinet', ['c1', 10, 100, 24])
      .feature('bed', 'tall-cabinet', ['c3', 10, 100, 24])
      .build();
    const { heaters, watts, missingW } = proposeHeaters(crowded, 'bed', 4000, newId);
    for (const { at } of heaters)
      if (at.kind === 'wall') {
        expect(['c0', 'c2']).toContain(at.wall);
        if (at.wall === 'c0')
          for (const along of [50, 94]) expect(along < at.alongIn || along > at.alongIn + at.widthIn).toBe(true);
        if (at.wall === 'c2') expect(at.alongIn).toBeGreaterThanOrEqual(44);
      }
    expect(watts + missingW).toBeGreaterThanOrEqual(4000);
    expect(missingW).toBeGreaterThan(0);
  });

  it('come with a box and a load of their watts, as one edit, and leave a house that the tool has laid out without a finding more', () => {
    const house = byTheTool(ranchHouse('2023'));
    const room = Object.values(house.rooms).find((one) => one.kind === 'bedroom')!;
    const { toW } = estimateHeat(house, room.id, 'usual');
    const made = must(putInHeaters(house, proposeHeaters(house, room.id, toW, newId), newId));
    const heaters = Object.values(made.house.features).filter((one) => one.kind === 'baseboard-heater');
    const loads = Object.values(made.house.loads).filter((one) => one.kind === 'baseboard-heat');
    expect(loads).toHaveLength(heaters.length);
    expect(loads.reduce((sum, one) => sum + one.va, 0)).toBeGreaterThanOrEqual(toW);
    const bad = (one: House) =>
      checkHouse(one).findings.filter((each) => each.stage === 'boxes' && each.kind === 'fail').length;
    expect(bad(made.house)).toBe(bad(house));
  });

  it('are refused where no wall has room', () =>
    expect(putInHeaters(alone().build(), { heaters: [], watts: 0, missingW: 500 }, newId)).toMatchObject({
      ok: false,
    }));
});

describe('a thermostat for the heaters of a room', () => {
  const among = () => alone().room('hall', 'hallway', [0, 124.5, 144, 60]);
  it('stands by the door on the wall to the hall, two-pole at 240 V, and its own checks hold', () => {
    const bare = among().build();
    const heatedRoom = must(putInHeaters(bare, proposeHeaters(bare, 'bed', 1500, newId), newId)).house;
    const house = must(placeThermostat(heatedRoom, 'bed', newId)).house;
    const heaters = roomHeaters(house);
    expect(heaters.map((one) => one.thermostat?.device)).toEqual(
      heaters.map(() => expect.objectContaining({ kind: 'switch', style: 'line-thermostat-2' })),
    );
    const { box } = heaters[0]!.thermostat!;
    expect([box.room, box.at]).toEqual(['bed', expect.objectContaining({ kind: 'wall', wall: 'c2', heightIn: 60 })]);
    const own = checkHouse(house).findings.filter((one) =>
      /^(thermostat-place|heat-control|idle-switch)$/.test(one.ruleId),
    );
    expect(own).toEqual([]);
    expect(placeThermostat(house, 'bed', newId)).toMatchObject({ ok: false, problems: [{ code: 'no-heater' }] });
  });
  it('leaves alone what has one built in, and what another control switches', () => {
    const heated = alone().load('baseboard-heat', 'bed', 'c0', 60, null);
    const builtIn = heated.with((house) => void (Object.values(house.loads)[0]!.builtInControl = true)).build();
    expect(placeThermostat(builtIn, 'bed', newId)).toMatchObject({ ok: false, problems: [{ code: 'no-heater' }] });
    const switched = alone()
      .load('baseboard-heat', 'bed', 'c0', 60, null)
      .wallBox('bed', 'c2', 60, { kind: 'switch', style: 'timer' })
      .with((house) => {
        const [heater, timer] = Object.values(house.boxes).map((box) => Object.keys(box.devices)[0]!);
        house.switchGroups['g'] = { id: 'g', name: 'Heat', switches: [timer!], controls: [heater!] };
      })
      .build();
    expect(placeThermostat(switched, 'bed', newId)).toMatchObject({ ok: false, problems: [{ code: 'no-heater' }] });
  });
  it('takes an outside wall where the room has no other, and one pole at 120 V', () => {
    const house = alone().load('baseboard-heat', 'bed', 'c0', 60, null, { volts: 120, va: 1000 }).build();
    const then = must(placeThermostat(house, 'bed', newId)).house;
    expect(roomHeaters(then)[0]!.thermostat?.device).toMatchObject({ style: 'line-thermostat' });
  });
});

it('heaters and thermostats of a whole house are planned, wired and proved without a violation of their own', () => {
  let house = ranchHouse('2020');
  for (const room of Object.values(house.rooms).filter((one) => one.kind === 'bedroom')) {
    house = must(putInHeaters(house, proposeHeaters(house, room.id, 1500, newId), newId)).house;
    house = must(placeThermostat(house, room.id, newId)).house;
  }
  const done = byTheTool(house);
  const said = checkHouse(done).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
  expect(said.map((one) => one.message)).toEqual([]);
  const { units, boxes } = wireHouse(done);
  const heat = units.filter((one) => one.unit.outlets.some(({ load }) => load?.kind === 'baseboard-heat'));
  expect(heat.length).toBeGreaterThan(0);
  for (const unit of heat) expect(proveUnit(done, unit, boxes).ok).toBe(true);
});

it('floor heat gets a thermostat of its own, after the heaters that follow the air', () => {
  const house = aHouse()
    .room('bath', 'bathroom', [0, 0, 120, 120])
    .opening('bath', 'c2', 'door', 40, 32)
    .circuit('A', 20, { poles: 2 })
    .circuit('B', 20)
    .load('baseboard-heat', 'bath', 'c0', 20, 'A')
    .load('floor-heat', 'bath', 'c0', 60, 'B')
    .load('bath-heater', 'bath', 'c0', 90, 'B')
    .build();
  const first = must(placeThermostat(house, 'bath', newId)).house;
  expect(roomHeaters(first).map((one) => [one.kind, one.thermostat !== undefined])).toEqual([
    ['air', true],
    ['floor', false],
    ['bath', false],
  ]);
  const second = must(placeThermostat(first, 'bath', newId)).house;
  expect(roomHeaters(second)[1]!.thermostat?.device).toMatchObject({ style: 'line-thermostat', circuit: 'B' });
  expect(placeThermostat(second, 'bath', newId).ok).toBe(false);
});
