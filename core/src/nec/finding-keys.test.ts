import { expect, it } from 'vitest';
import type { House } from '../house/schema';
import { byTheTool } from '../test/by-the-tool';
import { demo } from '../test/demo-house';
import { routed } from '../test/routed';
import { SAMPLES } from '../test/samples';
import { must } from '../test/must';
import { acceptFinding } from './accept-finding';
import { checkHouse } from './check-house';

const houses: readonly (readonly [string, () => House])[] = [
  ['the demo house with its cables led', () => routed(demo)],
  ...SAMPLES.map(({ file, house }) => [`${file}, as it is drawn`, () => house] as const),
  ...SAMPLES.map(({ file, house }) => [`${file}, by the tool`, () => byTheTool(house, 'm')] as const),
  ['a house of two levels with its cables led', () => routed(byTheTool(SAMPLES[2]!.house))],
];

// A list that has two findings under one key shows one of them twice, and what is accepted of one would be accepted of the other.
it.each(houses)('no two verdicts about %s have one key', (_, make) => {
  const { findings, passes } = checkHouse(make());
  const keys = [...findings, ...passes].map((one) => one.key);
  expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
});

it('what is accepted of one is not accepted of the other, whichever was said first', () => {
  const house = SAMPLES[0]!.house;
  const pipes = (at: House) =>
    checkHouse(at)
      .findings.filter((one) => one.ruleId === 'pipe-bonding')
      .map((one) => one.message);
  const [water, gas] = pipes(house);
  const found = checkHouse(house).findings.find((one) => one.message === gas)!;
  const accepted = must(acceptFinding(house, found, { id: 'd', by: 'Ana', date: '2026-12-01', note: '' })).house;
  expect(pipes(accepted)).toEqual([water]);
  const bonded = { ...accepted, supply: { ...accepted.supply, waterBond: 'yes' as const } };
  expect(pipes(bonded)).toEqual([]);
});
