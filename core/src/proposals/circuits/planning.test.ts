import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { indexOutlets, outletsOn } from '../../circuits/outlets';
import { mergeCircuits, shareNeutral } from '../../edits/circuit-verbs';
import { changeEntity, placeBoxes } from '../../edits/verbs';
import { applyEdit, edit } from '../../house/edit';
import { newDevice } from '../../house/schema-equipment';
import { EDITIONS, planningSchema, type Edition, type House, type Planning } from '../../house/schema';
import { validateHouse } from '../../house/validate';
import { wireHouse } from '../../makeup/make-up';
import { checkHouse, type HouseCheck } from '../../nec/check-house';
import { protectionOf } from '../../nec/protection/circuit-protection';
import { spacesOf } from '../../circuits/panel-spaces';
import { BOX_TYPES } from '../../place/box-catalogue';
import { connectAppliances, unconnectedAppliances } from '../../edits/connect-appliances';
import { planningOf, CIRCUIT_STANDARDS } from './circuit-standards';
import { findLockConflict } from './lock-conflict';
import { acceptCircuitPlan, planCircuits, type CircuitPlan } from './plan-circuits';
import { totalsOf } from './plan-totals';
import { splitCircuit } from './split-circuit';
import { aHouse } from '../../test/house-builder';
import { demo } from '../../test/demo-house';

const changed = (house: House, change: (draft: House) => void): House => {
  const done = edit(house, 'x', (draft) => change(draft as House));
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return done.value.house;
};
const emptied = (edition: Edition, planning: Partial<Planning> = {}): House =>
  changed(demo, (draft) => {
    draft.job.edition = edition;
    draft.standards.planning = planningSchema.parse(planning);
    for (const id of Object.keys(draft.circuits)) delete draft.circuits[id];
    for (const id of Object.keys(draft.cables)) delete draft.cables[id];
    for (const box of Object.values(draft.boxes))
      for (const device of Object.values(box.devices)) device.circuit = null;
  });
let n = 0;
const newId = (prefix: string) => `${prefix}-${++n}`;
function plan(house: House): CircuitPlan {
  const planned = planCircuits(house, newId);
  if (!planned.ok) throw new Error(planned.problems[0]!.message);
  return planned.value;
}
const circuitOf = (made: CircuitPlan, room: string, kind: string) =>
  new Set(
    indexOutlets(made.house)
      .all.filter((one) => one.room.name === room && one.device.kind === kind)
      .map((one) => one.device.circuit),
  );

describe('the demo house, planned from nothing', () => {
  it('GFCI stands at a receptacle of each bath, unless the shop standard keeps it in the panel', () => {
    const bathFirsts = (planning: Partial<Planning>) => {
      const made = plan(emptied('2023', planning)).house;
      return indexOutlets(made).all.flatMap(({ room, device }) =>
        /bathroom/.test(room.kind) && device.circuit && made.circuits[device.circuit]!.gfciFirst === device.id
          ? [[device.kind === 'receptacle' && device.gfci, protectionOf(made, device.circuit).fitted]]
          : [],
      );
    };
    expect(bathFirsts({ gfci: 'breaker' })).toEqual([]);
    expect(bathFirsts({})).not.toEqual([]);
    expect(new Set(bathFirsts({}).map(String))).toEqual(new Set(['true,plain']));
  });

  it('what the plan shows is what is accepted, device for device', () => {
    const house = emptied('2023');
    const made = plan(house);
    const then = acceptCircuitPlan(house, made, house);
    expect(then.ok && then.value.house.boxes).toEqual(made.house.boxes);
    expect(then.ok && then.value.house.circuits).toEqual(made.house.circuits);
  });

  it.each(EDITIONS)('%s: no violation, every outlet fed, every breaker in the panel', (edition) => {
    const made = plan(emptied(edition));
    expect(made.objections.map((one) => `${one.section} ${one.message}`)).toEqual([]);
    expect(made.after).toMatchObject({ unassigned: 0, violations: 0 });
    expect(made.after.mostUsed).toBeLessThanOrEqual(1 + 1e-9);
    expect(made.after.legsApart).toBeLessThan(0.05);
    const spaces = Object.values(made.house.circuits).flatMap(spacesOf);
    expect(new Set(spaces).size).toBe(spaces.length);
    expect(Object.values(made.house.circuits).every((circuit) => circuit.space !== null)).toBe(true);
    expect(validateHouse(structuredClone(made.house)).ok).toBe(true);
  });

  it.each(CIRCUIT_STANDARDS.flatMap(({ field, answers }) => answers.map(({ value }) => [field, value] as const)))(
    'holds by the standard %s: %s',
    (field, value) => {
      const made = plan(emptied('2023', { [field]: value }));
      expect(made.objections.map((one) => one.message)).toEqual([]);
      expect(made.after.unassigned).toBe(0);
    },
  );

  it('follows the shop standards', () => {
    const usual = plan(emptied('2023'));
    expect(circuitOf(usual, 'Living room', 'luminaire')).not.toEqual(circuitOf(usual, 'Living room', 'receptacle'));
    const twelve = plan(emptied('2023', { wire: 'twelve' }));
    expect(Object.values(twelve.house.circuits).filter((one) => one.awg === '14')).toEqual([]);
    expect(circuitOf(usual, 'Bath 1', 'receptacle')).not.toEqual(circuitOf(usual, 'Bath 2', 'receptacle'));
    const shared = plan(emptied('2023', { baths: 'shared' }));
    expect(circuitOf(shared, 'Bath 1', 'receptacle')).toEqual(circuitOf(shared, 'Bath 2', 'receptacle'));
    const apart = plan(emptied('2023', { dishwasher: 'apart' }));
    expect(apart.after.circuits).toBe(usual.after.circuits + 1);
    const alone = plan(emptied('2023', { alarms: 'alone' }));
    const alarms = Object.values(alone.house.circuits).find((one) => one.name === 'Alarms')!;
    expect(new Set(outletsOn(alone.house, alarms).map((one) => one.device.kind))).toEqual(new Set(['alarm']));
  });

  it('is the same every time', () => {
    const members = (made: CircuitPlan) => made.planned.map((one) => [one.circuit.name, one.devices]);
    expect(members(plan(emptied('2023')))).toEqual(members(plan(emptied('2023'))));
  });
});

