import { Buffer } from 'node:buffer';
import { readFileSync } from 'node:fs';
import { clickPlan, dragPlan, expect, newHouse, openDemo, pick, saved, tape, test } from './harness';

const demo = readFileSync(new URL('../demo/studio-house.json', import.meta.url), 'utf8');
const cases: readonly (readonly [name: string, text: string, says: RegExp])[] = [
  ['malformed JSON', demo.slice(0, 9000), /not JSON: it breaks off at line/],
  ['another version', demo.replace('"version": 2', '"version": 7'), /version: The file has version 7/],
  ['a dangling id', demo.replace('"room": "living"', '"room": "gone"'), /room: Nothing has the id "gone"/],
  ['something else', '{"hello":"world"}', /This is not a house file/],
  ['20 MB', `"${'x'.repeat(20_000_000)}"`, /has 20 MB; a house file has at most 10 MB/],
];

test('files that are no houses are refused by name, and the list stays', async ({ owner: page }) => {
  for (const [name, text, says] of cases) {
    await page.setInputFiles('input[type=file]', {
      name: `${name}.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
    await expect(page.getByRole('alert')).toContainText(says);
  }
  await page.setInputFiles('input[type=file]', {
    name: 'good.json',
    mimeType: 'application/json',
    buffer: Buffer.from(demo),
  });
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
});

test('wrong lengths, overlapping rooms and wide doors are refused with the reason, and nothing is lost', async ({
  owner: page,
}) => {
  await newHouse(page, 'Refusals');
  await tape(page, "bedroom 12' x 10'");
  const line = page.getByLabel('Tape line');
  for (const [typed, says] of [
    ["kitchen twelve x 10'", 'Type a kind and a size'],
    ["kitchen 12' x 10' north of Cellar", 'There is no room "Cellar"'],
    ["kitchen 12' x 10 yards", '"10 yards" is not a length'],
    ["kitchen 900' x 900' east of Bedroom 1", 'more than 300\'-0" from end to end'],
    ['closet 9" x 9" east of Bedroom 1', "a number alone counts as inches, 12' as feet"],
  ] as const) {
    await line.fill(typed);
    await line.press('Enter');
    await expect(page.getByRole('alert')).toContainText(says);
    await expect(line).toHaveValue(typed);
  }
  await page.getByRole('button', { name: 'Draw room' }).click();
  await dragPlan(page, [60, 60], [200, 130]);
  await expect(page.getByRole('alert').last()).toContainText('overlaps Bedroom');
  await pick(page, 'Kind of opening', 'Door');
  await clickPlan(page, 70, 118);
  await page.getByRole('button', { name: 'Select' }).click();
  await clickPlan(page, 70, 122);
  await page.getByLabel('Width').fill("14'");
  await page.getByLabel('Width').press('Enter');
  await expect(page.getByRole('alert').last()).toContainText(
    `The door is 14'-0" wide and its wall in Bedroom 1 only 12'-0"`,
  );
  await saved(page);
});

test('HTML in names is text', async ({ owner: page }) => {
  await openDemo(page, 'House');
  const evil = '<img src=x onerror="document.title=`gone`">';
  await page.getByLabel('Name of the house').fill(evil);
  await page.getByLabel('Name of the house').press('Enter');
  await page.getByRole('button', { name: /^Garage/ }).click();
  await page.getByLabel('Name', { exact: true }).fill(evil);
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await saved(page);
  await expect(page.getByRole('heading', { name: evil, level: 2 })).toBeVisible();
  await expect(page).toHaveTitle(`${evil}: House · Winculum`);
});
