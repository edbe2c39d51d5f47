import { expect, test } from 'vitest';
import { memo } from './memo';

test('an answer stays the same object until one of the parts it reads is another', () => {
  let found = 0;
  const find = memo(
    (_: { readonly rooms: object; readonly name: string }, lineIn: number) => ({ found: ++found, lineIn }),
    ({ rooms }, lineIn) => [rooms, lineIn],
  );
  const rooms = {};
  const first = find({ rooms, name: 'a' }, 48);
  expect(find({ rooms, name: 'b' }, 48)).toBe(first);
  expect(find({ rooms, name: 'b' }, 30)).toEqual({ found: 2, lineIn: 30 });
  // Only the last is kept.
  expect(find({ rooms, name: 'b' }, 48)).toEqual({ found: 3, lineIn: 48 });
  expect(find({ rooms: {}, name: 'b' }, 48)).toMatchObject({ found: 4 });
});

test('without a list of parts, the arguments are the parts; nothing found is remembered as well', () => {
  const asked: object[] = [];
  const one = memo((key: object): undefined => void asked.push(key));
  const two = memo((key: object, edition: string) => asked.push(key) && edition);
  const key = {};
  expect([one(key), one(key), two(key, '2020'), two(key, '2020'), two(key, '2023')]).toEqual([
    undefined,
    undefined,
    '2020',
    '2020',
    '2023',
  ]);
  expect(asked).toHaveLength(3);
});
