import { describe, expect, it } from 'vitest';
import { standardsSchema } from '../house/schema';
import { must } from '../test/must';
import { createHouse } from './create-house';
import { keepOwnStandards, standardsApart, takeStandards } from './shop-standards';

const firm = standardsSchema.parse({
  switchHeightIn: 44,
  planning: { wire: 'twelve' },
  presets: [{ name: 'Bed', text: "R 1' R 6'" }],
});

describe('shop standards of a firm and of a house', () => {
  it('names what differs, in words and with units, and nothing that only says the usual', () => {
    expect(standardsApart(createHouse('New'), firm)).toEqual([
      { key: 'switchHeightIn', name: 'Switch height', ofFirm: `3'-8"`, ofHouse: `4'-0"`, isOwn: false },
      { key: 'planning.wire', name: 'Planning: wire', ofFirm: 'twelve', ofHouse: 'fourteen', isOwn: false },
      { key: 'presets', name: 'Presets', ofFirm: '1 of its own', ofHouse: 'the usual', isOwn: false },
    ]);
    expect(standardsApart(createHouse('New'), standardsSchema.parse({ planning: {} }))).toEqual([]);
  });

  it('takes what is asked for and leaves the rest; taken whole, nothing differs', () => {
    const house = createHouse('New');
    const one = must(takeStandards(house, firm, ['planning.wire'])).house;
    expect(one.standards).toEqual({ ...house.standards, planning: { ...one.standards.planning, wire: 'twelve' } });
    const all = must(takeStandards(one, firm, ['switchHeightIn', 'presets'])).house;
    expect(standardsApart(all, firm)).toEqual([]);
    expect(must(takeStandards(all, standardsSchema.parse({}), ['presets'])).house.standards.presets).toBeUndefined();
  });

  it('keeps what a house holds of its own until it takes the firm’s', () => {
    const kept = must(keepOwnStandards(createHouse('New'), ['switchHeightIn'])).house;
    expect(standardsApart(kept, firm).map((one) => one.isOwn)).toEqual([true, false, false]);
    expect(must(takeStandards(kept, firm, ['switchHeightIn'])).house.standards.own).toBeUndefined();
  });
});
