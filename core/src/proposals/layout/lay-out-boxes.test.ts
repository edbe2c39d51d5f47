import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { connectAppliances } from '../../edits/connect-appliances';
import { removeEntities } from '../../edits/remove';
import { edit } from '../../house/edit';
import { EDITIONS, type Edition, type House } from '../../house/schema';
import { checkHouse } from '../../nec/check-house';
import { viewRoom } from '../../plan/room-view';
import { faceUnder, isFramedAt } from '../../plan/studs';
import { toLoop, wallLoop } from '../../plan/wall-loop';
import { acceptPlan, planBoxes } from './lay-out-boxes';
import { aHouse, bedroom } from '../../test/house-builder';
import { demo } from '../../test/demo-house';
import { garageDwelling } from '../../test/garage-dwelling';
import { must } from '../../test/must';

const newId = () => {
  let n = 0;
  return (prefix: string) => `${prefix}-n${++n}`;
};
const planWhole = (house: House) => planBoxes(house, Object.keys(house.rooms), newId());
function boxed(house: House): House {
  const plan = planWhole(house);
  const accepted = acceptPlan(house, plan, new Set(plan.boxes.map((one) => one.box.id)));
  if (!accepted.ok) throw new Error(accepted.problems[0]!.message);
  return accepted.value.house;
}
function emptied(edition: Edition): House {
  const bare = removeEntities(
    demo,
    Object.keys(demo.boxes).map((id) => ({ collection: 'boxes' as const, id })),
  );
  if (!bare.ok) throw new Error(bare.problems[0]!.message);
  const set = edit(bare.value.house, 'Edition', (draft) => void (draft.job.edition = edition));
  if (!set.ok) throw new Error(set.problems[0]!.message);
  return set.value.house;
}
const faults = (house: House) =>
  checkHouse(house)
    .findings.filter((one) => one.kind === 'fail' && one.stage === 'boxes' && one.severity !== 'reminder')
    .map((one) => one.message);

describe('boxing the demo house from nothing', () => {
  it.each(EDITIONS)('leaves no violation and no caution about boxes under NEC %s', (edition) => {
    const house = boxed(emptied(edition));
    expect(faults(house)).toEqual([]);
    expect(Object.keys(house.boxes).length).toBeGreaterThan(90);
  });

  it('puts boxes on studs, and marks for a bracket every one that stands on none', () => {
    const house = boxed(emptied('2023'));
    for (const box of Object.values(house.boxes)) {
      if (box.at.kind !== 'wall' || !isFramedAt(viewRoom(house, box.room), box.at.wall)) continue;
      const atIn = toLoop(wallLoop(house.rooms[box.room]!), box.at.wall, box.at.alongIn);
      const face = faceUnder(viewRoom(house, box.room), atIn, box.at.heightIn, box.gangs);
      expect(Boolean(face) || box.bracket === true, `${box.tag} floats`).toBe(true);
    }
  });

  it('has nothing more to propose the second time', () => {
    const house = boxed(emptied('2020'));
    const again = planWhole(house);
    expect(again.boxes.map((one) => `${one.box.room}: ${one.reason}`)).toEqual([]);
  });

  it('is the same every time', () => {
    expect(planWhole(emptied('2017'))).toEqual(planWhole(emptied('2017')));
  });

  it('gives every box a reason and a section', () => {
    for (const one of planWhole(emptied('2014')).boxes) {
      expect(one.reason.length).toBeGreaterThan(5);
      expect(one.section).toMatch(/^(\d{3}\.|IRC|common practice)/);
    }
  });
});

