import { clickPlan, expect, goTo, menu, openDemo, pick, takeAllProposals, test } from './harness';

test('an old house: all of it existing and without a ground, and one receptacle replaced', async ({ owner: page }) => {
  await openDemo(page);
  // Once for the room, again for the level, again for the house.
  await page.locator('svg.sheet').click({ position: { x: 6, y: 6 } });
  await page.keyboard.press('Control+a');
  const all = page.getByRole('region', { name: 'All of them' });
  await expect(all).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+a');
  await pick(page, 'State', 'existing');
  await pick(page, 'No ground in the old wiring', 'yes');
  await expect(page.getByRole('link', { name: /^Walk/ })).toContainText('✓');

  // What stands is right by the code of its day; what is replaced follows the code of today.
  const receptacle = page.locator('section.strip g.box', { has: page.locator('.slots') }).first();
  await receptacle.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('checkbox', { name: 'tamper-resistant' }).uncheck();
  const said = page.getByRole('complementary');
  await expect(said).not.toContainText('is not tamper-resistant');
  await page.getByRole('checkbox', { name: 'the receptacle is replaced' }).check();
  await expect(said).toContainText('is not tamper-resistant');
  await expect(said).toContainText('is replaced where its old wiring brings no ground');
  await page.getByRole('checkbox', { name: 'GFCI receptacle' }).check();
  await expect(said).not.toContainText('is replaced where its old wiring brings no ground');

  await goTo(page, 'Service');
  const service = page.getByRole('link', { name: /^Service/ });
  const parts = page.locator('.power .v-expansion-panel-title');
  await parts.nth(0).click();
  await pick(page, 'Surge protection', 'none');
  await expect(service).toContainText('1 violation');
  await parts.nth(1).click();
  await page.getByRole('checkbox', { name: 'it was there before and stays' }).check();
  await expect(service).toContainText('✓');
});

test('a remodel: one room is opened, the rest stays, and only the new cables are led', async ({ owner: page }) => {
  await menu(page, 'Open a sample house', 'Kitchen remodel');
  await goTo(page, 'House');
  // The house comes with its kitchen stripped; the hall is opened besides.
  const stays = page.getByRole('checkbox', { name: /^stays as it is/ });
  await clickPlan(page, 60, 60);
  await expect(stays).toBeChecked();
  await page.getByRole('button', { name: 'Open this room, the rest stays' }).click();
  await expect(stays).not.toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stays).toBeChecked();

  // By the tool alone: what is opened is laid out and planned, and nothing is wrong with it.
  expect(await takeAllProposals(page, async (work) => void (await work))).toEqual([]);
  await expect(page.getByRole('link', { name: /^Walk/ })).toHaveAttribute('title', /^[12]\d boxes not nailed yet$/);

  await goTo(page, 'Routes');
  await page.getByRole('button', { name: 'Find routes' }).click();
  const led = page.getByText(/^\d+ cables led through the framing/);
  await expect(led).toBeVisible();
  expect(Number.parseInt((await led.textContent())!)).toBeLessThan(40);
  await page.getByRole('button', { name: 'Keep these routes' }).click();
  await page.getByRole('button', { name: 'Pull', exact: true }).click();
  await expect(page.getByRole('cell', { name: /fished/ }).first()).toBeVisible();
});
