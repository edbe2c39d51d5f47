import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength, roundToSixteenth } from './length';

const inches = (text: string) => {
  const read = parseLength(text);
  return read.ok ? read.value : read.problems[0]?.message;
};

describe('parseLength takes what people type', () => {
  it.each([
    ["12'", 144],
    ["12' 6", 150],
    ['12-6 1/2', 150.5],
    [`6'-0"`, 72],
    ['150', 150],
    ['150"', 150],
    ["3.5'", 42],
    ['3 m', 118.125],
    ['90cm', 35.4375],
    ['1200 mm', 47.25],
    ['5-10 1/2', 70.5],
    ['70.5"', 70.5],
    ['6 ft 3 in', 75],
    ['10 1/2"', 10.5],
    ['10-1/2', 10.5],
    ['3/4', 0.75],
    ['12\u2019 6\u201d', 150],
    ["11'6", 138],
    ['11\' 6 1/4"', 138.25],
    ['4\u00bd"', 4.5],
    ['0', 0],
  ])('%s is %s in', (text, expected) => expect(inches(text)).toBe(expected));

  it.each([
    ['', 'No length was typed'],
    ['-3', 'negative'],
    ["12' 14", '12 inches or more are feet'],
    ['twelve', 'is not a length'],
    ['5 1/0', 'fraction over zero'],
    ["3.5' 4", 'a decimal in the feet'],
    ['12 yards', 'is not a length'],
    ['1e9', 'is not a length'],
    ['99999999', 'beyond any house'],
  ])('%s is refused: %s', (text, reason) => expect(inches(text)).toContain(reason));
});

describe('formatLength', () => {
  it.each([
    [150.5, '1/16', `12'-6 1/2"`],
    [72, '1/16', `6'-0"`],
    [16, '1/16', `1'-4"`],
    [0.75, '1/16', `3/4"`],
    [10.0625, '1/16', `10 1/16"`],
    [10.0625, '1/8', `10 1/8"`],
    [11.99, '1/8', `1'-0"`],
    [39.37, 'metric', '1.00 m'],
    [10, 'metric', '254 mm'],
  ] as const)('%s in as %s reads %s', (lengthIn, display, expected) =>
    expect(formatLength(lengthIn, display)).toBe(expected),
  );

  it('is read back as the same length, to 1/16', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 11_999, noNaN: true }), (lengthIn) => {
        expect(inches(formatLength(lengthIn))).toBe(roundToSixteenth(lengthIn));
      }),
    );
  });
});
