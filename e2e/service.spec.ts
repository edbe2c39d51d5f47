import { clickPlan, expect, goTo, menu, newHouse, openDemo, pick, saved, tape, test } from './harness';

test('the service carries the load, one more charger is asked for, and a main too small is a violation', async ({
  owner: page,
}) => {
  await openDemo(page, 'Panel');
  await goTo(page, 'Service');
  const load = page.locator('.huge');
  const before = Number.parseInt((await load.textContent())!);
  await expect(page.getByText('The main of 200 A carries it.')).toBeVisible();
  await page.getByRole('button', { name: 'EV charger, 48 A' }).click();
  await expect(page.getByText('Asked, not drawn: EV charger, 48 A.')).toBeVisible();
  expect(Number.parseInt((await load.textContent())!)).toBeGreaterThan(before + 15);
  await page.getByRole('button', { name: 'EV charger, 48 A' }).click();
  await pick(page, 'Main breaker', '100 A main');
  await expect(page.getByText('More than the main of 100 A.')).toBeVisible();
  await pick(page, 'Main breaker', '60 A main');
  await expect(
    page.getByRole('main').getByText('the service of a one-family dwelling has 100 A at least'),
  ).toBeVisible();
  await pick(page, 'Main breaker', '100 A main');
  await saved(page);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByRole('button', { name: /has a main of 100 A; the calculated load is/ })).toBeVisible();
  await page.getByRole('button', { name: 'Existing dwelling' }).click();
  await expect(page.getByRole('heading', { name: /220\.83\(A\)/ })).toBeVisible();

  // The panel stays: its methods are shown by themselves, and a measured peak is typed where power comes in.
  await page.getByRole('button', { name: 'Existing dwelling' }).click();
  const drawing = page.getByRole('group', { name: 'One-line diagram' });
  await drawing
    .getByRole('button', { name: /^panel: / })
    .first()
    .click();
  await page.getByLabel('it was there before and stays').check();
  await expect(page.getByText('by 220.83, for what stands')).toBeVisible();
  const reckoned = Number.parseInt((await load.textContent())!);
  await drawing
    .getByRole('button', { name: /^utility: / })
    .first()
    .click();
  await page.getByLabel('Measured peak').fill('5');
  await page.getByLabel('Measured peak').press('Enter');
  // Nothing in this house was there before, so what is new counts whole and 220.83 still gives less.
  await expect(page.getByRole('heading', { name: /220\.87: by the measured peak/ })).toBeVisible();
  await expect(page.getByText('5 A × 240 V × 125 %')).toBeVisible();
  await page.getByLabel('Available fault current').fill('22000');
  await page.getByLabel('Available fault current').press('Enter');
  await drawing
    .getByRole('button', { name: /^panel: / })
    .first()
    .click();
  await page.getByLabel('It can interrupt').fill('10000');
  await page.getByLabel('It can interrupt').press('Enter');
  await page.getByRole('tab', { name: /Open items/ }).click();
  const interrupts = page.getByRole('button', { name: /is rated to interrupt 10,000 A; 22,000 A are available/ });
  await expect(interrupts).toBeVisible();
  await page.getByLabel('series rated with what is ahead of it').check();
  await expect(interrupts).toHaveCount(0);
  expect(Number.parseInt((await load.textContent())!)).toBe(reckoned);
});

