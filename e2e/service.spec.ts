import { expect, goTo, openDemo, pick, saved, test } from './harness';

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
});
