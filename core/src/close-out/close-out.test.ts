import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { removeEntities } from '../edits/remove';
import { assignToCircuit, changeEntity } from '../edits/verbs';
import { indexOutlets } from '../circuits/outlets';
import { EDITIONS, type House } from '../house/schema';
import { outagesOn } from '../nec/outages';
import { byTheTool } from '../test/by-the-tool';
import { demo } from '../test/demo-house';
import { aHouse } from '../test/house-builder';
import { must } from '../test/must';
import { ranchHouse } from '../test/ranch-house';
import { smallHouse } from '../test/small-house';
import { edit } from '../house/edit';
import { inspectionItems, readinessOf } from './inspection-items';
import { inspectionPacket } from './inspection-packet';
import { grayPositions, saidBy, stateOf, testScript } from './test-script';

const houses: readonly (readonly [string, House])[] = [
  ['the demo house', demo],
  ['a ranch by the tool alone', byTheTool(ranchHouse('2023'))],
  ['a small house', byTheTool(smallHouse('2020'))],
];

describe.each(houses)('the test script of %s', (_, house) => {
  const script = testScript(house);
  const index = indexOutlets(house);
  const of = (kind: string) => script.filter((one) => one.kind === kind);

  it('tries every receptacle, group and circuit once, under ids that can be kept', () => {
    expect(new Set(script.map((one) => one.id)).size).toBe(script.length);
    for (const { id } of script) expect(id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
    expect(of('receptacle')).toHaveLength(index.all.filter((one) => one.device.kind === 'receptacle').length);
    const circuits = Object.values(house.circuits).filter((one) => outagesOn(house, one).length > 0);
    expect(of('breaker').filter((one) => one.id.startsWith('off-'))).toHaveLength(circuits.length);
    const alarms = index.all.filter((one) => one.device.kind === 'alarm');
    expect(of('alarm')).toHaveLength(alarms.length > 0 ? 1 : 0);
    for (const alarm of alarms) expect(of('alarm')[0]!.expect).toContain(alarm.box.tag);
  });

  it('goes from the panel through the rooms and comes back to it', () => {
    const kinds = script.map((one) => one.kind);
    expect(kinds[0]).toBe('panel');
    expect(kinds.at(-1)).toBe('breaker');
    expect(kinds.lastIndexOf('receptacle')).toBeLessThan(kinds.indexOf('breaker'));
    // A room is entered once.
    const rooms = script
      .filter((one) => one.kind !== 'panel' && one.kind !== 'alarm' && one.room)
      .map((one) => one.room!.id);
    const entered = rooms.filter((id, i) => id !== rooms[i - 1]);
    expect(new Set(entered).size).toBe(entered.length);
  });
});

describe('a step of the script', () => {
  it('of a GFCI says what dies and what must live on', () => {
    const house = aHouse()
      .room('bath', 'bathroom', [0, 0, 96, 96])
      .circuit('A', 20)
      .receptacle('bath', 'c0', 30, { circuit: 'A', gfci: true })
      .receptacle('bath', 'c2', 30, { circuit: 'A' })
      .build();
    const [own, other] = Object.values(house.boxes);
    const script = (one: House) => testScript(one).filter((step) => step.kind === 'gfci');
    expect(script(house)).toMatchObject([
      {
        what: `GFCI ${own!.tag}, bath`,
        act: expect.stringContaining('without a ground') as string,
        expect: `Dead: ${own!.tag}, bath. Still live: ${other!.tag}, bath. RESET brings them back.`,
      },
    ]);
    // First in line, it takes the other along.
    const first = must(changeEntity(house, 'circuits', 'A', { gfciFirst: Object.keys(own!.devices)[0]! })).house;
    expect(script(first)[0]!.expect).toBe(`Dead: ${own!.tag}, bath; ${other!.tag}, bath. RESET brings them back.`);
  });

  it.each([
    ['line-thermostat', 'Down is not off'],
    ['line-thermostat-2', 'both hots are dead'],
  ])('of a %s turns it, once, and says what its off is worth', (style, words) => {
    const house = aHouse()
      .room('bed', 'bedroom', [0, 0, 144, 120])
      .circuit('A', 20, { poles: 2 })
      .load('baseboard-heat', 'bed', 'c0', 40, 'A')
      .wallBox('bed', 'c1', 30, { kind: 'switch', style, circuit: 'A' })
      .with((draft) => {
        const [heater, control] = Object.values(draft.boxes).map((box) => Object.keys(box.devices)[0]!);
        draft.switchGroups['g'] = { id: 'g', name: 'Bedroom heat', switches: [control!], controls: [heater!] };
      })
      .build();
    const steps = testScript(house).filter((one) => one.kind === 'switch' || one.kind === 'setting');
    expect(steps).toHaveLength(1);
    expect(steps[0]).toMatchObject({ kind: 'switch', group: 'g', expect: expect.stringContaining(words) as string });
    expect(steps[0]!.act).toMatch(/turn it up until its heater warms/);
  });

  it('of switches flips one at a time and meets every combination: 2, 4, 8, 16', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), (n) => {
        const positions = grayPositions(n);
        expect(new Set(positions.map((one) => one.join())).size).toBe(2 ** n);
        for (const [i, now] of positions.entries())
          if (i > 0) expect(now.filter((up, bit) => up !== positions[i - 1]![bit])).toHaveLength(1);
      }),
    ));

  it('is to be done again once what it tests has changed', () => {
    const step = testScript(demo).find((one) => one.kind === 'breaker')!;
    const result = {
      id: step.id,
      reading: 'right' as const,
      said: saidBy(step),
      by: 'A',
      date: '2026-11-29',
      note: '',
    };
    expect(stateOf(step, undefined)).toBe('open');
    expect(stateOf(step, result)).toBe('right');
    expect(stateOf(step, { ...result, reading: 'open-ground' })).toBe('wrong');
    const circuit = Object.values(demo.circuits).find((one) => step.id.endsWith(one.id))!;
    const device = indexOutlets(demo).byCircuit.get(circuit.id)![0]!.device.id;
    const changed = must(assignToCircuit(demo, [device], null)).house;
    const then = testScript(changed).find((one) => one.id === step.id);
    if (then) expect(stateOf(then, result)).toBe('again');
  });
});

