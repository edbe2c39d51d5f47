import { applyEdit, editsOverlap, type Edit, type House, type Patch } from '@winculum/core';
import type { AppliedBatch, Batch, BatchAnswer, SentEdit } from '@winculum/contract';

/** What is kept on the device for a house: what the server has confirmed, and what it has not. */
export interface Stored {
  readonly version: number;
  readonly house: House;
  /** Edits not yet confirmed, oldest first. */
  readonly pending: readonly Edit[];
  /** The batch on its way: its id, and how many of the pending edits it holds. */
  readonly sending: { readonly id: string; readonly count: number } | null;
}

export type SyncState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving'; readonly waiting: number }
  | { readonly kind: 'offline'; readonly waiting: number }
  | { readonly kind: 'signed-out'; readonly waiting: number }
  | {
      readonly kind: 'conflict';
      readonly mine: readonly Edit[];
      readonly theirs: readonly AppliedBatch[];
      readonly reason: string;
    };

/** How a sending failed. */
export type SendFailure =
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'signed-out' }
  | { readonly kind: 'refused'; readonly reason: string; readonly theirs: readonly AppliedBatch[] };

export interface SyncDependencies {
  readonly send: (batch: Batch) => Promise<{ ok: true; answer: BatchAnswer } | { ok: false; failure: SendFailure }>;
  readonly store: (stored: Stored) => Promise<void>;
  readonly newBatchId: () => string;
  readonly onChange: (house: House, state: SyncState) => void;
  /** Runs a function later; answers how to call it off. */
  readonly later: (milliseconds: number, run: () => void) => () => void;
}

const FIRST_RETRY_MS = 1_000;
const LONGEST_RETRY_MS = 15_000;

const patchesOf = (edits: readonly { readonly patches: readonly unknown[] }[]): Patch[] =>
  edits.flatMap((one) => one.patches) as Patch[];
const toSent = (edit: Edit): SentEdit => ({
  label: edit.label,
  patches: edit.patches.map((patch) => ({ ...patch, path: [...patch.path] })),
});

/**
 * Keeps one open house in step with the server. Edits apply at once, wait on the device until the server has them, and are
 * sent in batches on the version that they were made on. Knows nothing of Vue, fetch or IndexedDB.
 */
export class HouseSync {
  #confirmed: House;
  #version: number;
  #pending: Edit[];
  #sending: Stored['sending'];
  #house: House;
  #state: SyncState = { kind: 'saved' };
  #inFlight = false;
  #retryMs = FIRST_RETRY_MS;
  #callOff: (() => void) | undefined;
  #stopped = false;
  /** Batches heard of that cannot be taken in yet: one before them is missing, or a batch of ours is on its way. */
  readonly #heard = new Map<number, AppliedBatch>();

  constructor(
    private readonly use: SyncDependencies,
    stored: Stored,
  ) {
    this.#confirmed = stored.house;
    this.#version = stored.version;
    this.#pending = [...stored.pending];
    this.#sending = stored.sending;
    if (stored.pending.length > 0) this.#state = { kind: 'saving', waiting: stored.pending.length };
    const rebuilt = applyEdit(stored.house, patchesOf(stored.pending));
    this.#house = rebuilt.ok ? rebuilt.value : stored.house;
    if (!rebuilt.ok) this.#conflict([], rebuilt.problems[0]!.message);
  }

  get house(): House {
    return this.#house;
  }

  get version(): number {
    return this.#version;
  }

  get state(): SyncState {
    return this.#state;
  }

  /** Takes an edit that the core has already checked against the present house. */
  push(house: House, edit: Edit): void {
    this.#house = house;
    this.#pending.push(edit);
    // Kept before it is shown: what comes of it on the screen may take long on a slow device.
    const kept = this.#store();
    this.#changed(this.#state.kind === 'conflict' ? this.#state : { kind: 'saving', waiting: this.#pending.length });
    void kept.then(() => this.flush());
  }

