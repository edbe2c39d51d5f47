import { createServer } from 'node:http';
import { leaveHousesUnfrozen } from '@winculum/core';
import { pino } from 'pino';
import { openDatabase } from './db/database';
import { migrateToLatest } from './db/migrations';
import { loadDemo } from './demo';
import { createApp } from './http/app';

function need(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`Set ${name}; ./start does it.`);
  return value;
}

async function main(): Promise<void> {
  leaveHousesUnfrozen();
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
  const database = openDatabase(need('DATABASE_URL'));
  await migrateToLatest(database.db);
  const demoFile = process.env['DEMO_HOUSE'];
  if (demoFile && (await loadDemo(database.db, demoFile))) log.info('the demo house is loaded');
  const { app, announcements } = createApp({
    database,
    log,
    secret: need('SESSION_SECRET'),
    version: process.env['WINCULUM_VERSION'] ?? 'dev',
    webFolder: process.env['WEB_FOLDER'],
    https: process.env['HTTPS'] === '1',
  });
  await announcements.start();
  const server = createServer(app);
  const port = Number(process.env['PORT'] ?? 4310);
  server.listen(port, '127.0.0.1', () => log.info({ port }, 'ready'));
  server.on('error', (error) => {
    log.fatal({ err: error }, 'cannot listen');
    process.exit(1);
  });
  const stop = () => {
    announcements.stop();
    server.closeAllConnections();
    server.close(() => void database.pool.end().finally(() => process.exit(0)));
    setTimeout(() => process.exit(0), 2_000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
