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
    ['wet-marked under a porch roof', light('porch', 'wet')],
  ],
  fails: [
    ['dry under a porch roof', light('porch', 'dry'), 'The luminaire at R1-1 in r must be marked for damp locations.'],
    ['damp in the rain', light('deck', 'damp'), 'The luminaire at R1-1 in r must be marked for wet locations.'],
    ['dry in a greenhouse', light('other', 'dry', { damp: true })],
  ],
  notApplicable: [['in a living room', light('living', 'dry')]],
});
