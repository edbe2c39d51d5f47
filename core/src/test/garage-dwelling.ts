import { feederSchema, type Edition, type House } from '../house/schema';
import { aHouse } from './house-builder';

/**
 * A dwelling over a garage: two bays and a shop corner below, above one living space with its kitchen, a bedroom and a bath, reached by an
 * inside stair. The dwelling has a panel of its own, fed from the one in the garage. Invented; nobody has tuned it.
 */
export const garageDwelling = (edition: Edition): House =>
  aHouse(edition)
    .with((house) => {
      Object.assign(house.levels['L1']!, {
        name: 'Garage level',
        elevationIn: 4,
        ceilingIn: 108,
        below: 'slab',
        above: 'floor',
      });
      house.levels['L2'] = {
        ...house.levels['L1']!,
        id: 'L2',
        name: 'Dwelling',
        elevationIn: 128,
        ceilingIn: 97,
        below: 'floor',
        above: 'attic',
      };
    })
    .room('garage', 'garage', [0, 0, 288, 300], { bays: 2 })
    .room('entry', 'foyer', [292.5, 0, 60, 90])
    .room('stair', 'stair', [292.5, 94.5, 60, 205.5])
    .room('apron', 'outdoors', [0, 304.5, 352.5, 90], { side: 'front' })
    .opening('garage', 'c2', 'vehicle', 20, 108)
    .opening('garage', 'c2', 'vehicle', 156, 108)
    .opening('garage', 'c1', 'door', 30, 32)
    .opening('entry', 'c1', 'door', 24, 36)
    .opening('entry', 'c2', 'cased', 10, 40)
    .feature('stair', 'stair', ['c3', 20, 160, 40], { risers: 17 })
    .feature('garage', 'panel', ['c3', 40, 14.5, 4], { id: 'panel', heightIn: 72 })
    .feature('garage', 'water-heater', ['c0', 20, 24, 24], { heightIn: 60 })
    .room('living', 'living', [0, 0, 200, 190], { level: 'L2' })
    .room('kitchen', 'kitchen', [0, 190, 200, 110], { level: 'L2' })
    .room('bed', 'bedroom', [204.5, 0, 148, 150], { level: 'L2' })
    .room('bath', 'bathroom', [204.5, 154.5, 84, 145.5], { level: 'L2' })
    .room('landing', 'hallway', [292.5, 154.5, 60, 145.5], { level: 'L2' })
    .boundary('living', 'c2', 'open')
    .boundary('kitchen', 'c0', 'open')
    .opening('living', 'c1', 'door', 160, 30)
    .opening('bath', 'c3', 'door', 30, 30)
    .opening('landing', 'c0', 'door', 10, 30)
    .opening('bath', 'c1', 'door', 50, 30)
    .opening('living', 'c0', 'window', 60, 72, { sillIn: 24 })
    .opening('bed', 'c0', 'window', 40, 48, { sillIn: 24 })
    .opening('kitchen', 'c2', 'window', 90, 40, { sillIn: 42 })
    .feature('kitchen', 'counter', ['c2', 10, 180, 25], { heightIn: 36 })
    .feature('kitchen', 'sink', ['c2', 90, 33, 22])
    .feature('kitchen', 'range', ['c3', 8, 30, 26], { heightIn: 36 })
    .feature('kitchen', 'refrigerator', ['c3', 44, 36, 30], { heightIn: 70 })
    .feature('bath', 'basin', ['c2', 20, 30, 20], { heightIn: 34 })
    .feature('bath', 'shower', ['c0', 40, 40, 36])
    .feature('landing', 'panel', ['c1', 60, 14.5, 4], { id: 'upper-panel', heightIn: 72 })
    .panel('P', 'garage', 40, 'panel')
    .panel('D', 'landing', 24, 'upper-panel')
    .with((house) => {
      Object.assign(house.panels['P']!, { name: 'Garage panel', neutral: 'bonded' });
      Object.assign(house.panels['D']!, { name: 'Dwelling panel', mainA: 100, neutral: 'apart' });
      house.units['U'] = { id: 'U', name: 'Dwelling' };
      for (const id of ['entry', 'stair', 'living', 'kitchen', 'bed', 'bath', 'landing']) house.rooms[id]!.unit = 'U';
      Object.assign(house.supply, {
        conductor: { size: '4/0', metal: 'aluminum' },
        emergencyDisconnect: 'yes',
        surge: 'yes',
        electrodes: ['concrete-encased', 'two-rods'],
        electrodeConductor: { size: '4', metal: 'copper' },
        waterBond: 'none',
        gasBond: 'none',
        intersystemBond: 'yes',
      });
      house.feeders['F'] = feederSchema.parse({
        id: 'F',
        from: 'P',
        to: 'D',
        ratingA: 100,
        space: 1,
        wiring: 'service-entrance',
        conductor: { size: '1', metal: 'aluminum' },
        neutral: '1',
        ground: '3',
        lengthFt: 40,
      });
    })
    .build();
