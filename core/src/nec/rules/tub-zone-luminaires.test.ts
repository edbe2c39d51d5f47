import { testRule } from '../../test/rule-tester';
import { tubZoneLuminaires } from './tub-zone-luminaires';
import { bath } from '../../test/boxes-in-place-cases';

testRule(tubZoneLuminaires, {
  passes: [
    [
      'a pendant 3 ft off',
      bath().over('b', 'luminaire', 67, 60, { style: 'pendant' }),
      'No luminaire of b hangs in the zone of its tub or shower.',
    ],
    ['a damp-marked surface luminaire over the tub', bath().over('b', 'luminaire', 15, 60, { marked: 'damp' })],
    [
      'a fan above 9 ft 8 in: 8 ft over the rim',
      bath()
        .with((house) => void (house.levels['L1']!.ceilingIn = 118))
        .over('b', 'fan', 15, 60, { style: 'paddle' }),
    ],
    ['the exhaust fan of the bathroom over the tub', bath().over('b', 'fan', 15, 60)],
  ],
  fails: [
    [
      'a fan over the tub at 9 ft',
      bath()
        .with((house) => void (house.levels['L1']!.ceilingIn = 108))
        .over('b', 'fan', 15, 60, { style: 'paddle' }),
      'The fan R1-1 hangs 0" from a tub or shower, inside its zone.',
    ],
    ['a pendant 2 ft off', bath().over('b', 'luminaire', 54, 60, { style: 'pendant' })],
    [
      'an unmarked luminaire over the tub',
      bath().over('b', 'luminaire', 15, 60),
      'Luminaire R1-1 is over a tub or shower and not marked for damp or wet places.',
    ],
  ],
});
