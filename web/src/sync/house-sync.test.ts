import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AppliedBatch, Batch } from '@winculum/contract';
import {
  applyEdit,
  changeEntity,
  edit,
  editsOverlap,
  moveBox,
  type Edit,
  type Edited,
  type House,
  type Patch,
  type Result,
} from '@winculum/core';
import { demo } from '../test/rooms';
import { HouseSync, type Stored, type SyncDependencies, type SyncState } from './house-sync';

const boxes = Object.values(demo.boxes).filter((box) => box.at.kind === 'wall' && box.at.alongIn > 40);
const move = (house: House, n: number, alongIn: number) => {
  const box = house.boxes[boxes[n]!.id]!;
  if (box.at.kind !== 'wall') throw new Error('not on a wall');
  return must(moveBox(house, box.id, { ...box.at, alongIn }));
};
const must = (result: Result<Edited>): Edited => {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};
const alongOf = (house: House, n: number) => (house.boxes[boxes[n]!.id]!.at as { alongIn: number }).alongIn;
const patchesOf = (edits: readonly { patches: readonly unknown[] }[]) => edits.flatMap((one) => one.patches) as Patch[];

/** The server's rules in a few lines, with a connection that can be cut before or after the server has acted. */
class Server {
  house = demo;
  batches: AppliedBatch[] = [];
  connection: 'up' | 'down' | 'answer-lost' = 'up';
  listeners: ((batch: AppliedBatch) => void)[] = [];

  apply(batch: Batch): number | AppliedBatch[] {
    const known = this.batches.find((one) => one.batchId === batch.id);
    if (known) return known.version;
    const missed = this.batches.filter((one) => one.version > batch.base);
    const theirs = missed.filter((one) => editsOverlap(patchesOf(batch.edits), patchesOf(one.edits)));
    const next = applyEdit(this.house, patchesOf(batch.edits));
    if (theirs.length > 0 || !next.ok) return theirs;
    this.house = next.value;
    const applied = {
      version: this.batches.length + 1,
      batchId: batch.id,
      author: 'somebody',
      at: '',
      edits: structuredClone(batch.edits),
    };
    this.batches.push(applied);
    if (this.connection === 'up') this.announce([applied]);
    return applied.version;
  }

  announce(batches: readonly AppliedBatch[]): void {
    for (const listener of this.listeners) batches.forEach(listener);
  }

  /** With the connection the stream of announcements is back, and begins with what was missed. */
  reconnect(): void {
    this.connection = 'up';
    this.announce(this.batches);
  }

  send: SyncDependencies['send'] = async (batch) => {
    await Promise.resolve();
    if (this.connection === 'down') return { ok: false, failure: { kind: 'unreachable' } };
    const missed = this.batches.filter((one) => one.version > batch.base);
    const result = this.apply(structuredClone(batch));
    if (this.connection === 'answer-lost') return { ok: false, failure: { kind: 'unreachable' } };
    if (typeof result !== 'number')
      return { ok: false, failure: { kind: 'refused', reason: 'the same places', theirs: result } };
    return { ok: true, answer: { version: result, missed: missed.filter((one) => one.version < result) } };
  };
}

let ids = 0;
function client(server: Server, stored?: Stored, storing: () => void = () => undefined) {
  const seen: { state: SyncState; stored: Stored | undefined; later: (() => void)[] } = {
    state: { kind: 'saved' },
    stored,
    later: [],
  };
  const sync = new HouseSync(
    {
      send: server.send,
      store: async (next) => {
        seen.stored = structuredClone(next);
        storing();
      },
      newBatchId: () => `batch-${++ids}`,
      onChange: (_, state) => void (seen.state = state),
      later: (_, run) => (seen.later.push(run), () => undefined),
    },
    stored ?? { version: server.batches.length, house: server.house, pending: [], sending: null },
  );
  server.listeners.push((batch) => sync.receive(batch));
  const edit = (n: number, alongIn: number) => {
    const edited = move(sync.house, n, alongIn);
    sync.push(edited.house, edited.edit);
  };
  return { sync, seen, edit };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 3));

