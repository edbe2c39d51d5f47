import type { Edition } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { withSource } from '../../test/supply-cases';
import { sourceBusbar } from './source-busbar';

type Extra = Readonly<Record<string, unknown>>;
/** 7,680 W are 32 A, at 125 % 40 A: 200 + 40 = 240 = 120 % of 200. The other breakers of the panel come to 200 A. */
const array = (source: Extra, panel: Extra = {}, edition: Edition = '2023', others: readonly number[] = [100, 100]) =>
  others.reduce(
    (house, ratingA, i) => house.circuit(`C${i}`, ratingA, { poles: 2, panel: 'P', space: i + 1 }),
    withSource({ kind: 'solar', name: 'The array', transfer: 'interactive', ...source }, panel).with(
      (house) => void (house.job.edition = edition),
    ),
  );
const few = (...others: number[]) => array({ runningW: 10000, breakerA: 60 }, {}, '2014', others);

testRule(sourceBusbar, {
  passes: [
    [
      '40 A at the far end of 200 A',
      array({ runningW: 7680, atFarEnd: true }),
      'The busbars of P stand main and sources together.',
    ],
    ['busbars of 225 A behind a main of 175 A', array({ runningW: 7680 }, { mainA: 175, busA: 225 }, '2014')],
    [
      'few breakers: all of them but the main come to no more than the busbars',
      few(50, 90),
      'All breakers of P but its main come to 200 A, no more than the 200 A of its busbars. It holds as long as none is added: label it so.',
    ],
    ['the same share in 2017', array({ runningW: 7680, atFarEnd: true }, {}, '2017')],
    ['the same share in 2020', array({ runningW: 7680, atFarEnd: true }, {}, '2020')],
  ],
  fails: [
    ['the same with 10 A more', few(50, 100)],
    [
      '40 A anywhere on 200 A',
      array({ runningW: 7680 }),
      'Main and sources bring 240 A to P; its busbars allow 240 A only with the source\u2019s breaker at the end away from the main, marked not to be moved.',
    ],
    [
      '10 kW on 200 A',
      array({ runningW: 10000, atFarEnd: true }),
      'Main and sources bring 252 A to P; its busbars allow 240 A. A smaller main, larger busbars, or a connection ahead of the main.',
    ],
  ],
  notApplicable: [['a generator behind an interlock', withSource({ transfer: 'interlock' })]],
});
