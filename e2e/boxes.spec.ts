import { clickPlan, expect, goTo, menu, newHouse, openDemo, pick, tape, test } from './harness';

test('an open item flies to the gap, says why, and mends it; undo brings it back', async ({ owner: page }) => {
  await openDemo(page);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page.getByRole('button', { name: /Bedroom 2 cannot be reached/ }).click();
  await expect(page.getByRole('button', { name: 'Level: Upper floor' })).toBeVisible();
  const why = page.getByLabel('What is selected, and why');
  await expect(why).toContainText('NEC 2023 210.52(A)(1)');
  await expect(why).toContainText('from memory, high');
  await expect(page.getByText(/9'-0" out of reach/)).toBeVisible();
  await page.getByRole('button', { name: 'Space receptacles in Bedroom 2' }).click();
  await expect(page.getByText(/out of reach/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/9'-0" out of reach/)).toBeVisible();
  await page.keyboard.press('Control+y');
  await expect(page.getByText(/out of reach/)).toHaveCount(0);
});

test('a whole room is boxed with the keyboard alone', async ({ owner: page }) => {
  await newHouse(page, 'By keyboard');
  await tape(page, "bedroom 12' x 10'");
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('region', { name: 'Wall strip' })).toContainText('Bedroom');
  // One typed on the tape line, one by letters at the cursor, one after walking from stud to stud.
  await tape(page, "R 6'");
  await tape(page, "R 11'");
  await page.getByLabel('Tape line').press('Escape');
  for (let n = 0; n < 18; n++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('r');
  await tape(page, "R 10'-6");
  await page.getByLabel('Tape line').press('Escape');
  await expect(page.getByText(/out of reach/)).toHaveCount(0);
  await expect(
    page.getByRole('region', { name: 'Wall strip' }).getByRole('button', { name: /from the start, 1'-4" high/ }),
  ).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/out of reach/)).toHaveCount(1);
});

test('a box is dragged along the strip to a stud, and up', async ({ owner: page }) => {
  await openDemo(page);
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page.getByRole('button', { name: /Bedroom 2 cannot be reached/ }).click();
  const box = page.getByRole('region', { name: 'Wall strip' }).getByRole('button', { name: /^B2-2/ });
  const before = await box.getAttribute('aria-label');
  const at = (await box.boundingBox())!;
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 60, y - 20, { steps: 6 });
  await page.mouse.up();
  await expect(box).not.toHaveAttribute('aria-label', before!);
  await expect(page.getByLabel('to center')).not.toHaveValue(`1'-4"`);
  await page.getByLabel('to center').fill('abc');
  await page.getByLabel('to center').press('Enter');
  await expect(page.getByRole('alert')).toContainText('"abc" is not a length');
});

test('the edition changes everything at once, and a local amendment is part of the house', async ({ owner: page }) => {
  await openDemo(page);
  await page.getByRole('tab', { name: /Open items/ }).click();
  const side = page.getByLabel('What is selected, and why');
  await expect(side).not.toContainText('island');
  await pick(page, 'Edition of the code', 'NEC 2020');
  await expect(side).toContainText('The island (13.3 ft²) has 0 receptacles; 2 required.');
  await page.getByRole('button', { name: 'Job' }).click();
  const job = page.getByRole('region', { name: 'Job and shop standards' });
  await job.getByRole('tab', { name: 'Decisions' }).click();
  await job.getByLabel('Rule').fill('island and peninsula');
  await page.getByRole('option', { name: /island and peninsula/ }).click();
  await job.getByLabel('Decided by').fill('Inspector of the demo county');
  await job.getByLabel('Date', { exact: true }).fill('2026-11-02');
  await job.getByRole('button', { name: 'Add the amendment' }).click();
  await expect(job).toContainText('switched off');
  // A limit is read and typed in the units of the trade.
  await job.getByLabel('Rule').fill('No point along a wall');
  await page.getByRole('option', { name: /No point along a wall space/ }).click();
  await pick(page, 'Change', `reach, now 6'-0"`);
  await job.getByLabel('New value').fill('seven');
  await job.getByRole('button', { name: 'Add the amendment' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'is not a length' })).toBeVisible();
  await job.getByLabel('New value').fill("7'");
  await job.getByRole('button', { name: 'Add the amendment' }).click();
  await expect(job).toContainText(`reach 7'-0"`);
  await job.getByRole('button', { name: 'Done' }).click();
  await expect(side).not.toContainText('The island');
  await expect(side).toContainText('Switched off: Receptacles for island and peninsula counters');
  await goTo(page, 'Panel');
  await expect(page.getByRole('region', { name: 'Panel schedule' })).toContainText(
    'Receptacles for island and peninsula counters: switched off (Inspector of the demo county, 2026-11-02)',
  );
});

test('a filled wall may be refused, and what is placed by hand stays', async ({ owner: page }) => {
  await newHouse(page, 'Refused');
  await tape(page, "den 14' x 12'");
  await goTo(page, 'Boxes');
  await page.getByRole('toolbar', { name: 'Box tools' }).getByRole('button', { name: 'R receptacle' }).click();
  await clickPlan(page, 80, 3);
  await page.getByRole('button', { name: 'Select' }).click();
  await menu(page, 'Space receptacles', 'This room');
  await expect(page.locator('.proposal')).toContainText('receptacles proposed');
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page.locator('g.box[data-hit]')).toHaveCount(1);
  await menu(page, 'Space receptacles', 'This room');
  await page.getByRole('button', { name: 'Accept all' }).click();
  await expect(page.getByText(/out of reach/)).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Wall strip' }).getByRole('button', { name: /^D-1,/ })).toBeVisible();
});

test('boxes are called out with height, gangs and latch; what is being typed is a ghost until Enter', async ({
  owner: page,
}) => {
  await newHouse(page, 'Called out');
  await tape(page, "bedroom 12' x 10'");
  await tape(page, "door 32 on south at 4'");
  await page.getByLabel('Tape line').press('Escape');
  await goTo(page, 'Boxes');
  const line = page.getByLabel('Tape line');
  const ghost = page.locator('.typed rect');
  await line.fill(`GFCI 4' 44"`);
  await expect(ghost).toBeVisible();
  await expect(page.getByText('GFCI receptacle at')).toContainText(`3'-8" high`);
  await line.press('Enter');
  await expect(ghost).toHaveCount(0);
  const strip = page.getByRole('region', { name: 'Wall strip' });
  await expect(strip.getByRole('button', { name: /3'-8" high/ })).toBeVisible();
  // Under it another one has its place; there a second is refused.
  for (let n = 0; n < 2; n++) {
    await line.fill('R');
    await line.press('Enter');
  }
  await expect(page.getByRole('alert')).toContainText('stands there already');
  await line.fill('2S 6" latch');
  await expect(page.getByText('2 switches in one box at')).toContainText('from the latch of the door to outside');
  await line.press('Enter');
  await expect(strip.getByRole('button', { name: /4'-0" high/ })).toBeVisible();
  await expect(page.getByText('2-gang').or(page.getByText('Two-gang')).first()).toBeVisible();
});