  /** Sends what waits, unless something is on its way or a person has to choose first. */
  async flush(): Promise<void> {
    if (this.#stopped || this.#inFlight || this.#pending.length === 0 || this.#isInConflict()) return;
    this.#inFlight = true;
    this.#callOff?.();
    // A batch that was on its way before keeps its id: the server applies it once, however often it comes.
    const sending = (this.#sending ??= { id: this.use.newBatchId(), count: Math.min(this.#pending.length, 200) });
    await this.#store();
    // After a reload the batch of before may be announced as applied, or a conflict found, while it is being stored.
    if (this.#sending !== sending || this.#isInConflict()) {
      this.#inFlight = false;
      return this.flush();
    }
    const { id, count } = sending;
    const edits = this.#pending.slice(0, count);
    const result = await this.use.send({ id, base: this.#version, edits: edits.map(toSent) });
    this.#inFlight = false;
    if (this.#stopped) return;
    if (result.ok) this.#acknowledge(id, edits, result.answer);
    // The batch may have been announced as applied although its answer was lost.
    else if (this.#sending?.id !== id) this.#settle();
    else this.#failed(result.failure);
  }

  #isInConflict(): boolean {
    return this.#state.kind === 'conflict';
  }

  #acknowledge(id: string, edits: readonly Edit[], answer: BatchAnswer): void {
    this.#retryMs = FIRST_RETRY_MS;
    // The announcement of this very batch may have come first.
    if (this.#sending?.id === id) {
      const missed = answer.missed.filter((batch) => batch.version > this.#version);
      const withMissed = applyEdit(this.#confirmed, patchesOf(missed.flatMap((batch) => batch.edits)));
      const withMine = withMissed.ok ? applyEdit(withMissed.value, patchesOf(edits)) : withMissed;
      if (!withMine.ok) return this.#conflict(answer.missed, withMine.problems[0]!.message);
      this.#confirm(withMine.value, answer.version, edits.length, missed.length > 0);
    }
    this.#settle();
  }

  #confirm(house: House, version: number, count: number, rebuild: boolean): void {
    this.#confirmed = house;
    this.#version = version;
    this.#pending = this.#pending.slice(count);
    this.#sending = null;
    if (rebuild) this.#rebuild();
  }

  #rebuild(): boolean {
    const rebuilt = applyEdit(this.#confirmed, patchesOf(this.#pending));
    if (rebuilt.ok) this.#house = rebuilt.value;
    else this.#conflict([], rebuilt.problems[0]!.message);
    return rebuilt.ok;
  }

  #settle(): void {
    void this.#store();
    if (this.#state.kind === 'conflict') return;
    if (this.#takeIn()) return;
    this.#changed(this.#pending.length > 0 ? { kind: 'saving', waiting: this.#pending.length } : { kind: 'saved' });
    void this.flush();
  }

  #failed(failure: SendFailure): void {
    const waiting = this.#pending.length;
    if (failure.kind === 'refused') return this.#conflict(failure.theirs, failure.reason);
    this.#changed({ kind: failure.kind === 'signed-out' ? 'signed-out' : 'offline', waiting });
    if (failure.kind === 'unreachable') {
      this.#callOff = this.use.later(this.#retryMs, () => void this.flush());
      this.#retryMs = Math.min(LONGEST_RETRY_MS, this.#retryMs * 2);
    }
  }

  #conflict(theirs: readonly AppliedBatch[], reason: string): void {
    this.#changed({ kind: 'conflict', mine: [...this.#pending], theirs, reason });
  }

  /** Hears of a batch that the server has applied, from this window or another. */
  hear(batch: AppliedBatch): void {
    if (batch.version <= this.#version) return;
    this.#heard.set(batch.version, batch);
    this.#takeIn();
  }

  /** Takes in what was heard and comes next, if something does; what came of it has then been told. */
  #takeIn(): boolean {
    for (const version of this.#heard.keys()) if (version <= this.#version) this.#heard.delete(version);
    const batch = this.#heard.get(this.#version + 1);
    if (!batch) return false;
    if (this.#sending?.id === batch.batchId) {
      const count = this.#sending.count;
      const mine = applyEdit(this.#confirmed, patchesOf(this.#pending.slice(0, count)));
      if (mine.ok) {
        this.#confirm(mine.value, batch.version, count, false);
        this.#settle();
      } else this.#conflict([], mine.problems[0]!.message);
      return true;
    }
    // While a batch is on its way the server decides, and its answer brings what was missed.
    if (this.#state.kind === 'conflict' || this.#sending !== null) return false;
    const next = applyEdit(this.#confirmed, patchesOf(batch.edits));
    if (!next.ok) return false;
    if (this.#pending.length > 0 && editsOverlap(patchesOf(this.#pending), patchesOf(batch.edits))) {
      this.#conflict([batch], 'Somebody else changed the same places.');
      return true;
    }
    this.#confirmed = next.value;
    this.#version = batch.version;
    if (this.#rebuild()) this.#settle();
    return true;
  }

  /** Ends a conflict: keep mine on top of theirs where that still fits, or give mine up. */
  resolve(choice: 'mine' | 'theirs', server: { readonly version: number; readonly house: House }): boolean {
    const mine = choice === 'mine' ? applyEdit(server.house, patchesOf(this.#pending)) : undefined;
    if (mine && !mine.ok) return false;
    this.#confirmed = server.house;
    this.#version = server.version;
    this.#sending = null;
    if (choice === 'theirs') this.#pending = [];
    this.#state = { kind: 'saved' };
    this.#house = mine?.ok ? mine.value : server.house;
    this.#settle();
    return true;
  }

  #store(): Promise<void> {
    return this.use.store({
      version: this.#version,
      house: this.#confirmed,
      pending: this.#pending,
      sending: this.#sending,
    });
  }

  #changed(state: SyncState): void {
    this.#state = state;
    if (!this.#stopped) this.use.onChange(this.#house, state);
  }

  stop(): void {
    this.#stopped = true;
    this.#callOff?.();
  }
}
