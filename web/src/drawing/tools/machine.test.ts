import { describe, expect, it } from 'vitest';
import { validateHouse, type House, type Point } from '@winculum/core';
import { counting, oneBedroom } from '../../test/rooms';
import { IDLE, step, type Hit, type Step, type Tool, type ToolState } from './machine';

/** A hand that plays events on a tool and commits what comes of it. */
class Hand {
  state: ToolState = IDLE;
  last: Step = { state: IDLE };
  readonly newId = counting();
  constructor(
    public house: House,
    readonly tool: Tool,
    readonly selectedRooms: readonly string[] = [],
    readonly canEdit = true,
  ) {}

  #play(
    type: 'down' | 'move' | 'up' | 'leave' | 'cancel' | 'confirm',
    x: number,
    y: number,
    hit: Hit | null,
    keys: { shift?: boolean; alt?: boolean } = {},
  ): this {
    const point: Point = { x, y };
    const context = {
      house: this.house,
      level: 'L1',
      newId: this.newId,
      thresholdIn: 6,
      selectedRooms: this.selectedRooms,
      canEdit: this.canEdit,
    };
    this.last = step(
      this.tool,
      this.state,
      { type, point, hit, shift: keys.shift ?? false, alt: keys.alt ?? false },
      context,
    );
    this.state = this.last.state;
    if (this.last.commit?.ok) this.house = this.last.commit.value.house;
    return this;
  }
  down(x: number, y: number, hit: Hit | null = null, keys = {}): this {
    return this.#play('down', x, y, hit, keys);
  }
  move(x: number, y: number, keys = {}): this {
    return this.#play('move', x, y, null, keys);
  }
  up(x: number, y: number): this {
    return this.#play('up', x, y, null);
  }
  cancel(): this {
    return this.#play('cancel', 0, 0, null);
  }
  leave(): this {
    return this.#play('leave', 0, 0, null);
  }
  confirm(): this {
    return this.#play('confirm', 0, 0, null);
  }
  expectToBeIn(kind: ToolState['kind']): this {
    expect(this.state.kind).toBe(kind);
    return this;
  }
}

const select: Tool = { kind: 'select', lasso: false };

describe('draw room', () => {
  it('drags a rectangle and snaps a wall\u2019s thickness off its neighbor', () => {
    const hand = new Hand(oneBedroom(), { kind: 'rectangle', room: 'kitchen' });
    hand.down(147, 2).expectToBeIn('drawing-rectangle').move(250, 100).up(270.4, 118).expectToBeIn('idle');
    const kitchen = Object.values(hand.house.rooms).find((room) => room.kind === 'kitchen')!;
    expect(kitchen.corners.map(({ x, y }) => [x, y])).toEqual([
      [148.5, 0],
      [270, 0],
      [270, 120],
      [148.5, 120],
    ]);
    expect(validateHouse(structuredClone(hand.house)).ok).toBe(true);
  });

  it('refuses an overlap and keeps the house', () => {
    const hand = new Hand(oneBedroom(), { kind: 'rectangle', room: 'kitchen' });
    hand.down(50, 50).move(90, 90).up(250, 100);
    expect(hand.last.commit).toMatchObject({
      ok: false,
      problems: [{ message: 'Kitchen overlaps Bedroom. Move it, or make it smaller.' }],
    });
    expect(Object.keys(hand.house.rooms)).toEqual(['bed']);
  });

  it('a click or a cancelled drag builds nothing', () => {
    const hand = new Hand(oneBedroom(), { kind: 'rectangle', room: 'kitchen' });
    hand.down(200, 0).up(201, 1).expectToBeIn('idle').down(200, 0).move(300, 90).cancel().up(300, 90);
    expect(Object.keys(hand.house.rooms)).toEqual(['bed']);
  });

  it('corner by corner runs square and closes on the first corner or Enter', () => {
    const corners = [
      [200, 0],
      [300, 3],
      [298, 100],
      [250, 104],
      [251, 60],
      [200, 58],
    ] as const;
    for (const finish of ['click', 'enter']) {
      const hand = new Hand(oneBedroom(), { kind: 'polygon', room: 'studio' });
      for (const [x, y] of corners) hand.move(x, y).down(x, y);
      if (finish === 'click') hand.down(201, 1);
      else hand.confirm();
      const studio = Object.values(hand.house.rooms).find((room) => room.kind === 'studio')!;
      expect(studio.corners.map(({ x, y }) => [x, y])).toEqual(
        [
          [200, 0],
          [300, 0],
          [300, 100],
          [250, 100],
          [250, 60],
          [200, 60],
        ].map(([x, y], i) => (i === 5 ? [200, 60] : [x, y])),
      );
    }
  });
});

describe('a press whose way a second finger or the browser takes', () => {
  it('draws no room', () => {
    const hand = new Hand(oneBedroom(), { kind: 'rectangle', room: 'studio' });
    hand.move(200, 0).down(200, 0).move(300, 100).leave().expectToBeIn('idle').up(320, 120);
    expect(Object.values(hand.house.rooms).some((room) => room.kind === 'studio')).toBe(false);
  });
  it('takes back the corner that it set, and leaves those before it', () => {
    const hand = new Hand(oneBedroom(), { kind: 'polygon', room: 'studio' });
    hand.down(200, 0).down(300, 0).down(300, 100).leave();
    expect(hand.state).toMatchObject({ kind: 'drawing-polygon', points: [{ x: 200 }, { x: 300, y: 0 }] });
    hand.leave().leave().expectToBeIn('idle');
  });
});

