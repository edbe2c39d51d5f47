import { describe, expect, it } from 'vitest';
import { createHouse } from '../edits/create-house';
import { moveBox } from '../edits/verbs';
import { EDITIONS, type House } from '../house/schema';
import { applyRemedy } from './apply-remedy';
import { checkHouse, type Finding } from './check-house';
import { demo } from '../test/demo-house';

const violations = (house: House) =>
  checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');

describe('the demo house', () => {
  it('has the mistakes that were left in, and no others', () => {
    expect(
      violations(demo)
        .map((one) => one.ruleId)
        .sort(),
    ).toEqual(['conductor-size', 'individual-circuit', 'small-appliance-only', 'wall-receptacle-spacing']);
  });

  it('is mended by the remedies that the findings offer', () => {
    let house = demo;
    let n = 0;
    for (let tries = 0; tries < 8; tries++) {
      const [next] = violations(house).filter((one) => one.remedies.length > 0);
      if (!next) break;
      const mended = applyRemedy(house, next.remedies[0]!, (prefix) => `${prefix}-mended-${++n}`);
      if (!mended.ok) throw new Error(mended.problems[0]!.message);
      house = mended.value.house;
    }
    expect(violations(house)).toEqual([]);
  });

  it('has every stop looked at, and an empty house none: what is not there yet is not called right', () => {
    expect([...checkHouse(demo).looked].sort()).toEqual([
      'boxes',
      'circuits',
      'house',
      'make-up',
      'panel',
      'service',
      'switching',
    ]);
    expect([...checkHouse(createHouse('Empty')).looked]).toEqual([]);
  });

  it('says the same after an edit whether checked afresh or from memory', () => {
    checkHouse(demo);
    const box = Object.values(demo.boxes).find((one) => one.at.kind === 'wall' && one.room === 'dining')!;
    if (box.at.kind !== 'wall') throw new Error('a box on a wall');
    const moved = moveBox(demo, box.id, { ...box.at, alongIn: box.at.alongIn + 7 });
    if (!moved.ok) throw new Error(moved.problems[0]!.message);
    const plain = (findings: readonly Finding[]) => findings.map(({ key, message }) => `${key} ${message}`);
    const fresh = checkHouse(structuredClone(moved.value.house));
    const remembered = checkHouse(moved.value.house);
    expect(plain(remembered.findings)).toEqual(plain(fresh.findings));
    expect(plain(remembered.passes)).toEqual(plain(fresh.passes));
  });

  it.each(EDITIONS)('every finding of NEC %s has a section, a basis, a sentence and a reason', (edition) => {
    const check = checkHouse(demo, { edition });
    for (const one of [...check.findings, ...check.passes]) {
      expect(one.section).not.toBe('');
      expect(['from memory', 'common practice']).toContain(one.basis.source);
      expect(one.message).not.toMatch(/undefined|NaN|Infinity/);
      expect(`${one.measured} ${one.required}`).not.toMatch(/NaN/);
    }
  });

  it('a change of edition changes only what its rules change', () => {
    const of = (edition: (typeof EDITIONS)[number]) =>
      new Set(checkHouse(demo, { edition }).findings.map((one) => one.ruleId));
    expect([...of('2017')].filter((id) => !of('2023').has(id))).toEqual(['island-receptacle']);
    expect([...of('2023')].filter((id) => !of('2017').has(id))).toEqual([]);
  });
});
