import { describe, expect, it } from 'vitest';
import { featureSchema, type House } from '../house/schema';
import { validateHouse } from '../house/validate';
import { viewRoom } from '../plan/room-view';
import { faceUnder } from '../plan/studs';
import { toLoop, wallLoop } from '../plan/wall-loop';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { setFuel, unconnectedAppliances } from './connect-appliances';
import { addFeature } from './place-feature';
import { removeEntities } from './remove';
import { changeEntity } from './verbs';

let n = 0;
const newId = (prefix: string) => `${prefix}-${++n}`;
const kitchen = aHouse()
  .room('kit', 'kitchen', [0, 0, 240, 168])
  .with((house) => Object.assign(house.levels['L1']!, { studSpacingIn: 16 }))
  .build();
const onWall = (alongIn: number, wall = 'c0') => ({ kind: 'wall' as const, wall, alongIn, widthIn: 30, depthIn: 26 });
const drawn = (kind: string, at: object, house: House = kitchen) =>
  must(addFeature(house, featureSchema.parse({ id: 'it', room: 'kit', kind, at }), newId)).house;
const only = (house: House) => {
  const [load, ...others] = Object.values(house.loads);
  expect(others).toEqual([]);
  return { load: load!, box: house.boxes[load!.box]! };
};
const alongOf = (house: House) => {
  const { at } = only(house).box;
  return at.kind === 'wall' ? [at.wall, at.alongIn] : [];
};

describe('an appliance that is set down', () => {
  const range = drawn('range', onWall(60));

  it('comes with its box behind it and its typical load, in one edit', () => {
    const { load, box } = only(range);
    expect([load.kind, load.source, Object.values(box.devices)[0]]).toMatchObject([
      'range',
      'typical',
      { kind: 'receptacle', volts: 240, ratingA: 50 },
    ]);
    const [wall, alongIn] = alongOf(range);
    expect([wall, (alongIn as number) > 60 && (alongIn as number) < 90]).toEqual(['c0', true]);
    expect(unconnectedAppliances(range)).toEqual([]);
  });

  it('comes bare where the shop standard says so, and a sofa has nothing to connect', () => {
    const bare = structuredClone(kitchen);
    bare.standards.appliances = 'bare';
    expect(drawn('range', onWall(60), bare).loads).toEqual({});
    expect(drawn('sofa', onWall(60)).loads).toEqual({});
  });

  it('takes its box along the wall and onto another, to a stud again', () => {
    const moved = must(changeEntity(range, 'features', 'it', { at: { ...onWall(130), behindIn: 0 } })).house;
    const [wall, alongIn] = alongOf(moved);
    expect(wall).toBe('c0');
    expect(alongIn).toBeGreaterThan(130);
    expect(alongIn).toBeLessThan(160);
    const { box } = only(moved);
    const at = toLoop(wallLoop(moved.rooms['kit']!), 'c0', alongIn as number);
    expect(box.bracket === true || faceUnder(viewRoom(moved, 'kit'), at, 6, 2)).toBeTruthy();
    const turned = must(changeEntity(range, 'features', 'it', { at: { ...onWall(40, 'c1'), behindIn: 0 } })).house;
    expect(alongOf(turned)[0]).toBe('c1');
    expect(validateHouse(turned).ok).toBe(true);
  });

  it('leaves a box as it is that is nailed, stood there before or holds more', () => {
    for (const change of [{ progress: 'nailed' }, { state: 'existing' }, { more: true }]) {
      const house = structuredClone(range);
      const { box } = only(house);
      if ('more' in change)
        Object.assign(box.devices, { s: { id: 's', kind: 'switch', style: 'toggle', circuit: null } });
      else Object.assign(box, change);
      const moved = must(changeEntity(house, 'features', 'it', { at: { ...onWall(130), behindIn: 0 } })).house;
      expect(moved.boxes[box.id]).toEqual(box);
      const gone = must(removeEntities(house, [{ collection: 'features', id: 'it' }])).house;
      expect(gone.boxes[box.id]).toEqual(box);
      const gas = must(setFuel(house, 'it', true, newId)).house;
      expect([gas.boxes[box.id], gas.loads, gas.features['it']!.fuel]).toEqual([box, house.loads, true]);
    }
  });

  it('takes box and load away with it, and leaves those of another range', () => {
    const gone = must(removeEntities(range, [{ collection: 'features', id: 'it' }])).house;
    expect([gone.boxes, gone.loads, gone.features]).toEqual([{}, {}, {}]);
    const second = must(
      addFeature(range, featureSchema.parse({ id: 'two', room: 'kit', kind: 'range', at: onWall(180) }), newId),
    ).house;
    const one = must(removeEntities(second, [{ collection: 'features', id: 'it' }])).house;
    expect(Object.keys(one.boxes)).toEqual(Object.keys(second.boxes).filter((id) => !(id in range.boxes)));
  });

  it('that hangs free takes its box in the ceiling along', () => {
    const free = (x: number) => ({ kind: 'free' as const, x, y: 60, widthIn: 12, depthIn: 12 });
    const fan = drawn('bath-fan', free(60));
    expect(only(fan).box.at).toEqual({ kind: 'ceiling', x: 66, y: 66 });
    const moved = must(changeEntity(fan, 'features', 'it', { at: free(100) })).house;
    expect(only(moved).box.at).toEqual({ kind: 'ceiling', x: 106, y: 66 });
  });

  it('that turns to gas takes a plug for its igniter, a gas water heater nothing; a read plate stays', () => {
    const gas = must(setFuel(range, 'it', true, newId)).house;
    expect([only(gas).load.kind, Object.values(only(gas).box.devices)[0]]).toMatchObject([
      'gas-range',
      { kind: 'receptacle', volts: 120 },
    ]);
    expect(only(must(setFuel(gas, 'it', false, newId)).house).load.kind).toBe('range');
    const heater = drawn('water-heater', onWall(60));
    expect(must(setFuel(heater, 'it', true, newId)).house.loads).toEqual({});
    const read = structuredClone(range);
    only(read).load.source = 'nameplate';
    expect(only(must(setFuel(read, 'it', true, newId)).house).load.kind).toBe('range');
  });
});
