import { describe, expect, test } from 'vitest';
import { edit } from '../../house/edit';
import type { House, Switching } from '../../house/schema';
import { wireHouse } from '../../makeup/make-up';
import { checkHouse } from '../../nec/check-house';
import { netlistOf } from '../../proof/netlist';
import { prove } from '../../proof/prove';
import { acceptPlan, planBoxes } from './lay-out-boxes';
import { applyStandards, compareWithStandards, SWITCHING_STANDARDS, switchingOf } from './switch-standards';
import { aHouse } from '../../test/house-builder';
import { demo } from '../../test/demo-house';

let n = 0;
const newId = (prefix: string) => `${prefix}-s${++n}`;

function withStandards(house: House, standards: Partial<Switching>): House {
  const set = edit(
    house,
    'Standards',
    (draft) => void (draft.standards.switching = { ...switchingOf(house), ...standards }),
  );
  if (!set.ok) throw new Error(set.problems[0]!.message);
  return set.value.house;
}
function applied(house: House): House {
  const done = applyStandards(house, compareWithStandards(house), newId);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return done.value.house;
}
const violations = (house: House) =>
  checkHouse(house)
    .findings.filter(
      (one) =>
        one.kind === 'fail' &&
        (one.severity === 'violation' || ['box-on-stud', 'box-clear-of-framing'].includes(one.ruleId)),
    )
    .map((one) => `${one.ruleId} ${one.message}`)
    .sort();
const unproved = (house: House) => {
  const { units, boxes } = wireHouse(house);
  return units.filter((one) => !prove(netlistOf(one, boxes)).ok).map((one) => one.unit.circuits[0]!.name);
};
const of = (house: House, standard: keyof Switching) =>
  compareWithStandards(house).filter((one) => one.standard === standard);

describe('the demo house by every answer of every standard', () => {
  const answers = SWITCHING_STANDARDS.flatMap(({ field, answers: all }) =>
    all.map((one) => [field, one.value] as const),
  );
  test.each(answers)('%s: %s', (field, value) => {
    const house = applied(withStandards(demo, { [field]: value }));
    expect(of(house, field)).toEqual([]);
    expect(unproved(house)).toEqual([]);
    expect(violations(house).filter((one) => !violations(demo).includes(one))).toEqual([]);
  });

  test('all at once, and back again', () => {
    const there = applied(
      withStandards(demo, {
        fans: 'together',
        bathFans: 'together',
        closets: 'occupancy',
        outdoors: 'dusk',
        bedside: 'yes',
        spareGang: 'entries',
      }),
    );
    expect(compareWithStandards(there)).toEqual([]);
    expect(unproved(there)).toEqual([]);
    const back = applied(
      withStandards(there, { fans: 'apart', bathFans: 'apart', closets: 'wall', outdoors: 'by-hand', bedside: 'no' }),
    );
    expect(unproved(back)).toEqual([]);
    const groups = (house: House) => Object.values(house.switchGroups).filter((one) => one.name.endsWith('fan')).length;
    expect(groups(there)).toBe(0);
    expect(groups(back)).toBe(groups(demo));
  });
});

/** A bedroom with a bed, a closet behind a door, and a door to a deck, lit and switched by the tool. */
function small(standards: Partial<Switching>): House {
  const bare = aHouse()
    .room('bed', 'bedroom', [0, 0, 168, 144])
    .room('walk', 'walk-in-closet', [172, 0, 80, 144])
    .room('deck', 'deck', [0, 148, 168, 96])
    .opening('bed', 'c1', 'door', 90, 30)
    .opening('bed', 'c2', 'door', 100, 36)
    .feature('bed', 'bed', ['c0', 50, 60, 80])
    .with((house) => (house.standards.switching = { ...switchingOf(house), ...standards }))
    .build();
  const lit = planBoxes(bare, Object.keys(bare.rooms), newId);
  const made = acceptPlan(bare, lit, new Set(lit.boxes.map((one) => one.box.id)));
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value.house;
}
const styles = (house: House) =>
  Object.values(house.boxes)
    .flatMap((box) => Object.values(box.devices))
    .flatMap((one) => (one.kind === 'switch' ? one.style : []))
    .sort();

describe('a bedroom, its closet and its deck', () => {
  test.each([
    ['a switch in the closet door\u2019s jamb, which no open door hides', { closets: 'door-jamb' }, 'door-jamb'],
    ['an occupancy sensor in the closet', { closets: 'occupancy' }, 'occupancy'],
    ['an astronomic timer for the deck', { outdoors: 'astronomic' }, 'astronomic'],
  ] as const)('%s', (_, standards, style) => {
    const house = applied(small(standards));
    expect(styles(house)).toContain(style);
    expect(checkHouse(house).findings.filter((one) => one.ruleId === 'box-in-use')).toEqual([]);
  });

  test('a dusk sensor in the deck light; the wall switch stays as the manual way', () => {
    const house = applied(small({ outdoors: 'dusk' }));
    expect(styles(house).every((one) => one === 'toggle')).toBe(true);
    const { passes } = checkHouse(house);
    expect(passes.filter((one) => one.ruleId === 'outdoor-manual-way').map((one) => one.message)).toEqual([
      'deck light goes by itself and by hand.',
    ]);
  });

  test('a third place beside the bed, and a spare gang at the deck door', () => {
    const before = small({});
    const house = applied(small({ bedside: 'yes', spareGang: 'entries' }));
    const places = (one: House) =>
      Object.values(one.switchGroups).find((group) => group.name === 'bed light')!.switches;
    expect(places(house)).toHaveLength(places(before).length + 1);
    const bedside = Object.values(house.boxes).find((box) => box.origin === 'request')!;
    expect(bedside.at).toMatchObject({ kind: 'wall', wall: 'c0', heightIn: 28 });
    const blanks = Object.values(house.boxes).filter((box) =>
      Object.values(box.devices).some((one) => one.kind === 'blank'),
    );
    expect(blanks).toHaveLength(1);
    expect(blanks[0]!.gangs).toBe(Object.keys(blanks[0]!.devices).length);
  });
});
