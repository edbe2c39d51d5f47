import { testRule } from '../../test/rule-tester';
import { weatherResistant } from './weather-resistant';
import { room } from '../../test/boxes-in-place-cases';

testRule(weatherResistant, {
  passes: [
    [
      'on a porch',
      room('porch').receptacle('r', 'c0', 20, { wr: true }),
      'The receptacles of r are weather-resistant.',
    ],
  ],
  fails: [
    [
      'a plain one in a damp sunroom',
      room('sunroom')
        .receptacle('r', 'c0', 20)
        .with((house) => (house.rooms['r']!.damp = true)),
    ],
    ['a plain one on a deck', room('deck').receptacle('r', 'c0', 20), 'Receptacle R1-1 in r is not weather-resistant.'],
  ],
});
