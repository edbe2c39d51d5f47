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

/**
 * What holds against attacks and restores: snapshots of which some are kept, the life of the database, verified addresses,
 * second factors, sessions that end, links that are sent, an audit log, and signatures bound to what was signed.
 */
const holding: Migration = {
  async up(db) {
    const run = (text: string) => sql.raw(text).execute(db);
    await run(`create table installation (
      one boolean primary key default true check (one),
      epoch uuid not null default gen_random_uuid(),
      restored_at timestamptz,
      demo_loaded_at timestamptz
    )`);
    await run(`insert into installation (demo_loaded_at) select min(created_at) from users`);
    await run(`create table snapshots (
      house_id uuid not null references houses on delete cascade,
      version integer not null,
      house json not null,
      at timestamptz not null default now(),
      primary key (house_id, version)
    )`);
    await run(`insert into snapshots (house_id, version, house) select id, snapshot_version, snapshot from houses`);
    await run(`alter table houses
      drop column snapshot,
      drop column snapshot_version,
      add column bytes bigint not null default 0,
      add column deleted_at timestamptz,
      add column deleted_by uuid`);
    await run(`update houses h set bytes = coalesce((select sum(octet_length(s.house::text)) from snapshots s where s.house_id = h.id), 0)
      + coalesce((select sum(octet_length(e.edits::text)) from edits e where e.house_id = h.id), 0)`);
    await run(`create table set_aside (
      house_id uuid not null references houses on delete cascade,
      version integer not null,
      edits json not null,
      author_id uuid,
      at timestamptz not null,
      reason text not null,
      set_aside_at timestamptz not null default now()
    )`);
    await run(`alter table users
      add column verified_at timestamptz,
      add column must_change_password boolean not null default false,
      add column totp_secret text,
      add column totp_used bigint not null default 0,
      add column recovery_hashes text[] not null default '{}'`);
    await run(`update users set verified_at = created_at`);
    await run(`alter table firms
      add column trust_days integer not null default 0,
      add column needs_second_factor boolean not null default false`);
    await run(`create table tokens (
      hash text primary key,
      kind text not null check (kind in ('verify', 'invite', 'reset')),
      email text not null,
      firm_id uuid references firms on delete cascade,
      user_id uuid references users on delete cascade,
      detail json not null,
      at timestamptz not null default now(),
      expires_at timestamptz not null
    )`);
    await run(`create index tokens_by_firm on tokens (firm_id)`);
    await run(`create table outbox (
      id bigserial primary key,
      at timestamptz not null default now(),
      recipient text not null,
      subject text not null,
      body text not null
    )`);
    await run(`create table audit (
      id bigserial primary key,
      at timestamptz not null default now(),
      firm_id uuid references firms on delete cascade,
      user_id uuid,
      who text not null,
      event text not null,
      detail text not null default '',
      address text not null default ''
    )`);
    await run(`create index audit_by_firm on audit (firm_id, id desc)`);
    await run(`alter table session
      add column user_id text generated always as (sess ->> 'userId') stored,
      add column began_at timestamptz not null default now(),
      add column seen_at timestamptz not null default now()`);
    await run(`create index session_by_user on session (user_id)`);
    // However a session comes to be written, it ends after its idle time and in any case at the end of its whole time.
    await run(`create function session_ends() returns trigger language plpgsql as $$ begin
      if new.sess ->> 'idleS' is not null then
        new.expire := least(
          now() + (new.sess ->> 'idleS')::int * interval '1 second',
          new.began_at + (new.sess ->> 'wholeS')::int * interval '1 second');
      end if;
      return new;
    end $$`);
    await run(
      `create trigger session_ends before insert or update on session for each row execute function session_ends()`,
    );
    await run(`alter table revisions add column hash text`);
    await run(`update revisions set hash = encode(sha256(convert_to(house::text, 'UTF8')), 'hex')`);
    await run(`alter table revisions alter column hash set not null`);
    await run(`alter table signatures add column hash text`);
    await run(
      `update signatures s set hash = r.hash from revisions r where r.house_id = s.house_id and r.number = s.number`,
    );
    await run(`alter table signatures alter column hash set not null`);
  },
};

