import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { cordSupply } from './cord-supply';

const onCord = (cordA: 20 | 30 | 50 | undefined, mainA: number, volts: '120' | '120/240' = '120') =>
  served({ kind: 'cord', volts, ...(cordA ? { cordA } : {}) }).with((house) => void (house.panels['P']!.mainA = mainA));

testRule(cordSupply, {
  passes: [['50 A at 120/240 V', onCord(50, 50, '120/240'), 'The calculated load, 16 A, fits a cord of 50 A.']],
  fails: [
    [
      'more than 30 A at 120 V give',
      onCord(30, 30),
      'The calculated load is 33 A on a cord of 30 A. Not all of it can run at once: decide what waits, and put it on a switch.',
    ],
    [
      'a main of 50 A on a cord of 30 A',
      onCord(30, 50),
      'The main of P is 50 A on a cord of 30 A: the main has to be no larger than the cord.',
    ],
  ],
  cannotTell: [
    [
      'a cord of unknown rating',
      onCord(undefined, 30),
      'What the power-supply cord of P is rated for is not said: 20, 30 or 50 A.',
    ],
  ],
  notApplicable: [['by the utility', served()]],
});
