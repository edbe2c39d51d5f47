import type { Logger } from 'pino';
import { applyEdit, remakeEdit, type House, type Patch, type Result } from '@winculum/core';
import type { AppliedBatch } from '@winculum/contract';
import type { HouseChecker } from '../checking/house-checker';
import type { Db } from '../db/database';
import { findSnapshot, listBatches, PAGE, storeSnapshot } from '../db/houses';
import { Refusal } from './errors';

export interface OpenHouse {
  /** Whose house it is; nobody else's session may learn anything of it. */
  readonly firmId: string;
  readonly house: House;
  readonly version: number;
}

/** Batches between two snapshots: an opened house replays at most so many. */
const SNAPSHOT_EVERY = 200;
/** Houses kept in memory a process; the least recently used goes first. */
const KEPT = 24;
/** Writers that may wait for one house in one process. */
const MOST_IN_TURN = 200;

/** The house after a stored batch. What an older program left out of its patches is written as it is today. */
export function replay(house: House, batch: Pick<AppliedBatch, 'edits'>): Result<House> {
  const patches = batch.edits.flatMap((edit) => edit.patches) as unknown as Patch[];
  const next = applyEdit(house, patches);
  if (next.ok) return next;
  const remade = remakeEdit(house, { label: 'Replay', patches });
  return remade.ok ? { ok: true, value: remade.value.house } : next;
}

const damaged = () =>
  new Refusal(
    500,
    'damaged',
    'This house is stored damaged. Nothing of it is lost: whoever runs the server can mend it with ./start --repair.',
  );

/**
 * Houses as this process last saw them. Nothing here is state: all of it is read from the database and may be dropped,
 * and every write is checked against the version in the database.
 */
export class OpenHouses {
  readonly #kept = new Map<string, OpenHouse>();
  readonly #texts = new WeakMap<House, string>();
  readonly #turns = new Map<string, { last: Promise<unknown>; waiting: number }>();

  constructor(
    private readonly checker: HouseChecker,
    private readonly log: Logger,
    private readonly snapshotEvery = SNAPSHOT_EVERY,
  ) {}

  /** What is known of a house without asking the database. */
  peek(id: string): OpenHouse | undefined {
    return this.#kept.get(id);
  }

  keep(id: string, open: OpenHouse): void {
    const before = this.#kept.get(id);
    if (before && before.version > open.version) return;
    this.#kept.delete(id);
    this.#kept.set(id, open);
    const oldest = this.#kept.keys().next().value;
    if (this.#kept.size > KEPT && oldest !== undefined) this.#kept.delete(oldest);
  }

  /** Forgets a house, or all of them. */
  drop(id?: string): void {
    if (id === undefined) this.#kept.clear();
    else this.#kept.delete(id);
  }

  /** The house as text: written once for each state of it, however many ask. */
  textOf({ house }: OpenHouse): string {
    let text = this.#texts.get(house);
    if (text === undefined) this.#texts.set(house, (text = JSON.stringify(house)));
    return text;
  }

  /** The house at its newest version: what is kept, or the snapshot, with the batches since. */
  async catchUp(db: Db, id: string): Promise<OpenHouse | undefined> {
    let open = this.#kept.get(id) ?? (await this.#read(db, id));
    if (!open) return undefined;
    for (;;) {
      const page: AppliedBatch[] = await listBatches(db, id, open.version);
      for (const batch of page) {
        const next = replay(open.house, batch);
        if (!next.ok) {
          this.log.error({ house: id, batch: batch.version, problem: next.problems[0] }, 'a batch does not apply');
          throw damaged();
        }
        open = { ...open, house: next.value, version: batch.version };
      }
      if (page.length < PAGE) break;
    }
    this.keep(id, open);
    return open;
  }

  async #read(db: Db, id: string): Promise<OpenHouse | undefined> {
    const row = await findSnapshot(db, id);
    if (!row) return undefined;
    const checked = await this.checker.check(row.text);
    if (!checked.ok) {
      const [problem] = checked.problems;
      if (problem?.code === 'busy') throw new Refusal(503, 'busy', problem.message);
      this.log.error({ house: id, version: row.version, problem }, 'a snapshot is damaged');
      throw damaged();
    }
    return { firmId: row.firmId, house: JSON.parse(checked.text) as House, version: row.version };
  }

  /** Does one piece of work on a house after the other, so that writers wait for each other instead of trying again. */
  async inTurn<T>(id: string, work: () => Promise<T>): Promise<T> {
    const turn = this.#turns.get(id) ?? { last: Promise.resolve(), waiting: 0 };
    if (turn.waiting >= MOST_IN_TURN)
      throw new Refusal(
        503,
        'busy',
        'Many people are changing this house at once. The edit stays in the queue; try again.',
      );
    this.#turns.set(id, turn);
    turn.waiting++;
    const mine = turn.last.then(work);
    turn.last = mine.catch(() => undefined);
    try {
      return await mine;
    } finally {
      if (--turn.waiting === 0) this.#turns.delete(id);
    }
  }

  /** Now and then, after an edit, the house is checked whole, apart from whoever waits, and stored if it is sound. */
  async snapshot(db: Db, id: string, open: OpenHouse): Promise<void> {
    if (open.version % this.snapshotEvery !== 0) return;
    const checked = await this.checker.check(this.textOf(open));
    if (checked.ok) await storeSnapshot(db, id, open.version, checked.text);
    else this.log.error({ house: id, version: open.version, problem: checked.problems[0] }, 'no snapshot: not sound');
  }
}
