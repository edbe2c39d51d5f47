import { fromMemory } from '../rule';
import { supplyQuestion } from '../supply-question';

export const emergencyDisconnect = supplyQuestion('emergency-disconnect', 'emergencyDisconnect', {
  summary: 'An emergency disconnect outdoors, where it is readily accessible',
  why: 'Firefighters cut the power from outside; without it somebody pulls the meter, live.',
  editions: {
    '2020': { section: '230.85', limits: {}, basis: fromMemory('high') },
    '2023': { section: '230.85', limits: {}, basis: fromMemory('high') },
  },
  messages: {
    missing: () =>
      'No emergency disconnect stands outdoors: the service disconnect, a meter disconnect or a listed switch, readily accessible and labeled.',
    ask: () =>
      'Whether an emergency disconnect stands outdoors is not said: the service disconnect, a meter disconnect or a listed switch.',
    there: () => 'An emergency disconnect stands outdoors.',
  },
  answers: ['It stands outdoors', 'There is none'],
});
