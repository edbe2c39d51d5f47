import { panelSchema } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { served, twoMains, withShop } from '../../test/supply-cases';
import { serviceDisconnects } from './service-disconnects';

testRule(serviceDisconnects, {
  passes: [
    ['two in the hall', twoMains(), 'The mains of P and Q disconnect the service, at one place.'],
    ['the same in 2014', twoMains('hall', '2014')],
    ['the same in 2020', twoMains('hall', '2020')],
  ],
  fails: [
    [
      'one in a unit, one in the hall',
      twoMains('rooms'),
      'The mains of P and Q disconnect the service and stand in different rooms. They have to be grouped at one place, or all but one panel fed from a disconnect there.',
    ],
    [
      'seven',
      twoMains().with((house) => {
        for (const id of ['A', 'B', 'C', 'D', 'E'])
          house.panels[id] = panelSchema.parse({ ...house.panels['Q'], id, name: id });
      }),
      'The service has 7 disconnects; 6 are the most. Put one ahead of them, and feed the panels from it.',
    ],
  ],
  cannotTell: [
    [
      'one in each unit',
      twoMains('units'),
      'The mains of P and Q disconnect the service, each in a unit of its own. That is allowed where a set of service conductors of its own runs to each unit (230.40 Exception 1): ask the authority and the utility.',
    ],
  ],
  notApplicable: [
    ['one main', served()],
    ['a panel behind a feeder', withShop({}, { panel: { onService: true } })],
  ],
});
