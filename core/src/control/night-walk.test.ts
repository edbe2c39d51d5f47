import { describe, expect, test } from 'vitest';
import { gangOrder } from './gangs';
import { walkAtNight } from './night-walk';
import { joinSwitch, leaveGroup, orderGangs } from '../edits/switch-verbs';
import type { House } from '../house/schema';
import { cureNightFlaw } from '../proposals/layout/cure';
import type { Result } from '../units/result';
import { aHouse } from '../test/house-builder';

let n = 0;
const newId = (prefix: string) => `${prefix}${++n}`;
const must = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

/** A porch, a hall with doors at both ends, a bedroom beyond; switches at the places named. */
function row(switches: Partial<Record<'hall-in' | 'hall-out' | 'bed', boolean>>, change?: (house: House) => void) {
  const group = (id: string, name: string, control: string) => (house: House) => {
    house.switchGroups[id] = { id, name, switches: [], controls: [control] };
  };
  const made = aHouse()
    .room('porch', 'porch', [0, 0, 100, 96], { side: 'front' })
    .room('hall', 'hallway', [106, 0, 240, 96])
    .room('bed', 'bedroom', [350.5, 0, 144, 96])
    .opening('hall', 'c3', 'door', 20, 36, { hinge: 'left', swing: 'in' })
    .opening('hall', 'c1', 'door', 20, 32, { hinge: 'left', swing: 'out' })
    .circuit('Q', 15)
    .over('hall', 'luminaire', 220, 48, { circuit: 'Q' })
    .over('bed', 'luminaire', 420, 48, { circuit: 'Q' });
  const lamps = (house: House) =>
    Object.values(house.boxes)
      .filter((box) => box.at.kind === 'ceiling')
      .map((box) => Object.keys(box.devices)[0]!);
  made.with((house) => {
    const [hall, bed] = lamps(house);
    group('h', 'Hall light', hall!)(house);
    group('b', 'Bed light', bed!)(house);
  });
  const add = (room: string, wall: string, along: number, groupId: string) => {
    made.switchAt(room, wall, along, 'Q').with((house) => {
      const last = Object.values(house.boxes).at(-1)!;
      house.switchGroups[groupId]!.switches.push(Object.keys(last.devices)[0]!);
    });
  };
  if (switches['hall-in']) add('hall', 'c3', 62, 'h');
  if (switches['hall-out']) add('hall', 'c1', 62, 'h');
  if (switches.bed) add('bed', 'c3', 20, 'b');
  made.with((house) => {
    for (const one of Object.values(house.switchGroups))
      if (one.switches.length === 0) delete house.switchGroups[one.id];
    change?.(house);
  });
  return made.build();
}
const told = (house: House) =>
  walkAtNight(house)
    .flaws.map((one) => `${one.kind} ${one.room}`)
    .sort();

describe('the house walked in the dark', () => {
  test('switches at both ends of the hall and in the bedroom: nothing to tell', () => {
    const walked = walkAtNight(row({ 'hall-in': true, 'hall-out': true, bed: true }));
    expect(walked).toMatchObject({ flaws: [], score: 100 });
    expect(walked.walks.map((one) => one.name)).toEqual(['porch to bed', 'bed to porch']);
  });

  test('one end only: one turns back to put the hall out, and comes out of the bedroom into the dark', () => {
    expect(told(row({ 'hall-in': true, bed: true }))).toEqual(['dark hall', 'turn-back hall']);
  });

  test('a room without a switched light is named', () => {
    expect(told(row({ 'hall-in': true, 'hall-out': true }))).toEqual(['no-light bed']);
  });

  test('a switch behind the open door is on the wrong side', () => {
    const house = row({ 'hall-in': true, 'hall-out': true, bed: true }, (draft) => {
      const box = Object.values(draft.boxes).find((one) => one.room === 'hall' && one.at.kind === 'wall')!;
      box.at = { kind: 'wall', wall: 'c3', alongIn: 12, heightIn: 48 };
    });
    expect(told(house)).toEqual(['behind-door hall']);
  });

  test('the cure is one more place of the group by that door, and the walk is better for it', () => {
    const house = row({ 'hall-in': true, bed: true });
    const before = walkAtNight(house);
    const cured = must(
      cureNightFlaw(
        house,
        before.flaws.find((one) => one.kind === 'dark')!,
        newId,
      ),
    ).house;
    expect(cured.switchGroups['h']!.switches).toHaveLength(2);
    const after = walkAtNight(cured);
    expect(after.score).toBeGreaterThan(before.score);
    expect(told(cured)).toEqual([]);
  });

  test('a house without doors or ways in has no walks, and says so by their absence', () => {
    expect(walkAtNight(aHouse().room('a', 'living', [0, 0, 100, 100]).build())).toEqual({
      walks: [],
      flaws: [],
      score: 0,
    });
  });
});

