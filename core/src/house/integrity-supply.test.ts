import { describe, expect, it } from 'vitest';
import { feederSchema, type House } from './schema';
import { validateHouse } from './validate';
import { withShop, withSource } from '../test/supply-cases';

const feeder = (id: string, from: string, to: string) =>
  feederSchema.parse({ id, from, to, ratingA: 60, conductor: { size: '6' }, ground: '10' });
const problems = (house: House, change: (draft: House) => void) => {
  const draft = structuredClone(house);
  change(draft);
  const read = validateHouse(draft);
  return read.ok ? [] : read.problems.map((one) => `${one.path}: ${one.message}`);
};

describe('what cannot be, of feeders and sources', () => {
  const shop = withShop().build();
  it.each<[string, (house: House) => void, string]>([
    [
      'a circle',
      (house) => void (house.feeders['G'] = feeder('G', 'Q', 'P')),
      'feeders.F.from: Q is fed by way of itself. Start the feeder at a panel nearer the service.',
    ],
    [
      'a panel that feeds itself',
      (house) => void (house.feeders['F'] = feeder('F', 'Q', 'Q')),
      'feeders.F.from: Q is fed by way of itself. Start the feeder at a panel nearer the service.',
    ],
    [
      'a panel fed twice',
      (house) => void (house.feeders['G'] = feeder('G', 'P', 'Q')),
      'feeders.G.to: Q is fed twice. Remove one of its feeders.',
    ],
    [
      'a feeder from nowhere',
      (house) => void (house.feeders['F'] = feeder('F', 'X', 'Q')),
      'feeders.F.from: Nothing has the id "X". Mend the id or remove the entry.',
    ],
    [
      'a room of no building',
      (house) => void delete house.buildings['B'],
      'rooms.shop.building: Nothing has the id "B". Mend the id or remove the entry.',
    ],
    [
      'a breaker of 0 A',
      (house) => void (house.feeders['F']!.ratingA = 0),
      'feeders.F.ratingA: Rating: 15 A at least. Type more.',
    ],
  ])('%s', (_, change, said) => expect(problems(shop, change)).toContain(said));

  it('a generator of 0 W', () =>
    expect(problems(withSource({}).build(), (house) => void (house.sources['S']!.runningW = 0))).toEqual([
      'sources.S.runningW: is at least 100 W',
    ]));

  it('an older file has none of them, and is read', () => {
    const {
      feeders: _f,
      sources: _s,
      buildings: _b,
      units: _u,
      supply: _p,
      ...older
    } = structuredClone(withSource({}).build());
    expect(validateHouse(older)).toMatchObject({
      ok: true,
      value: { feeders: {}, units: {}, supply: { kind: 'utility' } },
    });
  });
});
