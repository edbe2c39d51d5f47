import { testRule } from '../../test/rule-tester';
import { multiwireCircuit } from './multiwire-circuit';
import { den } from '../../test/circuits-cases';

const twins = (first: Record<string, unknown>, second: Record<string, unknown>) =>
  den()
    .panel('P', 'den', 20)
    .circuit('A', 20, { sharesNeutralWith: 'B', panel: 'P', ...first })
    .circuit('B', 20, { sharesNeutralWith: 'A', panel: 'P', ...second });

testRule(multiwireCircuit, {
  passes: [
    ['spaces 1 and 3', twins({ space: 1 }, { space: 3 }), 'A and B share a neutral on opposite legs, side by side.'],
    [
      'both halves of a two-pole GFCI',
      twins({ space: 1, breaker: 'gfci', commonTrip: true }, { space: 3, breaker: 'gfci', commonTrip: true }),
    ],
  ],
  fails: [
    ['the halves of a tandem breaker, on one leg', twins({ space: 1, half: 'a' }, { space: 1, half: 'b' })],
    [
      'spaces 1 and 2, on one leg',
      twins({ space: 1 }, { space: 2 }),
      'A and B share a neutral and both stand on leg A: it would carry both currents.',
    ],
    [
      'spaces 1 and 7, where no tie joins them',
      twins({ space: 1 }, { space: 7 }),
      'A and B share a neutral and are not next to each other in the panel, where a handle tie joins them.',
    ],
    [
      'only one of them says so',
      twins({ space: 1 }, { space: 3, sharesNeutralWith: undefined }),
      'A is to share a neutral with B, and B does not say so.',
    ],
    [
      'one of them has two poles',
      twins({ space: 1 }, { space: 5, poles: 2 }),
      'A and B share a neutral, but are not both of one pole.',
    ],
    [
      'a GFCI breaker on one half',
      twins({ space: 1, breaker: 'gfci' }, { space: 3 }),
      'A and B share a neutral: a one-pole GFCI breaker cannot guard half of it. Take a two-pole one, or GFCI receptacles with pigtailed neutrals.',
    ],
  ],
  cannotTell: [
    [
      'two AFCI breakers of which only one half says that they are one',
      twins({ space: 1, breaker: 'afci', commonTrip: true }, { space: 3, breaker: 'afci' }),
    ],
    ['one of them not in the panel yet', twins({ space: 1 }, { space: null })],
    [
      'two AFCI breakers of which nobody has said that they are one',
      twins({ space: 1, breaker: 'afci' }, { space: 3, breaker: 'afci' }),
      'A and B share a neutral. Is their AFCI breaker one of two poles? Two one-pole ones trip on the shared neutral, and a handle tie makes no common trip of them.',
    ],
    [
      'not in the panel yet',
      twins({ space: null }, { space: null }),
      'A and B share a neutral; set both down in the panel to see that their legs differ.',
    ],
  ],
  notApplicable: [['each its own neutral', den().circuit('A', 15)]],
});
