import { outletsOf, outletsProper } from '../requirements/circuit-facts';
import { givesAfci, protectionOf } from '../protection/circuit-protection';
import { staysAsItIs } from '../protection/decision';
import { defineRule, fromMemory, type EditionEntry } from '../rule';
import { given } from '../../units/result';

const entry = (section: string): EditionEntry<{ freeFt: number }> => ({
  section,
  // Conductors lengthened by no more than this, without another outlet or device, bring no AFCI.
  limits: { freeFt: 6 },
  basis: fromMemory('high'),
});

export const extendedCircuit = defineRule({
  id: 'extended-circuit',
  meta: {
    summary: 'What an extension of existing wiring brings with it',
    stage: 'circuits',
    severity: 'reminder',
    why: 'Old wiring may stay under the code of its day. What is added or replaced follows the code of today, and brings arc-fault protection to the rooms that are named, unless it is at most 6 ft of conductors without another outlet or device.',
    editions: {
      '2014': entry('210.12(B)'),
      '2017': entry('210.12(D)'),
      '2020': entry('210.12(D)'),
      '2023': entry('210.12(E)'),
    },
    messages: {
      due: ({ circuit, n, old }: Data) =>
        `${circuit} has ${old} outlets that exist and ${n} that are new, moved or replaced in rooms named by 210.12: AFCI by its breaker, or by a receptacle of the outlet branch-circuit type at the first receptacle that exists.`,
      short: ({ circuit, ft, free }: Data & { ft: number; free: number }) =>
        `${circuit} is lengthened by ${ft} ft for what was moved, no more than ${free} ft, and nothing is added to it.`,
      asked: ({ circuit, n, free }: Data & { free: number }) =>
        `On ${circuit} ${n === 1 ? 'an outlet is' : `${n} outlets are`} moved and nothing is added. By how many feet are the conductors lengthened? More than ${free} ft bring AFCI.`,
      given: ({ circuit }: Data) => `${circuit} is extended, and its breaker is an AFCI.`,
      outside: ({ circuit }: Data) => `${circuit} is extended outside the rooms named by 210.12.`,
      stays: ({ circuit }: Data) => `${circuit} exists and nothing is added to it: it may stay as it is.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => outletsOf(facts, circuit).some((outlet) => outlet.box.state === 'existing'),
  check: (facts, circuit, limits, report) => {
    const outlets = outletsProper(outletsOf(facts, circuit));
    const old = outlets.filter(staysAsItIs).length;
    if (old === 0) return [];
    const data = { circuit: circuit.name, old, n: outlets.length - old };
    const where = { circuit: circuit.id };
    if (data.n === 0) return [report.pass('stays', data, where)];
    const { needsAfci, fitted } = protectionOf(facts.house, circuit.id, facts.edition);
    if (!needsAfci) return [report.pass('outside', data, where)];
    if (givesAfci(fitted) && circuit.breaker !== 'auto') return [report.pass('given', data, where)];
    // The exception is for conductors alone: what is new or replaced is past it.
    const onlyMoved = outlets.every((one) => staysAsItIs(one) || one.box.state === 'moved');
    if (onlyMoved && circuit.extendedFt === undefined)
      return [report.cannotTell('asked', { ...data, free: limits.freeFt }, where)];
    if (onlyMoved && given(circuit.extendedFt) <= limits.freeFt)
      return [report.pass('short', { ...data, ft: given(circuit.extendedFt), free: limits.freeFt }, where)];
    return [report.fail('due', data, where)];
  },
});

interface Data {
  readonly circuit: string;
  readonly n: number;
  readonly old: number;
}
