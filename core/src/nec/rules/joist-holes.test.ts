import type { Joists } from '../../house/schema';
import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { joistHoles } from './joist-holes';

const over = (joists?: Partial<Joists>, circuit = {}) =>
  led(
    walled(
      [
        ['c0', 30],
        ['c0', 126],
      ],
      {
        below: 'slab',
        above: 'attic',
        ...(joists ? { joists: { run: 'north-south', spacingIn: 16, offsetIn: 0, ...joists } } : {}),
      },
      circuit,
    ).opening('bed', 'c0', 'door', 60, 32),
  );
const UNKNOWN =
  '1 cables lie over Main level, and what its joists are is not known. Say under House what kind they are, how they run and how deep they are.';

testRule(joistHoles, {
  passes: [
    ['2x10', over({ kind: 'sawn', depthIn: 9.25 }), 'Joists over Main level are deep enough for the holes.'],
    ['2x6: 4 7/8 in is the least that leaves 2 in on both sides', over({ kind: 'sawn', depthIn: 5.5 })],
    [
      'trusses',
      over({ kind: 'truss' }),
      'Trusses over Main level: cables go between their webs. No chord and no web is bored or notched.',
    ],
  ],
  fails: [
    [
      'No. 2 through joists of 5 in: 2 in of wood stay above and below a hole of 1 in',
      over({ kind: 'sawn', depthIn: 5 }, { awg: '2' }),
      `Joists over Main level are 5" deep and take a hole of 1" at most; a cable there needs 1 1/2". Lead the cables along them, or below on running boards.`,
    ],
    [
      '2x4 ceiling joists',
      over({ kind: 'sawn', depthIn: 3.5 }),
      `Joists over Main level are 3 1/2" deep and take no hole; a cable there needs 3/4". Lead the cables along them, or below on running boards.`,
    ],
  ],
  cannotTell: [
    ['nothing is known', over(), UNKNOWN],
    ['their run alone is known', over({}), UNKNOWN],
    ['solid, of unknown depth', over({ kind: 'sawn' }), UNKNOWN],
    [
      'I-joists',
      over({ kind: 'i-joist' }),
      "Joists over Main level are I-joists: holes go in the web alone, by the maker's chart. Its flanges are never cut.",
    ],
  ],
  notApplicable: [['all in the walls', led(walled([['c0', 30]]))]],
});
