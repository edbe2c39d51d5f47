import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { RoomKind } from '../../house/schema';
import { wetLuminaires } from './wet-luminaires';

const light = (kind: RoomKind, marked: 'dry' | 'damp' | 'wet', extra: Readonly<Record<string, unknown>> = {}) =>
  aHouse().room('r', kind, [0, 0, 144, 96], extra).over('r', 'luminaire', 40, 40, { marked });

testRule(wetLuminaires, {
  passes: [
    ['wet-marked in the rain', light('deck', 'wet'), 'The luminaire at R1-1 is marked for the weather of r.'],
    ['damp-marked under a porch roof', light('porch', 'damp')],
    [
      'a fan marked for damp places under a porch roof',
      aHouse().room('r', 'porch', [0, 0, 144, 96]).over('r', 'fan', 40, 40, { marked: 'damp' }),
      'The fan at R1-1 is marked for the weather of r.',
    ],
    ['wet-marked under a porch roof', light('porch', 'wet')],
  ],
  fails: [
    ['dry under a porch roof', light('porch', 'dry'), 'The luminaire at R1-1 in r must be marked for damp locations.'],
    ['damp in the rain', light('deck', 'damp'), 'The luminaire at R1-1 in r must be marked for wet locations.'],
    [
      'a fan for damp places in the rain',
      aHouse().room('r', 'deck', [0, 0, 144, 96]).over('r', 'fan', 40, 40, { marked: 'damp' }),
      'The fan at R1-1 in r must be marked for wet locations.',
    ],
    ['dry in a greenhouse', light('other', 'dry', { damp: true })],
  ],
  cannotTell: [
    [
      'a fan on a porch of which nothing is said',
      aHouse().room('r', 'porch', [0, 0, 144, 96]).over('r', 'fan', 40, 40),
      'Is the fan at R1-1 in r marked for damp locations? One for dry rooms warps and rusts there.',
    ],
  ],
  notApplicable: [['in a living room', light('living', 'dry')]],
});
