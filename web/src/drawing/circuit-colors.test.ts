import { readFileSync } from 'node:fs';
import { readHouseFile } from '@winculum/core';
import { expect, test } from 'vitest';
import { inkOf, numberOf, ringOf } from './circuit-colors';

test('every circuit of the demo house can be told from every other by number, and by ring where the ink is the same', () => {
  const read = readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8'));
  const circuits = read.ok ? Object.values(read.value.circuits) : [];
  expect(circuits.length).toBeGreaterThan(20);
  expect(new Set(circuits.map((one) => numberOf(one, circuits))).size).toBe(circuits.length);
  const seen = circuits.map((one) => `${inkOf(one, circuits)} ${ringOf(one, circuits)}`);
  expect(new Set(seen).size).toBe(circuits.length);
});
