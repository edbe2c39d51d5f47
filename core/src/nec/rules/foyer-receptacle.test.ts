import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { foyerReceptacle } from './foyer-receptacle';

const foyer = (depth: number) =>
  aHouse()
    .room('foyer', 'foyer', [0, 0, 96, depth])
    .opening('foyer', 'c2', 'door', 20, 56)
    .opening('foyer', 'c1', 'cased', 0, depth)
    .opening('foyer', 'c3', 'cased', 0, depth);

testRule(foyerReceptacle, {
  passes: [
    ['exactly 60 ft² is not yet a case', foyer(90), 'foyer has 60 ft²: none is required.'],
    ['a wall of 8 ft with one', foyer(96).receptacle('foyer', 'c0', 48), 'The north wall of foyer has a receptacle.'],
  ],
  cannotTell: [
    [
      'four feet of wall, but only around a corner',
      aHouse()
        .room('foyer', 'foyer', [0, 0, 100, 100])
        .opening('foyer', 'c0', 'cased', 24, 76)
        .opening('foyer', 'c1', 'cased', 0, 100)
        .opening('foyer', 'c2', 'cased', 0, 100)
        .opening('foyer', 'c3', 'cased', 0, 76),
      '4\'-0" of wall around a corner of foyer has no receptacle, and no straight stretch of it is 3 ft. Whether such a space counts is disputed: ask the authority.',
    ],
  ],
  fails: [['over 60 ft², a wall of 8 ft without', foyer(96), '8\'-0" of the north wall of foyer has no receptacle.']],
});
