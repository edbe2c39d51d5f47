import type { Edition, House } from '../house/schema';
import { aHouse } from './house-builder';

/**
 * A house as they are built today: kitchen, dining and family room are one space without walls between, the front door leads
 * into it, two bedrooms and two baths lie on a hall. Invented; nobody has tuned it.
 */
export const openPlanHouse = (edition: Edition): House =>
  aHouse(edition)
    .room('kitchen', 'kitchen', [0, 0, 168, 144])
    .room('dining', 'dining', [168, 0, 132, 144])
    .room('family', 'family', [0, 144, 300, 204])
    .room('hall', 'hallway', [304.5, 144, 200, 44])
    .room('bed1', 'bedroom', [304.5, 0, 150, 139.5])
    .room('bath1', 'bathroom', [459, 0, 90, 139.5])
    .room('bed2', 'bedroom', [304.5, 192.5, 150, 155.5])
    .room('bath2', 'bathroom', [459, 192.5, 90, 90])
    .room('porch', 'porch', [100, 352.5, 140, 72], { side: 'front' })
    .room('patio', 'outdoors', [168, -104.5, 132, 100], { side: 'back' })
    .boundary('kitchen', 'c1', 'open')
    .boundary('kitchen', 'c2', 'open')
    .boundary('dining', 'c2', 'open')
    .boundary('dining', 'c3', 'open')
    .boundary('family', 'c0', 'open')
    .opening('family', 'c2', 'door', 110, 36)
    .opening('dining', 'c0', 'slider', 36, 72)
    .opening('family', 'c1', 'cased', 4, 36)
    .opening('hall', 'c0', 'door', 50, 32)
    .opening('hall', 'c2', 'door', 110, 32)
    .opening('bed1', 'c1', 'door', 60, 30)
    .opening('bed2', 'c1', 'door', 30, 30)
    .opening('family', 'c3', 'window', 60, 72, { sillIn: 24 })
    .opening('bed1', 'c0', 'window', 50, 48)
    .opening('bed2', 'c2', 'window', 50, 48)
    .opening('kitchen', 'c0', 'window', 60, 48, { sillIn: 42 })
    .feature('kitchen', 'counter', ['c0', 0, 168, 25], { heightIn: 36 })
    .feature('kitchen', 'sink', ['c0', 68, 33, 22])
    .feature('kitchen', 'dishwasher', ['c0', 104, 24, 24], { heightIn: 34 })
    .feature('kitchen', 'range', ['c3', 60, 30, 26], { heightIn: 36 })
    .feature('kitchen', 'refrigerator', ['c3', 4, 36, 30], { heightIn: 70 })
    .feature('bath1', 'basin', ['c0', 10, 30, 20])
    .feature('bath1', 'tub', ['c2', 0, 60, 32])
    .feature('bath2', 'basin', ['c0', 10, 30, 20])
    .feature('bath2', 'shower', ['c2', 0, 36, 36])
    .panel('P1', 'hall', 42)
    .build();
