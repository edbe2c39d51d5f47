import type { ConductorSize } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { serviceNeutral } from './service-neutral';

/** A small dwelling on 2/0 copper: 3,904 VA of lighting demand, 16.3 A, and five built-in microwaves of 1,600 VA, three of them on one leg. */
const dwelling = (neutral: ConductorSize) =>
  [1, 3, 5, 7, 9].reduce(
    (house, space, i) =>
      house
        .circuit(`M${i}`, 20, { panel: 'P', space, purpose: 'individual' })
        .load('microwave', 'kitchen', 'c0', 20 + 30 * i, `M${i}`),
    served({ conductor: { size: '2/0', metal: 'copper' }, neutral }),
  );

testRule(serviceNeutral, {
  passes: [['No. 4', dwelling('4'), 'The service neutral, No. 4, carries the 56 A that can come back over it.']],
  fails: [
    ['No. 10', dwelling('10'), 'The service neutral, No. 10, carries 35 A; 56 A can come back over it.'],
    ['No. 6', dwelling('6'), 'The service neutral is No. 6; as a way for a fault No. 4 is the least.'],
  ],
  notApplicable: [
    ['a neutral as large as the others', served({ conductor: { size: '2/0', metal: 'copper' } })],
    ['conductors of which nothing is said', served({ neutral: '4' })],
  ],
});
