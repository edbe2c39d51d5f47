import { expect, goTo, newHouse, openDemo, pick, test } from './harness';

test('the walk: sheets, ticks with a finger, print', async ({ owner: page }) => {
  await openDemo(page, 'Walk');
  await expect(page.getByRole('heading', { name: /Studio house on the narrow lot: boxes/ })).toBeVisible();
  await expect(page.getByText('Heights to the center of the box, from the finished floor.')).toBeVisible();
  await pick(page, 'Room', 'Dining room');
  const tick = page.getByRole('button', { name: 'DR-1: to do' });
  const box = (await tick.boundingBox())!;
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
  await tick.click();
  await page.getByRole('button', { name: 'DR-1: marked' }).click();
  await expect(page.getByRole('button', { name: 'DR-1: nailed' })).toBeVisible();
  await expect(page.locator('.progress')).toContainText('1 nailed of');
  await page.setViewportSize({ width: 768, height: 1024 });
  await expect(page.getByRole('button', { name: 'DR-1: nailed' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(768);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('toolbar', { name: 'Walk tools' })).toBeHidden();
  await expect(page.getByRole('cell', { name: 'DR-1', exact: true })).toBeVisible();
});

test('a revision is frozen and signed, and shows later changes box by box', async ({ owner: page }) => {
  await openDemo(page, 'Walk');
  await page.getByRole('button', { name: 'Sign-off' }).click();
  await expect(page.getByText('Nothing is signed yet.')).toBeVisible();
  await page.getByLabel('Note of the revision').fill('walked with the owner');
  await page.getByRole('button', { name: 'Freeze revision 1' }).click();
  await expect(page.getByRole('heading', { name: 'Sign revision 1' })).toBeVisible();
  const sign = page.getByRole('button', { name: 'Sign', exact: true });
  await expect(sign).toBeDisabled();
  await page.getByLabel('Name of the signer').fill('The owner');
  const pad = (await page.getByRole('img', { name: 'Sign here' }).boundingBox())!;
  await page.mouse.move(pad.x + 40, pad.y + 60);
  await page.mouse.down();
  await page.mouse.move(pad.x + 160, pad.y + 30, { steps: 6 });
  await page.mouse.up();
  await sign.click();
  await expect(page.getByRole('img', { name: 'Signature of The owner' })).toBeVisible();
  await expect(page.getByText('0 changes since revision 1 was signed')).toBeVisible();
  await goTo(page, 'Boxes');
  const strip = page.getByRole('region', { name: 'Wall strip' });
  await strip.getByRole('button', { name: /^ST-1,/ }).click();
  await page.getByRole('button', { name: 'Delete ST-1' }).click();
  await goTo(page, 'Walk');
  await page.getByRole('button', { name: 'Sign-off' }).click();
  await expect(page.getByText('1 change since revision 1 was signed')).toBeVisible();
  await expect(page.getByRole('row', { name: /ST-1 .* removed/ })).toBeVisible();
  await page.getByRole('button', { name: 'Open its sheets, read only' }).click();
  await expect(page.getByText('Revision 1 as it was signed: read only.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'ST-1: to do' })).toBeDisabled();
});

test('a sheet for an empty house says what to do', async ({ owner: page }) => {
  await newHouse(page, 'Bare');
  await goTo(page, 'Walk');
  await expect(page.getByText('There is no box yet.')).toBeVisible();
});
