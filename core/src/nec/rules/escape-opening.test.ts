import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { escapeOpening } from './escape-opening';

const bed = () => aHouse().room('r', 'bedroom', [0, 0, 144, 120]);

testRule(escapeOpening, {
  passes: [
    [
      'a window in the outside wall',
      bed().opening('r', 'c0', 'window', 40, 36),
      'r has an opening to the outside; its clear size is for the designer.',
    ],
    ['a sliding door to a deck', bed().room('deck', 'deck', [0, -100, 144, 95.5]).opening('r', 'c0', 'slider', 40, 72)],
  ],
  fails: [
    [
      'only a door to the hall',
      bed().room('hall', 'hallway', [0, 124.5, 144, 48]).opening('r', 'c2', 'door', 40, 32),
      'r is drawn without a window or door to the outside. A bedroom needs an escape opening: ask the designer before boxes are nailed.',
    ],
    [
      'a window to the sunroom beside it',
      bed().room('sun', 'sunroom', [0, -100, 144, 95.5]).opening('r', 'c0', 'window', 40, 36),
    ],
  ],
  notApplicable: [['a den', aHouse().room('r', 'den', [0, 0, 144, 120])]],
});
