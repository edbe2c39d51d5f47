import type { LoadKind } from '../../house/schema-equipment';
import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { heatSubdivided } from './heat-subdivided';

const furnace = (va: number, kind: LoadKind = 'electric-furnace') =>
  served()
    .circuit('F', 60, { poles: 2, panel: 'P', space: 1, purpose: 'individual' })
    .load(kind, 'kitchen', 'c0', 40, 'F', { va });

testRule(heatSubdivided, {
  passes: [
    ['exactly 48 A', furnace(11_520), 'Electric furnace takes no more than one set of elements may.'],
    ['a baseboard', furnace(1_500, 'baseboard-heat')],
  ],
  fails: [
    [
      'a furnace of 15 kW',
      furnace(15_000),
      'Electric furnace takes 63 A: its elements have to be divided into parts of 48 A at most, each behind 60 A at most in or beside it. Its plate says whether it wants one circuit or several, and how large.',
    ],
    ['a watt more than 48 A', furnace(11_521)],
  ],
  notApplicable: [['no heat', served()]],
});
