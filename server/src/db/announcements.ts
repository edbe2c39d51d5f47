import type pg from 'pg';
import type { Logger } from 'pino';
import type { AppliedBatch } from '@winculum/contract';
import type { Db } from './database';
import { CHANNEL, listBatches } from './houses';

interface Listener {
  readonly houseId: string;
  /** Newest version that this listener has been sent. */
  version: number;
  readonly send: (batch: AppliedBatch) => void;
  sending: Promise<void>;
}

const RETRY_MS = 500;

/**
 * Carries applied batches from PostgreSQL's LISTEN/NOTIFY to the open windows of this process. The notice says only that a
 * house has moved; what moved is read from the edits table, so a lost notice or a lost connection loses nothing.
 */
export class Announcements {
  readonly #listeners = new Set<Listener>();
  #client: pg.PoolClient | undefined;
  #stopped = false;

  constructor(
    private readonly db: Db,
    private readonly pool: pg.Pool,
    private readonly log: Logger,
  ) {}

  async start(): Promise<void> {
    let client: pg.PoolClient | undefined;
    try {
      client = await this.pool.connect();
      client.on('notification', (notice) => this.#wake(String(notice.payload).split(' ')[0]!));
      client.on('error', () => this.#lost());
      client.on('end', () => this.#lost());
      await client.query(`listen ${CHANNEL}`);
      this.#client = client;
      // Whatever happened while nobody listened.
      for (const listener of this.#listeners) this.#deliver(listener);
    } catch (error) {
      client?.release(true);
      this.log.warn({ err: error }, 'cannot listen to the database; trying again');
      this.#retry();
    }
  }

  #lost(): void {
    const client = this.#client;
    if (!client) return;
    this.#client = undefined;
    client.release(true);
    if (!this.#stopped) this.#retry();
  }

  #retry(): void {
    setTimeout(() => void (this.#stopped || this.#client || this.start()), RETRY_MS).unref();
  }

  #wake(houseId: string): void {
    for (const listener of this.#listeners) if (listener.houseId === houseId) this.#deliver(listener);
  }

  #deliver(listener: Listener): void {
    listener.sending = listener.sending
      .then(async () => {
        for (const batch of await listBatches(this.db, listener.houseId, listener.version)) {
          listener.send(batch);
          listener.version = batch.version;
        }
      })
      .catch((error: unknown) => this.log.warn({ err: error }, 'a listener could not be told of an edit'));
  }

  /** Sends every batch after a version, those applied already first; the answer ends it. */
  listen(houseId: string, after: number, send: (batch: AppliedBatch) => void): () => void {
    const listener: Listener = { houseId, version: after, send, sending: Promise.resolve() };
    this.#listeners.add(listener);
    this.#deliver(listener);
    return () => this.#listeners.delete(listener);
  }

  stop(): void {
    this.#stopped = true;
    const client = this.#client;
    this.#client = undefined;
    client?.release(true);
  }
}