describe('the inspection packet', () => {
  it.each(EDITIONS)('says first whether a house is ready, and holds every verdict once, under NEC %s', (edition) => {
    const house = { ...demo, job: { ...demo.job, edition } };
    const packet = inspectionPacket(house);
    expect(packet.verdict).toBe('not-ready');
    const lines = [...packet.rooms.flatMap((one) => one.lines), ...packet.house];
    expect(lines.filter((one) => one.state === 'fails')).toHaveLength(packet.violations.length);
    expect(lines.filter((one) => one.state === 'open')).toHaveLength(packet.questions.length);
    // What is met is told by number where there is one, and once a rule and room where there is none.
    const met = lines.filter((one) => one.state === 'met');
    expect(met.filter((one) => one.measured !== '').length).toBeGreaterThan(40);
    expect(met.some((one) => /: met \d+ times$/.test(one.what))).toBe(true);
    for (const { lines: some } of packet.rooms) {
      const first = some.findIndex((one) => one.state === 'met');
      expect(
        some.slice(first).every((one) => one.state === 'met'),
        'what is open stands first',
      ).toBe(first >= 0);
    }
    for (const line of lines) expect(line.section, line.what).not.toBe('');
    expect(packet.fills.every((one) => one.usedIn3 > 0)).toBe(true);
    expect(packet.protection.map((one) => one.spaces)[0]).toBe('1-3');
  });

  it('of a house that the tool has laid out lists questions, and with nothing in it says so', () => {
    const packet = inspectionPacket(byTheTool(ranchHouse('2023')));
    expect(packet.violations).toEqual([]);
    expect(packet.verdict).toBe('questions');
    const empty = must(
      removeEntities(
        demo,
        Object.keys(demo.levels).map((id) => ({ collection: 'levels' as const, id })),
      ),
    ).house;
    expect(inspectionPacket(empty)).toMatchObject({ rooms: [], fills: [], protection: [] });
  });
});

describe('the lines of an inspection', () => {
  const house = byTheTool(ranchHouse('2023'));
  const lineOf = (at: House, visit: 'rough' | 'final', id: string, rooms?: readonly string[]) =>
    inspectionItems(at, visit, rooms).find((one) => one.id === id);

  it.each(['rough', 'final'] as const)('of the %s one say each its section once', (visit) => {
    const items = inspectionItems(house, visit);
    expect(items.length).toBeGreaterThan(10);
    expect(new Set(items.map((one) => one.id)).size).toBe(items.length);
    for (const one of items) expect(one).toMatchObject({ section: expect.stringMatching(/\d|practice/) as string });
  });

  it('are done when the boxes are made up and the tests are right, and not before', () => {
    expect(lineOf(house, 'rough', 'r-made-up')).toMatchObject({ state: 'todo' });
    expect(readinessOf(inspectionItems(house, 'final'))).toBe('not-ready');
    const made = must(
      edit(house, 'made up', (draft) => {
        for (const box of Object.values(draft.boxes)) box.progress = 'made-up';
        for (const step of testScript(house))
          if (step.kind === 'receptacle')
            draft.results[step.id] = {
              id: step.id,
              reading: 'right',
              said: saidBy(step),
              by: 'A',
              date: '2026-12-01',
              note: '',
            };
      }),
    ).house;
    expect(lineOf(made, 'rough', 'r-made-up')).toMatchObject({ state: 'met' });
    expect(lineOf(made, 'final', 'f-polarity')).toMatchObject({ state: 'met' });
    expect(lineOf(made, 'final', 'f-trim')).toMatchObject({ state: 'todo' });
  });

  it('fail where a rule does, in the rooms that are looked at', () => {
    const bath = Object.values(house.rooms).find((one) => one.kind === 'bathroom')!;
    const other = Object.values(house.rooms).find((one) => one.kind === 'bedroom')!;
    const bare = must(
      removeEntities(
        house,
        Object.values(house.boxes).flatMap((box) =>
          box.room === bath.id && Object.values(box.devices).some((one) => one.kind === 'receptacle')
            ? [{ collection: 'boxes' as const, id: box.id }]
            : [],
        ),
      ),
    ).house;
    expect(lineOf(bare, 'rough', 'r-placed')).toMatchObject({ state: 'fails' });
    expect(lineOf(bare, 'rough', 'r-placed', [other.id])!.state).not.toBe('fails');
    expect(lineOf(bare, 'rough', 'r-placed', [bath.id])).toMatchObject({ state: 'fails' });
  });

  it('leave out what the house has not', () => {
    expect(lineOf(byTheTool(smallHouse('2020')), 'final', 'f-alarms')).toBeDefined();
    const empty = aHouse().room('den', 'den', [0, 0, 96, 96]).build();
    expect(lineOf(empty, 'final', 'f-alarms')).toBeUndefined();
    expect(lineOf(empty, 'rough', 'r-work')).toMatchObject({ state: 'look' });
  });
});
