import { describe, expect, it } from 'vitest';
import { sleeveSchema } from '../house/schema';
import { aHouse } from '../test/house-builder';
import { removeEntities } from '../edits/remove';
import { must } from '../test/must';
import { sleeveEstimateFt, sleeveLines } from './sleeve-lines';

const house = (...sleeves: object[]) =>
  aHouse()
    .room('a', 'den', [0, 0, 100, 100])
    .room('b', 'den', [300, 0, 100, 100])
    .room('up', 'attic', [0, 0, 100, 100])
    .with((draft) => {
      draft.levels['L2'] = { ...draft.levels['L1']!, id: 'L2', name: 'Attic', elevationIn: 108 };
      draft.rooms['up']!.level = 'L2';
      sleeves.forEach(
        (one, i) => (draft.sleeves[`s${i}`] = sleeveSchema.parse({ id: `s${i}`, name: `S${i}`, trade: '1', ...one })),
      );
    })
    .build();

describe('sleeves on the plan', () => {
  it('lead between the walls of two rooms that face each other', () =>
    expect(sleeveLines(house({ from: { room: 'a', capped: true }, to: { room: 'b' } }), 'L1')).toMatchObject([
      {
        from: { x: 100, y: 50 },
        to: { x: 300, y: 50 },
        ends: [{ capped: true }, { capped: false }],
        words: 'S0, 1 in',
      },
    ]));

  it('leave the level as a stub that says where to, seen from both levels, and nowhere else', () => {
    const one = house({ from: { room: 'a' }, to: { room: 'up', note: 'at the hatch' } }, { to: { room: null } });
    expect(sleeveLines(one, 'L1')).toMatchObject([
      { ends: [{ capped: false }], words: 'S0, 1 in to up, at the hatch' },
    ]);
    expect(sleeveLines(one, 'L2')).toMatchObject([{ words: 'S0, 1 in to a' }]);
    expect(sleeveLines(one, 'L3')).toEqual([]);
  });

  it('run from box to box where those are said, in one room too, with the feet that this takes at least', () => {
    const boxed = (from: object, to: object) =>
      aHouse()
        .room('a', 'den', [0, 0, 100, 100])
        .room('b', 'den', [300, 0, 100, 100])
        .over('a', 'luminaire', 20, 30)
        .over('a', 'luminaire', 80, 30)
        .with((draft) => {
          const [first, second] = Object.keys(draft.boxes);
          const ends = { from: { room: 'a', box: first, ...from }, to: { room: 'a', box: second, ...to } };
          draft.sleeves['s'] = sleeveSchema.parse({ id: 's', name: 'S', trade: '1', ...ends });
        })
        .build();
    const within = boxed({}, {});
    expect(sleeveLines(within, 'L1')).toMatchObject([{ from: { x: 20, y: 30 }, to: { x: 80, y: 30 } }]);
    // 60 in across, and what each end takes in its box.
    expect(sleeveEstimateFt(within, within.sleeves['s']!)).toBeGreaterThanOrEqual(5);
    const out = boxed({}, { room: 'b', box: undefined });
    expect(sleeveLines(out, 'L1')).toMatchObject([{ from: { x: 20, y: 30 }, to: { x: 300, y: 30 } }]);
    expect(sleeveEstimateFt(out, out.sleeves['s']!)).toBeUndefined();
    const [box] = Object.keys(within.boxes);
    const gone = must(removeEntities(within, [{ collection: 'boxes', id: box! }])).house.sleeves['s']!;
    expect([gone.from.box, gone.from.room, gone.to.box === undefined]).toEqual([undefined, 'a', false]);
  });

  it('two between the same rooms do not lie on each other', () => {
    const ends = { from: { room: 'a' }, to: { room: 'b' } };
    const [one, other] = sleeveLines(house(ends, ends), 'L1');
    expect(one?.from).not.toEqual(other?.from);
  });
});