describe('what a person placed', () => {
  it('stays, and is counted', () => {
    const house = bedroom().receptacle('bed', 'c0', 60).build();
    const plan = planWhole(house);
    const accepted = acceptPlan(house, plan, new Set(plan.boxes.map((one) => one.box.id)));
    if (!accepted.ok) throw new Error(accepted.problems[0]!.message);
    for (const [id, box] of Object.entries(house.boxes)) expect(accepted.value.house.boxes[id]).toEqual(box);
    const without = planWhole(bedroom().build()).boxes.filter((one) => one.section === '210.52(A)(1)').length;
    const withOne = plan.boxes.filter((one) => one.section === '210.52(A)(1)').length;
    expect(withOne).toBeLessThanOrEqual(without);
  });

  it('may take some of the proposal, and groups keep only what was taken', () => {
    const house = bedroom().build();
    const plan = planWhole(house);
    const light = plan.boxes.find((one) => one.box.devices[0]!.kind === 'luminaire')!;
    const accepted = acceptPlan(house, plan, new Set([light.box.id]));
    if (!accepted.ok) throw new Error(accepted.problems[0]!.message);
    expect(Object.keys(accepted.value.house.boxes)).toEqual([light.box.id]);
    expect(accepted.value.house.switchGroups).toEqual({});
    expect(acceptPlan(house, plan, new Set()).ok).toBe(false);
  });
});

describe('switches', () => {
  const latch = (hinge: 'left' | 'right') => {
    const house = aHouse()
      .room('hall', 'hallway', [0, 126, 144, 42])
      .room('den', 'den', [0, 0, 144, 120])
      .opening('den', 'c2', 'door', 50, 32, { hinge })
      .build();
    const one = planBoxes(house, ['den'], newId()).boxes.find((box) => box.box.devices[0]!.kind === 'switch')!;
    if (one.box.at.kind !== 'wall') throw new Error('a switch stands on a wall');
    return [one.box.at.wall, one.box.at.alongIn, one.box.at.heightIn] as const;
  };
  it('stand at the latch side of the door, at the standard height', () => {
    const [wall, alongIn, heightIn] = latch('left');
    expect([wall, heightIn]).toEqual(['c2', 48]);
    expect(alongIn).toBeGreaterThan(82);
    expect(alongIn).toBeLessThan(95);
    const [, other] = latch('right');
    expect(other).toBeLessThan(50);
    expect(other).toBeGreaterThan(37);
  });

  it('govern the stair from every floor, and the porch from beside its door', () => {
    const { switchGroups, boxes } = boxed(emptied('2023'));
    const roomsOf = (ids: readonly string[]) =>
      new Set(
        Object.values(boxes)
          .filter((box) => ids.some((id) => box.devices[id]))
          .map((box) => box.room),
      );
    const stair = Object.values(switchGroups).find((group) => group.name === 'Stair lights')!;
    expect([...roomsOf(stair.switches)].sort()).toEqual(['stair', 'stair2']);
    const porch = Object.values(switchGroups).find((group) => group.name === 'Front porch light')!;
    expect([...roomsOf(porch.switches)]).toEqual(['foyer']);
  });
});

