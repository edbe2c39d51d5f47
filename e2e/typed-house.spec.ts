import { expect, takeAllProposals, tape, test } from './harness';

/** A single-story house of two bedrooms, as somebody calls it out: ten rooms, eight doors, nine windows, kitchen, bath, laundry, panel. */
const LINES = [
  'living 16 x 14',
  'kitchen 12 x 14 east of living',
  'laundry 7 x 14 east of kitchen',
  'garage 22 x 22 east of laundry',
  "hall 35'9 x 3-6 south of living",
  'bedroom 1 12 x 12 south of hall',
  "bath 6 x 12 south of hall at 12'4.5",
  "bedroom 2 11 x 12 south of hall at 18'9",
  'porch 10 x 6 north of living',
  'deck 12 x 8 north of kitchen',
  'door 36 to porch in living',
  'door 36 to deck in kitchen',
  'cased opening 48 to kitchen in living',
  'cased opening 42 to hall in living',
  'door 32 to laundry in hall',
  'door 30 to bath in hall',
  'door 32 to bedroom 1 in hall',
  'door 32 to bedroom 2 in hall',
  "door 32 to garage in laundry at 2'",
  'window 60x48 sill 24 on west in living',
  "window 36x48 on west in living at 1'",
  'window 36x36 sill 42 on north in kitchen at 10',
  'window 48x48 sill 24 on south in bedroom 1',
  'window 36x48 sill 24 on west in bedroom 1',
  'window 24x24 sill 54 on south in bath',
  'window 48x48 sill 24 on south in bedroom 2',
  'window 36x48 sill 24 on east in bedroom 2',
  'window 36x36 on north in laundry',
  'garage door 192x84 on south in garage',
  'counter 120 on east in kitchen',
  "sink at 4' on east in kitchen",
  "dishwasher at 6'6 on east in kitchen",
  "range at 2' on south in kitchen",
  "fridge on south in kitchen at 10'",
  'tub on west in bath',
  "basin at 4' on east in bath",
  "toilet at 8' on east in bath",
  "washer at 3' on west in laundry",
  "dryer at 6' on west in laundry",
  "panel on east in garage at 12'",
] as const;

test('a house of two bedrooms is typed, laid out, switched and planned in at most 60 actions, without a violation', async ({
  owner: page,
}) => {
  let actions = 0;
  const did = async (work: Promise<unknown>, n = 1) => {
    await work;
    actions += n;
  };
  await did(page.getByLabel('Name of the new house').fill('Called out'));
  await did(page.getByRole('button', { name: 'New house' }).click());
  await expect(page).toHaveURL(/\/house$/);
  for (const line of LINES) await did(tape(page, line));
  expect(await takeAllProposals(page, did)).toEqual([]);
  expect(actions).toBeLessThanOrEqual(60);
});

test('a line that may mean several things is shown on the plan and asked, and one press answers', async ({
  owner: page,
}) => {
  await page.getByLabel('Name of the new house').fill('Asked back');
  await page.getByRole('button', { name: 'New house' }).click();
  for (const line of ['bedroom 1 12 x 12', 'bedroom 2 12 x 12 east of bedroom 1']) await tape(page, line);
  const line = page.getByRole('textbox', { name: 'Tape line' });
  const asked = page.getByRole('group', { name: 'Which of these is meant?' });
  await line.fill('window 36x48 on north in bedroom');
  await line.press('Enter');
  await expect(asked.getByRole('button')).toHaveText(['1 Bedroom 1', '2 Bedroom 2']);
  await expect(page.locator('.meant')).toHaveCount(2);
  // Typing on takes the question back; Shift and Tab go from the line to its answers.
  await line.press('End');
  await line.pressSequentially(' ');
  await expect(asked).toBeHidden();
  await line.press('Enter');
  await line.press('Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(asked).toBeHidden();
  await expect(page.getByRole('heading', { name: /window/i }).first()).toBeVisible();
  await line.fill('deck 48 x 60 south of bedroom 2');
  await line.press('Enter');
  await asked.getByRole('button', { name: `1 48' x 60'` }).click();
  await expect(page.getByRole('heading', { name: /Deck/ })).toContainText('2880 ft');
});