/** Shop standards of a firm, which new houses begin with. */
const firmStandards: Migration = {
  up: async (db) => {
    await sql`alter table firms add column standards json, add column standards_version integer not null default 0`.execute(
      db,
    );
  },
};

/** Photos beside the document, and links by which people without an account see their part of a house. */
const photosAndGuests: Migration = {
  async up(db) {
    const run = (text: string) => sql.raw(text).execute(db);
    await run(`create table photos (
      house_id uuid not null references houses on delete cascade,
      id text not null,
      author_id uuid,
      at timestamptz not null default now(),
      hash text not null,
      bytes bytea not null,
      primary key (house_id, id)
    )`);
    // A photo is compressed already.
    await run(`alter table photos alter column bytes set storage external`);
    await run(`create table guest_links (
      id uuid primary key default gen_random_uuid(),
      hash text not null unique,
      house_id uuid not null references houses on delete cascade,
      firm_id uuid not null references firms on delete cascade,
      role text not null check (role in ('owner', 'designer', 'inspector', 'trade', 'panel')),
      trade text,
      name text not null,
      author_id uuid,
      made_at timestamptz not null default now(),
      expires_at timestamptz not null,
      revoked_at timestamptz,
      seen_at timestamptz
    )`);
    await run(`create index guest_links_by_house on guest_links (house_id)`);
    await run(`alter table edits add column guest text`);
  },
};

/** Houses that are put aside, and out of the way until somebody looks for them. */
const archive: Migration = {
  up: async (db) => {
    await sql`alter table houses add column archived_at timestamptz`.execute(db);
  },
};

/** What people are told of in the application: who named them, answered them, or gave them something to do. */
const notices: Migration = {
  async up(db) {
    const run = (text: string) => sql.raw(text).execute(db);
    await run(`create table notices (
      id bigserial primary key,
      user_id uuid not null references users on delete cascade,
      house_id uuid not null references houses on delete cascade,
      kind text not null check (kind in ('mention', 'answer', 'task', 'guest')),
      about text not null,
      what text not null,
      who text not null,
      at timestamptz not null default now(),
      seen_at timestamptz,
      unique (user_id, house_id, about)
    )`);
    await run(`create index notices_by_user on notices (user_id, id desc)`);
  },
};

/** What a master has signed of somebody's record on the bench, in the figures that were shown. */
const practiceSignatures: Migration = {
  async up(db) {
    const run = (text: string) => sql.raw(text).execute(db);
    await run(`create table practice_signatures (
      id bigserial primary key,
      user_id uuid not null references users on delete cascade,
      signer_id uuid references users on delete set null,
      who text not null,
      at timestamptz not null default now(),
      proved integer not null,
      found integer not null,
      missed integer not null,
      note text not null
    )`);
    await run(`create index practice_signatures_by_user on practice_signatures (user_id, id desc)`);
  },
};

/** Every migration by its name; names sort in the order in which they run, and are never reused. */
export const migrations: Record<string, Migration> = {
  '001-first-tables': firstTables,
  '002-lighter-edits': lighterEdits,
  '003-sign-off': signOff,
  '004-bench': bench,
  '005-holding': holding,
  '006-firm-standards': firmStandards,
  '007-photos-and-guests': photosAndGuests,
  '008-archive': archive,
  '009-notices': notices,
  '010-practice-signatures': practiceSignatures,
};

/** The newest migration this program knows, as the health answer shows it. */
export const schemaVersion = Object.keys(migrations).sort().at(-1)!;

/** Brings the database up to date. @throws when a migration fails; it is rolled back. */
export async function migrateToLatest(db: Db): Promise<void> {
  const { error } = await new Migrator({ db, provider: { getMigrations: async () => migrations } }).migrateToLatest();
  if (error) throw error;
}
