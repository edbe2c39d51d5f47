import { applyEdit, editsOverlap, remakeEdit, type Edit, type House, type Patch, type Result } from '@winculum/core';
import type { AppliedBatch, Batch, BatchAnswer, SentEdit, StreamHello } from '@winculum/contract';

/** What is kept on the device for a house: what the server has confirmed, and what it has not. */
export interface Stored {
  readonly version: number;
  readonly house: House;
  /** Edits not yet confirmed, oldest first. */
  readonly pending: readonly Edit[];
  /** The batch on its way: its id, and how many of the pending edits it holds. */
  readonly sending: { readonly id: string; readonly count: number } | null;
  /** The life of the server's database that the version is of; a restore begins another. */
  readonly epoch?: string;
}

/** The house as the server has it. */
interface OnServer {
  readonly version: number;
  readonly house: House;
  readonly epoch?: string;
}

/** Why a person has to choose: another changed the same places, the server was put back, or too much happened meanwhile. */
export type ConflictCause = 'clash' | 'restored' | 'history-gone';

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
      readonly cause: ConflictCause;
    };

/** How a sending failed. */
export type SendFailure =
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'signed-out' }
  | {
      readonly kind: 'refused';
      readonly reason: string;
      readonly theirs: readonly AppliedBatch[];
      readonly cause?: ConflictCause;
    };

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
const MOST_EDITS = 200;
/** Characters of one batch: well within what the server takes at once. */
const MOST_CHARACTERS = 700_000;

const patchesOf = (edits: readonly { readonly patches: readonly unknown[] }[]): Patch[] =>
  edits.flatMap((one) => one.patches) as Patch[];
const toSent = (edit: Edit): SentEdit => ({
  label: edit.label,
  patches: edit.patches.map((patch) => ({ ...patch, path: [...patch.path] })),
});

/** How many of the waiting edits go together: what the server takes at once, and one at least. */
function countForOne(pending: readonly Edit[]): number {
  let characters = 0;
  for (const [i, edit] of pending.slice(0, MOST_EDITS).entries()) {
    characters += JSON.stringify(edit.patches).length;
    if (characters > MOST_CHARACTERS) return Math.max(1, i);
  }
  return Math.min(pending.length, MOST_EDITS);
}

/** The house after what somebody else did. What an older program left out of it is written as it is today. */
function follow(house: House, batches: readonly Pick<AppliedBatch, 'edits'>[]): Result<House> {
  const patches = patchesOf(batches.flatMap((batch) => batch.edits));
  const next = applyEdit(house, patches);
  if (next.ok) return next;
  const remade = remakeEdit(house, { label: 'Theirs', patches });
  return remade.ok ? { ok: true, value: remade.value.house } : next;
}

/** Waiting edits made once more, so that what an older program left out of them is written too; as they are where that fails. */
function remakeAll(house: House, pending: readonly Edit[]): Edit[] {
  const remade: Edit[] = [];
  let now = house;
  for (const one of pending) {
    const next = remakeEdit(now, one);
    if (!next.ok) return [...pending];
    remade.push(next.value.edit);
    now = next.value.house;
  }
  return remade;
}

/**
 * Keeps one open house in step with the server. Edits apply at once, wait on the device until the server has them, and are
 * sent in batches on the version that they were made on. Knows nothing of Vue, fetch or IndexedDB.
 */
export class HouseSync {
  #confirmed: House;
  #version: number;
  #epoch: string | undefined;
  #pending: Edit[];
  #sending: Stored['sending'];
  #house: House;
  #state: SyncState = { kind: 'saved' };
  #inFlight = false;
  #retryMs = FIRST_RETRY_MS;
  #cancelRetry: (() => void) | undefined;
  #stopped = false;
  /** Batches heard of that cannot be taken in yet: one before them is missing, or a batch of ours is on its way. */
  readonly #heard = new Map<number, AppliedBatch>();