describe('a house that has a plan', () => {
  it('is bettered, keeps the circuits that stay, and is one edit that can be taken back', () => {
    // A firm that carries no square boxes with a round ring: ceiling boxes fill up sooner.
    const house = changed(demo, (draft) => {
      const rings = BOX_TYPES.filter((one) => one.id.endsWith('-ring'));
      expect(rings.length).toBe(2);
      draft.standards.boxTypes = rings.map((one) => ({ ...one, volumeIn3: 21.5 }));
    });
    const made = plan(house);
    expect(made.before.violations).toBeGreaterThan(0);
    expect(made.after.violations).toBe(0);
    // The lights were fed by hand so that no box fills up; the plan moves some, so their order is sought again.
    const full = ({ findings }: HouseCheck) =>
      findings.filter((one) => one.ruleId === 'box-fill' && one.kind === 'fail');
    for (const [totals, one] of [
      [made.before, house],
      [made.after, made.house],
    ] as const)
      expect([totals.tooFull, full(checkHouse(one)).length]).toEqual([0, 0]);
    expect(made.settled).toEqual(['Main level lights']);
    const bySchemes = { ...made.house, cables: {} };
    expect(full(checkHouse(bySchemes)).length).toBeGreaterThan(0);
    expect(totalsOf(bySchemes).tooFull).toBe(full(checkHouse(bySchemes)).length);
    expect(wireHouse(made.house).units.every((one) => one.problems.length === 0)).toBe(true);
    const kept = made.planned.filter((one) => one.before);
    expect(kept.length).toBeGreaterThan(15);
    for (const one of kept) expect(one.circuit.id).toBe(one.before!.id);
    const done = acceptCircuitPlan(house, made, house);
    expect(done.ok && totalsOf(done.value.house)).toEqual(made.after);
    expect(done.ok && done.value.house).toEqual(made.house);
  });

  it('planned again, stays as it is', () => {
    const once = plan(demo).house;
    const twice = plan(once);
    expect(twice.planned.reduce((sum, one) => sum + one.moved, 0)).toBe(0);
    expect(twice.removed).toEqual([]);
  });

  it('leaves what is locked, and says what of it the rules object to', () => {
    const [kiln] = Object.values(demo.circuits).filter((one) => one.name === 'Kiln');
    const living = Object.values(demo.circuits).find((one) => one.name === 'Living room')!;
    const house = changed(demo, (draft) => {
      draft.circuits[kiln!.id]!.locked = true;
      draft.circuits[living.id]!.locked = true;
    });
    const made = plan(house);
    const ids = (one: House) => outletsOn(one, living).map((outlet) => outlet.device.id);
    expect(ids(made.house)).toEqual(ids(house));
    expect(made.house.circuits[kiln!.id]).toEqual(house.circuits[kiln!.id]);
    expect(made.objections[0]).toMatchObject({ ruleId: 'conductor-size', where: { circuit: kiln!.id } });
  });

  it('of several locks names the ones that cannot stand, and none besides', () => {
    const named = (name: string) => Object.values(demo.circuits).find((one) => one.name === name)!;
    const house = changed(demo, (draft) => {
      for (const name of ['Living room', 'Kiln', 'Bedroom 1', 'Dryer']) draft.circuits[named(name).id]!.locked = true;
    });
    const conflict = findLockConflict(house, newId)!;
    expect(conflict.locks.map((one) => one.name)).toEqual(['Kiln']);
    expect(conflict.objections[0]).toMatchObject({ ruleId: 'conductor-size' });
    expect(findLockConflict(demo, newId)).toBeUndefined();
  });

  it('with any one of the named locks free there is less to object to', () => {
    const circuits = Object.values(demo.circuits).filter((one) => one.poles === 1);
    const outlets = indexOutlets(demo).all.filter(({ device }) => device.kind === 'receptacle' && device.volts === 120);
    const strays = fc.array(fc.tuple(fc.constantFrom(...circuits), fc.constantFrom(...outlets)), {
      minLength: 4,
      maxLength: 4,
    });
    fc.assert(
      fc.property(strays, (pairs) => {
        const house = changed(demo, (draft) => {
          for (const [circuit, { box, device }] of pairs) {
            draft.circuits[circuit.id]!.locked = true;
            draft.boxes[box.id]!.devices[device.id]!.circuit = circuit.id;
          }
        });
        const objections = (kept: readonly string[]) =>
          plan(
            changed(house, (draft) => {
              for (const one of Object.values(draft.circuits)) one.locked = kept.includes(one.id);
            }),
          ).objections.length;
        const conflict = findLockConflict(house, newId);
        if (!conflict) return expect(plan(house).objections.length).toBe(objections([]));
        const ids = conflict.locks.map((one) => one.id);
        expect(objections(ids)).toBe(conflict.objections.length);
        for (const id of ids)
          expect(objections(ids.filter((one) => one !== id))).toBeLessThan(conflict.objections.length);
      }),
      { numRuns: 5, seed: 20261126 },
    );
  });

  it('is refused when it has changed meanwhile', () => {
    const made = plan(demo);
    const later = changeEntity(demo, 'circuits', Object.keys(demo.circuits)[0]!, { name: 'Other' });
    const done = acceptCircuitPlan(later.ok ? later.value.house : demo, made, demo);
    expect(done.ok ? '' : done.problems[0]!.message).toContain('has changed since');
  });
});

