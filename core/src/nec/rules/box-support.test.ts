import { testRule } from '../../test/rule-tester';
import { boxSupport } from './box-support';
import { room } from '../../test/boxes-in-place-cases';

testRule(boxSupport, {
  passes: [
    [
      'a sconce of 6 lb on a device box',
      room('foyer').wallBox('r', 'c0', 40, { kind: 'luminaire', style: 'wall', weightLb: 6 }, { type: 'gang-1' }),
    ],
    [
      'a fan on a fan-rated box',
      room('bedroom').over('r', 'fan', 72, 60, {}, { type: 'fan-brace' }),
      'The box R1-1 carries what hangs on it.',
    ],
    [
      '2017: an ordinary box in the middle of a bedroom',
      room('bedroom', '2017').over('r', 'luminaire', 72, 60, {}, { type: 'round-ceiling' }),
    ],
    [
      '2023: one that exists',
      room('bedroom').over('r', 'luminaire', 72, 60, {}, { type: 'round-ceiling', state: 'existing' }),
    ],
    [
      'the exhaust fan of a bath, in a housing of its own, beside a light',
      room('bathroom')
        .over('r', 'fan', 72, 60, {}, { type: 'round-ceiling' })
        .over('r', 'luminaire', 20, 20, {}, { type: 'round-ceiling' }),
      'The box R1-2 carries what hangs on it.',
    ],
    ['2023: the same near the wall', room('bedroom').over('r', 'luminaire', 20, 60, {}, { type: 'round-ceiling' })],
  ],
  fails: [
    [
      'a sconce of 60 lb on a box of 50 lb',
      room('foyer').wallBox('r', 'c0', 40, { kind: 'luminaire', style: 'wall', weightLb: 60 }, { type: 'octagon-4' }),
      'The luminaire at R1-1 weighs 60 lb, more than its box carries. Support it from the framing.',
    ],
    [
      'a light of 60 lb under a box of which nothing is marked',
      room('foyer').over('r', 'luminaire', 72, 60, { weightLb: 60 }, { type: 'square-4' }),
    ],
    [
      'a fan on an ordinary box',
      room('den').over('r', 'fan', 72, 60, {}, { type: 'round-ceiling' }),
      'The fan at R1-1 hangs on a box that is not listed for fans.',
    ],
    [
      'a sconce of 7 lb on a device box',
      room('foyer').wallBox('r', 'c0', 40, { kind: 'luminaire', style: 'wall', weightLb: 7 }, { type: 'gang-1' }),
      'The luminaire at R1-1 weighs 7 lb and hangs on a device box, whose screws may carry 6 lb. Take a luminaire box.',
    ],
    [
      'a fan of 45 lb on a fan box that is marked for no more than 35 lb',
      room('den')
        .with((house) => {
          house.standards.boxTypes = [
            {
              id: 'pancake-fan',
              name: 'Shallow fan box',
              gangs: 1,
              shape: 'round',
              volumeIn3: 6,
              depthIn: 0.5,
              for: 'new',
              fanRated: true,
            },
          ];
        })
        .over('r', 'fan', 72, 60, { weightLb: 45 }, { type: 'pancake-fan' }),
      'The fan at R1-1 weighs 45 lb, more than its box is marked for.',
    ],
    [
      'a fan of 75 lb',
      room('den').over('r', 'fan', 72, 60, { weightLb: 75 }),
      'The fan at R1-1 weighs 75 lb: no box carries it.',
    ],
    [
      'a chandelier of 51 lb',
      room('foyer').over('r', 'luminaire', 72, 60, { weightLb: 51 }, { type: 'octagon-4' }),
      'The luminaire at R1-1 weighs 51 lb, more than its box carries. Support it from the framing.',
    ],
  ],
  cannotTell: [
    [
      '2023: an ordinary box in the middle of a bedroom, which framing beside it may make good',
      room('bedroom').over('r', 'luminaire', 72, 60, {}, { type: 'round-ceiling' }),
      'The box R1-1 in the middle of r is where a fan could hang and is not listed for one. It has to be, or to give access to framing that carries the bracket of a fan.',
    ],
    [
      'a fan and a chandelier of 60 lb on boxes that nobody has chosen: one question',
      room('foyer').over('r', 'fan', 40, 60).over('r', 'luminaire', 100, 60, { weightLb: 60 }),
      'Which boxes do R1-1, R1-2 hang on? A fan takes a box listed for fans, a light of more than 50 lb one that is marked for its weight.',
    ],
  ],
});
