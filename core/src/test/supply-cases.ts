import type { Edition, Supply } from '../house/schema';
import { buildingSchema, feederSchema, sourceSchema } from '../house/schema';
import { aHouse, type HouseBuilder } from './house-builder';

type Extra = Readonly<Record<string, unknown>>;

/** A dwelling of one room with a panel P of 200 A. */
export const served = (supply: Partial<Supply> = {}, edition: Edition = '2023'): HouseBuilder =>
  aHouse(edition)
    .room('kitchen', 'kitchen', [0, 0, 240, 200])
    .panel('P', 'kitchen', 40)
    .with((house) => void Object.assign(house.supply, supply));

/** The same with a shop of its own building, whose panel Q a feeder of 60 A brings power to. */
export const withShop = (
  feeder: Extra = {},
  { building = {}, panel = {} }: { building?: Extra; panel?: Extra } = {},
): HouseBuilder =>
  served()
    .with((house) => void (house.buildings['B'] = buildingSchema.parse({ id: 'B', name: 'Shop', ...building })))
    .room('shop', 'accessory-building', [600, 0, 240, 200], { building: 'B' })
    .panel('Q', 'shop', 12)
    .with((house) => {
      Object.assign(house.panels['Q']!, { mainA: 60, ...panel });
      house.feeders['F'] = feederSchema.parse({
        id: 'F',
        from: 'P',
        to: 'Q',
        ratingA: 60,
        space: 1,
        wiring: 'raceway',
        raceway: { kind: 'pvc-40', trade: '1' },
        conductor: { size: '6', metal: 'copper' },
        ground: '10',
        ...feeder,
      });
    });

/** The same dwelling with a source at its panel. */
export const withSource = (source: Extra, panel: Extra = {}): HouseBuilder =>
  served().with((house) => {
    Object.assign(house.panels['P']!, panel);
    const usual = { id: 'S', name: 'The generator', kind: 'generator', runningW: 5000, panel: 'P' };
    house.sources['S'] = sourceSchema.parse({ ...usual, ...source });
  });

/** A dwelling of two units whose panels P and Q, of 100 A each, both disconnect the service: in the hall, or each in its unit. */
export const twoMains = (place: 'hall' | 'units' | 'rooms' = 'hall', edition: Edition = '2023'): HouseBuilder =>
  twoUnits(place === 'hall' ? 'hall' : 'a')
    .panel('Q', place === 'hall' ? 'hall' : place === 'units' ? 'b' : 'hall', 40)
    .with((house) => {
      house.job = { ...house.job, edition };
      Object.assign(house.panels['P']!, { mainA: 100 });
      Object.assign(house.panels['Q']!, { mainA: 100, onService: true });
    });

/** A dwelling of two units, A and B, each a room, with a shared hall and a panel where somebody says. */
export const twoUnits = (panelIn: 'a' | 'b' | 'hall'): HouseBuilder =>
  aHouse()
    .with((house) => {
      house.units['A'] = { id: 'A', name: 'Unit A' };
      house.units['B'] = { id: 'B', name: 'Unit B' };
    })
    .room('a', 'kitchen', [0, 0, 200, 200], { unit: 'A' })
    .room('b', 'kitchen', [204.5, 0, 200, 200], { unit: 'B' })
    .room('hall', 'hallway', [0, 204.5, 404.5, 60])
    .panel('P', panelIn, 40);
