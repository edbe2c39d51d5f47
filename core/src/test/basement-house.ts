import type { Edition, House } from '../house/schema';
import { aHouse } from './house-builder';

/**
 * Two levels: a plain main level, and below grade under it a recreation room, a storage and a utility room with the panel, joined by a
 * stair. Nothing on the lower level is called a basement: the level is. Invented; nobody has tuned it.
 */
export const basementHouse = (edition: Edition): House =>
  aHouse(edition)
    .with((house) => {
      house.levels['L0'] = {
        ...house.levels['L1']!,
        id: 'L0',
        name: 'Basement',
        elevationIn: -90,
        ceilingIn: 90,
        below: 'slab',
        above: 'floor',
        grade: 'below',
      };
    })
    .room('living', 'living', [0, 0, 240, 180])
    .room('kitchen', 'kitchen', [244.5, 0, 180, 180])
    .room('hall', 'hallway', [0, 184.5, 380, 42])
    .room('stair', 'stair', [384.5, 184.5, 40, 130])
    .room('bed', 'bedroom', [0, 231, 200, 150])
    .room('bath', 'bathroom', [204.5, 231, 96, 150])
    .room('porch', 'porch', [0, -76, 120, 70], { side: 'front' })
    .room('yard', 'outdoors', [244.5, -76, 180, 70], { side: 'back' })
    .opening('living', 'c0', 'door', 60, 36)
    .opening('living', 'c1', 'cased', 60, 48)
    .opening('living', 'c2', 'cased', 60, 42)
    .opening('kitchen', 'c0', 'door', 60, 36)
    .opening('bed', 'c0', 'door', 60, 32)
    .opening('bath', 'c0', 'door', 20, 30)
    .opening('hall', 'c1', 'door', 4, 32)
    .feature('kitchen', 'counter', ['c1', 10, 150, 25], { heightIn: 36 })
    .feature('kitchen', 'sink', ['c1', 70, 33, 22])
    .feature('kitchen', 'range', ['c2', 30, 30, 26], { heightIn: 36 })
    .feature('bath', 'basin', ['c1', 10, 30, 20])
    .feature('bath', 'tub', ['c2', 0, 60, 32])
    .feature('stair', 'stair', ['c1', 20, 100, 40], { risers: 13 })
    .room('rec', 'recreation', [0, 0, 300, 180], { level: 'L0' })
    .room('store', 'storage', [304.5, 0, 120, 180], { level: 'L0' })
    .room('util', 'utility', [0, 184.5, 380, 120], { level: 'L0' })
    .room('stair0', 'stair', [384.5, 184.5, 40, 130], { level: 'L0' })
    .opening('rec', 'c1', 'door', 60, 32)
    .opening('rec', 'c2', 'door', 60, 32)
    .opening('stair0', 'c3', 'door', 60, 32)
    .feature('stair0', 'stair', ['c1', 20, 100, 40], { risers: 13 })
    .feature('util', 'panel', ['c2', 100, 14.5, 4], { id: 'panel', heightIn: 72 })
    .feature('util', 'furnace', ['c2', 260, 24, 30], { heightIn: 60, fuel: true })
    .panel('P', 'util', 40, 'panel')
    .build();
