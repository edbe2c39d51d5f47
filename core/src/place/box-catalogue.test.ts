import { describe, expect, it } from 'vitest';
import type { House, RoomKind } from '../house/schema';
import { effectOfKind } from '../nec/name-effect';
import { backingFor, BOX_TYPES, boxTypes, needsSidingBlock, settingOf, suitableType, typeOf } from './box-catalogue';
import { aHouse, bedroom } from '../test/house-builder';

const one = (kind: RoomKind, device: Record<string, unknown>, box: Record<string, unknown> = {}, covering?: object) => {
  const house = aHouse()
    .room('r', kind, [0, 0, 144, 120])
    .with((draft) => void (covering && Object.assign(draft.rooms['r']!.corners[0]!, { covering })))
    .wallBox('r', 'c0', 60, device, box)
    .build();
  return { house, box: Object.values(house.boxes)[0]! };
};
const above = (kind: RoomKind, x: number, device: Record<string, unknown>) => {
  const house = aHouse().room('r', kind, [0, 0, 144, 120]).over('r', 'luminaire', x, 60, device).build();
  return { house, box: Object.values(house.boxes)[0]! };
};

describe('the box that suits', () => {
  it.each([
    ['a receptacle in gypsum', one('den', {}), 'gang-1'],
    ['three switches', one('den', { kind: 'switch' }, { gangs: 3 }), 'gang-3'],
    [
      'a covering that is undecided',
      one('bathroom', {}, {}, { kind: 'undecided', thicknessIn: 0 }),
      'gang-1-adjustable',
    ],
    ['a block wall', one('garage', {}, {}, { kind: 'masonry', thicknessIn: 0 }), 'gang-1-masonry'],
    ['a box moved in a finished wall', one('den', {}, { state: 'moved' }), 'gang-1-old-work'],
    ['on a porch', one('porch', { wr: true }), 'weatherproof-1'],
    ['a data outlet', one('office', { kind: 'low-voltage' }), 'low-voltage-1'],
    ['a wall luminaire', one('hallway', { kind: 'luminaire', style: 'wall' }), 'octagon-4'],
    ['in the middle of a bedroom\u2019s ceiling: a fan will come', above('bedroom', 72, {}), 'fan-brace'],
    ['beside the wall', above('bedroom', 20, {}), 'round-ceiling'],
    ['in the middle of a hall', above('hallway', 72, {}), 'round-ceiling'],
    ['a chandelier of 60 lb in a foyer', above('foyer', 72, { weightLb: 60 }), 'fan-brace'],
  ] as const)('%s', (_, { house, box }, id) => expect(suitableType(house, box).id).toBe(id));

  it('comes from the boxes of the firm, where it has entered its own', () => {
    const { house, box } = one('den', {});
    const own = (types: House['standards']['boxTypes']) => ({
      ...house,
      standards: { ...house.standards, boxTypes: types },
    });
    const base = { shape: 'device', depthIn: 3, for: 'new', gangs: 1 } as const;
    expect(suitableType(own([{ ...base, id: 'own-1', name: 'Shallow', volumeIn3: 14 }]), box).id).toBe('own-1');
    expect(suitableType(own([{ ...base, id: 'gang-1', name: 'Larger now', volumeIn3: 20.5 }]), box)).toMatchObject({
      name: 'Larger now',
      volumeIn3: 20.5,
    });
    expect(boxTypes(own([{ ...base, id: 'gang-1', name: 'x', volumeIn3: 20 }]))).toHaveLength(BOX_TYPES.length);
  });

  it('gives way to what somebody chose', () => {
    const { house, box } = one('den', {}, { type: 'gang-1-deep' });
    expect(typeOf(house, box).id).toBe('gang-1-deep');
  });

  it('stands in a catalogue whose ids are its own and whose gangs grow in volume', () => {
    expect(new Set(BOX_TYPES.map((type) => type.id)).size).toBe(BOX_TYPES.length);
    const plain = [1, 2, 3, 4, 5, 6].map((n) => BOX_TYPES.find((type) => type.id === `gang-${n}`)!.volumeIn3);
    expect(plain).toEqual(plain.toSorted((a, b) => a - b));
  });
});

