import { describe, expect, it } from 'vitest';
import { removeEntities } from '../edits/remove';
import { readHouseFile, writeHouseFile } from '../formats/house-file';
import type { House } from '../house/schema';
import { byTheTool } from '../test/by-the-tool';
import { must } from '../test/must';
import { smallHouse } from '../test/small-house';
import { fitDay } from './fit-day';
import { keepDay, readDay } from './kept-days';
import { simulateDay } from './simulate';
import { supplyLimits } from './supply-limits';
import { typicalDay } from './typical';

const house = byTheTool(smallHouse('2023'));
const who = { name: 'Ana', date: '2026-12-01' };
let n = 0;
const newId = (prefix: string) => `${prefix}-${++n}`;
const NONE = new Set<string>();
const dayIn = (at: House, name: string) => Object.values(at.days).find((one) => one.name === name)!;
const usual = typicalDay(house);
const main = supplyLimits(house).find((one) => one.id === 'main')!;
const fitted = fitDay(house, usual, main);

describe('a kept day', () => {
  it('plays after a file was written and read as it did before', () => {
    const kept = must(
      keepDay(house, 'On the cord', { items: fitted.items, off: NONE, remember: fitted.rules }, who, newId),
    ).house;
    const read = must(readHouseFile(writeHouseFile(kept)));
    const day = readDay(read, dayIn(read, 'On the cord'));
    expect(day.remember).toEqual(fitted.rules);
    expect(day.remember.length).toBeGreaterThan(0);
    const [before, after] = [simulateDay(house, fitted.items), simulateDay(read, day.items)];
    expect(after.peakA).toBeCloseTo(before.peakA, 9);
    expect(after.kiloWattHours).toBeCloseTo(before.kiloWattHours, 9);
    expect(after.supplies.every((one) => one.overAtS === undefined)).toBe(true);
  });

  it('holds only what differs from a usual one, so that it follows the house', () => {
    const kept = must(keepDay(house, 'Usual', { items: usual, off: NONE, remember: [] }, who, newId)).house;
    expect(dayIn(kept, 'Usual').lines).toEqual([]);
    const off = must(
      keepDay(house, 'Away', { items: usual, off: new Set([usual[0]!.id]), remember: [] }, who, newId),
    ).house;
    expect(dayIn(off, 'Away').lines.map((one) => [one.item, one.off])).toEqual([[usual[0]!.id, true]]);
    expect([...readDay(off, dayIn(off, 'Away')).off]).toEqual([usual[0]!.id]);
    // Switched on again it runs at its hours.
    expect(readDay(off, dayIn(off, 'Away')).items[0]!.runs).toEqual(usual[0]!.runs);
  });

  it('keeps what is brought along until its receptacle is gone, and says so then', () => {
    const heater = { ...usual.find((one) => one.id.startsWith('plug '))!, id: 'item-1', what: 'Fan heater' };
    const kept = must(keepDay(house, 'Cold', { items: [...usual, heater], off: NONE, remember: [] }, who, newId)).house;
    expect(readDay(kept, dayIn(kept, 'Cold')).items.at(-1)).toMatchObject({
      what: 'Fan heater',
      device: heater.device,
    });
    const box = Object.values(kept.boxes).find((one) => one.devices[heater.device])!;
    const without = must(removeEntities(kept, [{ collection: 'boxes', id: box.id }])).house;
    expect(readDay(without, dayIn(without, 'Cold')).lost).toEqual(['Fan heater']);
  });

  it('is kept anew under its own name, and not without one', () => {
    const once = must(keepDay(house, 'A', { items: usual, off: NONE, remember: [] }, who, newId)).house;
    const twice = must(
      keepDay(once, ' A ', { items: usual, off: new Set([usual[1]!.id]), remember: [] }, who, newId),
    ).house;
    expect(Object.values(twice.days).map((one) => one.lines.length)).toEqual([1]);
    expect(keepDay(house, '  ', { items: usual, off: NONE, remember: [] }, who, newId)).toMatchObject({
      ok: false,
      problems: [{ path: 'day.name' }],
    });
  });
});
