import { describe, expect, it } from 'vitest';
import type { House } from '@winculum/core';
import { demo } from '../../../core/src/test/demo-house';
import { findStandards, STANDARD_FIELDS, STANDARD_PARTS, type StandardField, writeStandard } from './standard-fields';

/** Another value than the one that stands there. */
function another(field: StandardField, house: House): string | number {
  const now = field.read(house);
  if (field.kind === 'choice') return field.answers.find((one) => one.value !== now)!.value;
  if (field.kind === 'length') return (now as number) + 2;
  return now === field.max ? field.min : field.max;
}

describe('shop standards as a table', () => {
  it.each(STANDARD_FIELDS.map((field) => [`${field.part}: ${field.label}`, field] as const))(
    '%s: what is written is read again, and nothing else changes',
    (_, field) => {
      const value = another(field, demo);
      const changed = writeStandard(demo, field, value);
      if (!changed.ok) throw new Error(changed.problems[0]!.message);
      const { house } = changed.value;
      expect(field.read(house)).toBe(value);
      for (const other of STANDARD_FIELDS)
        if (other !== field) expect([other.id, other.read(house)]).toEqual([other.id, other.read(demo)]);
    },
  );

  it('each stands once and names its part', () => {
    const names = STANDARD_FIELDS.map((field) => `${field.part} ${field.id}`);
    expect(new Set(names).size).toBe(names.length);
    for (const part of STANDARD_PARTS) expect(STANDARD_FIELDS.some((field) => field.part === part)).toBe(true);
  });
});

describe('finding a standard by words', () => {
  it.each<[string, string[]]>([
    ['television', ['televisionHeightIn']],
    ['spare spaces', ['spareSpaces']],
    ['PIGTAIL', ['feed']],
    ['slack cable', ['slackIn']],
    ['', []],
    ['  ', []],
    ['xylophone', []],
  ])('“%s”', (words, ids) => expect(findStandards(demo, words).map((one) => one.id)).toEqual(ids));

  it('what is asked only elsewhere is not found', () => {
    const byArea = { ...demo, standards: { ...demo.standards, receptacleCount: 'area' as const } };
    const ids = (house: House) => findStandards(house, 'most receptacles').map((one) => one.id);
    expect([ids({ ...byArea, standards: { ...byArea.standards, receptacleCount: 'yoke-80' } }), ids(byArea)]).toEqual([
      [],
      ['maxReceptaclesPerCircuit'],
    ]);
  });
});
