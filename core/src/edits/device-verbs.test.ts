import { describe, expect, it } from 'vitest';
import { newDevice } from '../house/schema-equipment';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { measureCircuitLoad } from '../circuits/circuit-load';
import { validateHouse } from '../house/validate';
import { isLowerHalf } from '../house/yokes';
import { fillOf } from '../makeup/box-fill';
import { copyRoom } from './copy-room';
import { addDevice, joinDuplex, removeDevice, setGangs, splitDuplex } from './device-verbs';
import { assignToCircuit, changeDevice } from './verbs';

const lit = aHouse()
  .room('r', 'bedroom', [0, 0, 144, 120])
  .over('r', 'luminaire', 72, 60)
  .switchAt('r', 'c0', 8, null)
  .governed('r')
  .build();
const [ceiling, wall] = Object.values(lit.boxes);
const message = (result: ReturnType<typeof addDevice>) => (result.ok ? undefined : result.problems[0]!.message);

describe('devices of a box', () => {
  it('a second switch takes a second gang, and gives it back', () => {
    const two = must(addDevice(lit, wall!.id, newDevice('switch', 'fan-switch'))).house;
    expect([two.boxes[wall!.id]!.gangs, Object.keys(two.boxes[wall!.id]!.devices)]).toEqual([
      2,
      [...Object.keys(wall!.devices), 'fan-switch'],
    ]);
    const one = must(removeDevice(two, wall!.id, 'fan-switch')).house;
    expect(one.boxes[wall!.id]).toEqual(wall);
  });

  it('a fan beside a light in the ceiling takes no gang', () => {
    const both = must(addDevice(lit, ceiling!.id, newDevice('fan', 'fan'))).house;
    expect(both.boxes[ceiling!.id]!.gangs).toBe(1);
  });

  it('what is taken out leaves its switch group, and the last one stays', () => {
    const two = must(addDevice(lit, wall!.id, newDevice('switch', 'other'))).house;
    const [first] = Object.keys(wall!.devices);
    const without = must(removeDevice(two, wall!.id, first!)).house;
    expect(Object.values(without.switchGroups)[0]!.switches).toEqual([]);
    expect(message(removeDevice(lit, wall!.id, first!))).toMatch(/only device in .*Delete the box/);
    expect(message(removeDevice(lit, wall!.id, 'nobody'))).toBeDefined();
  });

  it('gangs may be spare, never too few', () => {
    const wide = must(setGangs(lit, wall!.id, 3)).house;
    expect(wide.boxes[wall!.id]!.gangs).toBe(3);
    // A spare gang was wanted: it stays when a device comes and goes.
    const more = must(addDevice(wide, wall!.id, newDevice('switch', 'other'))).house;
    expect(must(removeDevice(more, wall!.id, 'other')).house.boxes[wall!.id]!.gangs).toBe(3);
    expect(message(setGangs(more, wall!.id, 1))).toMatch(/holds 2 devices: it takes 2 gangs/);
  });
});

describe('a duplex without its tab', () => {
  let count = 0;
  const outlet = aHouse()
    .room('r', 'den', [0, 0, 144, 120])
    .circuit('A', 15)
    .circuit('B', 20)
    .receptacle('r', 'c0', 30, { circuit: 'A' })
    .build();
  const [box] = Object.values(outlet.boxes);
  const [whole] = Object.keys(box!.devices);
  const split = must(splitDuplex(outlet, box!.id, whole!, 'low')).house;

  it('has two halves in one gang, of which the lower one is on no circuit yet', () => {
    const { devices, gangs } = split.boxes[box!.id]!;
    expect(gangs).toBe(1);
    expect(devices[whole!]).toMatchObject({ style: 'half', circuit: 'A' });
    expect(devices['low']).toMatchObject({ style: 'half', circuit: null, yokeWith: whole });
    expect(must(addDevice(split, box!.id, newDevice('switch', 's'))).house.boxes[box!.id]!.gangs).toBe(2);
  });

  it('counts as one yoke for the larger wire that comes to it: NEC 314.16(B)(4)', () => {
    const fed = must(assignToCircuit(split, ['low'], 'B')).house;
    const yokes = (house: typeof fed) =>
      fillOf(house, house.boxes[box!.id]!)!.shares.filter(({ of }) => of === 'yokes' || of === 'idle');
    expect(yokes(split)).toMatchObject([{ count: 2, awg: '14', items: 1 }]);
    expect(yokes(fed)).toMatchObject([{ count: 2, awg: '12', items: 1 }]);
  });

  it('is one yoke of 180 VA where both halves are on one circuit, and half of one where they are not', () => {
    const load = (house: typeof split, circuit: string) =>
      measureCircuitLoad(house, house.circuits[circuit]!, 'yoke-100').generalReceptacles;
    const same = must(assignToCircuit(split, ['low'], 'A')).house;
    const apart = must(assignToCircuit(split, ['low'], 'B')).house;
    expect([load(same, 'A'), load(apart, 'A'), load(apart, 'B')]).toEqual([1, 1, 1]);
  });

  it('is made one again, whichever half is asked or taken out', () => {
    for (const half of [whole!, 'low'])
      expect(must(joinDuplex(split, box!.id, half)).house.boxes[box!.id]).toEqual(outlet.boxes[box!.id]);
    expect(must(removeDevice(split, box!.id, 'low')).house.boxes[box!.id]).toEqual(outlet.boxes[box!.id]);
    expect(must(removeDevice(split, box!.id, whole!)).house.boxes[box!.id]!.devices).toMatchObject({
      low: { style: 'duplex' },
    });
  });

  it('a GFCI, a 240 V receptacle and one that is half switched are not split', () => {
    const other = (changes: Record<string, unknown>) =>
      message(splitDuplex(must(changeDevice(outlet, box!.id, whole!, changes)).house, box!.id, whole!, 'low'));
    expect(other({ gfci: true })).toMatch(/has a tab to take off/);
    expect(other({ style: 'single', volts: 240, ratingA: 20 })).toMatch(/has a tab to take off/);
    expect(other({ switched: 'half' })).toMatch(/its tab is off already/);
  });

  it('what cannot be is refused by name', () => {
    const wrong = (changes: Record<string, unknown>, of = 'low') => message(changeDevice(split, box!.id, of, changes));
    expect(wrong({ gfci: true })).toMatch(/has no tab/);
    expect(wrong({ yokeWith: 'nothing' })).toMatch(/no half of a duplex/);
    expect(wrong({ yokeWith: 'low' }, whole!)).toMatch(/no half of a duplex/);
    expect(wrong({ switched: 'half' })).toMatch(/wholly or not at all/);
  });

  it('what loses its tab is switched whole from then on', () => {
    const half = must(changeDevice(outlet, box!.id, whole!, { switched: 'half' })).house;
    for (const changes of [{ gfci: true }, { style: 'single' }, { volts: 240, ratingA: 20, style: 'single' }])
      expect(must(changeDevice(half, box!.id, whole!, changes)).house.boxes[box!.id]!.devices[whole!]).toMatchObject({
        ...changes,
        switched: 'whole',
      });
  });

  it('is copied with its room', () => {
    const copied = must(
      copyRoom(split, 'r', { mirror: 'none', dx: 200, dy: 0 }, (what) => `${what}-copy-${count++}`),
    ).house;
    const copy = Object.values(copied.boxes).find((one) => one.room !== 'r')!;
    expect(Object.values(copy.devices).filter(isLowerHalf)).toHaveLength(1);
    expect(validateHouse(copied).ok).toBe(true);
  });
});
