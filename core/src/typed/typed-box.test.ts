import { describe, expect, it } from 'vitest';
import { aHouse } from '../test/house-builder';
import { readTypedBox } from './typed-box';

// 12 ft by 10 ft; a door of 32 in in the south wall with its jambs at 12 and 44 in from the south-east corner, and one to the hall in the west.
const house = aHouse()
  .room('bed', 'bedroom', [0, 0, 144, 120])
  .room('hall', 'hallway', [-52.5, 0, 48, 120])
  .opening('bed', 'c2', 'door', 12, 32, { hinge: 'left' })
  .opening('bed', 'c3', 'door', 40, 30, { hinge: 'right' })
  .receptacle('bed', 'c0', 60)
  .build();
const room = house.rooms['bed']!;
const read = (text: string, from = 0) => {
  const said = readTypedBox(house, room, from, text);
  if (!said.ok) return said.problems[0]!.message;
  const { kind, count, gfci, atLoopIn, heightIn } = said.value;
  return [`${count > 1 ? `${count} ` : ''}${gfci ? 'GFCI ' : ''}${kind ?? 'walk'}`, atLoopIn, heightIn];
};

describe('a box that is called out', () => {
  it.each([
    ["R 7'-8", 0, ['receptacle', 92, undefined]],
    ["r 12'-6", 0, ['receptacle', 150, undefined]],
    ['s', 264, ['switch', 264, undefined]],
    ["6'", 10, ['walk', 82, undefined]],
    ['-1', 0, ['walk', 527, undefined]],
    // A second length is the height; inches under a foot belong to the feet before them.
    [`R 4' 44"`, 0, ['receptacle', 48, 44]],
    [`R 4' 6"`, 0, ['receptacle', 54, undefined]],
    [`R 4' 6" 44"`, 0, ['receptacle', 54, 44]],
    ['R 48 44', 0, ['receptacle', 48, 44]],
    ['R 40 1/2 44', 0, ['receptacle', 40.5, 44]],
    [`R 4' @ 44`, 0, ['receptacle', 48, 44]],
    [`receptacle 4' at 10"`, 0, ['receptacle', 48, 10]],
    [`S at 40`, 100, ['switch', 100, 40]],
    ["GFCI 3'", 0, ['GFCI receptacle', 36, undefined]],
    ["gfci 3' 44", 0, ['GFCI receptacle', 36, 44]],
    ["2S 3'", 0, ['2 switch', 36, undefined]],
    ["quad 3'", 0, ['2 receptacle', 36, undefined]],
    ["light 3'", 0, ['luminaire', 36, undefined]],
    // The latch of the south door is its right jamb, at 44 in, that of the west door its left one, at 40 in: away from the hinge.
    ['2S 6" latch', 264, ['2 switch', 264 + 44 + 6, undefined]],
    ['S latch 6"', 264, ['switch', 264 + 44 + 6, undefined]],
    ['S 6 latch', 527, ['switch', 264 + 144 + 40 - 6, undefined]],
    ['S latch', 264, ['switch', 264 + 44 + house.standards.switchFromJambIn, undefined]],
    ['', 0, 'Type R, GFCI, S, L or A and a distance: R 7\'-8, R 4\' 44", 2S 6" latch.'],
    ["R 90'", 0, `90'-0" is more than once around bed (44'-0").`],
    ["R 4' 12'", 0, `12'-0" is over the ceiling of bed (8'-1").`],
    ["7S 3'", 0, '7 in one box is not made: one to 6 gangs are.'],
    ["0R 3'", 0, '0 in one box is not made: one to 6 gangs are.'],
    ["L 3' 44", 0, 'Only receptacles and switches are called out with a height.'],
    // One key alone never sets a second box on the first; another height is another box.
    ['R', 60, 'R1-1 stands there already. Type a distance to go on by, or - to go back.'],
    ['R 1', 60, 'R1-1 stands there already. Type a distance to go on by, or - to go back.'],
    ['S', 60, ['switch', 60, undefined]],
  ])('%s from %i', (text, from, expected) => expect(read(text, from)).toEqual(expected));

  it('says what it does not understand', () => {
    expect(read('R seven')).toContain('"seven" is not a length');
    expect(read(`R 4' 44' 6`)).toContain('is not a length');
  });

  it('is said back with its wall, and from which door', () => {
    const said = (text: string, from: number) => {
      const order = readTypedBox(house, room, from, text);
      return order.ok ? order.value.sentence : '';
    };
    expect(said(`R 4' 44"`, 0)).toBe(`receptacle at 4'-0" along the north wall of bed, 3'-8" high`);
    expect(said('2S 6" latch', 264)).toMatch(
      /^2 switches in one box at .* along the south wall of bed, from the latch of the door to outside$/,
    );
    expect(said('S 6 latch', 527)).toMatch(/from the latch of the door to hall$/);
  });

  it('finds no latch where there is no door', () => {
    const shut = aHouse().room('den', 'den', [0, 0, 144, 120]).build();
    const order = readTypedBox(shut, shut.rooms['den']!, 0, 'S latch');
    expect(order).toMatchObject({
      ok: false,
      problems: [{ message: 'den has no door whose latch one could measure from.' }],
    });
  });
});
