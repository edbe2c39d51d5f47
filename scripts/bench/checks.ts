import { readFileSync } from 'node:fs';
import {
  askTap,
  checkHouse,
  leaveHousesUnfrozen,
  moveBox,
  netlistOf,
  planCircuits,
  prove,
  readHouseFile,
  simulateDay,
  typicalDay,
  walkAtNight,
  wireHouse,
  type House,
} from '../../core/src/index';
import type { Figure } from './main';

// As the interface has it: see web/src/stores/house.ts.
leaveHousesUnfrozen();

const read = readHouseFile(readFileSync(new URL('../../demo/studio-house.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problems[0]!.message);
export const demo: House = read.value;

const ID_FIELDS = new Set(['id', 'room', 'feature', 'circuit', 'box', 'device', 'gfciFirst', 'from', 'to']);

/** The demo house `n` times side by side: every id with a suffix, every room a lot further on. */
export function manyTimes(house: House, n: number): House {
  const many = structuredClone(house);
  const collections = [
    'rooms',
    'openings',
    'features',
    'boxes',
    'loads',
    'circuits',
    'switchGroups',
    'cables',
  ] as const;
  for (let i = 1; i < n; i++) {
    const suffix = `-${i}`;
    const text = JSON.stringify(Object.fromEntries(collections.map((one) => [one, house[one]])));
    const ids = new Set(
      collections
        .flatMap((one) => Object.keys(house[one]))
        .concat(Object.values(house.boxes).flatMap((box) => Object.keys(box.devices))),
    );
    // Words that happen to be ids (a room "kitchen") stay what they are where they are no id.
    const copy = JSON.parse(text, (key, value: unknown) =>
      typeof value === 'string' && ids.has(value) && ID_FIELDS.has(key) ? value + suffix : value,
    ) as House;
    for (const room of Object.values(copy.rooms)) {
      room.prefix = `${String.fromCharCode(64 + i)}${room.prefix}`.slice(0, 4);
      for (const corner of room.corners) corner.x += i * 600;
    }
    for (const feature of Object.values(copy.features)) if (feature.at.kind === 'free') feature.at.x += i * 600;
    for (const group of Object.values(copy.switchGroups)) {
      group.switches = group.switches.map((id) => id + suffix);
      group.controls = group.controls.map((id) => id + suffix);
    }
    for (const circuit of Object.values(copy.circuits)) [circuit.panel, circuit.space] = [null, null];
    for (const box of Object.values(copy.boxes)) {
      box.tag = `${String.fromCharCode(64 + i)}${box.tag.split('-')[0]}`.slice(0, 4) + `-${box.tag.split('-')[1]}`;
      if (box.at.kind !== 'wall') box.at.x += i * 600;
      const devices = Object.values(box.devices);
      box.devices = Object.fromEntries(devices.map((device) => [device.id, device]));
    }
    for (const one of collections)
      for (const entity of Object.values(copy[one])) (many[one] as Record<string, unknown>)[entity.id] = entity;
  }
  return many;
}

const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!;
function time(run: () => void): number {
  const started = performance.now();
  run();
  return performance.now() - started;
}

/** Milliseconds of a full check of a house that nothing is remembered of, the program being warm. One house at a time, as people open them. */
const fullChecks = (house: House, runs: number): number[] =>
  Array.from({ length: runs }, () => {
    const copy = structuredClone(house);
    return time(() => checkHouse(copy));
  });
const fullCheck = (house: House, runs: number): number => median(fullChecks(house, runs));

/**
 * How many times longer a house ten times as large takes: by the sums of the times, turn about. A middle time would leave the
 * collector out of the small house, which it interrupts less often than every second time, and not out of the large one.
 */
function tenfold(): number {
  const ten = manyTimes(demo, 10);
  fullChecks(ten, 4);
  let [small, large] = [0, 0];
  for (let turn = 0; turn < 12; turn++) {
    small += fullChecks(demo, 10).reduce((sum, one) => sum + one) / 10;
    large += fullChecks(ten, 1)[0]!;
  }
  return large / small;
}

function incremental(house: House, runs: number): number {
  let now = house;
  const box = Object.values(house.boxes).find((one) => one.at.kind === 'wall' && one.room === 'living')!;
  checkHouse(now);
  return median(
    Array.from({ length: runs }, (_, i) =>
      time(() => {
        const at = now.boxes[box.id]!.at;
        if (at.kind !== 'wall') throw new Error('a box on a wall');
        const moved = moveBox(now, box.id, { ...at, alongIn: at.alongIn + (i % 2 ? -1 : 1) });
        if (!moved.ok) throw new Error(moved.problems[0]!.message);
        now = moved.value.house;
        checkHouse(now);
      }),
    ),
  );
}

const ids = (() => {
  let n = 0;
  return (prefix: string) => `${prefix}-bench-${++n}`;
})();
const planning = (): number => median(Array.from({ length: 5 }, () => time(() => planCircuits(demo, ids))));
function asking(): number {
  const light = Object.values(demo.boxes).find((box) => box.at.kind === 'ceiling')!;
  const devices = Object.keys(light.devices);
  return median(Array.from({ length: 5 }, () => time(() => askTap(demo, { kind: 'standing', devices }))));
}
function living(): number {
  const items = typicalDay(demo);
  return median(Array.from({ length: 20 }, () => time(() => simulateDay(demo, items))));
}

const timed = (work: () => void): number => {
  const times = Array.from({ length: 9 }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[4]!;
};

/** All circuits proved as they are made up; the house itself is wired already. */
function proving(): number {
  const { units, boxes } = wireHouse(demo);
  return timed(() => units.forEach((one) => prove(netlistOf(one, boxes))));
}

export function measureChecks(): Figure[] {
  // Warm: compiled for houses as they are opened and as edits leave them.
  fullCheck(demo, 100);
  incremental(demo, 600);
  fullCheck(demo, 100);
  const full = fullCheck(demo, 100);
  const moved = incremental(demo, 300);
  return [
    { name: 'full check of the demo house, warm median', value: full, unit: 'ms', wanted: 16 },
    { name: 'one box moved and the house checked again', value: moved, unit: 'ms', wanted: 4 },
    { name: 'planning the circuits of the demo house', value: planning(), unit: 'ms', wanted: 3000 },
    { name: 'asking all circuits whether they may feed one light', value: asking(), unit: 'ms', wanted: 500 },
    { name: 'a day in the demo house', value: living(), unit: 'ms', wanted: 200 },
    { name: 'proving every switch position of the demo house', value: proving(), unit: 'ms', wanted: 1000 },
    { name: 'walking the demo house in the dark', value: timed(() => walkAtNight(demo)), unit: 'ms', wanted: 500 },
    { name: 'ten times the house against the house', value: tenfold(), unit: 'times', wanted: 12 },
  ];
}
