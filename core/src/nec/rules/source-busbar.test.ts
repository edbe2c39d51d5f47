import type { Edition } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { withSource } from '../../test/supply-cases';
import { sourceBusbar } from './source-busbar';

type Extra = Readonly<Record<string, unknown>>;
/** 7,680 W are 32 A, at 125 % 40 A: 200 + 40 = 240 = 120 % of 200. */
const array = (source: Extra, panel: Extra = {}, edition: Edition = '2023') =>
  withSource({ kind: 'solar', name: 'The array', transfer: 'interactive', ...source }, panel).with(
    (house) => void (house.job.edition = edition),
  );

testRule(sourceBusbar, {
  passes: [
    [
      '40 A at the far end of 200 A',
      array({ runningW: 7680, atFarEnd: true }),
      'The busbars of P stand main and sources together.',
    ],
    ['busbars of 225 A behind a main of 175 A', array({ runningW: 7680 }, { mainA: 175, busA: 225 }, '2014')],
    ['the same share in 2017', array({ runningW: 7680, atFarEnd: true }, {}, '2017')],
    ['the same share in 2020', array({ runningW: 7680, atFarEnd: true }, {}, '2020')],
  ],
  fails: [
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
