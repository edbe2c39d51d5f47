import { describe, expect, it } from 'vitest';
import { coveringOf, readLayers } from './read-layers';

describe('layers of a covering as they are called out', () => {
  it.each([
    [
      'gypsum 1/2, tile 3/8',
      [
        ['gypsum', 0.5],
        ['tile', 0.375],
      ],
    ],
    [
      '1/2 drywall + 3/8 tile',
      [
        ['gypsum', 0.5],
        ['tile', 0.375],
      ],
    ],
    [
      'Backer board 1/2", thinset 1/8, marble 3/4',
      [
        ['backer', 0.5],
        ['mortar', 0.125],
        ['stone', 0.75],
      ],
    ],
    [
      'furring 3/4,, gypsum 5/8',
      [
        ['furring', 0.75],
        ['gypsum', 0.625],
      ],
    ],
    ['', []],
  ] as const)('%s', (line, expected) => {
    const read = readLayers(line);
    expect(read.ok && read.value.map((one) => [one.kind, one.thicknessIn])).toEqual(expected);
  });

  it.each([
    ['silk 1/2', '“silk 1/2” names no layer.'],
    ['gypsum', '“gypsum” needs a thickness of up to 6 in, as in “gypsum 1/2”.'],
    ['tile 0', '“tile 0” needs a thickness'],
    ['tile 7', '“tile 7” needs a thickness'],
    [Array.from({ length: 7 }, () => 'wood 1/4').join(','), 'six layers at most'],
  ])('refuses %s, and says how', (line, words) => {
    const read = readLayers(line);
    expect(read.ok ? '' : read.problems[0]!.message).toContain(words);
  });

  it('make a covering as thick as all of them, of the kind that is seen', () => {
    const read = readLayers('gypsum 5/8, stone 3/4');
    expect(read.ok && coveringOf(read.value)).toMatchObject({ kind: 'tile', thicknessIn: 1.375 });
    expect(coveringOf([])).toBeUndefined();
  });
});
