import { expect, test } from 'vitest';
import { parseNumber, withoutThousands } from './number';

test.each([
  ['1500', 1500],
  ['1,500', 1500],
  ['12,500.5', 12500.5],
  ['1,234,567', 1234567],
  [' 7 ', 7],
  ['.5', 0.5],
  ['5.', 5],
  ['-40', -40],
  // A comma for the decimal point would make 1.5 of what is meant as 1,500 elsewhere.
  ['1,5', undefined],
  ['1,50', undefined],
  ['1,5000', undefined],
  ['12,34,567', undefined],
  ['1e3', undefined],
  ['0x10', undefined],
  ['', undefined],
  ['.', undefined],
  ['12 A', undefined],
  ['\u{1F600}', undefined],
])('%s is %s', (text, value) => expect(parseNumber(text)).toBe(value));

test('only commas between thousands go', () =>
  expect(withoutThousands('1,500 W and 1,5 kW')).toBe('1500 W and 1,5 kW'));