describe('rooms of any shape', () => {
  it('are boxed without a violation, or what is missing is said', () => {
    const door = fc.record({
      wall: fc.nat(3),
      at: fc.double({ min: 0, max: 1, noNaN: true }),
      hinge: fc.constantFrom('left', 'right'),
    });
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 300 }),
        fc.integer({ min: 80, max: 300 }),
        fc.array(door, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(...EDITIONS),
        (width, depth, doors, edition) => {
          const builder = aHouse(edition).room('r', 'bedroom', [0, 0, width, depth]);
          const walls = new Set<number>();
          for (const one of doors) {
            if (walls.has(one.wall)) continue;
            walls.add(one.wall);
            const length = one.wall % 2 === 0 ? width : depth;
            builder.opening('r', `c${one.wall}`, 'door', Math.floor(one.at * (length - 32)), 32, { hinge: one.hinge });
          }
          const house = builder.build();
          const plan = planWhole(house);
          const left = faults(boxed(house));
          // A door into the corner leaves walls on which no switch fits; the plan then says so.
          if (plan.open.length === 0) expect(left).toEqual([]);
          else for (const one of plan.open) expect(one.text.length).toBeGreaterThan(10);
          expect(left.filter((one) => one.includes('six-foot cord'))).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what the trade prefers where the code leaves the choice', () => {
  const receptacles = (house: House, room = 'r') =>
    Object.values(house.boxes).flatMap((box) =>
      box.room === room && box.at.kind === 'wall' && Object.values(box.devices)[0]!.kind === 'receptacle'
        ? [{ ...box.at, height: box.at.heightIn }]
        : [],
    );
  /** A bedroom of 14 by 12 ft with its bed in the middle of the north wall. */
  const sleeping = (bedsides?: 'as-spaced') =>
    boxed(
      bedroom('2023')
        .feature('bed', 'bed', ['c0', 42, 60, 80])
        .with((house) => Object.assign(house.standards, bedsides ? { bedsides } : {}))
        .build(),
    );
  const beside = (house: House) =>
    receptacles(house, 'bed').filter(
      ({ wall, alongIn }) => wall === 'c0' && ((alongIn >= 12 && alongIn <= 39) || (alongIn >= 105 && alongIn <= 132)),
    );

  it('one at each side of a bed, on studs, unless the shop standard leaves it to the spacing', () => {
    expect(beside(sleeping())).toHaveLength(2);
    expect(beside(sleeping('as-spaced')).length).toBeLessThan(2);
    expect(faults(sleeping())).toEqual([]);
    const again = planWhole(sleeping());
    expect(again.boxes).toEqual([]);
  });

  it('none in the last 4 in before a corner where as few on other studs reach everything', () => {
    for (const [width, depth] of [
      [144, 120],
      [168, 144],
      [132, 156],
      [200, 130],
    ] as const) {
      const house = boxed(
        aHouse('2023').room('r', 'den', [0, 0, width, depth]).opening('r', 'c2', 'door', 12, 32).build(),
      );
      const lengthOf = { c0: width, c1: depth, c2: width, c3: depth };
      for (const { wall, alongIn } of receptacles(house))
        expect(Math.min(alongIn, lengthOf[wall as 'c0'] - alongIn) - 1.125).toBeGreaterThanOrEqual(4);
    }
  });

  it('a garage has them along its walls, not in the corners behind the vehicles', () => {
    const house = boxed(
      aHouse('2023')
        .room('r', 'garage', [0, 0, 264, 288], { bays: 2 })
        .opening('r', 'c0', 'vehicle', 12, 96)
        .opening('r', 'c0', 'vehicle', 150, 96)
        .build(),
    );
    const found = receptacles(house);
    expect(found).toHaveLength(2);
    const lengthOf = { c0: 264, c1: 288, c2: 264, c3: 288 };
    for (const { wall, alongIn } of found)
      expect(Math.min(alongIn, lengthOf[wall as 'c0'] - alongIn)).toBeGreaterThan(36);
  });

  it('a kitchen with one short counter gets two receptacles over it: each circuit reaches it', () => {
    const house = boxed(
      aHouse('2023').room('r', 'kitchen', [0, 0, 120, 120]).feature('r', 'counter', ['c0', 30, 44, 25]).build(),
    );
    expect(receptacles(house).filter(({ height }) => height > 36)).toHaveLength(2);
  });

  it.each(['deck', 'porch', 'outdoors'] as const)(
    'the receptacle of a %s is in the wall of the house, beside the door, never at its free edge',
    (kind) => {
      const house = aHouse('2020')
        .room('den', 'den', [0, 0, 200, 150])
        .room('out', kind, [-60, 154.5, 400, 120], kind === 'outdoors' ? { side: 'back' } : {})
        .opening('den', 'c2', 'door', 80, 36)
        .build();
      const plan = planBoxes(house, ['out'], newId());
      const [at] = plan.boxes
        .filter(({ box }) => Object.values(box.devices).some((one) => one.kind === 'receptacle'))
        .map(({ box }) => box.at);
      if (at?.kind !== 'wall') throw new Error('none on a wall');
      expect(at.wall).toBe('c0');
      // The door is 84 to 120 in from the left of the den, and the den begins 60 in along this wall.
      const aside = Math.min(Math.abs(at.alongIn - 144), Math.abs(at.alongIn - 180));
      expect(aside).toBeGreaterThan(12);
      expect(aside).toBeLessThan(36);
    },
  );

  it('a yard that touches no house is left to the owner of the plan, not to its fence', () => {
    const house = aHouse('2020')
      .room('den', 'den', [0, 0, 200, 150])
      .room('out', 'outdoors', [400, 0, 200, 200], { side: 'back' })
      .build();
    const plan = planBoxes(house, ['out'], newId());
    expect(plan.boxes).toEqual([]);
    expect(plan.open.map((one) => one.text).join()).toContain('No place on a wall of out');
  });

  /** Ids that what is there has not. */
  const apart = () => {
    const next = newId();
    return (prefix: string) => next(`${prefix}-apart`);
  };
  const placed = (house: House, room: string, kind: 'receptacle' | 'switch' | 'luminaire') =>
    planBoxes(house, [room], apart())
      .boxes.map((one) => one.box)
      .filter((box) => Object.values(box.devices).some((one) => one.kind === kind));

  it.each([
    ['side by side around a corner: one switch serves both', 100, 1],
    ['far apart: one at each', 20, 2],
  ])('two ways into a room %s', (_, alongIn, switches) => {
    const house = aHouse()
      .room('den', 'den', [0, 0, 180, 150])
      .room('hall', 'hallway', [184.5, 0, 48, 150])
      .room('foyer', 'foyer', [0, 154.5, 180, 90])
      // One door at the lower end of the east wall, the other in the south wall.
      .opening('den', 'c1', 'door', 110, 32)
      .opening('den', 'c2', 'door', 120 - alongIn, 32)
      .build();
    expect(placed(house, 'den', 'switch')).toHaveLength(switches);
  });

  it('a double vanity has a light over each mirror, a lamp in the fan or not', () => {
    const bath = () =>
      aHouse()
        .room('bath', 'bathroom', [0, 0, 170, 110])
        .opening('bath', 'c2', 'door', 20, 30)
        .feature('bath', 'basin', ['c0', 20, 24, 21])
        .feature('bath', 'basin', ['c0', 90, 24, 21]);
    const overMirrors = (house: House) => placed(house, 'bath', 'luminaire').filter((box) => box.at.kind === 'wall');
    expect(overMirrors(bath().build())).toHaveLength(2);
    const fan = bath()
      .standing('fan', 'bath', 'bath-fan', [80, 50, 12, 12], { functions: ['light', 'heat'] })
      .build();
    const connected = must(connectAppliances(fan, newId())).house;
    expect(overMirrors(connected)).toHaveLength(2);
    // Its own lamp lights the middle, and has a switch of its own: it hangs on another circuit.
    expect(placed(connected, 'bath', 'luminaire')).toHaveLength(2);
    const { groups } = planBoxes(connected, ['bath'], apart());
    expect(groups.map((one) => one.name).sort()).toEqual(['bath fan', 'bath fan light', 'bath heater', 'bath light']);
  });

  it('a stair that is drawn on one floor has a switch on the other as well', () => {
    const house = planWhole(garageDwelling('2023'));
    const group = house.groups.find((one) => one.name === 'stair light')!;
    const levels = house.boxes
      .filter(({ box }) => group.switches.some((id) => box.devices.some((one) => one.id === id)))
      .map(({ box }) => garageDwelling('2023').rooms[box.room]!.level);
    expect(levels.sort()).toEqual(['L1', 'L2']);
  });

  it('a laundry has a receptacle for the iron, away from the machines; a closet with a washer none', () => {
    const laundry = (depthIn: number) =>
      aHouse()
        .room('r', 'laundry', [0, 0, 120, depthIn])
        .opening('r', 'c2', 'door', 20, 32)
        .feature('r', 'washer', ['c0', 10, 28, 30])
        .feature('r', 'dryer', ['c0', 42, 28, 30])
        .build();
    const receptacles = (house: House) =>
      placed(must(connectAppliances(house, newId())).house, 'r', 'receptacle').map((box) => box.at);
    expect(receptacles(laundry(96))).toHaveLength(1);
    expect(receptacles(laundry(40))).toEqual([]);
  });

  it('the gangs of every box are in one order: the light of the room, its fan, the light outside', () => {
    const nth = (name: string) => (/fan$/.test(name) ? 1 : 0);
    const house = boxed(emptied('2023'));
    for (const box of Object.values(house.boxes)) {
      const names = Object.keys(box.devices).flatMap((id) =>
        Object.values(house.switchGroups).flatMap((group) =>
          group.switches.includes(id)
            ? [{ name: group.name, own: group.name.startsWith(house.rooms[box.room]!.name) }]
            : [],
        ),
      );
      const order = names.map(({ name, own }) => (own ? nth(name) : 2));
      expect(order, box.tag).toEqual([...order].sort());
    }
  });
});
