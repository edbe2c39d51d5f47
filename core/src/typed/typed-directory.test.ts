import { describe, expect, it } from 'vitest';
import { spaceWord } from '../circuits/panel-spaces';
import { at, house as panelOfEight } from '../test/panel-cases';
import { withShop } from '../test/supply-cases';
import { addDirectory, readDirectory } from './typed-directory';

const newId = () => {
  let n = 0;
  return (prefix: string) => `${prefix}-${++n}`;
};
/** A panel P of 8 spaces with a circuit A in space 2. */
const house = panelOfEight().circuit('A', 15, at(2)).build();
const read = (text: string) => {
  const result = readDirectory(house, 'P', text);
  return result.ok
    ? result.value.map((one) => `${one.spaces.join('-')}${one.half ?? ''} ${one.ratingA} ${one.name}`)
    : result.problems.map((one) => one.message);
};

describe('the directory of an old panel', () => {
  it.each([
    ['5 20 Kitchen counter', ['5 20 Kitchen counter']],
    ['5. 20A Kitchen counter', ['5 20 Kitchen counter']],
    ['1-3 50 Range', ['1-3 50 Range']],
    ['1, 3 50 amp Range', ['1-3 50 Range']],
    ['1/3: 50A, Range', ['1-3 50 Range']],
    ['1 50/2 Range', ['1-3 50 Range']],
    ['1 50 2p Range', ['1-3 50 Range']],
    ['7a 15 Bath\n7B 15 Hall', ['7a 15 Bath', '7b 15 Hall']],
    ['5 15 Lights\n\n7 spare\n8 20 spare\n4 -', ['5 15 Lights']],
    ['5 15 2nd floor', ['5 15 2nd floor']],
  ])('%j', (text, said) => expect(read(text)).toEqual(said));

  it.each([
    ['Kitchen', '“Kitchen” begins with no space. Write 5 20 Kitchen counter, or 1-3 50 Range.'],
    ['5 Kitchen', '“Kitchen” names no breaker in amperes.'],
    ['5 17 Kitchen', 'there is no breaker of 17 A.'],
    ['5 20', 'what the breaker of 20 A feeds is not said.'],
    ['1-4 50 Range', 'a two-pole breaker takes two spaces below each other, 1-3, not 1-4.'],
    ['1-3 50/1 Range', 'a breaker of one pole takes one space.'],
    ['1a 50/2 Range', 'a breaker of two poles takes whole spaces, no half of one.'],
    ['7 50/2 Range', 'P has no space 9; its last is 8.'],
    ['0 15 Attic', 'P has no space 0; its last is 8.'],
    ['2 15 Attic', 'space 2 holds A. Leave the line out, or free the space first.'],
    ['5 15 Attic\n5 15 Cellar', 'Line 2: space 5 holds Attic.'],
    ['7a 15 Attic\n7a 15 Cellar', 'Line 2: space 7 holds Attic.'],
    ['', 'No breaker is named.'],
    ['5 spare', 'No breaker is named.'],
  ])('%j is refused, line and remedy named', (text, said) => {
    expect(read(text).join(' ')).toContain(said);
  });

  it('tells of every line that is wrong at once, and adds nothing then', () => {
    const result = addDirectory(house, 'P', '5 17 Attic\n6 20 Hall\nCellar', newId());
    expect(result.ok ? [] : result.problems.map((one) => one.path)).toEqual(['line 1', 'line 3']);
  });

  it('becomes circuits in their spaces, with the least conductors, left alone by planning, and is undone as one', () => {
    const result = addDirectory(house, 'P', '1-3 50 Range\n5 20 Kitchen\n7a 15 Bath\n7b 15 Hall\n8 60 Heat', newId());
    if (!result.ok) throw new Error(result.problems[0]!.message);
    const added = Object.values(result.value.house.circuits).filter((one) => one.id !== 'A');
    expect(added.map((one) => [spaceWord(one), one.ratingA, one.awg, one.locked, one.name])).toEqual([
      ['1-3', 50, '6', true, 'Range'],
      ['5', 20, '12', true, 'Kitchen'],
      ['7A', 15, '14', true, 'Bath'],
      ['7B', 15, '14', true, 'Hall'],
      ['8', 60, '4', true, 'Heat'],
    ]);
    expect(result.value.edit.label).toBe('Type 5 circuits');
  });

  it('leaves the spaces of a feeder alone', () => {
    const shop = withShop({ space: 1 }).build();
    const result = readDirectory(shop, 'P', '3 15 Attic');
    expect(result.ok ? '' : result.problems[0]!.message).toContain('space 3 holds the feeder of Q');
  });
});
