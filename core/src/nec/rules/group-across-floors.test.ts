import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { RoomKind } from '../../house/schema';
import { groupAcrossFloors } from './group-across-floors';

/** A foyer with a stair out of it, a stair and a hall above, a switch in foyer and hall, and one group of both. */
const twoFloors = (upper: RoomKind, isStairAbove: boolean) =>
  aHouse()
    .room('foyer', 'foyer', [0, 0, 144, 120])
    .room('stair', 'stair', [150, 0, 40, 120])
    .opening('foyer', 'c1', 'cased', 20, 36)
    .with((house) => (house.levels['L2'] = { ...house.levels['L1']!, id: 'L2', name: 'Upper floor' }))
    .room('up', isStairAbove ? 'stair' : 'closet', [150, 0, 40, 120], { level: 'L2' })
    .room('hall', upper, [0, 0, 144, 120], { level: 'L2' })
    .opening('hall', 'c1', 'cased', 20, 36)
    .switchAt('foyer', 'c0', 20, null)
    .switchAt('hall', 'c0', 20, null)
    .with((house) => {
      const switches = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
      house.switchGroups['g'] = { id: 'g', name: 'Stair light', switches, controls: [] };
    });

testRule(groupAcrossFloors, {
  passes: [
    ['over the stair', twoFloors('hallway', true), 'One gets from switch to switch of Stair light over the stair.'],
  ],
  fails: [
    [
      'a closet where the stair should be',
      twoFloors('hallway', false),
      'The switches of Stair light stand in foyer and in hall, on different floors, and no way on the plan leads from one to the other: nobody goes from switch to switch, and how far the travelers run is a guess. Draw the stair on both floors, or take one of the switches out of the group.',
    ],
  ],
  notApplicable: [
    ['an attic is reached over its hatch', twoFloors('attic', false)],
    ['all on one floor', twoFloors('hallway', true).with((house) => house.switchGroups['g']!.switches.pop())],
  ],
});