it('an empty house has nothing to plan', () => {
  const planned = planCircuits(aHouse().room('r', 'den', [0, 0, 100, 100]).build(), newId);
  expect(planned.ok ? '' : planned.problems[0]!.message).toContain('Place the boxes first');
});

describe('a circuit is split', () => {
  it('into two of about equal load, nothing lost', () => {
    const living = Object.values(demo.circuits).find((one) => one.name === 'Main level lights')!;
    const before = outletsOn(demo, living);
    const done = splitCircuit(demo, living.id, newId);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const halves = Object.values(done.value.house.circuits).filter((one) => one.name.startsWith('Main level lights'));
    expect(halves).toHaveLength(2);
    const sizes = halves.map((one) => outletsOn(done.value.house, one).length);
    expect(sizes[0]! + sizes[1]!).toBe(before.length);
    expect(Math.min(...sizes) / before.length).toBeGreaterThan(0.25);
  });

  it.each([
    [
      'one box alone',
      (house: House) => Object.values(house.circuits).find((one) => one.name === 'Kiln')!.id,
      'one box',
    ],
    ['gone', () => 'nowhere', 'no longer there'],
  ])('but not %s', (_, pick, why) => {
    const done = splitCircuit(demo, pick(demo), newId);
    expect(done.ok ? '' : done.problems[0]!.message).toContain(why);
  });
});

