import { expect, goTo, newHouse, saved, tape, test } from './harness';

test('a basement is added in one action; its receptacles need GFCI, and whether a level is one is asked', async ({
  owner: page,
}) => {
  await newHouse(page, 'With a basement');
  await page.getByLabel('Level', { exact: true }).selectOption({ label: 'Add a basement' });
  await expect(page.getByLabel('Level', { exact: true }).locator('option:checked')).toHaveText('Basement');
  await tape(page, "recreation 20' x 15'");
  await goTo(page, 'Boxes');
  await tape(page, "R 5'");
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('GFCI required');
  await expect(panel).toContainText('A receptacle in a basement.');
  await page.getByLabel('Level', { exact: true }).selectOption({ label: 'Change this level …' });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await expect(dialog.getByLabel(/lies below grade/)).toBeChecked();
  await dialog.getByLabel(/lies below grade/).uncheck();
  await dialog.getByLabel('Name').fill('Walk-out');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(panel).toContainText('Whether Walk-out lies below grade is not said.');
  await page.getByLabel('Level', { exact: true }).selectOption({ label: 'Change this level …' });
  await expect(dialog).toContainText('Nobody has said yet whether this level is one.');
  // The dialog puts the cursor into its first field once it has opened: typed before that, words would land there.
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await dialog.getByLabel('Floor above grade').fill('nonsense');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Floor above grade');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await saved(page);
});
