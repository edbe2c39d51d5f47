import { fromMemory } from '../rule';
import { supplyQuestion } from '../supply-question';

export const surgeProtection = supplyQuestion('surge-protection', 'surge', {
  summary: 'Surge protection at the service of a dwelling',
  why: 'Alarms, breakers with electronics and every appliance of today die of surges, and safety devices first.',
  editions: {
    '2020': { section: '230.67', limits: {}, basis: fromMemory('high') },
    '2023': { section: '230.67, 215.18', limits: {}, basis: fromMemory('high') },
  },
  messages: {
    missing: () => 'The service has no surge-protective device: Type 1 or Type 2, at the service or beside it.',
    ask: () => 'Whether a surge-protective device is planned at the service is not said: Type 1 or Type 2.',
    there: () => 'A surge-protective device stands at the service.',
  },
  answers: ['It is planned', 'There is none'],
});
