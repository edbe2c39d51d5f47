import { testRule } from '../../test/rule-tester';
import { receptacleRating } from './receptacle-rating';
import { den } from '../../test/circuits-cases';

testRule(receptacleRating, {
  passes: [
    [
      '15 A duplexes on 20 A',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c0', 20, { circuit: 'A' })
        .receptacle('den', 'c0', 60, { circuit: 'A' }),
      'The receptacles of A fit its rating.',
    ],
    [
      'one 15 A duplex alone on 20 A is two receptacles',
      den().circuit('A', 20).receptacle('den', 'c0', 20, { circuit: 'A' }),
    ],
    [
      'a single 15 A receptacle with a light on 20 A: the circuit is not its own',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c0', 20, { circuit: 'A', style: 'single' })
        .over('den', 'luminaire', 100, 100, { circuit: 'A' }),
    ],
    [
      'one half of a split duplex alone on 20 A: its yoke has another contact device',
      den().circuit('A', 20).wallBox('den', 'c0', 20, { circuit: 'A', style: 'half' }),
    ],
    ['a 50 A range receptacle on 40 A', den().circuit('A', 40, { poles: 2 }).load('range', 'den', 'c0', 20, 'A')],
  ],
  fails: [
    [
      'a single 15 A receptacle alone on 20 A',
      den().circuit('A', 20).receptacle('den', 'c0', 20, { circuit: 'A', style: 'single' }),
      'receptacle R1-1 in den: a single receptacle rated below its 20 A circuit, A.',
    ],
    [
      'a 20 A receptacle on 15 A',
      den()
        .circuit('A', 15)
        .receptacle('den', 'c0', 20, { circuit: 'A', ratingA: 20 })
        .receptacle('den', 'c0', 60, { circuit: 'A' }),
      'receptacle R1-1 in den: not a rating allowed on the 15 A circuit A.',
    ],
  ],
});