describe('HouseSync', () => {
  it('applies at once, sends, and is saved', async () => {
    const server = new Server();
    const { sync, seen, edit } = client(server);
    edit(0, 20);
    expect(alongOf(sync.house, 0)).toBe(20);
    expect(seen.state).toEqual({ kind: 'saving', waiting: 1 });
    await settled();
    expect(seen.state).toEqual({ kind: 'saved' });
    expect(alongOf(server.house, 0)).toBe(20);
  });

  it('keeps edits while offline, over a reload, and sends them after', async () => {
    const server = new Server();
    server.connection = 'down';
    const before = client(server);
    before.edit(0, 20);
    before.edit(1, 21);
    await settled();
    expect(before.seen.state).toEqual({ kind: 'offline', waiting: 2 });
    before.sync.stop();
    server.connection = 'up';
    const after = client(server, before.seen.stored);
    expect([alongOf(after.sync.house, 0), alongOf(after.sync.house, 1)]).toEqual([20, 21]);
    await after.sync.flush();
    await settled();
    expect([alongOf(server.house, 0), alongOf(server.house, 1)]).toEqual([20, 21]);
    expect(after.seen.stored!.pending).toEqual([]);
  });

  it('whose answer was lost sends the same batch again, and it is applied once', async () => {
    const server = new Server();
    server.connection = 'answer-lost';
    const { seen, edit, sync } = client(server, undefined);
    server.listeners.length = 0;
    edit(0, 20);
    await settled();
    expect(seen.state.kind).toBe('offline');
    server.connection = 'up';
    seen.later.at(-1)!();
    await settled();
    expect(server.batches).toHaveLength(1);
    expect([seen.state.kind, sync.version]).toEqual(['saved', 1]);
  });

  it('hears after a reload, while it stores, that its batch was applied before, and goes on sending', async () => {
    const server = new Server();
    server.connection = 'answer-lost';
    const before = client(server);
    server.listeners.length = 0;
    before.edit(0, 20);
    await settled();
    before.sync.stop();
    server.connection = 'up';
    // The stream of announcements begins with what was missed, and may be quicker than the device's store.
    const after = client(server, before.seen.stored, () => after.sync.receive(server.batches[0]!));
    await after.sync.flush();
    await settled();
    expect([after.seen.state.kind, after.sync.version, after.seen.stored!.pending.length]).toEqual(['saved', 1, 0]);
    after.edit(1, 30);
    await settled();
    expect([alongOf(server.house, 0), alongOf(server.house, 1)]).toEqual([20, 30]);
    expect(after.seen.state.kind).toBe('saved');
  });

  it('takes in what others did elsewhere', async () => {
    const server = new Server();
    const [anna, ben] = [client(server), client(server)];
    anna.edit(0, 20);
    ben.edit(1, 30);
    await settled();
    await settled();
    for (const one of [anna, ben]) {
      expect([alongOf(one.sync.house, 0), alongOf(one.sync.house, 1)]).toEqual([20, 30]);
      expect(one.seen.state.kind).toBe('saved');
    }
  });

  it('takes in what it heard of while its own batch was on its way and the answer was lost', async () => {
    const server = new Server();
    const [anna, ben] = [client(server), client(server)];
    server.connection = 'answer-lost';
    ben.edit(1, 30);
    anna.edit(0, 20);
    await settled();
    ben.edit(1, 31);
    await settled();
    server.connection = 'up';
    for (const { sync } of [anna, ben]) await sync.flush();
    await settled();
    for (const one of [anna, ben]) {
      expect(one.seen.state.kind).toBe('saved');
      expect([one.sync.version, alongOf(one.sync.house, 0), alongOf(one.sync.house, 1)]).toEqual([3, 20, 31]);
    }
  });

  it('shows a clash with both sides and loses neither; either can be kept', async () => {
    for (const choice of ['mine', 'theirs'] as const) {
      const server = new Server();
      const [anna, ben] = [client(server), client(server)];
      server.listeners.length = 0;
      anna.edit(0, 20);
      await settled();
      ben.edit(0, 30);
      await settled();
      if (ben.seen.state.kind !== 'conflict') throw new Error('a conflict was due');
      expect(ben.seen.state.theirs).toHaveLength(1);
      expect(ben.seen.state.mine).toHaveLength(1);
      expect(ben.seen.stored!.pending).toHaveLength(1);
      expect(ben.sync.resolve(choice, { version: 1, house: server.house })).toBe(true);
      await settled();
      expect(alongOf(server.house, 0)).toBe(choice === 'mine' ? 30 : 20);
      expect(alongOf(ben.sync.house, 0)).toBe(choice === 'mine' ? 30 : 20);
    }
  });

  it('told of another life of the database, keeps what waits and asks; what is kept goes on with the new one', async () => {
    const server = new Server();
    server.connection = 'down';
    const { sync, seen, edit } = client(server, { version: 7, house: demo, pending: [], sending: null, epoch: 'old' });
    edit(0, 20);
    await settled();
    sync.meet({ epoch: 'new', version: 3, oldest: 0, restoredAt: '2026-11-29T08:00:00Z' });
    if (seen.state.kind !== 'conflict') throw new Error('a choice was due');
    expect([seen.state.cause, seen.state.mine.length]).toEqual(['restored', 1]);
    expect(seen.state.reason).toMatch(/restored from a backup.*version 3 there; this window shows version 7/);
    // What is edited meanwhile waits too, and a second hello does not undo the question.
    edit(1, 30);
    sync.meet({ epoch: 'new', version: 3, oldest: 0, restoredAt: null });
    await settled();
    expect([seen.state.kind, seen.stored!.pending.length]).toEqual(['conflict', 2]);
    server.connection = 'up';
    server.batches = [1, 2, 3].map((version) => ({ version, batchId: `x${version}`, author: '', at: '', edits: [] }));
    expect(sync.resolve('mine', { version: 3, house: demo, epoch: 'new' })).toBe(true);
    await settled();
    await settled();
    expect([seen.state.kind, alongOf(server.house, 0), alongOf(server.house, 1)]).toEqual(['saved', 20, 30]);
    expect([seen.stored!.epoch, seen.stored!.pending.length]).toEqual(['new', 0]);
  });

  it('asks though the batch that was on its way is lost just then', async () => {
    const server = new Server();
    server.connection = 'down';
    const { sync, seen, edit } = client(server, { version: 7, house: demo, pending: [], sending: null, epoch: 'old' });
    edit(0, 20);
    // Before the answer that the server cannot be reached.
    sync.meet({ epoch: 'new', version: 3, oldest: 0, restoredAt: null });
    await settled();
    expect([seen.state.kind, seen.stored!.pending.length]).toEqual(['conflict', 1]);
  });

  it('older than what the server keeps, asks, and loses nothing', async () => {
    const server = new Server();
    const { sync, seen } = client(server, { version: 7, house: demo, pending: [], sending: null, epoch: 'one' });
    sync.meet({ epoch: 'one', version: 900, oldest: 500, restoredAt: null });
    expect(seen.state).toMatchObject({ kind: 'conflict', cause: 'history-gone', mine: [] });
    expect(sync.resolve('theirs', { version: 900, house: demo, epoch: 'one' })).toBe(true);
    expect([seen.state.kind, sync.version]).toEqual(['saved', 900]);
  });

  it('sends no more at once than the server takes', async () => {
    const server = new Server();
    const counts: number[] = [];
    const { send } = server;
    server.send = async (batch) => (counts.push(batch.edits.length), send(batch));
    server.connection = 'down';
    const { sync, seen } = client(server);
    for (let n = 0; n < 5; n++) {
      const id = `l${n}`;
      const note = (i: number) => ({ id: `${id}-${i}`, date: '2026-11-01', who: 'Ann', text: 'x'.repeat(2000) });
      const entries = Object.fromEntries(Array.from({ length: 150 }, (_, i) => [`${id}-${i}`, note(i)]));
      const edited = must(edit(sync.house, 'Log', (draft) => void Object.assign(draft.log, entries)));
      sync.push(edited.house, edited.edit);
    }
    await settled();
    counts.length = 0;
    server.connection = 'up';
    for (let round = 0; round < 4; round++) {
      await sync.flush();
      await settled();
    }
    expect(seen.state.kind).toBe('saved');
    // Some 310 kB each, of which two fit.
    expect(counts).toEqual([2, 2, 1]);
  });

  it('writes what an older program left out of an edit that waits', async () => {
    const server = new Server();
    const raw: Edit = {
      label: 'Log',
      patches: [{ op: 'add', path: ['log', 'l1'], value: { id: 'l1', date: '2026-11-01', who: ' Ann ', text: 'x' } }],
      inverse: [{ op: 'remove', path: ['log', 'l1'] }],
    };
    const { sync, seen } = client(server, { version: 0, house: demo, pending: [raw], sending: null });
    await sync.flush();
    await settled();
    expect([seen.state.kind, server.house.log['l1']?.who]).toEqual(['saved', 'Ann']);
  });

  it('comes to the same house as the server, whatever the connection does', async () => {
    const action = fc.oneof(
      fc.record({
        kind: fc.constant('edit' as const),
        who: fc.nat(1),
        box: fc.nat(4),
        to: fc.integer({ min: 10, max: 39 }),
      }),
      fc.record({
        kind: fc.constant('connection' as const),
        to: fc.constantFrom('up' as const, 'down' as const, 'answer-lost' as const),
      }),
      fc.constant({ kind: 'wait' as const }),
      fc.record({ kind: fc.constant('reload' as const), who: fc.nat(1) }),
    );
    /** The page again, from what is on the device: it sends what waits, and hears of everything again as early as it can. */
    const reloaded = (server: Server, before: ReturnType<typeof client>) => {
      before.sync.stop();
      const after = client(server, before.seen.stored, () => server.batches.forEach((one) => after.sync.receive(one)));
      void after.sync.flush();
      return after;
    };
    await fc.assert(
      fc.asyncProperty(fc.array(action, { maxLength: 14 }), async (actions) => {
        const server = new Server();
        const people = [client(server), client(server)];
        for (const one of actions) {
          // Each person keeps to their own boxes, so that nothing clashes.
          if (one.kind === 'edit') people[one.who]!.edit(one.who * 5 + one.box, one.to);
          else if (one.kind === 'connection' && one.to === 'up') server.reconnect();
          else if (one.kind === 'connection') server.connection = one.to;
          else if (one.kind === 'reload') people[one.who] = reloaded(server, people[one.who]!);
          else await settled();
        }
        server.reconnect();
        for (let round = 0; round < 6; round++) {
          for (const { sync } of people) await sync.flush();
          await settled();
        }
        for (const { sync, seen } of people) {
          expect(seen.state.kind).toBe('saved');
          expect(sync.house).toEqual(server.house);
        }
      }),
      { numRuns: 120 },
    );
  });

  it('refuses nothing of the core: a renamed room travels as well', async () => {
    const server = new Server();
    const { sync } = client(server);
    const edited = must(changeEntity(sync.house, 'rooms', 'living', { name: 'Parlour' }));
    sync.push(edited.house, edited.edit);
    await settled();
    expect(server.house.rooms['living']!.name).toBe('Parlour');
  });
});
