import { card, expect, goTo, menu, onScreen, openDemo, pick, test } from './harness';

test('a card shows its sum, sizes and protection, and a weak conductor is mended', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await card(page, /Kiln/).click();
  const panel = page.getByLabel('What is selected, and why');
  await expect(panel).toContainText('36 A × 1.25 = 45 A');
  await expect(panel).toContainText('counted as 45 A');
  await expect(panel).toContainText('No. 8 copper NM-B may have a 40 A breaker at most; this one has 50 A.');
  await page.getByRole('button', { name: 'Use No. 6 copper' }).click();
  await expect(panel).not.toContainText('may have a 40 A breaker at most');
  await expect(page.getByRole('combobox', { name: 'Conductor' })).toHaveValue('NM-B copper No. 6');
});

test('boxes are dragged to a card, and a GFCI receptacle takes over from the breaker', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  const living = page.locator('[data-circuit="q17"]');
  await living.scrollIntoViewIfNeeded();
  await expect(living).toContainText('8 outlets');
  const box = page
    .locator('g.box[data-hit="box"]')
    .filter({ has: page.locator('[aria-label^="LA-"]') })
    .first();
  const from = (await box.boundingBox())!;
  const to = (await living.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + 60, to.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(living).toContainText('9 outlets');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(living).toContainText('8 outlets');

  await card(page, /Garage receptacles/).click();
  await expect(page.getByRole('combobox', { name: 'Kind of breaker' })).toHaveValue('follows the outlets: GFCI');
  await pick(page, 'GFCI from', 1);
  await expect(page.getByRole('combobox', { name: 'Kind of breaker' })).toHaveValue('follows the outlets: plain');
});

test('a load is connected, and a bad one refused by name', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  const at = await onScreen(page, 0, 0);
  expect(at.x).toBeGreaterThan(0);
  await page.getByLabel('Which breaker is this on?').fill('G-1');
  await page.getByLabel('Which breaker is this on?').press('Enter');
  await page.getByRole('button', { name: 'Connect …' }).click();
  const dialog = page.getByRole('dialog');
  await pick(page, 'Kind', 'Treadmill');
  await expect(dialog).toContainText('15.0 A');
  await dialog.getByLabel('Volt-amperes').fill('0');
  await dialog.getByRole('button', { name: 'Connect it' }).click();
  await expect(page.getByRole('alert')).toContainText('must be greater than zero');
  await dialog.getByLabel('Volt-amperes').fill('2100');
  await dialog.getByRole('button', { name: 'Connect it' }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByRole('button', { name: /Treadmill draws 17\.5 A/ })).toBeVisible();
});

test('which breaker is this on? and moving breakers in the panel', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await page.getByLabel('Which breaker is this on?').fill('washer');
  await expect(page.getByText('Main panel 14: Laundry')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('What is selected, and why')).toContainText('Clothes washer');
  await goTo(page, 'Panel');
  await menu(page, 'Space of Laundry', '40');
  await expect(page.getByRole('button', { name: 'Space of Laundry' })).toHaveText('40');
  await menu(page, 'Space of Laundry', '16');
  await expect(page.getByRole('button', { name: 'Space of Laundry' })).toHaveText('16');
  await expect(page.getByRole('button', { name: 'Space of Foyer, hall and upper hall' })).toHaveText('40');
  // An old panel is full: two circuits on one tandem breaker, which its label has to allow.
  await menu(page, 'Space of Laundry', '40 on a tandem with Foyer, hall and upper hall');
  await expect(page.getByRole('button', { name: 'Space of Laundry' })).toHaveText('40B');
  await expect(page.getByRole('button', { name: 'Space of Foyer, hall and upper hall' })).toHaveText('40A');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Space of Laundry' })).toHaveText('16');

  // What is written in the door of an old panel is typed as it stands there, and what cannot be is told line by line.
  await page.getByRole('button', { name: 'Type the directory' }).click();
  const lines = page.getByLabel('Breakers');
  await lines.fill('39a 15 Old porch\n39b 17 Attic\n41 spare');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toHaveText(/^Line 2: there is no breaker of 17 A/);
  await lines.fill('39a 15 Old porch\n39b 15 Attic\n41 spare');
  await page.getByRole('button', { name: 'Add 2 circuits' }).click();
  await expect(page.getByRole('button', { name: 'Space of Old porch' })).toHaveText('39A');
  await expect(page.getByRole('button', { name: 'Space of Attic' })).toHaveText('39B');
});

test('one circuit is shown alone, on the level where it is', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  const marks = page.locator('svg.sheet text.mark');
  const card = page.locator('[data-circuit]', { hasText: 'Garage receptacles' });
  await card.getByRole('button').first().click();
  const all = await marks.filter({ hasText: /\S/ }).count();
  await page.getByRole('button', { name: 'This circuit alone' }).click();
  await expect(marks.filter({ hasText: /\S/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'This circuit alone' }).click();
  await expect(marks.filter({ hasText: /\S/ })).toHaveCount(all);
  expect(all).toBeGreaterThan(50);
});

test('the counter is divided by turns with one press, and the peak falls', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await page.getByRole('tab', { name: 'Counter' }).click();
  const today = page.locator('article', { hasText: 'As it is' }).locator('.peak');
  const before = Number.parseFloat(await today.innerText());
  const byTurns = page.locator('article', { hasText: 'By turns along the counter' });
  const promised = await byTurns.locator('.peak').innerText();
  await byTurns.getByRole('button', { name: 'Divide it so' }).click();
  await expect(today).toHaveText(promised);
  expect(Number.parseFloat(promised)).toBeLessThan(before);
});

test('a circuit in the ground says how deep, and the cover that its protection allows is checked', async ({
  owner: page,
}) => {
  await openDemo(page, 'Circuits');
  await card(page, /Garage receptacles/).click();
  const panel = page.getByLabel('What is selected, and why');
  await page.getByRole('button', { name: 'How its cable lies' }).click();
  await pick(page, 'In the ground', 'nonmetallic cable');
  await expect(panel).toContainText('lies in the ground as nonmetallic cable, which is not made for it.');
  await panel.getByRole('button', { name: 'Underground cable (UF)' }).click();
  await expect(panel).toContainText('How deep does Garage receptacles lie?');
  await page.getByRole('textbox', { name: 'Cover over it' }).fill("0'-11");
  await page.getByRole('textbox', { name: 'Cover over it' }).press('Enter');
  await expect(panel).toContainText(/Garage receptacles lies 11" deep; \d'-0" of cover is the least/);
});
