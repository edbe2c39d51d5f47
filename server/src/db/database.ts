import { Kysely, PostgresDialect, type Generated } from 'kysely';
import { createHash } from 'node:crypto';
import pg from 'pg';

export interface Tables {
  users: { id: Generated<string>; email: string; name: string; password_hash: string };
  firms: { id: Generated<string>; name: string };
  members: { firm_id: string; user_id: string; role: string };
  houses: {
    id: Generated<string>;
    firm_id: string;
    name: string;
    version: number;
    updated_at: Generated<Date>;
    snapshot: unknown;
    snapshot_version: number;
  };
  edits: {
    house_id: string;
    version: number;
    batch_id: string;
    author_id: string | null;
    at: Generated<Date>;
    edits: unknown;
  };
  revisions: {
    house_id: string;
    number: number;
    version: number;
    note: string;
    author_id: string | null;
    at: Generated<Date>;
    house: unknown;
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
  };
  bench: { user_id: string; progress: unknown; at: Generated<Date> };
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
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5_000 });
  pool.on('error', () => undefined);
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
    prepareStatements(client);
  });
  return { db: new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) }), pool };
}
