import { describe, expect, it } from 'vitest';
import type { Edition, House } from '../../house/schema';
import { placementLimits } from '../../nec/apply-remedy';
import { proposeForRoom } from '../../place/propose';
import { planBoxes } from './lay-out-boxes';
import { aHouse, type HouseBuilder } from '../../test/house-builder';

const amended = (builder: HouseBuilder, rule: string, change: House['decisions'][string]['change']): House =>
  builder
    .with((house) => {
      house.decisions['a'] = { id: 'a', rule, change, by: 'The county', date: '2026-01-02', note: '' };
    })
    .build();
const receptaclesFor = (house: House, room: string): number => {
  let n = 0;
  const plan = planBoxes(house, [room], (prefix) => `${prefix}${++n}`);
  return plan.boxes.filter(({ box }) => Object.values(box.devices).some((one) => one.kind === 'receptacle')).length;
};
const one = (kind: Parameters<HouseBuilder['room']>[1], extra = {}, edition: Edition = '2020') =>
  aHouse(edition).room('r', kind, [0, 0, 150, 150], extra).opening('r', 'c2', 'door', 20, 36);

/** What each rule makes the tool lay out, in a room where nothing else asks for a receptacle. */
const CASES: readonly (readonly [rule: string, house: () => HouseBuilder])[] = [
  ['wall-receptacle-spacing', () => one('bedroom')],
  ['counter-receptacle-spacing', () => one('kitchen').feature('r', 'counter', ['c0', 0, 120, 25]).with(noWalls)],
  ['island-receptacle', () => one('kitchen').standing('i', 'r', 'island', [40, 60, 60, 36]).with(noWalls)],
  ['bathroom-basin-receptacle', () => one('bathroom').feature('r', 'basin', ['c0', 20, 30, 20])],
  ['garage-receptacle', () => one('garage', { bays: 1 })],
  ['hallway-receptacle', () => one('hallway')],
  ['foyer-receptacle', () => one('foyer')],
  ['porch-receptacle', () => one('porch')],
  ['outdoor-receptacles', () => one('outdoors', { side: 'back' })],
  ['laundry-receptacle', () => one('laundry').feature('r', 'washer', ['c0', 20, 28, 28])],
  ['basement-receptacle', () => one('basement-unfinished').with((house) => (house.levels['L1']!.grade = 'below'))],
  ['service-receptacle', () => one('utility').feature('r', 'furnace', ['c0', 20, 24, 24])],
];
/** Every side open, so that the room has no wall space of its own. */
function noWalls(house: House): void {
  for (const corner of house.rooms['r']!.corners) if (corner.id !== 'c0' && corner.id !== 'c2') corner.wall = 'open';
  house.decisions['w'] = {
    id: 'w',
    rule: 'wall-receptacle-spacing',
    change: { kind: 'off' },
    by: 'The county',
    date: '2026-01-02',
    note: '',
  };
}

describe('what an authority has switched off', () => {
  it.each(CASES)('%s leaves no trace in what the tool lays out', (rule, house) => {
    expect(receptaclesFor(house().build(), 'r')).toBeGreaterThan(0);
    expect(receptaclesFor(amended(house(), rule, { kind: 'off' }), 'r')).toBe(0);
  });

  it('nor do alarms that it does not ask for', () => {
    const alarms = (house: House) => {
      let n = 0;
      const { boxes } = planBoxes(house, ['r'], (prefix) => `${prefix}${++n}`);
      return boxes.filter(({ box }) => Object.values(box.devices).some((each) => each.kind === 'alarm')).length;
    };
    expect(alarms(one('bedroom').build())).toBeGreaterThan(0);
    expect(alarms(amended(one('bedroom'), 'smoke-alarms', { kind: 'off' }))).toBe(0);
  });

  it('and a limit that it has changed is the one that is laid out by', () => {
    const at = (reachIn: number) => {
      const house = amended(one('bedroom'), 'wall-receptacle-spacing', {
        kind: 'limit',
        limit: 'reachIn',
        value: reachIn,
      });
      return proposeForRoom(house, 'r', placementLimits(house)).boxes.length;
    };
    expect([at(36), at(72), at(144)]).toEqual([...[at(36), at(72), at(144)]].toSorted((a, b) => b - a));
    expect(at(36)).toBeGreaterThan(at(144));
  });
});
