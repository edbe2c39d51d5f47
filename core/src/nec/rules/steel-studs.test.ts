import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import type { HouseBuilder } from '../../test/house-builder';
import { steelStuds } from './steel-studs';

const SHUT = { below: 'slab', above: 'roof' } as const;
const wired = (isSteel: (wall: string) => boolean, awg = '14') =>
  walled([['c0', 126]], SHUT, { awg, ratingA: 15 }).with((house) => {
    for (const corner of house.rooms['bed']!.corners)
      if (isSteel(corner.id)) corner.framing = { depth: '2x4', layoutFrom: 'start', plumbing: false, steel: true };
  });
const all = (): boolean => true;
const led14 = (): HouseBuilder => led(wired(all));

testRule(steelStuds, {
  passes: [],
  fails: [
    [
      // Three studs of the west wall, a corner of three, seven of the north wall.
      'a run through thirteen studs of steel',
      led14(),
      '13 openings in steel studs of bed: a listed bushing that covers the metal edges in each, fastened before the cable is pulled. Where screws may reach the cable, a plate or sleeve of 1/16 in steel.',
      'Boxes on steel studs of bed are screwed on or clipped, not nailed: R1-1.',
    ],
    ['the north wall alone', led(wired((wall) => wall === 'c0'))],
    ['boxes before any cable is led', wired((wall) => wall === 'c0')],
  ],
  notApplicable: [['studs of wood', led(wired(() => false))]],
});
