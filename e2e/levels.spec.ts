import { expect, goTo, menu, newHouse, pick, saved, tape, test } from './harness';

test('a basement is added in one action; its receptacles need GFCI, and whether a level is one is asked', async ({
  owner: page,
}) => {
  await newHouse(page, 'With a basement');
  await menu(page, /^Level:/, 'Add a basement');
  await expect(page.getByRole('button', { name: 'Level: Basement' })).toBeVisible();
  await tape(page, "recreation 20' x 15'");
  await goTo(page, 'Boxes');
  await tape(page, "R 5'");
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('GFCI required');
  await expect(panel).toContainText('A receptacle in a basement.');
  await menu(page, /^Level:/, 'Change this level …');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('combobox', { name: 'Grade' })).toHaveValue('Below grade: a basement');
  await pick(page, 'Grade', 'Not said yet');
  await dialog.getByLabel('Name').fill('Walk-out');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(panel).toContainText('Whether Walk-out lies below grade is not said.');
  await menu(page, /^Level:/, 'Change this level …');
  await expect(dialog).toContainText('Whether this level is one has not been said yet.');
  await dialog.getByLabel('Floor above grade').fill('nonsense');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Floor above grade');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await saved(page);
});
