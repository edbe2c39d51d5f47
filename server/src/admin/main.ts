import { readFileSync } from 'node:fs';
import { leaveHousesUnfrozen } from '@winculum/core';
import { openDatabase } from '../db/database';
import { migrateToLatest } from '../db/migrations';
import { listLetters } from '../db/outbox';
import { alone, backUp, restore, Stop } from './dump';
import { repair } from './repair';

const databaseUrl = process.env['DATABASE_URL'] ?? '';
const say = (text: string) => process.stderr.write(`${text}\n`);

function passphraseIn(file: string | undefined): string | undefined {
  if (!file) return undefined;
  const text = readFileSync(file, 'utf8').replace(/\r?\n$/, '');
  if (text.length < 12) throw new Stop(`The passphrase in ${file} needs at least 12 characters.`);
  return text;
}

async function mendAll(): Promise<void> {
  await alone(databaseUrl, async () => {
    const { db, pool } = openDatabase(databaseUrl);
    try {
      await migrateToLatest(db);
      const { looked, mended, leftOut } = await repair(db);
      for (const { house, what, version, why } of leftOut)
        say(`${house}: left out ${what} of version ${version}: ${why}`);
      for (const name of mended) say(`${name}: mended`);
      say(`${looked} houses looked at, ${mended.length} mended, ${leftOut.length} things left out.`);
      if (leftOut.some((one) => one.what === 'batch'))
        say('Batches that were left out are kept in the table set_aside.');
    } finally {
      await pool.end();
    }
  });
}

async function showOutbox(): Promise<void> {
  const { db, pool } = openDatabase(databaseUrl);
  const letters = await listLetters(db);
  await pool.end();
  for (const { at, to, subject, body } of letters.toReversed())
    process.stdout.write(`--- ${at.toISOString()}\nTo: ${to}\nSubject: ${subject}\n\n${body}\n`);
  if (letters.length === 0) say('The outbox is empty.');
}

/** `backup FILE [PASSPHRASE-FILE]`, `restore FILE [PASSPHRASE-FILE]`, `repair`, `outbox`: what ./start does besides serving. */
async function main([command, file = '', passphraseFile]: string[]): Promise<void> {
  leaveHousesUnfrozen();
  if (command === 'backup') {
    await backUp(databaseUrl, file, passphraseIn(passphraseFile));
    say(`Saved to ${file}.`);
  } else if (command === 'restore') {
    await restore(databaseUrl, file, passphraseIn(passphraseFile));
    say(`Restored from ${file}. Everybody signs in again.`);
  } else if (command === 'repair') await mendAll();
  else if (command === 'outbox') await showOutbox();
  else throw new Stop(`There is no command ${command ?? ''}.`);
}

main(process.argv.slice(2)).catch((error: unknown) => {
  say(error instanceof Stop ? error.message : String(error instanceof Error ? (error.stack ?? error.message) : error));
  process.exit(1);
});
