import type { Bench } from '@winculum/contract';
import { NEW_BOARD } from '@winculum/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { effectScope } from 'vue';
import { api, ApiError } from '../../api';
import { OWN, useBench } from './use-bench';

const kept = new Map<string, string>();
const away = () => Promise.reject(new ApiError(0, undefined));
const settle = () => vi.advanceTimersByTimeAsync(1_000);

/** A page with the bench open, on a device that remembers. */
function open() {
  const scope = effectScope();
  return { bench: scope.run(useBench)!, close: () => scope.stop() };
}

beforeEach(() => {
  vi.useFakeTimers();
  setActivePinia(createPinia());
  kept.clear();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

test('what is wired without a server is there after a reload, and goes to the account when the server answers', async () => {
  vi.spyOn(api, 'bench').mockImplementation(away);
  const keep = vi.spyOn(api, 'keepBench').mockImplementation(away);
  const first = open();
  await settle();
  first.bench.setWires([['feed.hot', 's1.line']]);
  first.bench.markDone();
  await settle();
  expect([keep.mock.calls.length, first.bench.isSaved.value]).toEqual([1, false]);
  first.close();

  vi.spyOn(api, 'bench').mockResolvedValue({ done: ['loop'], wires: {} });
  keep.mockImplementation((bench) => Promise.resolve(bench));
  const second = open();
  await settle();
  expect(second.bench.board.value.wires).toEqual([['feed.hot', 's1.line']]);
  const sent = keep.mock.lastCall![0] as Bench;
  expect(sent.done.toSorted()).toEqual(['loop', 'one-switch']);
  expect([sent.wires['one-switch']?.length, second.bench.isSaved.value]).toEqual([1, true]);
});

test('a board of one’s own comes from the account; what somebody has begun here is not overwritten by a late answer', async () => {
  const board = { ...NEW_BOARD, boxes: ['cellar'] };
  let answer: (bench: Bench) => void = () => undefined;
  vi.spyOn(api, 'bench').mockReturnValue(new Promise((resolve) => (answer = resolve)));
  vi.spyOn(api, 'keepBench').mockImplementation((bench) => Promise.resolve(bench));
  const slow = open();
  slow.bench.chosen.value = OWN;
  slow.bench.setBoard({ ...NEW_BOARD, boxes: ['attic'] });
  answer({ done: [], wires: {}, board });
  await settle();
  expect(slow.bench.board.value.boxes).toEqual(['attic']);

  kept.clear();
  vi.spyOn(api, 'bench').mockResolvedValue({ done: [], wires: {}, board });
  const elsewhere = open();
  elsewhere.bench.chosen.value = OWN;
  await settle();
  expect(elsewhere.bench.board.value.boxes).toEqual(['cellar']);
});

test('what is no progress on the device counts as none', async () => {
  kept.set('winculum-bench-guest', '{"done": "all of it"}');
  vi.spyOn(api, 'bench').mockImplementation(away);
  const { bench } = open();
  await settle();
  expect(bench.kept.value).toEqual({ done: [], wires: {} });
});
