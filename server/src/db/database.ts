import { Kysely, PostgresDialect, type Generated } from 'kysely';
import { createHash } from 'node:crypto';
import pg from 'pg';

export interface Tables {
  installation: {
    one: Generated<boolean>;
    epoch: Generated<string>;
    restored_at: Date | null;
    demo_loaded_at: Date | null;
  };
  users: {
    id: Generated<string>;
    email: string;
    name: string;
    password_hash: string;
    verified_at: Date | null;
    must_change_password: Generated<boolean>;
    totp_secret: string | null;
    totp_used: Generated<string>;
    recovery_hashes: Generated<string[]>;
  };
  firms: {
    id: Generated<string>;
    name: string;
    trust_days: Generated<number>;
    needs_second_factor: Generated<boolean>;
    standards: unknown;
    standards_version: Generated<number>;
  };
  members: { firm_id: string; user_id: string; role: string };
  tokens: {
    hash: string;
    kind: string;
    email: string;
    firm_id: string | null;
    user_id: string | null;
    detail: unknown;
    at: Generated<Date>;
    expires_at: Date;
  };
  outbox: { id: Generated<string>; at: Generated<Date>; recipient: string; subject: string; body: string };
  audit: {
    id: Generated<string>;
    at: Generated<Date>;
    firm_id: string | null;
    user_id: string | null;
    who: string;
    event: string;
    detail: string;
    address: string;
  };
  session: {
    sid: string;
    sess: unknown;
    expire: Date;
    user_id: Generated<string | null>;
    began_at: Generated<Date>;
    seen_at: Generated<Date>;
  };
  houses: {
    id: Generated<string>;
    firm_id: string;
    name: string;
    version: number;
    created_at: Generated<Date>;
    updated_at: Generated<Date>;
    bytes: Generated<string>;
    deleted_at: Date | null;
    deleted_by: string | null;
    archived_at: Date | null;
  };
  snapshots: { house_id: string; version: number; house: unknown; at: Generated<Date> };
  set_aside: {
    house_id: string;
    version: number;
    edits: unknown;
    author_id: string | null;
    at: Date;
    reason: string;
    set_aside_at: Generated<Date>;
  };
  edits: {
    house_id: string;
    version: number;
    batch_id: string;
    author_id: string | null;
    at: Generated<Date>;
    edits: unknown;
    guest: Generated<string | null>;
  };
  photos: {
    house_id: string;
    id: string;
    author_id: string | null;
    at: Generated<Date>;
    hash: string;
    bytes: Buffer;
  };
  guest_links: {
    id: Generated<string>;
    hash: string;
    house_id: string;
    firm_id: string;
    role: string;
    trade: string | null;
    name: string;
    author_id: string | null;
    made_at: Generated<Date>;
    expires_at: Date;
    revoked_at: Date | null;
    seen_at: Date | null;
  };
  revisions: {
    house_id: string;
    number: number;
    version: number;
    note: string;
    author_id: string | null;
    at: Generated<Date>;
    house: unknown;
    hash: string;
  };
  signatures: {
    id: Generated<string>;
    house_id: string;
    number: number;
    role: string;
    name: string;
    strokes: unknown;
    author_id: string | null;
    at: Generated<Date>;
    hash: string;
  };
  notices: {
    id: Generated<string>;
    user_id: string;
    house_id: string;
    kind: string;
    about: string;
    what: string;
    who: string;
    at: Generated<Date>;
    seen_at: Date | null;
  };
  bench: { user_id: string; progress: unknown; at: Generated<Date> };
  practice_signatures: {
    id: Generated<string>;
    user_id: string;
    signer_id: string | null;
    who: string;
    at: Generated<Date>;
    proved: number;
    found: number;
    missed: number;
    note: string;
  };
  rate_limits: { key: string; hits: number; reset_at: Date };
}

export type Db = Kysely<Tables>;

export interface Database {
  readonly db: Db;
  readonly pool: pg.Pool;
}

type Query = (text: unknown, values?: unknown, done?: unknown) => unknown;

/**
 * Prepares every statement with parameters on the connection that first runs it: the few texts that the application has are
 * parsed and planned once, not at each edit.
 */
const names = new Map<string, string>();
function nameOf(text: string): string {
  let name = names.get(text);
  if (name === undefined) names.set(text, (name = createHash('sha1').update(text).digest('base64')));
  return name;
}

function prepareStatements(client: pg.PoolClient): void {
  const run = client.query.bind(client) as unknown as Query;
  const prepared: Query = (text, values, done) => {
    if (typeof text !== 'string' || !Array.isArray(values)) return run(text, values, done);
    return run({ name: nameOf(text), text, values }, done);
  };
  client.query = prepared as unknown as typeof client.query;
}

/**
 * Opens a pool on PostgreSQL. A lost connection is not an error of the process: the query under way is refused, and the pool
 * makes a new one. That holds for idle connections, which the pool speaks for, and for one in use between two statements.
 */
export function openDatabase(url: string): Database {
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 5_000,
    // Nothing that the application asks takes longer; what does is stuck, or somebody's attempt to make it so.
    statement_timeout: 20_000,
    idle_in_transaction_session_timeout: 20_000,
    application_name: 'winculum',
    // The few statements are prepared once; planned again each time, the one that writes an edit took half as long again.
    options: '-c plan_cache_mode=force_generic_plan',
  });
  pool.on('error', () => undefined);
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
    prepareStatements(client);
  });
  return { db: new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) }), pool };
}
