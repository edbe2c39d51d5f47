import type pg from 'pg';
import { sql } from 'kysely';
import type { Logger } from 'pino';
import type { AppliedBatch } from '@winculum/contract';
import type { Db } from './database';
import { CHANNEL, listBatches, PAGE } from './houses';
import { findInstallation, holdInCommon } from './installation';

/** PostgreSQL channel on which is said that somebody may no longer do what they could before. */
const ACCESS = 'access_ended';

/** Whose access ended: of one session, of a person, of everybody in a firm, or to a house. */
type Ended = `${'session' | 'user' | 'firm' | 'house'} ${string}`;

interface Listening {
  readonly houseId: string;
  readonly firmId: string;
  readonly userId: string;
  readonly sessionId: string;
  /** The newest version that this window has. */
  readonly after: number;
  readonly send: (batch: AppliedBatch) => void;
  /** Ends the stream; the window asks again, and is told what it may. */
  readonly end: () => void;
}

interface Listener extends Listening {
  version: number;
}

const RETRY_MS = 500;
const BEAT_MS = 15_000;
const BEAT_WITHIN_MS = 5_000;

/** The windows of one house in this process: what is read for one is read for all of them. */
class Feed {
  readonly listeners = new Set<Listener>();
  #isReading = false;
  #isDue = false;

  constructor(
    private readonly db: Db,
    private readonly houseId: string,
    private readonly log: Logger,
  ) {}

  /** Sends every window what it has not been sent. One reading at a time; what is announced meanwhile is read after it. */
  async pump(): Promise<void> {
    this.#isDue = true;
    if (this.#isReading) return;
    this.#isReading = true;
    try {
      while (this.#isDue && this.listeners.size > 0) {
        this.#isDue = false;
        await this.#read();
      }
    } catch (error) {
      this.log.warn({ err: error }, 'listeners could not be told of an edit');
    } finally {
      this.#isReading = false;
    }
  }

  async #read(): Promise<void> {
    for (;;) {
      const oldest = Math.min(...[...this.listeners].map((one) => one.version));
      const batches = await listBatches(this.db, this.houseId, oldest);
      for (const listener of [...this.listeners])
        for (const batch of batches)
          if (batch.version > listener.version && this.listeners.has(listener)) {
            listener.send(batch);
            listener.version = batch.version;
          }
      if (batches.length < PAGE) return;
    }
  }
}

/**
 * Carries applied batches from PostgreSQL's LISTEN/NOTIFY to the open windows of this process, and ends what people may no
 * longer see. The notice says only that a house has moved; what moved is read from the edits table, so a lost notice or a lost
 * connection loses nothing. The same connection says, as long as it lives, that a server uses the database.
 */
export class Announcements {
  readonly #feeds = new Map<string, Feed>();
  #client: pg.PoolClient | undefined;
  #beat: NodeJS.Timeout | undefined;
  #epoch = '';
  #isStopped = false;
  /** Asked when a house is gone or the database begins another life: what is remembered of houses is void then. */
  forgetHouse: (id: string | undefined) => void = () => undefined;

  constructor(
    private readonly db: Db,
    private readonly pool: pg.Pool,
    private readonly log: Logger,
  ) {}

  /** The life of the database that this process works on. */
  get epoch(): string {
    return this.#epoch;
  }

  /** How many windows listen in this process, and how many of them are one person's. */
  count(userId: string): { all: number; own: number } {
    let [all, own] = [0, 0];
    for (const feed of this.#feeds.values())
      for (const one of feed.listeners) {
        all++;
        if (one.userId === userId) own++;
      }
    return { all, own };
  }

  async start(): Promise<void> {
    let client: pg.PoolClient | undefined;
    try {
      client = await this.pool.connect();
      client.on('notification', (notice) => this.#receive(notice.channel, String(notice.payload)));
      client.on('error', () => this.#lost());
      client.on('end', () => this.#lost());
      if (!(await holdInCommon(client))) throw new Error('the database is being restored or repaired');
      await client.query(`listen ${CHANNEL}`);
      await client.query(`listen ${ACCESS}`);
      this.#client = client;
      this.#watch(client);
      await this.lookAround();
    } catch (error) {
      this.#client = undefined;
      client?.release(true);
      this.log.warn({ err: error }, 'cannot listen to the database; trying again');
      this.#retry();
    }
  }

  /** After every beginning: another life of the database voids what was known of the last; what happened while nobody listened is read. */
  async lookAround(): Promise<void> {
    const { epoch } = await findInstallation(this.db);
    const isAnother = this.#epoch !== '' && epoch !== this.#epoch;
    this.#epoch = epoch;
    if (isAnother) {
      this.forgetHouse(undefined);
      for (const listener of this.#all()) listener.end();
    }
    for (const feed of this.#feeds.values()) void feed.pump();
  }

  /** A connection may be dead without either side having heard so: it is asked, and given up where it does not answer. */
  #watch(client: pg.PoolClient): void {
    clearInterval(this.#beat);
    this.#beat = setInterval(() => {
      const givenUp = setTimeout(() => this.#lost(), BEAT_WITHIN_MS);
      client
        .query('select 1')
        .catch(() => this.#lost())
        .finally(() => clearTimeout(givenUp));
    }, BEAT_MS);
    this.#beat.unref();
  }

  #lost(): void {
    const client = this.#client;
    if (!client) return;
    this.#client = undefined;
    clearInterval(this.#beat);
    client.release(true);
    if (!this.#isStopped) this.#retry();
  }

  #retry(): void {
    setTimeout(() => void (this.#isStopped || this.#client || this.start()), RETRY_MS).unref();
  }

  *#all(): Generator<Listener> {
    for (const feed of this.#feeds.values()) yield* feed.listeners;
  }

  #receive(channel: string, payload: string): void {
    const [first = '', second = ''] = payload.split(' ');
    if (channel === CHANNEL) void this.#feeds.get(first)?.pump();
    else this.#endWhere(first, second);
  }

  #endWhere(kind: string, id: string): void {
    if (kind === 'house') this.forgetHouse(id);
    for (const one of [...this.#all()]) {
      const isMeant =
        (kind === 'session' && one.sessionId === id) ||
        (kind === 'user' && one.userId === id) ||
        (kind === 'firm' && one.firmId === id) ||
        (kind === 'house' && one.houseId === id);
      if (isMeant) one.end();
    }
  }

  /** Ends, in every process, the streams of whoever lost their access. Inside a transaction it is said when that commits. */
  async sayEnded(ended: readonly Ended[], db: Db = this.db): Promise<void> {
    for (const one of ended) await sql`select pg_notify(${ACCESS}, ${one})`.execute(db);
  }

  /** Sends every batch after a version, those applied already first; the answer ends it. */
  listen(listening: Listening): () => void {
    const listener: Listener = { ...listening, version: listening.after };
    let feed = this.#feeds.get(listening.houseId);
    if (!feed) this.#feeds.set(listening.houseId, (feed = new Feed(this.db, listening.houseId, this.log)));
    const mine = feed;
    mine.listeners.add(listener);
    void mine.pump();
    return () => {
      mine.listeners.delete(listener);
      if (mine.listeners.size === 0 && this.#feeds.get(listening.houseId) === mine)
        this.#feeds.delete(listening.houseId);
    };
  }

  stop(): void {
    this.#isStopped = true;
    clearInterval(this.#beat);
    const client = this.#client;
    this.#client = undefined;
    client?.release(true);
  }
}
