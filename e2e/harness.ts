import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer, type AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { expect, test as base, type BrowserContext, type Page } from '@playwright/test';
import pg from 'pg';

const root = fileURLToPath(new URL('..', import.meta.url));
const PASSWORD = 'demo house 4310';

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

/** The real server, as ./start runs it, on a database of its own with the demo in it. */
class App {
  #child: ChildProcess | undefined;
  constructor(
    readonly url: string,
    readonly port: number,
    readonly databaseUrl: string,
  ) {}

  /** Does nothing where it runs already. */
  async start(): Promise<void> {
    if (this.#child && this.#child.exitCode === null && this.#child.signalCode === null) return;
    this.#child = spawn('node', ['server/dist/main.js'], {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        PORT: String(this.port),
        SESSION_SECRET: 'for tests',
        LOG_LEVEL: 'fatal',
        WEB_FOLDER: 'web/dist',
        DEMO_HOUSE: 'demo/studio-house.json',
      },
    });
    for (let tries = 0; tries < 600; tries++) {
      const isUp = await fetch(`${this.url}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (isUp) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('the server did not come up');
  }

  /** Asks the database, as whoever runs the server may. */
  async query(text: string): Promise<Record<string, string>[]> {
    const client = new pg.Client({ connectionString: this.databaseUrl });
    await client.connect();
    const { rows } = await client.query<Record<string, string>>(text);
    await client.end();
    return rows;
  }

  /** Ends it at once, as a crash would. */
  async kill(): Promise<void> {
    const child = this.#child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }
}

/** A client of a database of its own. */
async function createDatabase(): Promise<{ url: string; client: pg.Client }> {
  const server = process.env['TEST_DATABASE_URL'];
  if (!server) throw new Error('TEST_DATABASE_URL is not set. Run the tests through ./test.');
  const admin = new pg.Client({ connectionString: server });
  const name = `e2e_${randomUUID().replaceAll('-', '')}`;
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = server.replace(/\/[^/]+$/, `/${name}`);
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return { url, client };
}

/** A server for the tests of one worker, and the owner's cookies. */
interface Served {
  readonly app: App;
  readonly cookies: Awaited<ReturnType<BrowserContext['storageState']>>;
  /** As on the first day: the demo house alone, nothing learned on the bench, nobody locked out. It is another house, with an id of its own. */
  startOver(): Promise<void>;
}

export const test = base.extend<{ app: App; ownApp: App; owner: Page; faults: string[] }, { served: Served }>({
  // Tests share a server and a sign-in, which cost more than most of them; what they do to the house they do not share.
  served: [
    async ({ browser }, use) => {
      const port = await freePort();
      const { url, client } = await createDatabase();
      const app = new App(`http://127.0.0.1:${port}`, port, url);
      await app.start();
      await client.query(
        'create table first_day as select h.firm_id, h.name, s.house from houses h join snapshots s on s.house_id = h.id',
      );
      const context = await browser.newContext();
      await signIn(await context.newPage(), app.url, 'owner@demo.example');
      const cookies = await context.storageState();
      await context.close();
      await use({
        app,
        cookies,
        startOver: async () => {
          await client.query(
            'delete from houses; delete from bench; delete from rate_limits; update firms set standards = null',
          );
          await client.query(
            `with added as (insert into houses (firm_id, name, version) select firm_id, name, 0 from first_day returning id)
             insert into snapshots (house_id, version, house) select added.id, 0, first_day.house from added, first_day`,
          );
        },
      });
      await client.end();
      await app.kill();
    },
    { scope: 'worker' },
  ],
  /** A server and a database for one test alone, where it does to them what the others would feel. */
  // eslint-disable-next-line no-empty-pattern
  ownApp: async ({}, use) => {
    const port = await freePort();
    const { url, client } = await createDatabase();
    await client.end();
    const app = new App(`http://127.0.0.1:${port}`, port, url);
    await app.start();
    await use(app);
    await app.kill();
  },
  app: async ({ served }, use) => {
    await served.app.start();
    await served.startOver();
    await use(served.app);
  },
  /** Errors of the page; a test that expects some empties the list. */
  // The fixture takes nothing, and the runner insists on a pattern to say so.
  // eslint-disable-next-line no-empty-pattern
  faults: async ({}, use) => {
    await use([]);
  },
  owner: async ({ app, served, browser, faults }, use) => {
    const context = await browser.newContext({ storageState: served.cookies });
    const page = await context.newPage();
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource|ERR_CONNECTION/.test(message.text()))
        faults.push(message.text());
    });
    await page.goto(app.url);
    await expect(page.getByRole('heading', { name: 'Houses' })).toBeVisible();
    await use(page);
    await context.close();
    expect(faults, 'errors on the page').toEqual([]);
  },
});

export async function signIn(page: Page, url: string, email: string): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Houses' })).toBeVisible();
}

