import { describe, expect, it } from 'vitest';
import { indexOutlets } from '../circuits/outlets';
import { checkHouse } from '../nec/check-house';
import { individualCircuit } from '../nec/rules/individual-circuit';
import { EDITIONS } from '../house/schema';
import { wireHouse } from '../makeup/make-up';
import { proveUnit } from '../proof/prove';
import { aHouse } from '../test/house-builder';
import { byTheTool } from '../test/by-the-tool';
import { must } from '../test/must';
import { addTypedThing } from '../typed/typed-thing';
import { connectAppliances, setFunctions, unconnectedAppliances } from './connect-appliances';

/** A bath and a hall beside it, with a panel. */
const drawn = (edition: (typeof EDITIONS)[number] = '2023') =>
  aHouse(edition)
    .room('bath', 'bathroom', [0, 0, 120, 108])
    .room('hall', 'hallway', [0, 112.5, 240, 48])
    .room('util', 'utility', [124.5, 0, 115.5, 108])
    .opening('bath', 'c2', 'door', 40, 30)
    .opening('util', 'c2', 'door', 20, 32)
    .feature('bath', 'basin', ['c0', 20, 30, 21])
    .feature('bath', 'tub', ['c1', 10, 30, 60])
    .panel('P', 'util', 30)
    .build();
let n = 0;
const newId = (prefix: string) => `${prefix}-u${++n}`;
const typed = (line: string, house = drawn()) =>
  must(must(addTypedThing(house, 'L1', line, 'bath', newId)).edited).house;
const kindsIn = (house: ReturnType<typeof drawn>) =>
  Object.values(house.boxes).map((box) =>
    Object.values(box.devices)
      .map(({ id, kind }) => Object.values(house.loads).find((one) => one.device === id)?.kind ?? kind)
      .sort(),
  );

describe('an exhaust fan that does more', () => {
  it.each([
    ['bath fan', [['exhaust-fan']]],
    ['bath fan with light', [['exhaust-fan', 'luminaire']]],
    ['bath fan with heat', [['bath-heater', 'exhaust-fan']]],
    ['fan light heater', [['bath-heater', 'exhaust-fan', 'luminaire']]],
  ])('"%s" is one thing in one box', (line, kinds) => {
    const house = typed(line);
    expect(kindsIn(house)).toEqual(kinds);
    expect(unconnectedAppliances(house)).toEqual([]);
  });

  it('of two fans in a bath, one that heats leaves the other to be connected', () => {
    const two = typed('bath fan at 90 on east', typed('fan light heater'));
    expect(kindsIn(two)).toHaveLength(2);
    const bare = { ...two, boxes: {}, loads: {} };
    const [first] = unconnectedAppliances(bare);
    expect(unconnectedAppliances(must(connectAppliances(bare, newId, new Set([first!.id]))).house)).toHaveLength(1);
  });

  it('changes what it does as long as nothing is done at its box', () => {
    const house = typed('bath fan');
    const [fan] = Object.values(house.features).filter((one) => one.kind === 'bath-fan');
    const more = must(setFunctions(house, fan!.id, ['heat', 'light'], newId)).house;
    expect(kindsIn(more)).toEqual([['bath-heater', 'exhaust-fan', 'luminaire']]);
    expect(kindsIn(must(setFunctions(more, fan!.id, [], newId)).house)).toEqual([['exhaust-fan']]);
    const [box] = Object.values(more.boxes);
    const made = { ...more, boxes: { [box!.id]: { ...box!, progress: 'nailed' as const } } };
    expect(kindsIn(must(setFunctions(made, fan!.id, [], newId)).house)).toEqual(kindsIn(more));
  });

  it.each(EDITIONS)('is laid out, switched and planned as one: %s', (edition) => {
    const house = byTheTool(typed('fan light heater', drawn(edition)));
    const index = indexOutlets(house);
    const heater = index.loads.find((one) => one.load?.kind === 'bath-heater')!;
    const unit = Object.values(heater.box.devices);
    const [circuit, ...others] = [...new Set(unit.map((one) => one.circuit))];
    expect(others).toEqual([]);
    expect(house.circuits[circuit!]).toMatchObject({ ratingA: 20, purpose: 'individual' });
    // Nothing but the unit and its switches hangs on its circuit.
    const fed = index.byCircuit.get(circuit!)!.filter((one) => one.device.kind !== 'switch');
    expect(new Set(fed.map((one) => one.box.id))).toEqual(new Set([heater.box.id]));
    const switchedBy = (id: string) => Object.values(house.switchGroups).filter((one) => one.controls.includes(id));
    const fan = index.loads.find((one) => one.load?.kind === 'exhaust-fan')!;
    const groups = [heater.device.id, fan.device.id].map((id) => switchedBy(id).map((one) => one.id));
    expect(groups.map((one) => one.length)).toEqual([1, 1]);
    expect(groups[0]).not.toEqual(groups[1]);
    expect(checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation')).toEqual([]);
    const { units, boxes } = wireHouse(house);
    expect(units.flatMap((one) => proveUnit(house, one, boxes).flaws)).toEqual([]);
  });

  it('shares its circuit with nothing else', () => {
    const one = typed('fan light heater');
    const [box] = Object.values(one.boxes);
    const devices = Object.fromEntries(Object.values(box!.devices).map((it) => [it.id, { ...it, circuit: 'A' }]));
    const circuit = { id: 'A', name: 'A', poles: 1, ratingA: 20, awg: '12', panel: 'P', space: 1 } as const;
    const fed = { ...one, circuits: { A: circuit as never }, boxes: { [box!.id]: { ...box!, devices } } };
    const verdicts = (house: typeof fed) => {
      const { findings, passes } = checkHouse(house, { rules: [individualCircuit] });
      return [...findings, ...passes].map((each) => each.kind);
    };
    expect(verdicts(fed)).toEqual(['pass']);
    const lamp = {
      id: 'x',
      kind: 'luminaire',
      circuit: 'A',
      style: 'surface',
      va: 12,
      weightLb: 5,
      marked: 'dry',
    } as const;
    const shared = {
      ...fed,
      boxes: {
        ...fed.boxes,
        other: { ...box!, id: 'other', tag: 'R9-9', devices: { x: { ...lamp, enclosed: true } as never } },
      },
    };
    expect(verdicts(shared)).toEqual(['fail']);
  });
});