test('a second panel is fed by one press, its feeder changed, a generator kept apart, and the one-line shows it all', async ({
  owner: page,
}) => {
  await menu(page, 'Open a sample house', 'Ranch with garage');
  await goTo(page, 'House');
  await pick(page, 'Kind of feature', 'panel');
  await clickPlan(page, 500, 60);
  await page.getByRole('button', { name: 'Select' }).click();
  await goTo(page, 'Service');
  const drawing = page.getByRole('group', { name: 'One-line diagram' });
  const power = page.locator('.power');
  await power.getByRole('button', { name: 'Panel 2', exact: true }).click();
  await power.getByRole('button', { name: 'Feed it from the service panel' }).click();
  const feeder = drawing.getByRole('button', { name: /^feeder: 60 A, 2 poles/ });
  await feeder.focus();
  await page.keyboard.press('Enter');
  await pick(page, 'Conductors', 'No. 10');
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page.getByRole('button', { name: /A: a breaker of 60 A does not guard it/ }).click();
  await page.getByRole('button', { name: /^Use No\. \d aluminum/ }).click();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await expect(page.getByRole('button', { name: /does not guard it/ })).toHaveCount(0);

  await menu(page, 'Add', 'a generator');
  await pick(page, 'Kept apart from the utility by', 'nothing');
  await expect(page.getByRole('button', { name: /Nothing keeps Generator apart from the utility/ })).toBeVisible();
  await pick(page, 'Kept apart from the utility by', 'an interlock and a breaker');
  await expect(page.getByRole('button', { name: /Nothing keeps Generator apart/ })).toHaveCount(0);
  await expect(drawing.getByRole('button', { name: /^generator: Generator, 5\.0 kW/ })).toBeVisible();

  await menu(page, 'Add', 'a building');
  await page.getByLabel('Its name').fill('Barn');
  await page.keyboard.press('Tab');
  await pick(page, 'Disconnect', 'it has one');
  await saved(page);
  await page.reload();
  await expect(drawing.getByRole('button', { name: /^feeder: / })).toBeVisible();
  await expect(power.getByRole('button', { name: 'Barn' })).toBeVisible();
});

test('a small house on a cord of 30 A: the usual day trips it, and a day that it carries is proposed', async ({
  owner: page,
}) => {
  await menu(page, 'Open a sample house', 'Small house on a trailer');
  await goTo(page, 'Circuits');
  await page.getByRole('button', { name: /^Connect \d+ appliance/ }).click();
  await goTo(page, 'Boxes');
  await menu(page, 'Lay out boxes', 'The whole house');
  await page.getByRole('region', { name: 'Proposed boxes' }).getByRole('button', { name: 'Accept all' }).click();
  await goTo(page, 'Circuits');
  await page.getByRole('button', { name: 'Plan the circuits' }).click();
  await page.getByRole('region', { name: 'Proposed circuits' }).getByRole('button', { name: 'Accept' }).click();
  await goTo(page, 'Load profile');
  await expect(page.getByRole('heading', { name: /^The cord, 30 A trips at 6:/ })).toBeVisible();
  await page.getByRole('button', { name: 'Fit the day to it' }).click();
  await expect(page.getByRole('article', { name: 'The fitted day' })).toContainText('not together with Hair dryer');
  await expect(page.getByRole('heading', { name: /^The cord, 30 A trips/ })).toHaveCount(0);
  await page.getByLabel('Keep this day as').fill('Winter on the cord');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Winter on the cord (played)' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the usual day' }).click();
  await expect(page.getByRole('heading', { name: /^The cord, 30 A trips/ })).toBeVisible();
  // It is kept with the house, and played again after a reload.
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: /^The cord, 30 A trips/ })).toBeVisible();
  await menu(page, 'Winter on the cord', 'Play it');
  await expect(page.getByRole('article', { name: 'The fitted day' })).toContainText('not together with Hair dryer');
  await expect(page.getByRole('heading', { name: /^The cord, 30 A trips/ })).toHaveCount(0);
});

test('a room says what heat it wants, and heaters are put in under its window, with their loads, and undone as one', async ({
  owner: page,
}) => {
  await newHouse(page, 'Cabin');
  const tape = page.getByLabel('Tape line');
  for (const line of ['bedroom 12 x 10', 'window 48x36 sill 36 centered on north']) {
    await tape.fill(line);
    await page.keyboard.press('Enter');
  }
  await clickPlan(page, 72, 60);
  await page.getByRole('button', { name: 'Electric heat' }).click();
  await expect(page.getByText(/1,\d{3} to 1,\d{3} W/)).toBeVisible();
  await page.getByRole('button', { name: 'Put them in' }).click();
  await expect(page.getByText('It has baseboard heaters.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Put them in' })).toBeVisible();
});

test('two places for the panel are compared, each with a plan of its own, and one is taken', async ({
  owner: page,
}) => {
  await openDemo(page, 'House');
  await tape(page, "panel in garage south 3'");
  await goTo(page, 'Panel');
  await page.getByRole('button', { name: 'Compare the places' }).click();
  const table = page.getByRole('table').filter({ hasText: 'cable, ft' });
  await expect(table).toBeVisible({ timeout: 60_000 });
  await expect(table.getByText('not known yet')).toHaveCount(2);
  await table
    .getByRole('button', { name: /^Hang it in/ })
    .last()
    .click();
  await expect(table).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Compare the places' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Compare the places' })).toBeVisible();
});