describe('appliances that are drawn', () => {
  it.each([
    ['the sink on its right', 100, 30, 'right'],
    ['the sink on its left', 10, 60, 'left'],
    ['in a corner', 200, 0, 'right'],
  ])('a dishwasher is plugged in beside it, on a stud, never behind it: %s', (_, sinkAt, alongIn, side) => {
    const house = aHouse()
      .room('k', 'kitchen', [0, 0, 300, 120])
      .feature('k', 'sink', ['c0', sinkAt, 30, 20])
      .feature('k', 'dishwasher', ['c0', alongIn, 24, 24], { heightIn: 34 })
      .build();
    let n = 0;
    const done = connectAppliances(house, (prefix) => `${prefix}${++n}`);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const [box] = Object.values(done.value.house.boxes);
    expect(box).toMatchObject({ inCabinet: true, at: { kind: 'wall' } });
    const at = box!.at.kind === 'wall' ? box!.at.alongIn : NaN;
    // Past its side, and no farther than into the cabinet next to it.
    const past = side === 'right' ? at - (alongIn + 24) : alongIn - at;
    expect(past).toBeGreaterThan(0);
    expect(past).toBeLessThanOrEqual(14);
    const check = checkHouse(done.value.house);
    const found = check.findings.map((one) => one.ruleId);
    expect(found).not.toContain('dishwasher-receptacle');
    expect(found).not.toContain('box-on-stud');
  });
  const kitchen = () =>
    aHouse()
      .room('kit', 'kitchen', [0, 0, 240, 144])
      .feature('kit', 'range', ['c0', 20, 30, 26])
      .feature('kit', 'dishwasher', ['c0', 60, 24, 24])
      .feature('kit', 'refrigerator', ['c1', 20, 36, 30])
      .room('util', 'utility', [0, 160, 120, 96])
      .feature('util', 'water-heater', ['c0', 10, 22, 22], { fuel: true })
      .feature('util', 'furnace', ['c0', 50, 30, 30], { fuel: true })
      .standing('kiln', 'util', 'kiln', [40, 200, 34, 34]);

  it('are connected where they stand, with the load that they usually are', () => {
    const house = kitchen().build();
    expect(unconnectedAppliances(house).map((one) => one.kind)).toEqual([
      'range',
      'dishwasher',
      'refrigerator',
      'furnace',
      'kiln',
    ]);
    const done = connectAppliances(house, newId);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const { loads, boxes } = done.value.house;
    const placed = Object.values(loads).map((load) => [load.kind, boxes[load.box]!.at.kind, load.source]);
    expect(placed).toEqual([
      ['range', 'wall', 'typical'],
      ['dishwasher', 'wall', 'typical'],
      ['refrigerator', 'wall', 'typical'],
      ['furnace', 'wall', 'typical'],
      ['kiln', 'wall', 'typical'],
    ]);
    expect(unconnectedAppliances(done.value.house)).toEqual([]);
    expect(checkHouse(done.value.house).findings.map((one) => one.ruleId)).not.toContain('box-on-stud');
    const again = connectAppliances(done.value.house, newId);
    expect(again.ok ? '' : again.problems[0]!.message).toContain('Every appliance');
    expect(plan(done.value.house).objections.filter((one) => one.ruleId !== 'general-circuits')).toEqual([]);
  });

  it('keep clear of each other through the wall, and of a receptacle that stands there', () => {
    const house = aHouse()
      .room('a', 'kitchen', [0, 0, 144, 120])
      .feature('a', 'refrigerator', ['c2', 40, 36, 30])
      .room('b', 'laundry', [0, 124.5, 144, 120])
      .feature('b', 'refrigerator', ['c0', 68, 36, 30])
      .room('c', 'kitchen', [200, 0, 144, 120])
      .feature('c', 'refrigerator', ['c0', 40, 36, 30])
      .build();
    const places = (of: House) => {
      const done = connectAppliances(of, newId);
      if (!done.ok) throw new Error(done.problems[0]!.message);
      const clashes = checkHouse(done.value.house).findings.filter((one) => one.ruleId === 'boxes-collide');
      expect(clashes.map((one) => one.message)).toEqual([]);
      return Object.fromEntries(
        Object.values(done.value.house.boxes).flatMap(({ room, at, origin }) =>
          at.kind === 'wall' && origin === 'request' ? [[room, at]] : [],
        ),
      );
    };
    const free = places(house);
    const taken = placeBoxes(house, [
      { id: 'x', room: 'c', at: free['c']!, origin: 'code', devices: [newDevice('receptacle', 'xd')] },
    ]);
    if (!taken.ok) throw new Error(taken.problems[0]!.message);
    expect(places(taken.value.house)['c']).not.toEqual(free['c']);
  });

  it.each([
    ['a gas range has igniters', 'range', 'gas-range'],
    ['a gas dryer turns its drum', 'dryer', 'gas-dryer'],
  ] as const)('%s', (_, feature, kind) => {
    const house = aHouse()
      .room('r', 'kitchen', [0, 0, 144, 144])
      .feature('r', feature, ['c0', 20, 30, 26], { fuel: true });
    const done = connectAppliances(house.build(), newId);
    expect(done.ok && Object.values(done.value.house.loads).map((one) => one.kind)).toEqual([kind]);
  });

  it.each([
    ['apart', [['refrigerator']]],
    ['with-counter', []],
  ] as const)('a refrigerator %s, as the firm has it', (refrigerator, own) => {
    const withStandards = edit(kitchen().build(), 'CircuitStandard', (draft) => {
      draft.standards.planning = { ...planningOf(draft as House), refrigerator };
    });
    const done = withStandards.ok ? connectAppliances(withStandards.value.house, newId) : withStandards;
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const { planned, house } = plan(done.value.house);
    const kindsOf = (devices: readonly string[]) =>
      Object.values(house.loads).flatMap((load) => (devices.includes(load.device) ? [load.kind] : []));
    const apart = planned.filter((one) => one.circuit.purpose === 'individual').map((one) => kindsOf(one.devices));
    expect(apart.filter((kinds) => kinds.includes('refrigerator'))).toEqual(own);
    expect(checkHouse(house).findings.map((one) => one.ruleId)).not.toContain('refrigerator-on-gfci');
  });

  it('of the demo house are all connected', () => expect(unconnectedAppliances(demo)).toEqual([]));
});

