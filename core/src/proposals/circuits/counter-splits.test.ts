import { describe, expect, it } from 'vitest';
import { aHouse } from '../../test/house-builder';
import { boxesAlongCounters, compareCounterSplits } from './counter-splits';

/** A counter of 20 ft along one wall with six receptacles, the first three on SA1. */
const kitchen = (first = 3) => {
  const house = aHouse()
    .room('kit', 'kitchen', [0, 0, 240, 144])
    .feature('kit', 'counter', ['c0', 0, 240, 25])
    .circuit('SA1', 20, { purpose: 'small-appliance' })
    .circuit('SA2', 20, { purpose: 'small-appliance' });
  [20, 60, 100, 140, 180, 220].forEach((at, i) =>
    house.receptacle('kit', 'c0', at, { heightIn: 43, circuit: i < first ? 'SA1' : 'SA2' }),
  );
  return house;
};
const tagsOf = (split: { circuits: readonly { boxes: readonly { tag: string }[] }[] }) =>
  split.circuits.map(({ boxes }) => boxes.map((one) => one.tag.replace(/.*-/, '')).join(''));
const round = (value: number) => Math.round(value * 10) / 10;

describe('counter receptacles divided by what runs at once', () => {
  it('by turns puts two of three neighbors on one circuit, halves all three: 20.8 A against 28.3 A', () => {
    // Worked by hand: kettle 12.5 A, coffee maker 8.3 A, toaster 7.5 A at 120 V.
    const [{ splits } = { splits: [] }] = compareCounterSplits(kitchen().build());
    expect(splits.map((one) => [one.way, tagsOf(one), round(one.peakA)])).toEqual([
      ['by-turns', ['135', '246'], 20.8],
      ['as-it-is', ['123', '456'], 28.3],
    ]);
    expect(splits[1]!.circuits[0]!.running).toEqual(['Kettle', 'Coffee maker', 'Toaster']);
  });

  it('what is known to stand somewhere counts there and nowhere else', () => {
    const house = kitchen().load('kettle', 'kit', 'c0', 30, 'SA1').build();
    const [{ splits } = { splits: [] }] = compareCounterSplits(house);
    const today = splits.find((one) => one.way === 'as-it-is')!;
    expect(today.circuits.map((one) => round(one.peakA))).toEqual([28.3, 15.8]);
  });

  it('the proposal is one edit that gives what it shows', () => {
    const house = kitchen(5).build();
    const [{ splits } = { splits: [] }] = compareCounterSplits(house);
    for (const one of splits.filter(({ way }) => way !== 'as-it-is')) {
      const [{ splits: then } = { splits: [] }] = compareCounterSplits(one.edited.house);
      const now = then.find(({ way }) => way === 'as-it-is')!;
      expect([tagsOf(now), now.peakA, round(now.cableFt)]).toEqual([tagsOf(one), one.peakA, round(one.cableFt)]);
    }
    // Named so that the fewest receptacles change circuits: the first five stay where they can.
    expect(tagsOf(splits.find((one) => one.way === 'halves')!)).toEqual(['123', '456']);
  });

  it('a counter of its own on each circuit is a way where there are two', () => {
    const house = kitchen()
      .feature('kit', 'counter', ['c2', 0, 240, 25])
      .receptacle('kit', 'c2', 40, { heightIn: 43, circuit: 'SA1' })
      .receptacle('kit', 'c2', 80, { heightIn: 43, circuit: 'SA2' })
      .build();
    const [{ splits } = { splits: [] }] = compareCounterSplits(house);
    expect(tagsOf(splits.find((one) => one.way === 'by-counter')!)).toEqual(['123456', '78']);
  });

  it('a counter over the corner where the outline begins is one: its neighbors are neighbors', () => {
    const house = aHouse()
      .room('kit', 'kitchen', [0, 0, 144, 144])
      .feature('kit', 'counter', ['c0', 0, 100, 25])
      .feature('kit', 'counter', ['c3', 44, 100, 25])
      .receptacle('kit', 'c0', 40, { heightIn: 43 })
      .receptacle('kit', 'c3', 60, { heightIn: 43 })
      .receptacle('kit', 'c3', 110, { heightIn: 43 })
      .build();
    expect(
      boxesAlongCounters(house, house.rooms['kit']!).map((boxes) => boxes.map((one) => one.tag.slice(-1))),
    ).toEqual([['2', '3', '1']]);
  });

  it('a duplex that is split between the two circuits stays as it is', () => {
    const house = kitchen().with((draft) => {
      const box = Object.values(draft.boxes)[0]!;
      const upper = Object.values(box.devices)[0]!;
      Object.assign(upper, { style: 'half' });
      Object.assign(box.devices, { low: { ...upper, id: 'low', circuit: 'SA2', yokeWith: upper.id } });
    });
    const [{ splits } = { splits: [] }] = compareCounterSplits(house.build());
    expect(splits.length).toBeGreaterThan(1);
    for (const { edited } of splits)
      expect(Object.values(Object.values(edited.house.boxes)[0]!.devices).map((one) => one.circuit)).toEqual([
        'SA1',
        'SA2',
      ]);
  });

  it('one circuit, or a locked one, leaves nothing to divide', () => {
    expect(compareCounterSplits(kitchen(6).build())).toEqual([]);
    const locked = kitchen().with((house) => Object.assign(house.circuits['SA1']!, { locked: true }));
    expect(compareCounterSplits(locked.build())).toEqual([]);
  });
});
