import { Migrator, sql, type Migration } from 'kysely';
import type { Db } from './database';

const firstTables: Migration = {
  async up(db) {
    await sql`
      create table users (
        id uuid primary key default gen_random_uuid(),
        email text not null unique check (email = lower(email)),
        name text not null,
        password_hash text not null,
        created_at timestamptz not null default now()
      )`.execute(db);
    await sql`create table firms (id uuid primary key default gen_random_uuid(), name text not null, created_at timestamptz not null default now())`.execute(
      db,
    );
    await sql`
      create table members (
        firm_id uuid not null references firms on delete cascade,
        user_id uuid not null unique references users on delete cascade,
        role text not null check (role in ('owner', 'crew', 'viewer')),
        primary key (firm_id, user_id)
      )`.execute(db);
    await sql`
      create table houses (
        id uuid primary key default gen_random_uuid(),
        firm_id uuid not null references firms on delete cascade,
        name text not null,
        version integer not null default 0,
        created_at timestamptz not null default now(),
        updated_at timestamptz not null default now(),
        snapshot json not null,
        snapshot_version integer not null default 0
      )`.execute(db);
    await sql`create index houses_by_firm on houses (firm_id, updated_at desc)`.execute(db);
    await sql`
      create table edits (
        house_id uuid not null references houses on delete cascade,
        version integer not null,
        batch_id uuid not null,
        author_id uuid references users on delete set null,
        at timestamptz not null default now(),
        edits json not null,
        primary key (house_id, version),
        unique (house_id, batch_id)
      )`.execute(db);
    await sql`create table session (sid text primary key, sess json not null, expire timestamptz not null)`.execute(db);
    await sql`create index session_by_expiry on session (expire)`.execute(db);
    await sql`create table rate_limits (key text primary key, hits integer not null, reset_at timestamptz not null)`.execute(
      db,
    );
  },
};

/**
 * What an edit writes is as little as it can be: houses are listed by firm and sorted then, so that raising a version
 * touches no index; and the author's id is kept without a reference, since the history outlives who has left.
 */
const lighterEdits: Migration = {
  async up(db) {
    await sql`drop index houses_by_firm`.execute(db);
    await sql`create index houses_by_firm on houses (firm_id)`.execute(db);
    await sql`alter table edits drop constraint edits_author_id_fkey`.execute(db);
  },
};

/** Revisions that people sign before wire is pulled: the house as it was then, and who signed. */
const signOff: Migration = {
  async up(db) {
    await sql`
      create table revisions (
        house_id uuid not null references houses on delete cascade,
        number integer not null,
        version integer not null,
        note text not null,
        author_id uuid,
        at timestamptz not null default now(),
        house json not null,
        primary key (house_id, number)
      )`.execute(db);
    await sql`
      create table signatures (
        id uuid primary key default gen_random_uuid(),
        house_id uuid not null,
        number integer not null,
        role text not null check (role in ('owner', 'designer', 'builder', 'electrician')),
        name text not null,
        strokes json not null,
        author_id uuid,
        at timestamptz not null default now(),
        foreign key (house_id, number) references revisions on delete cascade
      )`.execute(db);
    await sql`create index signatures_by_revision on signatures (house_id, number)`.execute(db);
  },
};

/** What a person has done on the bench, wherever they sign in. */
const bench: Migration = {
  async up(db) {
    await sql`
      create table bench (
        user_id uuid primary key references users on delete cascade,
        progress json not null,
        at timestamptz not null default now()
      )`.execute(db);
  },
};

/** Every migration by its name; names sort in the order in which they run, and are never reused. */
const migrations: Record<string, Migration> = {
  '001-first-tables': firstTables,
  '002-lighter-edits': lighterEdits,
  '003-sign-off': signOff,
  '004-bench': bench,
};

/** The newest migration this program knows, as the health answer shows it. */
export const schemaVersion = Object.keys(migrations).sort().at(-1)!;

/** Brings the database up to date. @throws when a migration fails; it is rolled back. */
export async function migrateToLatest(db: Db): Promise<void> {
  const { error } = await new Migrator({ db, provider: { getMigrations: async () => migrations } }).migrateToLatest();
  if (error) throw error;
}
