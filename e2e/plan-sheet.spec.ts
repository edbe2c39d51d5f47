import { readFileSync } from 'node:fs';
import { expect, goTo, openDemo, pick, test } from './harness';

test('a plan prints to scale, on as many sheets as it takes, and is saved as a drawing', async ({ owner: page }) => {
  await openDemo(page, 'House');
  await page.getByRole('link', { name: 'Plan sheet' }).click();
  await expect(page.getByText('It takes 2 sheets at this scale')).toBeVisible();
  const drawing = page.getByRole('img', { name: /Plan of Main level/ }).first();
  // A quarter of an inch a foot: 12 inches of the house are 24 pixels at 96 to the inch.
  const box = (await drawing.boundingBox())!;
  const [, , widthIn] = (await drawing.getAttribute('viewBox'))!.split(' ').map(Number);
  expect((box.width / widthIn!) * 12).toBeCloseTo(24, 1);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
  expect(pdf).toMatch(/MediaBox\s*\[0 0 1224 792\]/);
  await pick(page, 'Scale', '⅛ in = 1 ft');
  await expect(page.getByText(/It takes/)).toHaveCount(0);
  await pick(page, 'What it shows', 'Circuit numbers');
  await expect(page.getByText('numbers: spaces in the panel')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as SVG' }).click();
  const text = readFileSync((await (await download).path())!, 'utf8');
  expect(text).toMatch(/^<svg[^>]*xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(text).not.toContain('var(--');
  // To scale wherever it is opened: an eighth of an inch a foot.
  const width = Number(/ width="([\d.]+)in"/.exec(text)![1]);
  const across = Number(/ viewBox="[^ "]+ [^ "]+ ([^ "]+)/.exec(text)![1]);
  expect((width / across) * 12).toBeCloseTo(1 / 8, 4);
});

test('cables print where they lie, all of them or one circuit alone, and say so where none has a route', async ({
  owner: page,
}) => {
  await openDemo(page, 'Routes');
  await page.getByRole('link', { name: 'Plan sheet' }).click();
  await pick(page, 'What it shows', 'Where cables lie');
  await expect(page.getByRole('status')).toContainText('No cable of this has a route yet');
  await page.getByRole('link', { name: 'Back to the house' }).click();
  await goTo(page, 'Routes');
  await page.getByRole('button', { name: 'Find routes' }).click();
  await page.getByRole('button', { name: 'Keep these routes' }).click();
  await page.getByRole('link', { name: 'Plan sheet' }).click();
  await pick(page, 'Paper', 'ARCH C, 24 x 18');
  await pick(page, 'What it shows', 'Where cables lie');
  const drawing = page.getByRole('img', { name: /^Plan of Main level, where cables lie/ });
  const cables = drawing.locator('.routes .cable');
  await expect(cables.first()).toBeVisible();
  const all = await cables.count();
  await pick(page, 'Circuit', '1-3 Kiln');
  await expect(page.getByRole('img', { name: /where cables lie: .*kiln/ })).toBeVisible();
  expect(await cables.count()).toBeLessThan(all / 4);
  // Black on white: the one ink of a paper.
  expect(await cables.first().evaluate((one) => getComputedStyle(one).stroke)).toBe('rgb(0, 0, 0)');
});
