import { expect, goTo, menu, newHouse, openDemo, pick, saved, tape, test } from './harness';

test('cables are led three ways, kept, followed on plan and strip, and led otherwise by hand', async ({
  owner: page,
}) => {
  await openDemo(page, 'Routes');
  await page.getByRole('button', { name: 'Find routes' }).click();
  const ways = page.getByRole('group', { name: 'Ways compared' });
  await expect(ways.getByRole('button')).toHaveCount(3);
  const feet = async (name: string) =>
    Number(/([\d,]+) ft/.exec((await ways.getByRole('button', { name }).textContent())!)![1]!.replace(',', ''));
  expect(await feet('Least wire')).toBeLessThan(await feet('Fewest holes'));
  const least = await feet('Least wire');
  await page.getByRole('button', { name: 'Let it follow the framing' }).click();
  await expect(page.getByText('Fed in another order, by real lengths')).toBeVisible({ timeout: 30_000 });
  expect(await feet('Least wire')).toBeLessThan(least);
  await page.getByRole('button', { name: 'Discard' }).click();
  await page.getByRole('button', { name: 'Find routes' }).click();
  await ways.getByRole('button', { name: 'Quickest to pull' }).click();
  await page.getByRole('button', { name: 'Keep these routes' }).click();
  await saved(page);
  await expect(page.getByText('of 142 cables led')).toBeVisible();

  await pick(page, 'Circuit', '17 Living room');
  const cables = page.getByRole('list', { name: 'Cables' });
  await cables.getByText('Main panel 17 →').click();
  const cable = page.getByRole('article', { name: /^Cable to/ });
  await expect(cable).toContainText('14-2');
  const before = await cable.textContent();
  await menu(page, 'Lead it', 'over the ceiling');
  await saved(page);
  await expect(cable).toContainText('Led by hand');
  expect(await cable.textContent()).not.toBe(before);
  await page.getByRole('button', { name: 'Let the tool lead it' }).click();
  await expect(cable).not.toContainText('Led by hand');
});

test('an attic is read by itself, and a box moves into the bay of another to save holes', async ({ owner: page }) => {
  await openDemo(page, 'Routes');
  if ((await page.getByRole('list', { name: 'Cables' }).count()) === 0) {
    await page.getByRole('button', { name: 'Find routes' }).click();
    await page.getByRole('button', { name: 'Keep these routes' }).click();
    await saved(page);
  }
  const walls = page.locator('.routes path.cable.wall');
  expect(await walls.count()).toBeGreaterThan(20);
  await page.getByRole('button', { name: 'Show ▾' }).click();
  await page.getByRole('checkbox', { name: 'in the walls' }).click();
  await page.keyboard.press('Escape');
  await expect(walls).toHaveCount(0);
  expect(await page.locator('.routes path.cable.over').count()).toBeGreaterThan(20);

  const numbers = page.getByRole('region', { name: 'Cables that lie somewhere' });
  const members = numbers.getByText('members to bore').locator('b');
  const before = Number(await members.textContent());
  await page.getByRole('button', { name: 'Boxes that would share a bay' }).click();
  const first = page.getByRole('region', { name: 'Boxes in one bay' }).getByRole('listitem').first();
  await expect(first).toContainText('fewer', { timeout: 30_000 });
  await first.getByRole('button', { name: /^Move/ }).click();
  await saved(page);
  await expect.poll(async () => Number(await members.textContent())).toBeLessThan(before);
});

test('the sheets follow: bore, pull with what is done, spools with leftovers', async ({ owner: page }) => {
  await openDemo(page, 'Routes');
  const part = (name: string) => page.getByRole('button', { name, exact: true }).click();
  if ((await page.getByRole('list', { name: 'Cables' }).count()) === 0) {
    await page.getByRole('button', { name: 'Find routes' }).click();
    await page.getByRole('button', { name: 'Keep these routes' }).click();
    await saved(page);
  }
  await part('Bore');
  await expect(page.getByRole('heading', { name: 'Bore sheet' })).toBeVisible();
  await expect(page.getByRole('table').first()).toContainText('3/4"');

  await part('Pull');
  await page.getByRole('button', { name: /^Main panel 2 to .*: open$/ }).click();
  await page.getByRole('menuitemcheckbox', { name: 'bored' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'pulled' }).click();
  await page.keyboard.press('Escape');
  await saved(page);
  await expect(page.getByRole('button', { name: /^Main panel 2 to .*: pulled$/ })).toBeVisible();

  await part('Spools');
  const row = page.getByRole('table', { name: 'Cable to buy' }).getByRole('row', { name: /^8-3/ });
  await expect(row).toContainText('1 coil of 250 ft');
  const leftovers = page.getByLabel('Leftovers in the van');
  await leftovers.fill('8-3 0');
  await leftovers.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“8-3 0” is no leftover');
  await leftovers.fill('8-3 90');
  await leftovers.press('Enter');
  await expect(row).toContainText('nothing, the leftovers do');
});

