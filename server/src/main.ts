import { leaveHousesUnfrozen } from '@winculum/core';
import { pino } from 'pino';
import { openDatabase, type Database } from './db/database';
import { sweep } from './db/housekeeping';
import { holdInCommon } from './db/installation';
import { migrateToLatest } from './db/migrations';
import { loadDemo, samplesIn } from './demo';
import { createApp } from './http/app';
import { createHttpServer } from './http/server';

function need(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`Set ${name}; ./start does it.`);
  return value;
}

/** Brings the database up to date, while nobody restores or repairs it. */
async function prepare(database: Database, databaseUrl: string): Promise<void> {
  const client = await database.pool.connect();
  try {
    if (!(await holdInCommon(client)))
      throw new Error('The database is being restored or repaired just now. Start again when that has ended.');
    await migrateToLatest(database.db);
    await sweep(database.db);
    const demoFile = process.env['DEMO_HOUSE'];
    if (demoFile) await loadDemo(database, databaseUrl, [...samplesIn(process.env['DEMO_SAMPLES']), demoFile]);
  } finally {
    // Its lock goes with the connection; the listening connection holds another from then on.
    client.release(true);
  }
}

/** How people reach the server, and whose word it takes on that. */
function reach(port: number) {
  const https = process.env['HTTPS'] === '1';
  const publicUrl = process.env['PUBLIC_URL'] ?? (https ? need('PUBLIC_URL') : `http://127.0.0.1:${port}`);
  if (https && !publicUrl.startsWith('https://'))
    throw new Error('With HTTPS=1, PUBLIC_URL is the https address that people type.');
  const proxies = (process.env['TRUSTED_PROXIES'] ?? (https ? 'loopback' : '')).split(',').filter(Boolean);
  return { https, proxies, linksTo: publicUrl, publicUrl: https || process.env['PUBLIC_URL'] ? publicUrl : undefined };
}

async function main(): Promise<void> {
  leaveHousesUnfrozen();
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
  const databaseUrl = need('DATABASE_URL');
  const database = openDatabase(databaseUrl);
  const port = Number(process.env['PORT'] ?? 4310);
  const { https, proxies, publicUrl, linksTo } = reach(port);
  await prepare(database, databaseUrl);
  const { app, announcements, stop } = createApp({
    database,
    log,
    secret: need('SESSION_SECRET'),
    version: process.env['WINCULUM_VERSION'] ?? 'dev',
    webFolder: process.env['WEB_FOLDER'],
    https,
    proxies,
    publicUrl,
    linksTo,
    smtpUrl: process.env['SMTP_URL'],
    mailFrom: process.env['MAIL_FROM'],
    showsOutbox: process.env['OUTBOX_PAGE'] === '1',
  });
  await announcements.start();
  const server = createHttpServer(app);
  server.listen(port, '127.0.0.1', () => log.info({ port }, 'ready'));
  server.on('error', (error) => {
    log.fatal({ err: error }, 'cannot listen');
    process.exit(1);
  });
  const end = () => {
    setTimeout(() => process.exit(0), 2_000).unref();
    void stop();
    server.closeAllConnections();
    server.close(() => void database.pool.end().finally(() => process.exit(0)));
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
