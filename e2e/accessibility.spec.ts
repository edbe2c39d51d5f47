import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { card, expect, goTo, menu, openDemo, test, STOPS } from './harness';

/** All rules in the one theme, and those of color in the other, where nothing else differs. */
const RULES = {
  light: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] },
  dark: { type: 'rule', values: ['color-contrast', 'link-in-text-block'] },
  /** In the sun seven to one, WCAG 2.2 AAA. */
  sun: { type: 'rule', values: ['color-contrast-enhanced'] },
} as const;

async function expectAccessible(page: Page, what: string, theme: keyof typeof RULES): Promise<void> {
  const { type, values } = RULES[theme];
  // One script in one frame: without it axe gathers the answers of frames, which we have none of, in a second page each time.
  // Only violations are written out in full: all that passes is long, and nobody reads it.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ runOnly: { type, values: [...values] }, resultTypes: ['violations'] });
  const { violations } = await axe.analyze();
  expect(
    violations.map((one) => `${what}: ${one.id} ${one.nodes[0]?.target.join(' ')} ${one.nodes[0]?.failureSummary}`),
  ).toEqual([]);
}

test('what is read outdoors stands out seven to one in the colors for sunlight, which the device remembers', async ({
  owner: page,
}) => {
  await openDemo(page);
  await menu(page, 'Colors: ◐', 'Sunlight');
  await page.reload();
  for (const stop of ['Boxes', 'Walk', 'Phases', 'Photos', 'Inspection', 'Trim & test'] as const) {
    await goTo(page, stop);
    await page.waitForTimeout(350);
    await expectAccessible(page, stop, 'sun');
  }
});

test('a rail longer than a tablet is high scrolls by itself, and the top bar stays', async ({ owner: page }) => {
  await page.setViewportSize({ width: 1024, height: 600 });
  await openDemo(page);
  const last = page.getByRole('navigation', { name: 'Order of work' }).getByRole('link').last();
  await last.focus();
  await last.scrollIntoViewIfNeeded();
  expect(await page.getByRole('banner').boundingBox()).toMatchObject({ y: 0 });
  expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBe(0);
});

for (const theme of ['light', 'dark'] as const) {
  test(`every stop is accessible, ${theme}`, async ({ owner: page }) => {
    test.setTimeout(300_000);
    const accessible = (what: string) => expectAccessible(page, what, theme);
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.reload();
    await accessible('houses');
    await openDemo(page);
    for (const stop of STOPS) {
      await goTo(page, stop);
      await page.waitForTimeout(350);
      await accessible(stop);
    }
    await goTo(page, 'Boxes');
    await menu(page, 'Lay out boxes', 'The whole house');
    await page.getByRole('button', { name: 'Discard the proposal' }).waitFor();
    await accessible('a proposal');
    await page.getByRole('button', { name: 'Discard the proposal' }).click();
    await menu(page, 'Lay out boxes', 'Lights in rows on the ceiling');
    await accessible('the ceiling grid');
    await page.getByRole('button', { name: 'Close the ceiling grid' }).click();
    await goTo(page, 'Circuits');
    await page.getByRole('button', { name: 'Plan the circuits' }).click();
    await page.getByRole('region', { name: 'Proposed circuits' }).waitFor();
    await accessible('a circuit plan');
    await page.getByRole('button', { name: 'Discard' }).click();
    // What follows has the colors of what was seen: in the dark it would only be read twice.
    if (theme === 'dark') return;
    await card(page, /Kiln/).click();
    await page.getByText('How its cable lies').click();
    await page.getByLabel('Which breaker is this on?').fill('K-5');
    await page.getByLabel('Which breaker is this on?').press('Enter');
    for (const tab of ['Ask', 'Trips', 'Editions']) {
      await page.getByRole('tab', { name: tab }).click();
      await accessible(tab);
    }
    await goTo(page, 'Routes');
    await page.getByRole('button', { name: 'Find routes' }).click();
    await page.getByRole('button', { name: 'Keep these routes' }).waitFor();
    await accessible('routes compared');
    await page.getByRole('button', { name: 'Keep these routes' }).click();
    await page.getByRole('list', { name: 'Cables' }).getByRole('listitem').first().click();
    await accessible('a cable');
    for (const sheet of ['Bore', 'Pull', 'Spools']) {
      await page.getByRole('button', { name: sheet, exact: true }).click();
      await accessible(sheet);
    }
    await goTo(page, 'Switching');
    await page
      .getByRole('button', { name: /Kitchen light/ })
      .first()
      .click();
    await accessible('a group');
    await page.getByRole('tab', { name: 'Night walk' }).click();
    await page.getByText('walks in the dark').waitFor();
    await accessible('the night walk');
    await goTo(page, 'Make-up');
    for (const part of ['Labels', 'Feed order', 'Proof', 'Fault finder']) {
      await page.getByRole('button', { name: part }).click();
      await accessible(part);
    }
    await goTo(page, 'Walk');
    await page.getByRole('button', { name: 'Sign-off' }).click();
    await accessible('sign-off');
    await page.getByRole('tab', { name: /Open items/ }).click();
    await accessible('open items');
    await page.getByRole('button', { name: 'Job' }).click();
    await accessible('job');
    await page.goto(new URL('/bench', page.url()).href);
    await page.getByText('The bench').waitFor();
    await accessible('the bench');
    await page.getByRole('button', { name: 'A board of your own' }).click();
    await page.getByRole('region', { name: 'Set up the board' }).waitFor();
    await accessible('a board of one\u2019s own');
  });
}
