import type { Panel } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { interruptingRating } from './interrupting-rating';

const fault = (faultA: number, panel: Partial<Panel> = {}) =>
  served({ faultA }).with((house) => void Object.assign(house.panels['P']!, panel));

testRule(interruptingRating, {
  passes: [
    [
      'exactly as much as is available',
      fault(10_000, { interruptingA: 10_000 }),
      'P interrupts the 10,000 A that are available.',
    ],
    ['5,000 A, which every breaker interrupts', fault(5_000)],
    [
      'series rated',
      fault(22_000, { interruptingA: 10_000, seriesRated: true }),
      'P is series rated with what is ahead of it for 22,000 A, as somebody has said: only breakers that its label names, and the mark beside it (110.22).',
    ],
  ],
  fails: [
    [
      'an ampere more',
      fault(10_001, { interruptingA: 10_000 }),
      'P is rated to interrupt 10,000 A; 10,001 A are available. Breakers of a higher rating, or a combination that is tested and marked as series rated.',
    ],
  ],
  cannotTell: [
    [
      'nobody has read the marks',
      fault(9_000),
      '9,000 A of fault current are available, and what P can interrupt is not said. It is marked on the panel and on its breakers, mostly 10,000 A.',
    ],
  ],
  notApplicable: [['the utility has not been asked', served()]],
});
