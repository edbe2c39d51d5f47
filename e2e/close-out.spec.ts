import { expect, goTo, openDemo, pick, saved, test } from './harness';

test('the packet says first whether the house is ready, and prints room by room what was measured', async ({
  owner: page,
}) => {
  await openDemo(page, 'Boxes');
  await goTo(page, 'Inspection');
  await expect(page.getByRole('status').filter({ hasText: 'Not ready' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Receptacles along the walls' })).toContainText(
    '1 violation',
  );
  await page.getByRole('button', { name: 'By room' }).click();
  await page.getByRole('button', { name: 'Only what is open' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'cannot be reached by a six-foot cord' })).toBeVisible();
  await page.getByRole('button', { name: 'Box fill' }).click();
  await expect(page.getByRole('row', { name: /^ST-2 Ceramics studio/ })).toBeVisible();
  await page.getByRole('button', { name: 'Protection' }).click();
  await expect(page.getByRole('row', { name: /Kiln/ })).toContainText('50 A');
  const paper = await page.pdf({ preferCSSPageSize: true });
  expect(paper.toString('latin1')).toContain('/MediaBox [0 0 612 792]');
});

test('a final inspection is entered line by line: what is to be corrected, and what nobody saw', async ({
  owner: page,
}) => {
  await openDemo(page, 'Boxes');
  await goTo(page, 'Inspection');
  await page.getByRole('button', { name: 'Final' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Devices and plates' })).toContainText('trimmed');
  await page.getByRole('button', { name: 'Visits' }).click();
  await page.getByLabel('Inspector').fill('Ivo');
  await page.getByRole('button', { name: 'Not seen: Polarity and ground at every receptacle' }).click();
  await page.getByRole('button', { name: 'Passed' }).click();
  await expect(page.getByRole('alert')).toContainText('Lines that were not seen have not passed');
  await page.getByRole('button', { name: /^Correct: Devices and plates/ }).click();
  await expect(page.getByRole('textbox', { name: 'Correction 1' })).toHaveValue(/^Devices and plates/);
  await page.getByRole('textbox', { name: 'Correction 1' }).fill('Plate at the stair');
  await page.getByRole('button', { name: 'Corrections are required' }).click();
  const visit = page.getByRole('region', { name: /^Visit of/ });
  await expect(visit).toContainText('Not seen, for the next visit: Polarity and ground at every receptacle');
  await expect(visit).toContainText('Plate at the stair');
});

test('steps of the test script are marked right and wrong; a wrong one leads to the fault finder, a changed one is to be done again', async ({
  owner: page,
}) => {
  await openDemo(page, 'Boxes');
  await goTo(page, 'Trim & test');
  await pick(page, 'Where', 'Ceramics studio');
  const step = page.getByRole('article', { name: /^ST-2, Ceramics studio/ });
  await step.getByRole('button', { name: /^Wrong:/ }).click();
  await page.getByRole('menuitem', { name: 'open ground' }).click();
  await expect(step).toContainText('open ground, Demo owner');
  await step.getByRole('button', { name: /^Find the mistake/ }).click();
  await expect(step.getByRole('list', { name: 'Suspects' })).toContainText('the ground of the device is loose');
  await expect(page.getByRole('status').filter({ hasText: '1 wrong' })).toBeVisible();
  await step.getByRole('button', { name: /^Right:/ }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 of' })).toBeVisible();
  await saved(page);
  await page.reload();
  await pick(page, 'Where', 'Ceramics studio');
  await expect(step).toContainText('right, Demo owner');

  // A switch with the wrong lights leads to the fault finder, with its group before one.
  await pick(page, 'Where', 'Back hall');
  const light = page.getByRole('article', { name: /Back hall light/ });
  await light.getByRole('button', { name: /^Wrong:/ }).click();
  await page.getByRole('menuitem', { name: 'the wrong lights, or not every flip' }).click();
  await light.getByRole('link', { name: 'Look at the lamps under Make-up' }).click();
  await expect(page.getByRole('combobox', { name: 'Group that misbehaves' })).toHaveValue(/Back hall light/);

  // A receptacle that becomes another kind is tried again.
  await goTo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  await pick(page, 'Volts', '240 V');
  await goTo(page, 'Trim & test');
  await pick(page, 'Where', 'Ceramics studio');
  await expect(step).toContainText('before this changed: do it again');
});

test('the brief says which code holds and what another edition would change; the directory says what was tried', async ({
  owner: page,
}) => {
  await openDemo(page, 'Brief');
  await page.getByRole('button', { name: 'Code', exact: true }).click();
  const editions = page.getByRole('table', { name: 'Other editions' });
  await expect(editions.getByRole('row', { name: /NEC 2014/ })).toContainText('−$');
  await page.getByRole('button', { name: 'Authority and permit' }).click();
  await page.getByLabel('Permit date').fill('2026-10-01');
  await page.getByLabel('Permit date').press('Tab');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Fixed by the permit of 2026-10-01.')).toBeVisible();

  await goTo(page, 'Trim & test');
  await page
    .getByRole('button', { name: /^Right: Breaker 1-3: Kiln/ })
    .last()
    .click();
  await goTo(page, 'Documents');
  const directory = page.getByRole('region', { name: /panel/i }).first();
  await expect(directory.getByText(/tried on .*: this and nothing else goes dead/)).toHaveCount(1);
  await expect(directory.getByText('not tried yet').first()).toBeVisible();
});