/** Shows the password once more, where the server asks for it. */
export async function confirmPassword(page: Page, password = PASSWORD): Promise<void> {
  const dialog = page.getByRole('dialog', { name: /once more/ }).or(page.getByRole('dialog'));
  await dialog.getByLabel('Password').fill(password);
  await dialog.getByRole('button', { name: 'Go on' }).click();
}

/** The stages in their order. */
export const STOPS = [
  'Brief',
  'House',
  'Boxes',
  'Switching',
  'Walk',
  'Circuits',
  'Panel',
  'Service',
  'Load profile',
  'Routes',
  'Make-up',
  'Phases',
  'Photos',
  'Inspection',
  'Trim & test',
  'Documents',
] as const;
type Stop = (typeof STOPS)[number];

export async function openDemo(page: Page, stop: Stop = 'Boxes'): Promise<void> {
  await page.getByRole('link', { name: 'Studio house on the narrow lot' }).click();
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
  await goTo(page, stop);
}

export async function goTo(page: Page, stop: Stop): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Order of work' })
    .getByRole('link', { name: new RegExp(`^${stop}`) })
    .click();
  await expect(page).toHaveURL(new RegExp(`/${stop.toLowerCase().replace(/\W+/g, '-')}$`));
}

/** Picks from a Vuetify select by its label. */
export async function pick(page: Page, name: string, answer: string | number): Promise<void> {
  const box = page.getByRole('combobox', { name, exact: true });
  await page.locator('.v-field', { has: box }).click();
  if (typeof answer === 'number') return page.getByRole('option').nth(answer).click();
  // Long lists hold only what is in sight: those that can be searched are narrowed by what is typed.
  if ((await box.getAttribute('inputmode')) !== 'none') await box.fill(answer);
  await page.getByRole('option', { name: answer, exact: true }).first().click();
}

/** The card of a circuit: what else has its name, boxes and findings, stands elsewhere. */
export const card = (page: Page, name: RegExp) =>
  page.locator('[data-circuit]', { hasText: name }).getByRole('button').first();

/** Takes an entry of a button's menu. */
export async function menu(page: Page, name: string | RegExp, entry: string): Promise<void> {
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('menuitem', { name: entry, exact: true }).click();
}

export async function newHouse(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name of the new house').fill(name);
  await page.getByRole('button', { name: 'New house' }).click();
  await expect(page).toHaveURL(/\/house$/);
}

/** Types a line and nails it; the line empties when it was taken. */
export async function tape(page: Page, line: string): Promise<void> {
  const input = page.getByLabel('Tape line');
  await input.fill(line);
  await input.press('Enter');
  await expect(input).toHaveValue('');
}

/** Where a point of the plan is on the screen, from the camera of the sheet. */
export async function onScreen(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  return page.locator('svg.sheet').evaluate(
    (svg, point) => {
      const group = svg.querySelector<SVGGElement>(':scope > g')!;
      const at = new DOMPoint(point.x, point.y).matrixTransform(group.getScreenCTM()!);
      return { x: at.x, y: at.y };
    },
    { x, y },
  );
}

export async function clickPlan(page: Page, x: number, y: number, modifiers: { shift?: boolean } = {}): Promise<void> {
  const at = await onScreen(page, x, y);
  if (modifiers.shift) await page.keyboard.down('Shift');
  await page.mouse.click(at.x, at.y);
  if (modifiers.shift) await page.keyboard.up('Shift');
}

export async function dragPlan(
  page: Page,
  from: readonly [number, number],
  to: readonly [number, number],
): Promise<void> {
  const [a, b] = [await onScreen(page, ...from), await onScreen(page, ...to)];
  await page.mouse.move(a.x, a.y);
  await page.mouse.down();
  await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2, { steps: 4 });
  await page.mouse.move(b.x, b.y, { steps: 4 });
  await page.mouse.up();
}

/** Every proposal of the tool taken, from boxes to circuits, each press counted; then what the open items call a violation. */
export async function takeAllProposals(
  page: Page,
  did: (work: Promise<unknown>, n?: number) => Promise<void>,
): Promise<readonly string[]> {
  await did(goTo(page, 'Boxes'));
  await did(menu(page, 'Lay out boxes', 'The whole house'), 2);
  await did(page.getByRole('region', { name: 'Proposed boxes' }).getByRole('button', { name: 'Accept all' }).click());
  await did(goTo(page, 'Circuits'));
  await did(page.getByRole('button', { name: 'Plan the circuits' }).click());
  await did(page.getByRole('region', { name: 'Proposed circuits' }).getByRole('button', { name: 'Accept' }).click());
  await saved(page);
  await page.getByRole('tab', { name: /Open items/ }).click();
  return page.locator('.fail.violation').allTextContents();
}

export const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
export { expect };
