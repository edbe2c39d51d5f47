import { everyEdition, fromMemory } from '../rule';
import { supplyQuestion } from '../supply-question';

export const intersystemBond = supplyQuestion('intersystem-bond', 'intersystemBond', {
  summary: 'A terminal at the service for the grounds of other systems',
  why: 'Telephone, cable and antenna grounded each to a rod of its own bring lightning indoors by the modem.',
  editions: everyEdition({ section: '250.94', limits: {}, basis: fromMemory('high') }),
  messages: {
    missing: () =>
      'No intersystem bonding termination stands at the service: three terminals at least, accessible from outside of the enclosures.',
    ask: () => 'Whether an intersystem bonding termination is planned at the service is not said.',
    there: () => 'An intersystem bonding termination stands at the service.',
  },
  answers: ['It is planned', 'There is none'],
});
