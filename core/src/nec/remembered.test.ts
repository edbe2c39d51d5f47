import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edit } from '../house/edit';
import type { DeviceKind } from '../house/schema-equipment';
import { ROOM_KINDS, type House } from '../house/schema';
import { wireHouse } from '../makeup/make-up';
import { checkHouse } from './check-house';
import { demo } from '../test/demo-house';

const pick = <T>(items: readonly T[], at: number): T => items[at % items.length]!;
const boxesOf = (house: House) => Object.values(house.boxes);
const devicesOf = (house: House) => boxesOf(house).flatMap((box) => Object.values(box.devices));

const holds = (kinds: readonly DeviceKind[]) => (box: House['boxes'][string]) =>
  Object.values(box.devices).some((device) => kinds.includes(device.kind));

/** One change of each kind that rules read; those that make an invalid house are refused and change nothing. */
const changes: readonly ((draft: House, n: number) => void)[] = [
  (draft, n) => {
    const { at } = pick(boxesOf(draft), n);
    if (at.kind === 'wall') at.heightIn = 8 + ((n * 7) % 80);
    else at.x += (n % 9) - 4;
  },
  (draft, n) => void (pick(devicesOf(draft), n).circuit = pick([null, ...Object.keys(draft.circuits)], n * 3)),
  (draft, n) => void Object.assign(pick(devicesOf(draft), n), n % 2 ? { gfci: true, tr: false } : { switched: 'half' }),
  (draft, n) => void (pick(Object.values(draft.rooms), n).kind = pick(ROOM_KINDS, n * 5)),
  (draft, n) =>
    void Object.assign(pick(Object.values(draft.circuits), n), {
      ratingA: pick([15, 20, 30, 50], n),
      breaker: 'plain',
    }),
  (draft, n) => void Object.assign(pick(Object.values(draft.loads), n), { va: 400 + n * 10, continuous: n % 2 === 0 }),
  (draft, n) => void (pick(Object.values(draft.features), n).heightIn = 10 + (n % 60)),
  (draft, n) => void (pick(Object.values(draft.switchGroups), n).switches.length = n % 3),
  (draft, n) =>
    void Object.assign(pick(boxesOf(draft), n), {
      state: pick(['existing', 'held', undefined], n),
      gangs: 1 + (n % 3),
    }),
  // Alarms, lights and switches: what rules about the whole house read of its boxes.
  (draft, n) => {
    const { at } = pick(boxesOf(draft).filter(holds(['alarm', 'luminaire', 'fan', 'switch'])), n);
    if (at.kind === 'wall') at.alongIn += (n % 60) - 30;
    else at.x += (n % 80) - 40;
  },
  (draft, n) => {
    const box = pick(boxesOf(draft).filter(holds(['alarm'])), n);
    for (const device of Object.values(box.devices))
      if (device.kind === 'alarm') device.senses = pick(['smoke', 'co', 'smoke-co'], n);
  },
  (draft, n) => void (draft.job.edition = pick(['2014', '2017', '2020', '2023'], n)),
  (draft, n) => {
    draft.decisions['a'] = {
      id: 'a',
      rule: pick(['voltage-drop', 'wall-receptacle-spacing', 'conductor-size', 'box-support'], n),
      change: n % 2 ? { kind: 'off' } : { kind: 'limit', limit: pick(['share', 'reachIn', 'boxLb'], n), value: 1 },
      by: 'Inspector of the demo county',
      date: '2026-01-02',
      note: '',
    };
  },
  (draft, n) => {
    const box = pick(boxesOf(draft), n);
    for (const id of Object.keys(box.devices))
      for (const load of Object.values(draft.loads)) if (load.device === id) delete draft.loads[load.id];
    const gone = new Set(Object.keys(box.devices));
    for (const group of Object.values(draft.switchGroups)) {
      group.switches = group.switches.filter((id) => !gone.has(id));
      group.controls = group.controls.filter((id) => !gone.has(id));
    }
    delete draft.boxes[box.id];
  },
];

const allOf = (house: House) => {
  const { findings, passes, statuses } = checkHouse(house);
  return { findings, passes, statuses };
};

test('a check that remembers says what a check of a house never seen says, whatever the edits were', () => {
  const step = fc.record({ which: fc.nat(changes.length - 1), n: fc.nat(500) });
  let applied = 0;
  fc.assert(
    fc.property(fc.array(step, { minLength: 2, maxLength: 8 }), (list) => {
      let house = demo;
      // All of them first: a house never seen would be forgotten for, and the next edit would be checked without memory.
      const checked = list.map(({ which, n }) => {
        const done = edit(house, 'x', (draft) => changes[which]!(draft as House, n));
        if (done.ok) [house, applied] = [done.value.house, applied + 1];
        return { house, said: allOf(house) };
      });
      for (const one of checked) expect(one.said).toEqual(allOf(structuredClone(one.house)));
    }),
    { numRuns: 12 },
  );
  expect(applied).toBeGreaterThan(10);
});

test('after an edit what it did not touch is remembered; when another house is checked, nothing is', () => {
  const first = checkHouse(demo);
  const edited = edit(demo, 'x', (draft) => void (draft.boxes[Object.keys(draft.boxes)[0]!]!.note = 'seen'));
  if (!edited.ok) throw new Error('edited');
  const known = new Set(first.findings);
  const again = checkHouse(edited.value.house).findings;
  expect(again.filter((one) => known.has(one)).length).toBeGreaterThan(again.length / 2);
  const wiring = wireHouse(edited.value.house);
  expect(wireHouse(edited.value.house)).toBe(wiring);
  checkHouse(structuredClone(demo));
  expect(wireHouse(edited.value.house)).not.toBe(wiring);
  expect(wireHouse(edited.value.house).boxes.size).toBe(wiring.boxes.size);
});