describe('how it is set', () => {
  it.each([
    [undefined, 0.5, undefined],
    [{ kind: 'tile', thicknessIn: 0.625 }, 0.625, undefined],
    [{ kind: 'tile', thicknessIn: 1.25 }, 1.25, 'thick covering: adjustable box, or an extension ring after it is on'],
    [{ kind: 'wood', thicknessIn: 0.75 }, 0.75, 'wood burns: flush or proud, never back'],
  ])('covering %j: %f in out of the stud', (covering, out, advice) => {
    const { house, box } = one('den', {}, {}, covering);
    expect(settingOf(house, box)).toEqual({ standsOutIn: out, advice });
  });

  it.each([
    [undefined, undefined, undefined],
    [{ kind: 'gypsum', thicknessIn: 0.625 }, 0.625, undefined],
    [{ kind: 'wood', thicknessIn: 0.75 }, 0.75, 'wood burns: flush or proud, never back'],
    [
      { kind: 'drop', thicknessIn: 8 },
      undefined,
      'hung ceiling: box on a bar between its runners, or on the structure with a whip',
    ],
    [
      { kind: 'undecided', thicknessIn: 0 },
      undefined,
      'ceiling undecided: use a box of adjustable depth, or set it later',
    ],
  ] as const)('in a ceiling %j: %s in out of the joist', (ceiling, out, advice) => {
    const { house, box } = above('foyer', 72, {});
    const with1: House = { ...house, rooms: { ...house.rooms, [box.room]: { ...house.rooms[box.room]!, ceiling } } };
    expect(settingOf(with1, box)).toEqual({ standsOutIn: out, advice });
  });

  it.each([
    [undefined, undefined, undefined, false],
    [{ kind: 'lap', thicknessIn: 0.5, courseIn: 7 }, 0.5, 'mounting block over a whole course of 7 in, flashed', true],
    [{ kind: 'board-and-batten', thicknessIn: 0.75 }, 0.75, 'between two battens, or on a mounting block', true],
    [
      { kind: 'brick', thicknessIn: 4.5 },
      4.5,
      'brick: front flush with the finished face, extension ring as it is laid',
      false,
    ],
    [{ kind: 'panel', thicknessIn: 0.4375 }, 0.4375, undefined, false],
  ] as const)('outdoors in siding %j: %s in', (siding, out, advice, block) => {
    const { house, box } = one('porch', {}, {});
    const with1: House = { ...house, rooms: { ...house.rooms, [box.room]: { ...house.rooms[box.room]!, siding } } };
    expect(settingOf(with1, box)).toEqual({ standsOutIn: out, advice });
    expect(needsSidingBlock(with1, box)).toBe(block);
  });

  it('asks for a block behind three gangs, and for backing for weight', () => {
    expect(backingFor(one('den', { kind: 'switch' }, { gangs: 2 }).box)).toBeUndefined();
    expect(backingFor(one('den', { kind: 'switch' }, { gangs: 3 }).box)).toContain('block');
    expect(backingFor(above('foyer', 72, { weightLb: 100 }).box)).toBe('backing for 100 lb, fixed to the framing');
  });
});

describe('what another name for a room would ask', () => {
  it('a bedroom that becomes a bathroom needs GFCI and no wall spacing', () => {
    const house = bedroom().receptacle('bed', 'c0', 60).build();
    const { adds, drops } = effectOfKind(house, 'bed', 'bathroom');
    expect(adds).toContain('1 outlet more would need GFCI.');
    expect(adds.some((text) => text.includes('No basin is drawn'))).toBe(true);
    expect(drops.some((text) => text.includes('six-foot cord'))).toBe(true);
    expect(drops).toContain('1 outlet fewer would need AFCI.');
  });
  it('an office that becomes a bedroom needs its smoke alarms', () => {
    const house = aHouse().room('r', 'office', [0, 0, 144, 120]).build();
    expect(effectOfKind(house, 'r', 'bedroom').adds).toContain('r has no smoke alarm. (IRC R314.3, NFPA 72)');
  });
});
