import type { Edition, House } from '../house/schema';
import { aHouse } from './house-builder';

/** A small house as it is built on a trailer: one room with kitchen and bed, and a bath. Invented; nobody has tuned it. */
export const smallHouse = (edition: Edition): House =>
  aHouse(edition)
    .with((house) =>
      Object.assign(house.levels['L1']!, { name: 'House', elevationIn: 30, ceilingIn: 84, above: 'roof' }),
    )
    .room('main', 'kitchen', [0, 0, 92, 200])
    .room('bath', 'bathroom', [0, 204.5, 92, 66])
    .room('yard', 'outdoors', [96.5, 0, 90, 200], { side: 'front' })
    .opening('main', 'c1', 'door', 120, 32)
    .opening('bath', 'c0', 'door', 30, 28)
    .opening('main', 'c0', 'window', 24, 44)
    .opening('main', 'c3', 'window', 70, 36, { sillIn: 44 })
    .feature('main', 'counter', ['c3', 20, 110, 24], { heightIn: 36 })
    .feature('main', 'sink', ['c3', 60, 25, 20])
    .feature('main', 'refrigerator', ['c3', 134, 24, 26], { heightIn: 60 })
    .feature('bath', 'basin', ['c2', 4, 20, 16], { heightIn: 34 })
    .feature('bath', 'shower', ['c2', 54, 36, 36])
    .panel('P', 'main', 12)
    .with((house) => {
      house.panels['P']!.mainA = 30;
      Object.assign(house.supply, { kind: 'cord', volts: '120', cordA: 30, waterBond: 'none', gasBond: 'yes' });
    })
    .build();
