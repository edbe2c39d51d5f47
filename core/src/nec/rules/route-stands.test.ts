import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { routeStands } from './route-stands';

const two = () =>
  led(
    walled([
      ['c0', 30],
      ['c0', 126],
    ]),
  );

testRule(routeStands, {
  passes: [['as they were laid out', two(), '2 routes hold.']],
  fails: [
    [
      'a box moved by a foot',
      two().with((house) => {
        const box = Object.values(house.boxes).find((one) => one.tag === 'R1-2')!;
        if (box.at.kind === 'wall') box.at.alongIn = 114;
      }),
      'The route from R1-1 to R1-2 ends where a box no longer is. Find it again under Routes.',
    ],
    [
      'a door cut into the wall between them',
      two().opening('bed', 'c0', 'door', 60, 32),
      'An opening, a wall without studs or one that stays closed bars the route from R1-1 to R1-2 now. Find it again under Routes.',
    ],
    [
      'a window whose sill is lower than the run',
      two().opening('bed', 'c0', 'window', 60, 32, { sillIn: 22 }),
      'An opening, a wall without studs or one that stays closed bars the route from R1-1 to R1-2 now. Find it again under Routes.',
    ],
  ],
  notApplicable: [['nothing is laid out', walled([['c0', 30]])]],
});
