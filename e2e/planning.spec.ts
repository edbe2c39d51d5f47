import { card, expect, goTo, menu, openDemo, pick, test } from './harness';

test('can I tap this circuit? the lights under the cabinet, from the counter circuit and from the lights', async ({
  owner: page,
}) => {
  await openDemo(page, 'Circuits');
  await page.getByLabel('Which breaker is this on?').fill('K-5');
  await page.getByLabel('Which breaker is this on?').press('Enter');
  await page.getByRole('tab', { name: 'Ask' }).click();
  const ask = page.getByRole('region', { name: 'Can I tap this circuit?' });
  await pick(page, 'What', 'new, beside it: under-cabinet lights');
  await expect(ask.getByRole('status')).toContainText('circuits may feed it');
  const counter = ask.locator('li.no', { hasText: 'Counter left and dining' });
  await expect(counter).toContainText('210.52(B)(2)');
  const lights = ask.locator('li.yes', { hasText: 'Main level lights' });
  await expect(lights).toContainText('AFCI');
  await ask.getByLabel('Power').fill('nonsense');
  await expect(ask).toContainText('type the number off the plate');
  await ask.getByLabel('Power').fill('36 W');
  await lights.getByRole('button', { name: 'Take it from here' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.getByRole('tab', { name: 'Cards' }).click();
  await expect(card(page, /Main level lights/)).toContainText('35 outlets');
});

test('the circuits are planned: compared, refused, accepted, and a locked one is left alone', async ({
  owner: page,
}) => {
  await openDemo(page, 'Circuits');
  // Of two locks only one stands in the way, and it alone is named.
  for (const name of [/Dryer/, /Kiln/]) {
    await card(page, name).click();
    await page.getByLabel('locked: the planner leaves it as it is').check();
  }
  await page.getByRole('button', { name: 'Plan the circuits' }).click();
  const plan = page.getByRole('region', { name: 'Proposed circuits' });
  await expect(plan.getByRole('status')).toContainText('Kiln is locked and cannot stay as it is');
  await expect(plan.getByRole('status')).not.toContainText('Dryer');
  await expect(plan).toContainText('Kiln: No. 8 copper NM-B');
  await plan.getByRole('button', { name: 'Discard' }).click();
  await page.getByLabel('locked: the planner leaves it as it is').uncheck();
  await page.getByRole('button', { name: 'Plan the circuits' }).click();
  await expect(plan.getByRole('row', { name: /violations/ })).toContainText('30');
  await plan.getByRole('button', { name: 'Accept' }).click();
  await expect(plan).toHaveCount(0);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByText(/Kiln: No\. 8/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/Kiln: No\. 8/).first()).toBeVisible();
});

test('a day in the house: two hair dryers trip the bathroom breaker, one does not', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await goTo(page, 'Load profile');
  const result = page.locator('.result');
  await expect(result.locator('.trip')).toContainText('Bathrooms trips at 6:50');
  await page.getByRole('checkbox', { name: /Hair dryer, Bath 1/ }).uncheck();
  await expect(result.locator('.trip')).toHaveCount(0);
  await page.getByRole('button', { name: 'What runs now' }).click();
  await expect(result).toContainText('Tick what runs now');
  await pick(page, 'What else', 'Portable heater');
  await page.getByLabel('Plugged in at').fill('nowhere');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('no receptacle with the tag');
  await page.getByLabel('Plugged in at').fill('b1-1');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('toolbar', { name: 'Load profile tools' })).toContainText('6 A');
});

test('what goes dead on a trip, and the same house under two editions', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await page.getByRole('tab', { name: 'Trips' }).click();
  const trips = page.getByRole('region', { name: 'What goes dead on each trip' });
  await trips.getByLabel(/only those that darken/).check();
  await expect(trips.locator('li', { hasText: 'Furnace' })).toContainText('stops: Furnace');
  await trips.locator('li', { hasText: 'Main level lights' }).getByRole('button').click();
  await expect(page.getByText(/picked/)).toBeVisible();
  await page.getByRole('tab', { name: 'Editions' }).click();
  const lens = page.getByRole('region', { name: 'Two editions side by side' });
  await pick(page, 'One edition', 'NEC 2017');
  await expect(lens).toContainText('Every receptacle in a kitchen.');
  await pick(page, 'One edition', 'NEC 2023');
  await expect(lens).toContainText('0 protections change');
});

test('a circuit shares its neutral: refused on one leg, and told what it brings', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await card(page, /Living room/).click();
  await pick(page, 'Shares its neutral with', 1);
  const panel = page.getByLabel('What is selected, and why');
  await expect(panel).toContainText('A multiwire circuit (210.4)');
  await expect(panel).toContainText(/share a neutral and/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(panel).not.toContainText('A multiwire circuit');
});

test('a box is dragged from card to card, and a circuit is split and merged', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  const bath = page.locator('[data-circuit]', { hasText: 'Bathrooms' });
  const outside = page.locator('[data-circuit]', { hasText: 'Outdoor receptacles' });
  await bath.getByRole('button', { name: /Bathrooms/ }).click();
  const chip = bath.locator('.chip').first();
  await chip.scrollIntoViewIfNeeded();
  const [from, to] = [(await chip.boundingBox())!, (await outside.boundingBox())!];
  await page.mouse.move(from.x + 10, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y + 30);
  await page.mouse.move(to.x + 60, to.y + 20);
  await page.mouse.up();
  await expect(outside).toContainText('3 outlets');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(outside).toContainText('2 outlets');
  await bath.getByRole('button', { name: /Bathrooms/ }).click();
  await page.getByRole('button', { name: 'Split in two' }).click();
  await expect(page.locator('[data-circuit]', { hasText: 'Bathrooms 2' })).toHaveCount(1);
  await menu(page, /^Merge into/, '– Bathrooms 2');
  await expect(page.locator('[data-circuit]', { hasText: 'Bathrooms' })).toHaveCount(1);
});
