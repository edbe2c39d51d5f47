import { expect, goTo, openDemo, pick, test } from './harness';

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
