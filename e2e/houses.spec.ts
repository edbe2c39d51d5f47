import { expect, goTo, menu, test } from './harness';

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
      .getByRole('button', { name: /^Duplicate Studio/ })
      .last()
      .click();
    await expect(page).toHaveURL(/\/house$/);
    await page.getByRole('link', { name: 'All houses' }).click();
    await expect(page.getByRole('button', { name: /^Duplicate/ })).toHaveCount(n + 2);
  }
  await page.getByLabel('Find a house').fill('narrow copy) (copy');
  await expect(page.getByRole('button', { name: /^Duplicate/ })).not.toHaveCount(7);
  await page.getByLabel('Find a house').fill('barn');
  await expect(page.getByRole('button', { name: /^Duplicate/ })).toHaveCount(0);
});