describe('joining switches', () => {
  const house = row({ 'hall-in': true, 'hall-out': true, bed: true });
  const idOf = (group: string) => house.switchGroups[group]!;

  test('a free switch joins the group of the lamp; the group of the switch takes a free lamp', () => {
    const loose = must(leaveGroup(house, idOf('h').switches[0]!)).house;
    expect(loose.switchGroups['h']!.switches).toHaveLength(1);
    const back = must(joinSwitch(loose, idOf('h').switches[0]!, idOf('h').controls[0]!, newId)).house;
    expect(back.switchGroups['h']!.switches).toHaveLength(2);
  });

  test('two strangers make a new group on the circuit of what is switched', () => {
    const none = must(leaveGroup(must(leaveGroup(house, idOf('b').switches[0]!)).house, idOf('h').switches[0]!)).house;
    expect(none.switchGroups['b']).toBeUndefined();
    const made = must(joinSwitch(none, idOf('h').switches[0]!, idOf('b').controls[0]!, newId)).house;
    const group = Object.values(made.switchGroups).find((one) => one.controls.includes(idOf('b').controls[0]!))!;
    expect(group).toMatchObject({ name: 'bed light', switches: [idOf('h').switches[0]!] });
  });

  test.each([
    [
      'two groups already',
      () => joinSwitch(house, idOf('h').switches[0]!, idOf('b').controls[0]!, newId),
      'two-groups',
    ],
    [
      'no switch at the start',
      () => joinSwitch(house, idOf('h').controls[0]!, idOf('b').controls[0]!, newId),
      'no-switch',
    ],
    ['a switch at the end', () => joinSwitch(house, idOf('h').switches[0]!, idOf('b').switches[0]!, newId), 'no-load'],
  ])('%s is refused with the remedy', (_, act, code) => {
    const done = act();
    expect(done.ok ? '' : done.problems[0]!.code).toBe(code);
  });

  test('a receptacle that is joined has one half switched', () => {
    const with2 = aHouse()
      .room('den', 'den', [0, 0, 144, 120])
      .circuit('Q', 15)
      .receptacle('den', 'c0', 40, { circuit: 'Q' })
      .switchAt('den', 'c1', 20, null)
      .build();
    const [receptacle, control] = Object.values(with2.boxes).map((box) => Object.keys(box.devices)[0]!);
    const joined = must(joinSwitch(with2, control!, receptacle!, newId)).house;
    const devices = Object.values(joined.boxes).flatMap((box) => Object.values(box.devices));
    expect(devices).toMatchObject([{ switched: 'half' }, { circuit: 'Q' }]);
  });

  test('gangs stand in the order in which one meets the lights', () => {
    const crowd = aHouse()
      .room('den', 'den', [0, 0, 240, 120])
      .circuit('Q', 15)
      .over('den', 'luminaire', 200, 60, { circuit: 'Q' })
      .over('den', 'luminaire', 40, 60, { circuit: 'Q' })
      .switchAt('den', 'c0', 20, 'Q')
      .with((draft) => {
        const box = Object.values(draft.boxes).at(-1)!;
        box.gangs = 2;
        box.devices['far'] = { ...Object.values(box.devices)[0]!, id: 'far' };
        box.devices = { far: box.devices['far'], ...box.devices };
        const [a, b] = Object.values(draft.boxes)
          .slice(0, 2)
          .map((one) => Object.keys(one.devices)[0]!);
        const near = Object.keys(box.devices).find((id) => id !== 'far')!;
        draft.switchGroups['f'] = { id: 'f', name: 'far', switches: ['far'], controls: [a!] };
        draft.switchGroups['n'] = { id: 'n', name: 'near', switches: [near], controls: [b!] };
      })
      .build();
    const box = Object.values(crowd.boxes).at(-1)!;
    const order = gangOrder(crowd, box);
    expect(order[1]).toBe('far');
    expect(Object.keys(must(orderGangs(crowd, box.id, order)).house.boxes[box.id]!.devices)).toEqual(order);
  });
});
