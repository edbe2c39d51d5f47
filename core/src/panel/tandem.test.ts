import { describe, expect, it } from 'vitest';
import { spaceWord } from '../circuits/panel-spaces';
import { placeBreakers, shareSpace } from '../edits/verbs';
import { writeScheduleCsv } from '../formats/schedule-csv';
import type { House } from '../house/schema';
import { scheduleOf } from '../nec/schedule-of';
import { at, house } from '../test/panel-cases';

const start = () => house().circuit('A', 15, at(2)).circuit('B', 15, at(4)).circuit('C', 30, at(5, 2)).build();
const done = (result: ReturnType<typeof shareSpace>): House => {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value.house;
};
const words = (one: House) => Object.values(one.circuits).map(spaceWord);

describe('a tandem breaker', () => {
  it('takes a circuit into the space of another, both on its leg, and gives the space back', () => {
    const shared = done(shareSpace(start(), 'P', 'B', 2));
    expect(words(shared)).toEqual(['2A', '2B', '5-7']);
    const { rows, freeSpaces } = scheduleOf(shared, 'P');
    expect(rows.filter((row) => row.circuit).map((row) => [row.space, row.half, row.circuit!.id, row.leg])).toEqual([
      [2, 'a', 'A', 'A'],
      [2, 'b', 'B', 'A'],
      [5, undefined, 'C', 'A'],
      [7, undefined, 'C', 'B'],
    ]);
    expect(freeSpaces).toBe(5);
    expect(
      writeScheduleCsv(scheduleOf(shared, 'P'))
        .split('\r\n')
        .slice(2, 4)
        .map((line) => line.split(',')[0]),
    ).toEqual(['2A', '2B']);
    // Whoever leaves takes a whole space, and so does who stays.
    expect(words(done(placeBreakers(shared, 'P', { A: 8 })))).toEqual(['8', '2', '5-7']);
    expect(words(done(shareSpace(shared, 'P', 'A', 2)))).toEqual(['2B', '2A', '5-7']);
  });

  it.each([
    ['beside a two-pole breaker', 'A', 5],
    ['for a two-pole circuit', 'C', 2],
    ['in an empty space', 'A', 6],
  ])('is refused %s', (_, circuit, space) => {
    const result = shareSpace(start(), 'P', circuit, space);
    expect(result).toMatchObject({ ok: false, problems: [{ code: 'no-tandem', path: `circuits.${circuit}.space` }] });
  });
});
