import { applyEdit, validateHouse, type House } from '@winculum/core';
import type { Db } from '../db/database';
import { findSnapshot, listBatches } from '../db/houses';

export interface OpenHouse {
  /** Whose house it is; nobody else's session may learn anything of it. */
  readonly firmId: string;
  readonly house: House;
  readonly version: number;
}

const SNAPSHOT_EVERY = 50;
/** Houses kept in memory a process; the least recently used goes first. */
const KEPT = 24;

/**
 * Houses as this process last saw them. Nothing here is state: all of it is read from the database and may be dropped,
 * and every write is checked against the version in the database.
 */
export class OpenHouses {
  readonly #kept = new Map<string, OpenHouse>();

  /** What is known of a house without asking the database. */
  peek(id: string): OpenHouse | undefined {
    return this.#kept.get(id);
  }

  keep(id: string, open: OpenHouse): void {
    this.#kept.delete(id);
    this.#kept.set(id, open);
    const oldest = this.#kept.keys().next().value;
    if (this.#kept.size > KEPT && oldest !== undefined) this.#kept.delete(oldest);
  }

  drop(id: string): void {
    this.#kept.delete(id);
  }

  /** The house at its newest version: what is kept, or the snapshot, with the batches since. */
  async catchUp(db: Db, id: string): Promise<OpenHouse | undefined> {
    let open = this.#kept.get(id);
    if (!open) {
      const row = await findSnapshot(db, id);
      const read = row && validateHouse(row.snapshot);
      if (!row || !read) return undefined;
      if (!read.ok)
        throw new Error(`House ${id} is stored damaged: ${read.problems[0]?.path} ${read.problems[0]?.message}`);
      open = { firmId: row.firmId, house: read.value, version: row.version };
    }
    for (const batch of await listBatches(db, id, open.version)) {
      const next = applyEdit(open.house, batch.edits.flatMap((edit) => edit.patches) as never);
      if (!next.ok)
        throw new Error(`Batch ${batch.version} of house ${id} does not apply: ${next.problems[0]?.message}`);
      open = { ...open, house: next.value, version: batch.version };
    }
    this.keep(id, open);
    return open;
  }
}

export const wantsSnapshot = (version: number): boolean => version % SNAPSHOT_EVERY === 0;