  constructor(
    private readonly use: SyncDependencies,
    stored: Stored,
  ) {
    this.#confirmed = stored.house;
    this.#version = stored.version;
    this.#epoch = stored.epoch;
    // A batch that was on its way stays as it was sent.
    this.#pending = stored.sending ? [...stored.pending] : remakeAll(stored.house, stored.pending);
    this.#sending = stored.sending;
    if (stored.pending.length > 0) this.#state = { kind: 'saving', waiting: stored.pending.length };
    const rebuilt = follow(stored.house, [{ edits: this.#pending.map(toSent) }]);
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
    this.#cancelRetry?.();
    // A batch that was on its way before keeps its id: the server applies it once, however often it comes.
    const sending = (this.#sending ??= { id: this.use.newBatchId(), count: countForOne(this.#pending) });
    await this.#store();
    // After a reload the batch of before may be announced as applied, or a conflict found, while it is being stored.
    if (this.#sending !== sending || this.#isInConflict()) {
      this.#inFlight = false;
      return this.flush();
    }
    const { id, count } = sending;
    const edits = this.#pending.slice(0, count);
    const epoch = this.#epoch === undefined ? {} : { epoch: this.#epoch };
    const result = await this.use.send({ id, base: this.#version, ...epoch, edits: edits.map(toSent) });
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
      const withMissed = follow(this.#confirmed, missed);
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
    if (this.#applyReceived()) return;
    this.#changed(this.#pending.length > 0 ? { kind: 'saving', waiting: this.#pending.length } : { kind: 'saved' });
    void this.flush();
  }

  #failed(failure: SendFailure): void {
    // Asked to choose while the batch was on its way, a person still has to.
    if (this.#isInConflict()) return;
    const waiting = this.#pending.length;
    if (failure.kind === 'refused') return this.#conflict(failure.theirs, failure.reason, failure.cause);
    this.#changed({ kind: failure.kind === 'signed-out' ? 'signed-out' : 'offline', waiting });
    if (failure.kind === 'unreachable') {
      this.#cancelRetry = this.use.later(this.#retryMs, () => void this.flush());
      this.#retryMs = Math.min(LONGEST_RETRY_MS, this.#retryMs * 2);
    }
  }

  #conflict(theirs: readonly AppliedBatch[], reason: string, cause: ConflictCause = 'clash'): void {
    this.#changed({ kind: 'conflict', mine: [...this.#pending], theirs, reason, cause });
  }

  /** Hears where the server stands, whenever the connection comes back; the edits that wait are kept whatever it says. */
  meet({ epoch, version, oldest, restoredAt }: StreamHello): void {
    if (this.#isInConflict()) return;
    if (this.#epoch !== undefined && this.#epoch !== epoch) {
      const day = restoredAt ? ` on ${new Date(restoredAt).toLocaleString()}` : '';
      this.#conflict(
        [],
        `The server was restored from a backup${day}. This house is at version ${version} there; this window shows version ${this.#version}.`,
        'restored',
      );
    } else if (this.#version < oldest)
      this.#conflict(
        [],
        `So much has changed since this window read the house that the steps between are no longer kept (version ${this.#version} here, ${version} on the server).`,
        'history-gone',
      );
    else this.#epoch = epoch;
  }

  /** Says that nobody is signed in any more; edits go on and wait. */
  signedOut(): void {
    if (!this.#isInConflict()) this.#changed({ kind: 'signed-out', waiting: this.#pending.length });
  }

  /** Hears of a batch that the server has applied, from this window or another. */
  receive(batch: AppliedBatch): void {
    if (batch.version <= this.#version) return;
    this.#heard.set(batch.version, batch);
    this.#applyReceived();
  }

  /** Takes in what was heard and comes next, if something does; what came of it has then been told. */
  #applyReceived(): boolean {
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
    const next = follow(this.#confirmed, [batch]);
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
  resolve(choice: 'mine' | 'theirs', server: OnServer): boolean {
    const mine = choice === 'mine' ? applyEdit(server.house, patchesOf(this.#pending)) : undefined;
    if (mine && !mine.ok) return false;
    this.#confirmed = server.house;
    this.#version = server.version;
    if (server.epoch !== undefined) this.#epoch = server.epoch;
    this.#heard.clear();
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
      ...(this.#epoch === undefined ? {} : { epoch: this.#epoch }),
    });
  }

  #changed(state: SyncState): void {
    this.#state = state;
    if (!this.#stopped) this.use.onChange(this.#house, state);
  }

  stop(): void {
    this.#stopped = true;
    this.#cancelRetry?.();
  }
}