test('a house without a circuit is told what to do first', async ({ owner: page }) => {
  await newHouse(page, 'Bare');
  await goTo(page, 'Routes');
  await expect(page.getByText('No cable is to be led yet')).toBeVisible();
  await page.getByRole('button', { name: 'Spools', exact: true }).click();
  await expect(page.getByText('No route is kept yet')).toBeVisible();
});

test('a drop of low voltage asks for a home, and is led there once one is drawn', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-3,/ }).click();
  await page.getByRole('button', { name: 'Add a device' }).click();
  await page.getByRole('list', { name: 'Device to add' }).getByText('Low voltage').click();
  await saved(page);
  await goTo(page, 'Routes');
  await page.getByRole('button', { name: 'Low voltage' }).click();
  const missing = page.getByRole('list', { name: 'What is missing' });
  await expect(missing).toContainText('1 data drop (ST-3) comes home to nothing: draw a low-voltage enclosure.');
  await expect(page.getByRole('button', { name: 'Print' })).toBeDisabled();

  await goTo(page, 'House');
  await tape(page, "low voltage panel on east in garage at 6'");
  await saved(page);
  await goTo(page, 'Routes');
  await page.getByRole('button', { name: 'Low voltage' }).click();
  const row = page.getByRole('table', { name: 'Data' }).getByRole('row').filter({ hasText: 'ST-3' });
  await expect(row).toContainText('low voltage enclosure, Garage');
  await expect(row).toContainText(/\d+ ft/);
  await row.getByRole('button', { name: 'ST-3 to low voltage enclosure: open' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'pulled' }).click();
  await page.keyboard.press('Escape');
  await expect(row.getByRole('button', { name: 'ST-3 to low voltage enclosure: pulled' })).toBeVisible();
  await expect(missing).toHaveCount(0);
  await page.getByRole('button', { name: 'Routes', exact: true }).click();
  await page.getByRole('button', { name: 'Show ▾' }).click();
  await page.getByRole('checkbox', { name: 'low voltage' }).click();
  await page.keyboard.press('Escape');
  expect(await page.locator('g.low-voltage path').count()).toBeGreaterThan(0);
});

test('a sleeve is laid for cables of today and later: its fill is shown, too full a one is mended by one press, and its end is listed', async ({
  owner: page,
}) => {
  await openDemo(page, 'Routes');
  await page.getByRole('button', { name: 'Sleeves', exact: true }).click();
  await page.getByRole('button', { name: 'Add a sleeve' }).click();
  const sleeve = page.getByRole('article', { name: 'Sleeve 1' });
  await pick(page, 'From', 'Garage');
  await page.getByLabel('From, where there').fill('at the panel');
  await page.keyboard.press('Tab');
  await expect(sleeve.getByRole('status')).toHaveText('Room for 4 more of these.');
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Put it in' }).click();
  const said = page.getByRole('list', { name: 'What the code says of them' });
  await expect(said).toContainText('Sleeve 1 is filled to 50 %; 40 % is the most for 5 pieces.');
  await pick(page, 'Trade size', '1 in');
  await expect(said).toHaveCount(0);
  await pick(page, 'It lies', 'in a slab');
  await pick(page, 'Pull in', '12/2 nonmetallic cable');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(said).toContainText('its inside is a wet location');
  await expect(said).toContainText('holds power and low voltage together');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Sleeves', exact: true }).click();
  await expect(sleeve).toContainText('Garage, at the panel → not said, in a slab');
  // It is among what waits in the walls.
  await goTo(page, 'Documents');
  await expect(page.getByText('sleeve Sleeve 1, 1 in ENT (flexible)')).toBeVisible();
});
