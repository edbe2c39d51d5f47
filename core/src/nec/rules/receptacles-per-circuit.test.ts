import { testRule } from '../../test/rule-tester';
import { receptaclesPerCircuit } from './receptacles-per-circuit';
import { den } from '../../test/circuits-cases';

const eightOnFifteen = (n: number) =>
  Array.from({ length: n }, (_, i) => i).reduce(
    (house, i) => house.receptacle('den', 'c0', 5 + i * 12, { circuit: 'A' }),
    den().circuit('A', 15),
  );

testRule(receptaclesPerCircuit, {
  passes: [['eight at 180 VA and 80 % fill 15 A', eightOnFifteen(8), "A: 100 % of the firm's standard."]],
  fails: [['nine do not fit', eightOnFifteen(9), "A is loaded to 113 % of the firm's standard."]],
});