describe('circuits by hand', () => {
  const [a, b, c] = Object.values(demo.circuits).filter((one) => one.poles === 1);

  it('are merged: every outlet moves, the first is gone, and all of it is taken back at once', () => {
    const done = mergeCircuits(demo, a!.id, b!.id);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const { house, edit: made } = done.value;
    expect(house.circuits[a!.id]).toBeUndefined();
    expect(outletsOn(house, b!).length).toBe(outletsOn(demo, a!).length + outletsOn(demo, b!).length);
    expect(applyEdit(house, made.inverse)).toEqual({ ok: true, value: demo });
    expect(mergeCircuits(demo, a!.id, 'nowhere').ok).toBe(false);
  });

  it('share a neutral in pairs: a new partner sets the old one free, and so does none', () => {
    const share = (house: House, id: string, other: string | null) => {
      const done = shareNeutral(house, id, other);
      if (!done.ok) throw new Error(done.problems[0]!.message);
      return done.value.house;
    };
    const partners = (house: House) => [a, b, c].map((one) => house.circuits[one!.id]!.sharesNeutralWith);
    const first = share(demo, a!.id, b!.id);
    expect(partners(first)).toEqual([b!.id, a!.id, undefined]);
    const second = share(first, b!.id, c!.id);
    expect(partners(second)).toEqual([undefined, c!.id, b!.id]);
    expect(partners(share(second, c!.id, null))).toEqual([undefined, undefined, undefined]);
  });
});

it('what one group of switches controls is planned onto one circuit, and its switches with it', () => {
  const { house } = plan(emptied('2023'));
  const { byDevice } = indexOutlets(house);
  for (const group of Object.values(house.switchGroups)) {
    const circuits = new Set([...group.controls, ...group.switches].map((id) => byDevice.get(id)!.device.circuit));
    expect([group.name, circuits.size]).toEqual([group.name, 1]);
  }
});

it('a feed order that somebody drew goes with the circuit that is planned again', () => {
  const before = Object.values(demo.cables);
  expect(before.length).toBeGreaterThan(10);
  const { house, settled } = plan(demo);
  const kept = Object.values(house.cables).filter((one) => demo.cables[one.id] === one);
  const circuits = new Set(kept.map((one) => one.circuit));
  // Drawn with the plan instead: a cable to every box of the circuit, and no other.
  for (const { unit, tree, runs } of wireHouse(house).units) {
    if (!settled.includes(unit.circuits[0]!.name)) continue;
    expect(circuits).not.toContain(unit.id);
    expect([tree.stored, tree.unfed, runs.length]).toEqual([
      true,
      [],
      new Set(unit.outlets.map((one) => one.box)).size,
    ]);
  }
  for (const id of circuits) {
    const devices = (one: House) =>
      indexOutlets(one)
        .byCircuit.get(id)!
        .map((outlet) => outlet.device.id)
        .sort();
    expect(devices(house)).toEqual(devices(demo));
  }
});
