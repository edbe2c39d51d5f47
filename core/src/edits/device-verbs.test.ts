import { describe, expect, it } from 'vitest';
import { newDevice } from '../house/schema-equipment';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { addDevice, removeDevice, setGangs } from './device-verbs';

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