describe('put in and set down', () => {
  it('an opening goes on the nearest wall, whole', () => {
    const hand = new Hand(oneBedroom(), { kind: 'opening', opening: 'window' });
    hand.move(5, 3).expectToBeIn('hovering').down(5, 3);
    expect(Object.values(hand.house.openings).find((one) => one.kind === 'window')).toMatchObject({
      room: 'bed',
      wall: 'c0',
      alongIn: 0,
      widthIn: 36,
    });
  });

  it('far from any wall it is refused with the remedy', () => {
    const hand = new Hand(oneBedroom(), { kind: 'opening', opening: 'door' });
    expect(hand.down(400, 400).last.commit).toMatchObject({
      ok: false,
      problems: [{ message: 'There is no wall here. Click close to the wall of a room.' }],
    });
  });

  it('a receptacle nails to the stud\u2019s side that is near, with Alt it stands where it is put', () => {
    const near = new Hand(oneBedroom(), { kind: 'box', box: 'receptacle' }).down(49, 4);
    expect(Object.values(near.house.boxes)[0]!.at).toEqual({ kind: 'wall', wall: 'c0', alongIn: 49.875, heightIn: 16 });
    const free = new Hand(oneBedroom(), { kind: 'box', box: 'receptacle' }).down(56, 4, null, { alt: true });
    expect(Object.values(free.house.boxes)[0]!.at).toMatchObject({ alongIn: 56 });
  });

  it('a luminaire hangs where it is clicked', () => {
    const hand = new Hand(oneBedroom(), { kind: 'box', box: 'luminaire' }).down(70.4, 60);
    expect(Object.values(hand.house.boxes)[0]!.at).toEqual({ kind: 'ceiling', x: 70, y: 60 });
  });
});

describe('drag', () => {
  const corner = (id: string): Hit => ({ kind: 'corner', id, room: 'bed' });

  it('a corner goes with the hand, as one edit, from the snapshot', () => {
    const hand = new Hand(oneBedroom(), select, ['bed']);
    hand
      .down(144, 0, corner('c1'))
      .expectToBeIn('pressing')
      .move(150, -10)
      .expectToBeIn('dragging')
      .move(170, -20)
      .up(180, -24);
    expect(hand.house.rooms['bed']!.corners[1]).toMatchObject({ x: 170, y: -20 });
    expect(hand.last.commit).toBeDefined();
  });

  it('a wall moves square to itself', () => {
    const hand = new Hand(oneBedroom(), select, ['bed']);
    hand.down(144, 60, { kind: 'wall', id: 'c1', room: 'bed' }).move(160, 90).up(160, 90);
    expect(hand.house.rooms['bed']!.corners.map(({ x }) => x)).toEqual([0, 160, 160, 0]);
  });

  it('a wall that would no longer hold its door is refused, and comes back', () => {
    const hand = new Hand(oneBedroom(), select, ['bed']);
    hand.down(144, 60, { kind: 'wall', id: 'c1', room: 'bed' }).move(20, 60).up(20, 60);
    expect(hand.last.commit).toMatchObject({ ok: false });
    expect(hand.house.rooms['bed']!.corners[1]!.x).toBe(144);
  });

  it('an opening slides along its wall and stops at its ends', () => {
    const hand = new Hand(oneBedroom(), select);
    hand.down(110, 120, { kind: 'opening', id: 'door' }).move(-200, 140).up(-200, 140);
    expect(hand.house.openings['door']).toMatchObject({ wall: 'c2', alongIn: 112 });
  });

  it('a room moves only when it is selected; cancel leaves it', () => {
    const room: Hit = { kind: 'room', id: 'bed' };
    expect(new Hand(oneBedroom(), select).down(50, 50, room).expectToBeIn('idle').last.picked).toEqual({
      hit: room,
      add: false,
    });
    const hand = new Hand(oneBedroom(), select, ['bed']);
    hand.down(50, 50, room).move(80, 50).cancel().up(80, 50);
    expect(hand.house.rooms['bed']!.corners[0]).toMatchObject({ x: 0 });
    hand.down(50, 50, room).move(80, 70).up(80, 70);
    expect(hand.house.rooms['bed']!.corners[0]).toMatchObject({ x: 30, y: 20 });
  });

  it('a viewer takes hold of nothing', () =>
    new Hand(oneBedroom(), select, [], false).down(110, 120, { kind: 'opening', id: 'door' }).expectToBeIn('idle'));

  it('with Shift or the lasso a drag on bare ground catches boxes', () => {
    const hand = new Hand(oneBedroom(), select)
      .down(10, 10, null, { shift: true })
      .expectToBeIn('lassoing')
      .move(90, 90)
      .up(90, 90);
    expect(hand.last.lassoed).toEqual({ from: { x: 10, y: 10 }, to: { x: 90, y: 90 } });
  });
});
