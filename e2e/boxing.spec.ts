import { clickPlan, expect, goTo, menu, newHouse, openDemo, pick, tape, test } from './harness';

test('a room is boxed by the tool: some of it refused, the rest placed, with reasons', async ({ owner: page }) => {
  await newHouse(page, 'Boxed');
  await tape(page, "den 14' x 12'");
  await pick(page, 'Kind of opening', 'Door');
  await clickPlan(page, 60, 144);
  await goTo(page, 'Boxes');
  await menu(page, 'Lay out boxes', 'This room');
  const panel = page.getByRole('region', { name: 'Proposed boxes' });
  await expect(panel).toContainText('no point of the wall over 6 ft away');
  await expect(panel).toContainText('at the latch side of the way in');
  await expect(panel).toContainText('210.70(A)');
  const all = Number(await panel.locator('.count').textContent());
  expect(all).toBeGreaterThan(4);
  await panel.getByRole('checkbox', { name: /luminaire/ }).uncheck();
  await panel.getByRole('button', { name: `Accept ${all - 1}` }).click();
  await expect(page.locator('g.box[data-hit]')).toHaveCount(all - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('g.box[data-hit]')).toHaveCount(0);
});

test('a ceiling is laid out by the rule of thumb, read off in feet and inches, and placed', async ({ owner: page }) => {
  await newHouse(page, 'Ceiling');
  await tape(page, "office 16' x 12'");
  await goTo(page, 'Boxes');
  await menu(page, 'Lay out boxes', 'Lights in rows on the ceiling');
  const panel = page.getByRole('region', { name: 'Ceiling grid' });
  await panel.getByLabel('Across').fill('4');
  await panel.getByLabel('Rows').fill('3');
  await expect(panel).toContainText('2\'-0", 6\'-0", 10\'-0", 14\'-0"');
  // 12 × 800 × 0.6 × 0.8 ÷ 192 = 24 fc, worked by hand.
  await expect(panel.locator('.big')).toContainText('24 fc too few');
  await expect(panel).toContainText('Direct light alone');
  await panel.getByLabel('First row').fill("9'");
  await expect(panel).toContainText('farther than the middle of the room');
  await panel.getByLabel('First row').fill('');
  await panel.getByRole('button', { name: 'Place 12' }).click();
  await expect(page.locator('g.box[data-hit]')).toHaveCount(12);
});

test('boxes are nudged by inch and by stud, and set down in groups', async ({ owner: page }) => {
  await openDemo(page);
  await page
    .getByRole('region', { name: 'Wall strip' })
    .getByRole('button', { name: /^ST-1,/ })
    .click();
  const along = page.getByLabel("from the wall's start");
  const before = await along.inputValue();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('.');
  await expect(along).not.toHaveValue(before);
  await page.keyboard.press(',');
  await expect(along).toHaveValue(before);
  await pick(page, 'State', 'held until tile');
  await page.getByLabel('Note', { exact: true }).fill('after the bench');
  await page.keyboard.press('Tab');
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByText('ST-1 is held until tile: after the bench.')).toBeVisible();
});

test('lights on the walls by a button, what a device is, switches that see all', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  await pick(page, 'Rating of the receptacle', '20 A');
  await page.getByLabel('weather-resistant').check();
  await expect(page.getByText('duplex receptacle, 120 V 20 A')).toBeVisible();
  await menu(page, 'Lay out boxes', 'Lights in rows on the ceiling');
  await page.getByRole('button', { name: 'Two sconces at the door to Back hall' }).click();
  await expect(page.getByRole('button', { name: /^ST-10,.*5'-6" high/ })).toBeVisible();
  await menu(page, 'Lay out boxes', 'Lights in rows on the ceiling');
  await pick(page, 'Cove along', 0);
  await page.getByRole('button', { name: 'Place the cove' }).click();
  await page.getByRole('button', { name: /^ST-11,/ }).click();
  await expect(page.getByRole('combobox', { name: 'Where its driver lives' })).toHaveValue('not said');

  await page.getByRole('link', { name: 'Switching' }).first().click();
  await page.getByRole('button', { name: /Back hall light/ }).click();
  const sees = page.getByLabel(/each switch sees the whole of the lit area/);
  await sees.check();
  await expect(sees).toBeChecked();
  await page.reload();
  await page.getByRole('button', { name: /Back hall light/ }).click();
  await expect(page.getByLabel(/each switch sees the whole of the lit area/)).toBeChecked();
});

test('a box whose typed distance puts it in a doorway is told so, and moved to a stud by the cure', async ({
  owner: page,
}) => {
  await openDemo(page);
  const strip = page.getByRole('region', { name: 'Wall strip' });
  await strip.getByRole('button', { name: /^ST-1,/ }).click();
  const along = page.getByLabel("from the wall's start");
  await along.fill("4'2");
  await along.press('Enter');
  await page.getByRole('tab', { name: /Open items/ }).click();
  const finding = page.getByText('ST-1 stands in the doorway: there is no wall to set it in.');
  await finding.click();
  await page.getByRole('button', { name: 'Move it to the nearest stud' }).click();
  await expect(along).toHaveValue(`5'-9 1/8"`);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(finding).toHaveCount(0);
});

test('three boxes at once: one height, a state, weather-resistant, and undone', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  for (const tag of ['ST-3', 'ST-4'])
    await page.getByRole('button', { name: new RegExp(`^${tag},`) }).click({ modifiers: ['Shift'] });
  const all = page.getByRole('region', { name: 'All of them' });
  await all.getByLabel('Height to the center').fill('20');
  await all.getByLabel('Height to the center').press('Enter');
  for (const tag of ['ST-2', 'ST-3', 'ST-4'])
    await expect(page.getByRole('button', { name: new RegExp(`^${tag},.*1'-8" high`) })).toBeVisible();
  await pick(page, 'Weather-resistant', 'yes');
  await pick(page, 'State', 'held');
  await page.getByRole('button', { name: /^ST-3,/ }).click();
  await expect(page.getByLabel('weather-resistant')).toBeChecked();
  await expect(page.getByRole('combobox', { name: 'State' })).toHaveValue(/held/);
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^ST-3,.*1'-4" high/ })).toBeVisible();
});

test('a GFCI receptacle feeds through, and what stands behind it says so', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  await page.getByLabel('GFCI receptacle', { exact: true }).check();
  await page.getByLabel(/feeds through/).check();
  await goTo(page, 'Circuits');
  await page.getByRole('tab', { name: 'Trips' }).click();
  await expect(page.getByText(/GFCI ST-2,/)).toBeVisible();
});
