import { clickPlan, dragPlan, expect, goTo, menu, newHouse, pick, saved, tape, test } from './harness';

test('an electrician draws three rooms, fills them, puts them on circuits, checks and prints, from an empty page', async ({
  owner: page,
}) => {
  await newHouse(page, 'Three rooms by hand');
  await expect(page.getByText('Nothing on this level yet.')).toBeVisible();

  // House: one room typed, one typed against it, one drawn by hand.
  await tape(page, "living 18' x 14'");
  await tape(page, "kitchen 12' x 14' east of Living");
  await pick(page, 'Kind of room', 'bedroom');
  await page.getByRole('button', { name: 'Draw room' }).click();
  await dragPlan(page, [1, 171], [144, 300]);
  await page.getByRole('button', { name: 'Select' }).click();
  await clickPlan(page, 70, 220);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Bedroom 1');
  await page.getByLabel('Depth').fill("11'-6");
  await page.getByLabel('Depth').press('Enter');
  await expect(page.getByLabel('Depth')).toHaveValue(`11'-6"`);

  // Doors and a window, then a counter with a sink and a range.
  await pick(page, 'Kind of opening', 'Door');
  await clickPlan(page, 60, 170);
  await clickPlan(page, 216, 110);
  await pick(page, 'Kind of opening', 'Window');
  await clickPlan(page, 2, 80);
  await pick(page, 'Kind of feature', 'counter');
  await clickPlan(page, 260, 3);
  await clickPlan(page, 330, 3);
  await page.getByRole('button', { name: 'Select' }).click();
  await clickPlan(page, 260, 16);
  await expect(page.getByRole('heading', { name: 'counter' })).toBeVisible();
  await pick(page, 'Kind of feature', 'panel');
  await clickPlan(page, 140, 240);
  await page.getByRole('button', { name: 'Select' }).click();
  await clickPlan(page, 143, 240);
  await expect(page.getByText('Main panel: 40 spaces, 200 A main.')).toBeVisible();
  await saved(page);

  // Boxes: the fewest that reach everything, as one proposal.
  await goTo(page, 'Boxes');
  await menu(page, 'Space receptacles', 'The whole house');
  await expect(page.getByText('the fewest on studs')).toBeVisible();
  await page.getByRole('button', { name: 'Accept all' }).click();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByText(/out of reach/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /210\.52\(A\)\(1\)/ })).toHaveCount(0);

  // Circuits: everything of the bedroom by lasso on a new circuit, the rest by an open item's remedy.
  await goTo(page, 'Circuits');
  await page.getByRole('button', { name: 'Lasso' }).click();
  await dragPlan(page, [-12, 175], [160, 330]);
  await page.getByRole('button', { name: 'New circuit for these' }).click();
  await expect(page.getByLabel('Name of the circuit')).toHaveValue('Bedroom 1');
  await expect(page.locator('.percent')).toHaveText(/\d+ %/);
  await expect(page.getByRole('combobox', { name: 'Kind of breaker' })).toHaveValue('follows the outlets: AFCI');
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page.getByRole('button', { name: /of Living are on no circuit/ }).click();
  await page.getByRole('button', { name: 'Give them a circuit of their own' }).click();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page
    .getByRole('button', { name: /of Kitchen are on no circuit/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Give them a circuit of their own' }).click();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByRole('button', { name: /counter of Kitchen is fed by 1 circuit/ })).toBeVisible();

  // Panel: place, read, print on both papers, and as CSV.
  await goTo(page, 'Panel');
  await page.getByRole('button', { name: /Place 3 waiting/ }).click();
  await expect(page.getByRole('region', { name: 'Panel schedule' })).toContainText('Bedroom 1 receptacles');
  const letter = await page.pdf({ preferCSSPageSize: true });
  expect(letter.toString('latin1')).toContain('/MediaBox [0 0 612 792]');
  await pick(page, 'Paper', '11 x 17');
  const tabloid = await page.pdf({ preferCSSPageSize: true });
  expect(tabloid.toString('latin1')).toContain('/MediaBox [0 0 792 1224]');
  const [csv] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'CSV' }).click()]);
  expect(csv.suggestedFilename()).toBe('main-panel.csv');
  await saved(page);

  // Nothing is lost on reload.
  await page.reload();
  await expect(page.getByRole('region', { name: 'Panel schedule' })).toContainText('Bedroom 1 receptacles');
});
