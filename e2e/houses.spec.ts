import { expect, goTo, menu, openDemo, pick, test } from './harness';

test('a sample house is opened, laid out, planned by the tool alone, and found without a violation', async ({
  owner: page,
}) => {
  await menu(page, 'Open a sample house', 'Dwelling over a garage');
  await expect(page.getByLabel('Name of the house')).toHaveValue('Dwelling over a garage');
  await goTo(page, 'Circuits');
  await page.getByRole('button', { name: /^Connect \d+ appliances/ }).click();
  await goTo(page, 'Boxes');
  await menu(page, 'Lay out boxes', 'The whole house');
  await page.getByRole('region', { name: 'Proposed boxes' }).getByRole('button', { name: 'Accept all' }).click();
  await goTo(page, 'Circuits');
  await page.getByRole('button', { name: 'Plan the circuits' }).click();
  await page.getByRole('region', { name: 'Proposed circuits' }).getByRole('button', { name: 'Accept' }).click();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.locator('.fail.violation')).toHaveCount(0);
});

test('a house is duplicated, and found among many by a part of its name', async ({ owner: page }) => {
  for (let n = 0; n < 6; n++) {
    await page
      .getByRole('button', { name: /^More: Studio/ })
      .last()
      .click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await expect(page).toHaveURL(/\/house$/);
    await page.getByRole('link', { name: 'All houses' }).click();
    await expect(page.getByRole('button', { name: /^More: / })).toHaveCount(n + 2);
  }
  await page.getByLabel('Find a house').fill('narrow copy) (copy');
  await expect(page.getByRole('button', { name: /^More: / })).not.toHaveCount(7);
  await page.getByLabel('Find a house').fill('barn');
  await expect(page.getByRole('button', { name: /^More: / })).toHaveCount(0);
});

test('standards become the firm’s, new houses begin with them, and other houses are offered them', async ({
  owner: page,
}) => {
  const dialog = page.getByRole('region', { name: 'Job and shop standards' });
  await openDemo(page, 'House');
  await page.getByRole('button', { name: 'Job' }).click();
  await dialog.getByRole('tab', { name: 'Heights' }).click();
  await dialog.getByLabel('Switches').fill("3'-8");
  await page.keyboard.press('Tab');
  await dialog.getByRole('tab', { name: 'Firm' }).click();
  await dialog.getByRole('button', { name: "Make the standards of this house the firm's" }).click();
  await expect(dialog.getByText('This house holds all the standards of the firm.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Done' }).click();

  await page.getByRole('link', { name: 'All houses' }).click();
  await menu(page, 'Open a sample house', 'Open-plan house');
  await page.getByRole('button', { name: /differs? from the firm's/ }).click();
  const row = dialog.getByRole('row', { name: /Switch height/ });
  await expect(row).toContainText(`3'-8"`);
  await row.getByRole('button', { name: /Take the firm's/ }).click();
  await expect(row).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /differs? from the firm's/ })).toBeVisible();
});

test('a job begins with its details, is found by its client, archived, had back, and kept on the device', async ({
  owner: page,
}) => {
  await page.getByRole('button', { name: 'With details …' }).click();
  const dialog = page.getByRole('dialog', { name: 'New job' });
  await dialog.getByLabel('Name of the job').fill('Cellar at the mill');
  await pick(page, 'What it is', 'Finished basement');
  await dialog.getByLabel('Authority having jurisdiction').fill('Building department of the demo county');
  await page.keyboard.press('Tab');
  // The demo house has its permit there, under this edition.
  await expect(dialog.getByText('as on the last permit there')).toBeVisible();
  await dialog.getByLabel('Client').fill('Miller family');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(page).toHaveURL(/\/house$/);
  await expect(page.getByRole('button', { name: /^Level/ })).toBeVisible();
  await page.getByRole('button', { name: /^Level/ }).click();
  await expect(page.getByRole('menuitem', { name: 'Basement', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'All houses' }).click();

  await expect(page.getByText('Miller family')).toBeVisible();
  await page.getByLabel('Find a house').fill('miller');
  await expect(page.getByRole('button', { name: /^More: / })).toHaveCount(1);
  await menu(page, 'More: Cellar at the mill', 'Archive');
  await expect(page.getByText('No house here.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Cellar at the mill' })).toBeVisible();
  await menu(page, 'More: Cellar at the mill', 'Archive');
  await pick(page, 'Which', 'archived');
  await expect(page.getByRole('link', { name: 'Cellar at the mill' })).toBeVisible();
  await pick(page, 'Which', 'active');
  await page.getByLabel('Find a house').fill('');

  await menu(page, 'More: Studio house on the narrow lot', 'Keep on this device');
  await expect(page.getByText('on this device').first()).toBeVisible();
});
