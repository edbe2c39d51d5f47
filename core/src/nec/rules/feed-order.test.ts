import type { House } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { chainOf, wiringBuilder } from '../../test/wiring-house';
import { feedOrder } from './feed-order';
import { set } from '../../test/wiring-cases';

const closet = (house: House) => (house.rooms['room']!.kind = 'closet');

testRule(feedOrder, {
  passes: [['every box reached', set(closet), 'Q: 2 runs of cable, each with the conductors that have to cross.']],
  fails: [
    [
      'one that no cable reaches',
      set((house) => delete house.cables['c-L']),
      'No cable reaches R-2. Draw one from a box of Q, or let the tool find the feed order.',
    ],
    [
      'a cable short of a conductor',
      wiringBuilder({ ...chainOf(2), change: (house) => (house.cables['c-S2']!.kind = '/2') }),
      'The /2 cable from R-1 to R-2 has 2 insulated conductors; 3 have to cross: traveler 1 a, traveler 2 a, neutral. Pull a larger one, or change the feed order.',
    ],
  ],
  notApplicable: [['no circuit', wiringBuilder({ boxes: {}, change: (house) => (house.circuits = {}) })]],
});
