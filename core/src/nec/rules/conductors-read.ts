import { readConductorsRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** So many circuits are named. */
const NAMED = 4;

export const conductorsRead = defineRule({
  id: 'conductors-read',
  meta: {
    summary: 'The conductors of circuits that were there are read before the breaker is believed',
    stage: 'circuits',
    severity: 'violation',
    why: 'A breaker says nothing about the wire behind it. Larger breakers on old No. 14 are what burns houses down, and aluminum is found the same way.',
    editions: everyEdition({ section: '240.4(D), 110.14', limits: {}, basis: fromMemory('high') }),
    messages: {
      unread: ({ circuits }: { circuits: string }) =>
        `Nobody has read the conductors of ${circuits}: a breaker does not say them. Look at them in the panel, dead front off and by a qualified person: size and metal, before anything is added.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.circuits).some((one) => one.unread),
  check: ({ house }, _limits, report) => {
    const unread = Object.values(house.circuits).filter((one) => one.unread);
    const [first] = unread;
    if (!first) return [];
    const names = unread.slice(0, NAMED).map((one) => one.name);
    const circuits = unread.length > NAMED ? `${names.join(', ')} and ${unread.length - NAMED} more` : names.join(', ');
    const remedies = [readConductorsRemedy(unread.map((one) => one.id))];
    return [report.cannotTell('unread', { circuits }, { circuit: first.id }, { remedies })];
  },
});
