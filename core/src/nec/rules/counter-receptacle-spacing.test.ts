import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { counterReceptacleSpacing } from './counter-receptacle-spacing';

const kitchen = () => aHouse().room('kit', 'kitchen', [0, 0, 144, 120]);
const over = { heightIn: 43 };

testRule(counterReceptacleSpacing, {
  passes: [
    [
      '48 in of counter, one in the middle',
      kitchen().feature('kit', 'counter', ['c0', 10, 48, 25]).receptacle('kit', 'c0', 34, over),
      'The north counter of kit is served: 2\'-0" at the worst point.',
    ],
    [
      'an L counter is one space; the legs add',
      kitchen()
        .feature('kit', 'counter', ['c0', 120, 24, 25])
        .feature('kit', 'counter', ['c1', 0, 24, 25])
        .receptacle('kit', 'c1', 0, over),
    ],
    [
      'a counter over the first corner of the room is one space',
      kitchen()
        .feature('kit', 'counter', ['c3', 100, 20, 25])
        .feature('kit', 'counter', ['c0', 0, 24, 25])
        .receptacle('kit', 'c0', 4, over),
    ],
    [
      '11 in beside a refrigerator needs none',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 47, 25])
        .feature('kit', 'refrigerator', ['c0', 11, 36, 30])
        .feature('kit', 'counter', ['c0', 60, 40, 25])
        .receptacle('kit', 'c0', 80, over),
    ],
    [
      'a sink across the corner, 17 in from its back to the corner: the wall behind it needs none',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 60, 25])
        .feature('kit', 'counter', ['c3', 60, 60, 25])
        .feature('kit', 'sink', ['c0', 0, 32, 20, 17], { acrossCorner: true })
        .receptacle('kit', 'c0', 45, over)
        .receptacle('kit', 'c3', 75, over),
    ],
    [
      'a multioutlet assembly of 6 ft over 9 ft of counter',
      kitchen()
        .feature('kit', 'counter', ['c0', 10, 108, 25])
        .receptacle('kit', 'c0', 64, { ...over, assemblyIn: 72 }),
    ],
    [
      'exactly 20 in above',
      kitchen().feature('kit', 'counter', ['c0', 10, 40, 25]).receptacle('kit', 'c0', 30, { heightIn: 56 }),
    ],
  ],
  fails: [
    [
      '49 in of counter, one in the middle',
      kitchen().feature('kit', 'counter', ['c0', 10, 49, 25]).receptacle('kit', 'c0', 34, over),
      '1" of the north counter of kit is farther than 24" from a receptacle above it, from 4\'-10" along the north wall.',
    ],
    [
      '12 in beside a refrigerator',
      kitchen().feature('kit', 'counter', ['c0', 0, 48, 25]).feature('kit', 'refrigerator', ['c0', 12, 36, 30]),
    ],
    [
      'a range divides the counter',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 90, 25])
        .feature('kit', 'range', ['c0', 30, 30, 26])
        .receptacle('kit', 'c0', 20, over),
    ],
    [
      'a sink with 3 in behind it divides the counter',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 72, 25])
        .feature('kit', 'sink', ['c0', 20, 32, 20, 3])
        .receptacle('kit', 'c0', 12, over),
    ],
    [
      'a sink with 12 in behind it leaves the wall behind to be served',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 100, 36])
        .feature('kit', 'sink', ['c0', 34, 32, 20, 12])
        .receptacle('kit', 'c0', 10, over)
        .receptacle('kit', 'c0', 90, over),
    ],
    [
      'a sink across the corner, 18 in from its back to the corner: the wall behind it is counter',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 60, 36])
        .feature('kit', 'counter', ['c3', 60, 60, 36])
        .feature('kit', 'sink', ['c0', 0, 32, 20, 18], { acrossCorner: true })
        .receptacle('kit', 'c0', 47, over)
        .receptacle('kit', 'c3', 72, over),
    ],
    [
      'more than 20 in above',
      kitchen().feature('kit', 'counter', ['c0', 10, 40, 25]).receptacle('kit', 'c0', 30, { heightIn: 56.0625 }),
    ],
    ['below the counter', kitchen().feature('kit', 'counter', ['c0', 10, 40, 25]).receptacle('kit', 'c0', 30)],
    [
      '2020 has no exception for a low window',
      aHouse('2020')
        .room('kit', 'kitchen', [0, 0, 144, 120])
        .opening('kit', 'c0', 'window', 30, 84, { sillIn: 37 })
        .feature('kit', 'counter', ['c0', 0, 144, 25])
        .receptacle('kit', 'c0', 14, over)
        .receptacle('kit', 'c0', 130, over),
    ],
    [
      'a slivered 16 in beside a moved range',
      kitchen()
        .feature('kit', 'counter', ['c0', 0, 80, 25])
        .feature('kit', 'range', ['c0', 16, 30, 26])
        .receptacle('kit', 'c0', 60, over),
    ],
  ],
  cannotTell: [
    [
      '2023: nothing but a low window over the middle of the counter',
      kitchen()
        .opening('kit', 'c0', 'window', 30, 84, { sillIn: 37 })
        .feature('kit', 'counter', ['c0', 0, 144, 25])
        .receptacle('kit', 'c0', 14, over)
        .receptacle('kit', 'c0', 130, over),
      '5\'-8" of the counter of kit, from 3\'-2" along the north wall, lies under a window with its sill at 3\'-1": no wall is left for a box. Exception 2 lets it stand as close as practicable, the number not reduced; show the authority where.',
    ],
    [
      'a kitchen without a drawn counter',
      kitchen(),
      'No counter is drawn in kit, so its counter receptacles cannot be checked. Draw the counters.',
    ],
  ],
  notApplicable: [
    [
      'a bedroom with a desk',
      aHouse().room('bed', 'bedroom', [0, 0, 120, 120]).feature('bed', 'counter', ['c0', 0, 60, 20]),
    ],
  ],
});
