import { describe, expect, it } from 'vitest';
import { mustKnow } from '../brief/must-know';
import { aHouse } from '../test/house-builder';
import { lampColors, plateOf, trimSheets } from './trim-sheets';

const house = aHouse()
  .room('bed', 'bedroom', [0, 0, 144, 120], { lampK: 2700 })
  .room('bath', 'bathroom', [150, 0, 96, 120])
  .over('bed', 'luminaire', 72, 60)
  .wallBox('bed', 'c0', 30, { kind: 'switch' })
  .over('bath', 'luminaire', 200, 60)
  .over('bath', 'luminaire', 200, 90, {}, { state: 'future' })
  .wallBox(
    'bath',
    'c0',
    30,
    { kind: 'receptacle' },
    { gangs: 2, at: { kind: 'wall', wall: 'c0', alongIn: 30, heightIn: 44 } },
  )
  .wallBox('bath', 'c0', 60, { kind: 'switch' }, { at: { kind: 'wall', wall: 'c0', alongIn: 60, heightIn: 44.5 } })
  .build();

describe('trim sheets', () => {
  it('hold what is trimmed, say what stands in one line, and leave out what is for later', () => {
    const bath = trimSheets(house).find((one) => one.room.id === 'bath')!;
    expect(bath.boxes.map(({ box }) => box.tag)).toEqual(['R2-1', 'R2-3', 'R2-4']);
    expect(bath.boxes.map(({ aligned }) => aligned)).toEqual([
      '',
      'in line with R2-4 at 3\'-8"',
      'in line with R2-3 at 3\'-8 1/2"',
    ]);
    expect(bath.boxes.map(({ box }) => plateOf(box))).toEqual(['canopy', '2-gang plate', '1-gang plate']);
  });

  it('count the lights of each color, those of which nobody has said it last', () => {
    expect(lampColors(house)).toEqual([
      { kelvin: 2700, count: 1 },
      { kelvin: undefined, count: 1 },
    ]);
  });

  it('what is said of every lit room answers the question of the brief', () => {
    const asked = (of: typeof house) => mustKnow(of).find((one) => one.question.id === 'lamp-color')?.known;
    expect(asked(house)).toBeUndefined();
    const said = { ...house, rooms: { ...house.rooms, bath: { ...house.rooms['bath']!, lampK: 3000 } } };
    expect(asked(said)).toBe('said: 2700, 3000 K');
  });
});
